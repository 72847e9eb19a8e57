// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/cuts_pane.h"

#include "quantity/parse_duration.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {
constexpr int kMoments = 200; // places of the slider; the last one is the end
}

CutShown cutOf(const QString& title, const cook::Outcome& outcome, const food::Food& food,
               const Units& units) {
    const auto words = words::cutWords(outcome, food, units);
    return {title, toQt(words.core), toQt(words.crust), toQt(words.rim), outcome};
}

CutsPane::CutsPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), view_(new CutView),
      moment_(new QSlider(Qt::Horizontal)), when_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    view_->setMinimumHeight(150);
    moment_->setRange(0, kMoments);
    moment_->setValue(kMoments);
    moment_->setPageStep(20);
    moment_->setAccessibleName(QStringLiteral("Moment of the cut"));
    when_->setObjectName(QStringLiteral("quiet"));
    when_->setMinimumWidth(170);
    auto* save = new QPushButton(QStringLiteral("Save…"));
    save->setAccessibleName(QStringLiteral("Save the cut as a picture"));
    auto* line = new QHBoxLayout;
    line->addWidget(moment_, 1);
    line->addWidget(when_);
    line->addWidget(save);
    box->addWidget(view_, 1);
    box->addLayout(line);
    connect(moment_, &QSlider::valueChanged, this, &CutsPane::showMoment);
    connect(save, &QPushButton::clicked, this, [this] { keepPicture(document_, this, *view_); });
}

void CutsPane::showCuts(const translate::Prepared& prepared, const translate::Row& row,
                        const cook::Outcome& outcome) {
    const Units& units = document_.units();
    const food::Food& food = prepared.request.recipe.piece.food;
    view_->showCuts(
        {cutOf(QStringLiteral("in the recipe"), prepared.outcome, food, units),
         cutOf(toQt(words::rowTitle(row, document_.kitchen(), units)), outcome, food, units)},
        food.greyingK, food.losesJuice);
    moment_->setValue(kMoments);
    showMoment(kMoments);
}

void CutsPane::showMoment(int place) {
    if (place == kMoments) {
        view_->setMoment(std::nullopt);
        when_->setText(QStringLiteral("as it is cut, after the rest"));
        return;
    }
    const double at = translate::momentAt(view_->lastMomentS(), place, kMoments);
    view_->setMoment(at);
    when_->setText(QStringLiteral("after %1").arg(toQt(printDuration(at))));
}

} // namespace dynamet::app
