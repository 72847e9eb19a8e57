// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/cook_plot.h"

#include "app/look/palette.h"

namespace dynamet::app {
namespace {

QVector<double> qt(const std::vector<double>& values) {
    return {values.begin(), values.end()};
}

} // namespace

CookPlot::CookPlot(QWidget* parent)
    : Plot(parent), low_(addGraph()), high_(addGraph()), middle_(addGraph()), read_(addGraph()),
      typed_(addGraph()), pullLine_(addGraph()), from_(addGraph()), until_(addGraph()),
      now_(addGraph()) {
    setAccessibleName(QStringLiteral("Core: read and predicted"));
    QColor band = look::reference();
    band.setAlpha(40);
    low_->setPen(Qt::NoPen);
    high_->setPen(Qt::NoPen);
    high_->setBrush(band);
    high_->setChannelFillGraph(low_);
    middle_->setPen(QPen(look::reference(), 1, Qt::DashLine));
    read_->setPen(QPen(look::ink(), 2.5));
    typed_->setLineStyle(QCPGraph::lsNone);
    typed_->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, look::ink(), 9));
    pullLine_->setPen(QPen(look::accent(), 1.5, Qt::DashLine));
    for (QCPGraph* edge : {from_, until_})
        edge->setPen(QPen(look::accent(), 1, Qt::DotLine));
    now_->setPen(QPen(look::quietInk(), 1));
    xAxis->setLabel(QStringLiteral("minutes since it went in"));
    setMinimumHeight(120);
}

void CookPlot::show(const words::CookPicture& p, const Units& units) {
    low_->setData(qt(p.bandMin), qt(p.low));
    high_->setData(qt(p.bandMin), qt(p.high));
    middle_->setData(qt(p.bandMin), qt(p.middle));
    read_->setData(qt(p.readMin), qt(p.read));
    typed_->setData(qt(p.typedMin), qt(p.typed));
    const double last =
        p.bandMin.empty() ? std::max(10.0, p.nowMin) : std::max(p.bandMin.back(), p.nowMin);
    const auto upright = [&](QCPGraph* line, const std::optional<double>& at) {
        if (at)
            line->setData({*at, *at}, {p.lowest, p.highest});
        else
            line->setData(QVector<double>{}, QVector<double>{});
    };
    if (p.pull)
        pullLine_->setData({0, last}, {*p.pull, *p.pull});
    else
        pullLine_->setData(QVector<double>{}, QVector<double>{});
    upright(from_, p.pullFromMin);
    upright(until_, p.pullUntilMin);
    upright(now_, p.nowMin);
    yAxis->setLabel(units.fahrenheit ? QStringLiteral("core, °F") : QStringLiteral("core, °C"));
    xAxis->setRange(0, last);
    yAxis->setRange(p.lowest, p.highest);
    replot(QCustomPlot::rpQueuedReplot);
}

} // namespace dynamet::app
