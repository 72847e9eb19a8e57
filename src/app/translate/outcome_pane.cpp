// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/outcome_pane.h"

#include "app/look/palette.h"
#include "app/translate/cuts_pane.h"

#include <QVBoxLayout>

namespace dynamet::app {

OutcomePane::OutcomePane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), readout_(new QLabel), under_(new QLabel),
      cut_(new CutView), plot_(new Plot), facts_(new QWidget), safety_(new QLabel) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(14, 12, 14, 12);
    box->setSpacing(8);
    auto* overline = new QLabel(tr("WHAT IT MUST BECOME"));
    overline->setObjectName(QStringLiteral("overline"));
    readout_->setObjectName(QStringLiteral("readout"));
    readout_->setAccessibleName(tr("Core peak"));
    under_->setObjectName(QStringLiteral("quiet"));
    under_->setWordWrap(true);
    cut_->setMinimumHeight(150);
    cut_->setMaximumHeight(190);
    plot_->setMinimumHeight(150);
    plot_->setMaximumHeight(240);
    plot_->setAccessibleName(tr("Highest temperature through the thickness"));
    safety_->setWordWrap(true);
    safety_->setAccessibleName(tr("Safety"));
    box->addWidget(overline);
    box->addWidget(readout_);
    box->addWidget(under_);
    box->addWidget(cut_, 1);
    box->addWidget(plot_, 1);
    box->addWidget(facts_);
    box->addWidget(safety_);
    box->addStretch();
}

void OutcomePane::showProblem(const QString& words) {
    readout_->clear();
    under_->setText(words);
    cut_->hide();
    plot_->hide();
    facts_->hide();
    safety_->hide();
}

void OutcomePane::drawProfile(const translate::Prepared& prepared) {
    plot_->clearPlottables();
    plot_->clearItems();
    const auto unit = document_.units().temperature();
    const cook::Section& section = prepared.outcome.section;
    QVector<double> depth, celsius;
    for (std::size_t i = 0; i < section.upM.size(); ++i) {
        const double place = section.upM[i];
        depth << (document_.units().inches ? place / 0.0254 : place * 1000);
        celsius << numberIn(Temperature::kelvin(section.at(0, i)), unit);
    }
    QCPGraph* graph = plot_->addGraph();
    graph->setData(celsius, depth);
    auto* curve = new QCPCurve(plot_->xAxis, plot_->yAxis);
    QVector<double> order;
    for (int i = 0; i < depth.size(); ++i)
        order << i;
    plot_->removeGraph(graph);
    curve->setData(order, celsius, depth, true);
    curve->setPen(QPen(look::kReference, 1));
    auto* grey = new QCPItemStraightLine(plot_);
    const double greying =
        numberIn(Temperature::kelvin(prepared.request.piece.food.greyingK), unit);
    grey->point1->setCoords(greying, 0);
    grey->point2->setCoords(greying, 1);
    grey->setPen(QPen(look::kAccent, 1, Qt::DashLine));
    plot_->xAxis->setLabel(tr("highest temperature, %1").arg(QString::fromUtf8(unitSign(unit))));
    plot_->yAxis->setLabel(document_.units().inches ? tr("depth, in") : tr("depth, mm"));
    plot_->rescaleAxes();
    plot_->xAxis->setRange(plot_->xAxis->range().lower - 5, plot_->xAxis->range().upper + 8);
    plot_->xAxis->ticker()->setTickCount(4);
    plot_->replot();
}

void OutcomePane::show(const translate::Prepared& prepared) {
    const auto units = document_.units();
    readout_->setText(
        text(printTemperature(Temperature::kelvin(prepared.outcome.peakK), units.temperature())));
    under_->setText(text(readWords(prepared)));
    cut_->show();
    cut_->show({cutOf(QString(), prepared.outcome, units)}, prepared.request.piece.food.greyingK,
               prepared.request.piece.food.losesJuice);
    plot_->show();
    drawProfile(prepared);
    facts_->show();
    delete facts_->layout();
    qDeleteAll(facts_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    auto* grid = new QGridLayout(facts_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(2);
    int row = 0;
    for (const auto& [name, value] : outcomeFacts(prepared, units.wording())) {
        auto* label = new QLabel(text(name));
        label->setObjectName(QStringLiteral("quiet"));
        grid->addWidget(label, row, 0);
        grid->addWidget(new QLabel(text(value)), row++, 1);
    }
    const QString safety = text(safetyLine(prepared, units.wording()));
    safety_->setObjectName(safety.startsWith(QLatin1Char('!')) ? QStringLiteral("caution")
                                                               : QStringLiteral("good"));
    safety_->setStyleSheet(safety.startsWith(QLatin1Char('!'))
                               ? QStringLiteral("color:#7a4c00;background:#f7eacc;padding:6px 8px")
                               : QStringLiteral("color:#2b5f45"));
    safety_->setText(safety);
    safety_->show();
}

} // namespace dynamet::app
