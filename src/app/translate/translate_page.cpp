// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/translate_page.h"

#include <QFrame>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {
constexpr int kOnePaneBelow = 880, kWrittenWidth = 288, kOutcomeWidth = 248;

/// A pane that is higher than the window is scrolled, each on its own.
QScrollArea* scrolled(QWidget* pane) {
    auto* out = new QScrollArea;
    out->setWidgetResizable(true);
    out->setFrameShape(QFrame::NoFrame);
    out->setFocusPolicy(Qt::NoFocus);
    out->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    out->setWidget(pane);
    return out;
}
} // namespace

TranslatePage::TranslatePage(Document& document, QWidget* parent)
    : QWidget(parent), written_(new WrittenPane(document)), outcome_(new OutcomePane(document)),
      reach_(new ReachPane(document)), tabs_(new QWidget), tabGroup_(new QButtonGroup(this)),
      controller_(
          document, reach_->rows(), [this] { return written_->request(); },
          [this] { return reach_->openTarget(); }) {
    setProperty("guide", QStringLiteral("translate"));
    buildPanes();
    using Controller = TranslateController;
    connect(written_, &WrittenPane::changed, &controller_, &Controller::askSoon);
    connect(written_, &WrittenPane::held, this,
            [this](bool down) { reach_->rows().setHeld(down); });
    connect(&controller_, &Controller::nothingWritten, this, [this] {
        outcome_->showProblem(QStringLiteral("Write or open a recipe first."));
        reach_->showProblem(QString());
    });
    connect(&controller_, &Controller::prepared, outcome_, &OutcomePane::showOutcome);
    connect(&controller_, &Controller::progressed, reach_, &ReachPane::showProgress);
    connect(&controller_, &Controller::failed, this, [this](const QString& reason) {
        outcome_->showProblem(QStringLiteral("! %1").arg(reason));
        reach_->showProblem(QStringLiteral("Nothing to show: see why in the middle."));
    });
    connect(&controller_, &Controller::rowChanged, this, [this](const translate::Row& row) {
        if (reach_->openTarget() == row.target)
            reach_->row().refresh();
    });
    connect(reach_, &ReachPane::detailWanted, &controller_, &Controller::askDetail);
    connect(&controller_, &Controller::detailed, this,
            [this](const translate::Row& row,
                   const std::shared_ptr<const translate::RowDetail>& detail) {
                reach_->row().showDetail(row, *detail);
            });
    connect(reach_, &ReachPane::triedWanted, &controller_, &Controller::askTried);
    connect(&controller_, &Controller::tried, this,
            [this](const translate::Row& row,
                   const std::shared_ptr<const translate::RowDetail>& detail) {
                reach_->row().showTried(row, *detail);
            });
    connect(reach_, &ReachPane::rowShown, this, [this](const translate::Row& row) {
        if (reach_->rows().prepared())
            written_->text().showRow(row, *reach_->rows().prepared());
    });
    connect(reach_, &ReachPane::rowClosed, &written_->text(), &RecipeTextView::hideRow);
    connect(reach_, &ReachPane::keepWanted, this, [this] { controller_.keep(written_->recipe()); });
}

void TranslatePage::buildPanes() {
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    outer->setSpacing(1);
    auto* tabLine = new QHBoxLayout(tabs_);
    tabLine->setContentsMargins(8, 4, 8, 4);
    int at = 0;
    for (const QString& name :
         {QStringLiteral("Recipe"), QStringLiteral("Outcome"), QStringLiteral("Appliances")}) {
        auto* tab = new QPushButton(name);
        tab->setObjectName(QStringLiteral("method"));
        tab->setCheckable(true);
        tab->setChecked(at == 2);
        tab->setAccessibleName(QStringLiteral("Pane %1").arg(name));
        tabGroup_->addButton(tab, at++);
        tabLine->addWidget(tab);
    }
    tabLine->addStretch();
    connect(tabGroup_, &QButtonGroup::idClicked, this, &TranslatePage::arrange);
    auto* box = new QHBoxLayout;
    box->setSpacing(1);
    writtenArea_ = scrolled(written_);
    outcomeArea_ = scrolled(outcome_);
    box->addWidget(writtenArea_);
    box->addWidget(outcomeArea_);
    box->addWidget(reach_, 1);
    outer->addWidget(tabs_);
    outer->addLayout(box, 1);
}

void TranslatePage::arrange() {
    const bool one = width() < kOnePaneBelow;
    const int at = tabGroup_->checkedId();
    tabs_->setVisible(one);
    writtenArea_->setVisible(!one || at == 0);
    outcomeArea_->setVisible(!one || at == 1);
    reach_->setVisible(!one || at == 2);
    writtenArea_->setMinimumWidth(one ? 0 : kWrittenWidth);
    outcomeArea_->setMinimumWidth(one ? 0 : kOutcomeWidth);
    writtenArea_->setMaximumWidth(one ? QWIDGETSIZE_MAX : kWrittenWidth);
    outcomeArea_->setMaximumWidth(one ? QWIDGETSIZE_MAX : kOutcomeWidth);
}

void TranslatePage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    arrange();
}

void TranslatePage::chooseTarget(const std::string& applianceId) {
    for (int i = 0; i < reach_->rows().rowCount(); ++i)
        if (reach_->rows().item(i).row.target.applianceId == applianceId) {
            reach_->openRow(i);
            return;
        }
}

} // namespace dynamet::app
