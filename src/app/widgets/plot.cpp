// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/plot.h"

#include "app/look/palette.h"

#include <QPicture>

namespace dynamet::app {

Plot::Plot(QWidget* parent) : QCustomPlot(parent) {
    // Thick lines are slow unless they are drawn as fast polylines.
    setPlottingHint(QCP::phFastPolylines, true);
    setBackground(look::surface());
    dress(*axisRect());
    setFocusPolicy(Qt::NoFocus);
}

void Plot::dress(QCPAxisRect& rect) {
    for (QCPAxis* axis : rect.axes()) {
        axis->setBasePen(QPen(look::quietInk(), 1));
        axis->setTickPen(QPen(look::quietInk(), 1));
        axis->setSubTickPen(Qt::NoPen);
        axis->setTickLabelFont(look::textFont(12));
        axis->setLabelFont(look::textFont(12));
        axis->setTickLabelColor(look::ink());
        axis->setLabelColor(look::quietInk());
        axis->grid()->setPen(QPen(look::sunken(), 1));
        axis->grid()->setZeroLinePen(QPen(look::rule(), 1));
        axis->setLabelPadding(3);
    }
}

QCPGraph* Plot::addLine(QCPAxisRect* rect, const Series& kelvins, const QColor& colour, Units units,
                        Qt::PenStyle style, bool difference) {
    QCPAxis* minutes = rect->axis(QCPAxis::atBottom);
    QCPGraph* graph = addGraph(minutes, rect->axis(QCPAxis::atLeft));
    graph->setPen(QPen(colour, 1, style));
    std::erase_if(traces_, [](const Trace& trace) { return !trace.graph; });
    traces_.push_back({graph, buildPyramid(kelvins), units, difference});
    if (!kelvins.empty()) // all of it first, so that the axes can be fitted to it
        fill(traces_.back(), kelvins.timeS.front(), kelvins.timeS.back());
    connect(minutes, qOverload<const QCPRange&>(&QCPAxis::rangeChanged), this, &Plot::fillVisible,
            Qt::UniqueConnection);
    return graph;
}

void Plot::fill(const Trace& trace, double fromS, double toS) const {
    const auto unit = trace.units.temperature();
    const auto pixels = static_cast<std::size_t>(std::max(1, width()));
    const Series drawn = drawnPoints(trace.pyramid, fromS, toS, pixels);
    QVector<double> x, y;
    for (std::size_t i = 0; i < drawn.size(); ++i) {
        x << drawn.timeS[i] / 60;
        y << (trace.difference ? degreesOf(KelvinDelta(drawn.value[i]), unit)
                               : numberIn(Temperature::kelvin(drawn.value[i]), unit));
    }
    trace.graph->setData(x, y, true);
}

void Plot::fillVisible() {
    for (const Trace& trace : traces_)
        if (trace.graph) {
            const QCPRange view = trace.graph->keyAxis()->range();
            fill(trace, view.lower * 60, view.upper * 60);
        }
}

void Plot::recolour(const look::Theme& theme) {
    const auto pen = [&](QPen was) {
        was.setColor(twinIn(theme, was.color()));
        return was;
    };
    const auto brush = [&](QBrush was) {
        was.setColor(twinIn(theme, was.color()));
        return was;
    };
    setBackground(theme.surface);
    for (QCPAxisRect* rect : axisRects())
        for (QCPAxis* axis : rect->axes()) {
            axis->setBasePen(pen(axis->basePen()));
            axis->setTickPen(pen(axis->tickPen()));
            axis->setTickLabelColor(twinIn(theme, axis->tickLabelColor()));
            axis->setLabelColor(twinIn(theme, axis->labelColor()));
            axis->grid()->setPen(pen(axis->grid()->pen()));
            axis->grid()->setZeroLinePen(pen(axis->grid()->zeroLinePen()));
        }
    for (int i = 0; i < graphCount(); ++i) {
        QCPGraph& line = *graph(i);
        line.setPen(pen(line.pen()));
        line.setBrush(brush(line.brush()));
        QCPScatterStyle marks = line.scatterStyle();
        marks.setPen(pen(marks.pen()));
        marks.setBrush(brush(marks.brush()));
        line.setScatterStyle(marks);
    }
}

void Plot::changeEvent(QEvent* event) {
    QCustomPlot::changeEvent(event);
    if (event->type() != QEvent::PaletteChange)
        return;
    recolour(look::theme());
    replot(QCustomPlot::rpQueuedReplot);
}

/// By way of a record of what is drawn: its painter is one of its own kind.
void Plot::drawOn(QPainter& painter) {
    recolour(look::theme());
    QPicture record;
    QCPPainter recorder(&record);
    recorder.setMode(QCPPainter::pmVectorized);
    toPainter(&recorder, width(), height());
    recorder.end();
    recolour(look::windowTheme());
    painter.drawPicture(0, 0, record);
}

void Plot::resizeEvent(QResizeEvent* event) {
    QCustomPlot::resizeEvent(event);
    fillVisible();
}

} // namespace dynamet::app
