// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/plot.h"

#include "app/look/palette.h"

namespace dynamet::app {

Plot::Plot(QWidget* parent) : QCustomPlot(parent) {
    // Thick lines are slow unless they are drawn as fast polylines.
    setPlottingHint(QCP::phFastPolylines, true);
    setBackground(look::kSurface);
    dress(*axisRect());
    setFocusPolicy(Qt::NoFocus);
}

void Plot::dress(QCPAxisRect& rect) {
    for (QCPAxis* axis : rect.axes()) {
        axis->setBasePen(QPen(look::kQuietInk, 1));
        axis->setTickPen(QPen(look::kQuietInk, 1));
        axis->setSubTickPen(Qt::NoPen);
        axis->setTickLabelFont(look::textFont(12));
        axis->setLabelFont(look::textFont(12));
        axis->setTickLabelColor(look::kInk);
        axis->setLabelColor(look::kQuietInk);
        axis->grid()->setPen(QPen(look::kSunken, 1));
        axis->grid()->setZeroLinePen(QPen(look::kRule, 1));
        axis->setLabelPadding(3);
    }
}

QCPGraph* Plot::addLine(QCPAxisRect* rect, const Series& kelvins, const QColor& colour, Units units,
                        Qt::PenStyle style, bool difference) {
    QCPGraph* graph = addGraph(rect->axis(QCPAxis::atBottom), rect->axis(QCPAxis::atLeft));
    QVector<double> x, y;
    for (std::size_t i = 0; i < kelvins.size(); ++i) {
        x << kelvins.timeS[i] / 60;
        y << (difference ? degreesOf(KelvinDelta(kelvins.value[i]), units.temperature())
                         : numberIn(Temperature::kelvin(kelvins.value[i]), units.temperature()));
    }
    graph->setData(x, y, true);
    graph->setPen(QPen(colour, 1, style));
    return graph;
}

} // namespace dynamet::app
