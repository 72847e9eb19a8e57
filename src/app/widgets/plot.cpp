// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/plot.h"

#include "app/look/palette.h"
#include "trace/pyramid.h"

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

/// A little more than the widget has, so that a wider window shows no steps.
std::size_t Plot::pixelsAcross() const {
    return static_cast<std::size_t>(std::max(400, width()));
}

QCPGraph* Plot::addLine(QCPAxisRect* rect, const Series& kelvins, const QColor& colour, Units units,
                        Qt::PenStyle style, bool difference) {
    QCPGraph* graph = addGraph(rect->axis(QCPAxis::atBottom), rect->axis(QCPAxis::atLeft));
    QVector<double> x, y;
    const Series drawn = kelvins.empty() ? kelvins
                                         : drawnPoints(buildPyramid(kelvins), kelvins.timeS.front(),
                                                       kelvins.timeS.back() + 1, pixelsAcross());
    for (std::size_t i = 0; i < drawn.size(); ++i) {
        x << drawn.timeS[i] / 60;
        y << (difference ? degreesOf(KelvinDelta(drawn.value[i]), units.temperature())
                         : numberIn(Temperature::kelvin(drawn.value[i]), units.temperature()));
    }
    graph->setData(x, y, true);
    graph->setPen(QPen(colour, 1, style));
    return graph;
}

} // namespace dynamet::app
