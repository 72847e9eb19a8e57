// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/outcome_pane.h"

#include "app/look/palette.h"
#include "app/translate/cuts_pane.h"
#include "words/evidence_words.h"

#include <QStyle>
#include <QVBoxLayout>

namespace dynamet::app {

namespace {

/// The sheet's look of that name from now on.
void dressAs(QLabel& label, const char* name) {
    label.setObjectName(QString::fromLatin1(name));
    label.style()->unpolish(&label);
    label.style()->polish(&label);
}

} // namespace

OutcomePane::OutcomePane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), readout_(new QLabel), under_(new QLabel),
      cut_(new CutView), facts_(new QWidget), safety_(new QLabel), ownTime_(new QLabel),
      book_(new QLabel) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(14, 12, 14, 12);
    box->setSpacing(8);
    auto* overline = new QLabel(QStringLiteral("THE OUTCOME"));
    overline->setObjectName(QStringLiteral("overline"));
    readout_->setObjectName(QStringLiteral("readout"));
    readout_->setAccessibleName(QStringLiteral("Core peak"));
    under_->setObjectName(QStringLiteral("quiet"));
    under_->setWordWrap(true);
    cut_->setMinimumHeight(170);
    cut_->setMaximumHeight(240);
    book_->setObjectName(QStringLiteral("quiet"));
    book_->setWordWrap(true);
    book_->setAccessibleName(QStringLiteral("House methods"));
    safety_->setWordWrap(true);
    safety_->setAccessibleName(QStringLiteral("Safety"));
    box->addWidget(overline);
    box->addWidget(readout_);
    box->addWidget(under_);
    box->addWidget(cut_, 1);
    box->addWidget(facts_);
    box->addWidget(safety_);
    ownTime_->setWordWrap(true);
    ownTime_->setAccessibleName(QStringLiteral("The author's time"));
    box->addWidget(ownTime_);
    box->addWidget(book_);
    box->addStretch();
}

void OutcomePane::showProblem(const QString& words) {
    readout_->clear();
    under_->setText(words);
    cut_->hide();
    facts_->hide();
    safety_->hide();
    ownTime_->hide();
    book_->hide();
}

void OutcomePane::showOutcome(const translate::Prepared& prepared) {
    const auto units = document_.units();
    readout_->setText(
        toQt(printTemperature(Temperature::kelvin(prepared.outcome.peakK), units.temperature())));
    under_->setText(toQt(words::readWords(prepared)));
    cut_->show();
    cut_->showCuts({cutOf(QString(), prepared.outcome, prepared.request.recipe.piece.food, units)},
                   prepared.request.recipe.piece.food.greyingK,
                   prepared.request.recipe.piece.food.losesJuice);
    facts_->show();
    delete facts_->layout();
    qDeleteAll(facts_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    auto* grid = new QGridLayout(facts_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(2);
    int row = 0;
    for (const auto& [name, value] : words::outcomeFacts(prepared, units)) {
        auto* label = new QLabel(toQt(name));
        label->setObjectName(QStringLiteral("quiet"));
        grid->addWidget(label, row, 0);
        auto* shown = new QLabel(toQt(value));
        shown->setWordWrap(true);
        shown->setAccessibleName(toQt(name));
        grid->addWidget(shown, row++, 1);
    }
    grid->setColumnStretch(1, 1);
    const QString safety = toQt(words::safetyLine(prepared, units));
    dressAs(*safety_, safety.startsWith(QLatin1Char('!')) ? "caution" : "good");
    safety_->setText(safety);
    safety_->show();
    QStringList own;
    for (const std::string& line : words::ownTimeLines(prepared, units))
        own << toQt(line);
    const bool misfit =
        prepared.ownTime && !prepared.ownTime->absorbed && !prepared.ownTime->written.setAside;
    dressAs(*ownTime_, misfit ? "caution" : "");
    ownTime_->setText((misfit ? QStringLiteral("! ") : QString()) + own.join(QLatin1Char(' ')));
    ownTime_->setVisible(!own.isEmpty());
    book_->setText(toQt(words::bookWords(prepared)));
    book_->show();
}

} // namespace dynamet::app
