// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/trace_pane.h"

#include "app/look/palette.h"
#include "trace/screen.h"

#include <QVBoxLayout>

namespace dynamet::app {

TracePane::TracePane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), words_(new QLabel), plot_(new Plot),
      map_(new SpotMap(document)) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(12, 10, 12, 10);
    auto* overline = new QLabel(QStringLiteral("TRACE"));
    overline->setObjectName(QStringLiteral("overline"));
    words_->setObjectName(QStringLiteral("quiet"));
    words_->setWordWrap(true);
    box->addWidget(overline);
    box->addWidget(words_);
    box->addWidget(plot_, 1);
    box->addWidget(map_, 1);
    map_->hide();
    box->addStretch(0);
    plot_->setAccessibleName(QStringLiteral("Trace of the readings"));
}

void TracePane::showNothing(const QString& words) {
    words_->setText(words);
    plot_->hide();
    map_->hide();
    static_cast<QVBoxLayout*>(layout())->setStretch(4, 1);
}

void TracePane::showTrace(const rating::TestInput& input, const rating::Reduction* reduction) {
    const bool mapped = input.protocol == "surface-map";
    const rating::Protocol* protocol = rating::findProtocol(input.protocol);
    const bool weighed = protocol && protocol->logsWeight; // the plot is one of temperatures
    plot_->setVisible(!mapped && !weighed && !(input.channels.empty() && input.keyed.empty()));
    map_->setVisible(mapped);
    if (mapped) {
        drawMap(input, reduction);
        return;
    }
    static_cast<QVBoxLayout*>(layout())->setStretch(4, 0);
    plot_->plotLayout()->clear();
    plot_->clearPlottables();
    if (weighed)
        return;
    if (input.channels.empty())
        drawKeyed(input, reduction);
    else
        drawReadings(input, reduction);
    plot_->replot();
}

void TracePane::drawReadings(const rating::TestInput& input, const rating::Reduction* reduction) {
    auto* upper = new QCPAxisRect(plot_);
    Plot::dress(*upper);
    plot_->plotLayout()->addElement(0, 0, upper);
    const Units& units = document_.units();
    upper->axis(QCPAxis::atLeft)->setLabel(QString::fromUtf8(unitSign(units.temperature())));
    QStringList words;
    bool first = true;
    for (const auto& [role, series] : input.channels) {
        const QColor colour = first ? look::reference() : look::quietInk();
        plot_->addLine(upper, screenReadings(series).series, colour, units,
                       first ? Qt::SolidLine : Qt::DotLine);
        words << QStringLiteral("%1: %2 readings, %3 s apart")
                     .arg(toQt(role))
                     .arg(series.size())
                     .arg(series.size() > 1 ? series.timeS[1] - series.timeS[0] : 0);
        first = false;
    }
    const bool fitted = reduction && !reduction->fit.empty();
    if (fitted)
        plot_->addLine(upper, reduction->fit, look::accent(), units)
            ->setPen(QPen(look::accent(), 2));
    plot_->rescaleAxes();
    if (fitted) {
        auto* lower = new QCPAxisRect(plot_);
        Plot::dress(*lower);
        plot_->plotLayout()->addElement(1, 0, lower);
        plot_->plotLayout()->setRowStretchFactor(1, 0.4);
        lower->axis(QCPAxis::atLeft)
            ->setLabel(QStringLiteral("reading − fit, %1")
                           .arg(QString::fromUtf8(unitSign(units.temperature()))));
        lower->axis(QCPAxis::atBottom)->setLabel(QStringLiteral("minutes"));
        plot_->addLine(lower, reduction->residuals, look::reference(), units, Qt::SolidLine, true);
        lower->axis(QCPAxis::atLeft)->rescale();
        lower->axis(QCPAxis::atBottom)->setRange(upper->axis(QCPAxis::atBottom)->range());
        auto* group = new QCPMarginGroup(plot_);
        upper->setMarginGroup(QCP::msLeft, group);
        lower->setMarginGroup(QCP::msLeft, group);
        words << QStringLiteral("thick: the fit");
    } else {
        upper->axis(QCPAxis::atBottom)->setLabel(QStringLiteral("minutes"));
    }
    words_->setText(words.join(QStringLiteral("; ")));
}

/// True temperatures where they could be worked out, else what the gun showed.
void TracePane::drawMap(const rating::TestInput& input, const rating::Reduction* reduction) {
    const auto per = input.values.find("per_row");
    const auto shown = input.keyed.find("spot");
    map_->showSpots(reduction                    ? reduction->fit.value
                    : shown == input.keyed.end() ? std::vector<double>{}
                                                 : shown->second,
                    per == input.values.end() ? 0 : static_cast<int>(per->second));
    words_->setText(
        reduction ? QStringLiteral("The surface's own temperatures, row by row from the back left.")
                  : QStringLiteral("What the gun showed, row by row from the back left."));
}

void TracePane::drawKeyed(const rating::TestInput& input, const rating::Reduction* reduction) {
    auto* rect = new QCPAxisRect(plot_);
    Plot::dress(*rect);
    plot_->plotLayout()->addElement(0, 0, rect);
    const auto unit = document_.units().temperature();
    rect->axis(QCPAxis::atLeft)->setLabel(QString::fromUtf8(unitSign(unit)));
    rect->axis(QCPAxis::atBottom)->setLabel(QStringLiteral("spot"));
    rect->axis(QCPAxis::atBottom)->ticker()->setTickStepStrategy(QCPAxisTicker::tssReadability);
    rect->axis(QCPAxis::atBottom)->ticker()->setTickCount(3);
    const rating::Protocol* protocol = rating::findProtocol(input.protocol);
    double most = 3;
    QStringList words;
    const QCPScatterStyle::ScatterShape shapes[] = {
        QCPScatterStyle::ssDisc, QCPScatterStyle::ssSquare, QCPScatterStyle::ssTriangle};
    const QString shapeWords[] = {QStringLiteral("discs"), QStringLiteral("squares"),
                                  QStringLiteral("triangles")};
    std::size_t drawn = 0;
    for (const rating::KeyedRole& role : protocol->keyed) {
        const auto at = input.keyed.find(role.role);
        if (at == input.keyed.end() || role.kind != rating::KeyedKind::temperature)
            continue;
        const QColor colour = drawn == 0 ? look::reference() : look::quietInk();
        QCPGraph* graph =
            plot_->addGraph(rect->axis(QCPAxis::atBottom), rect->axis(QCPAxis::atLeft));
        graph->setLineStyle(QCPGraph::lsNone);
        graph->setScatterStyle(QCPScatterStyle(shapes[drawn % 3], colour, colour, 10));
        for (std::size_t i = 0; i < at->second.size(); ++i)
            graph->addData(static_cast<double>(i + 1),
                           numberIn(Temperature::kelvin(at->second[i]), unit));
        words << QStringLiteral("%1: %2").arg(shapeWords[drawn % 3], toQt(role.label).toLower());
        most = std::max(most, static_cast<double>(at->second.size()));
        ++drawn;
    }
    plot_->rescaleAxes();
    QCPGraph* line = plot_->addGraph(rect->axis(QCPAxis::atBottom), rect->axis(QCPAxis::atLeft));
    line->setPen(QPen(look::accent(), 1));
    if (reduction && !reduction->fit.empty()) { // run by run
        for (std::size_t i = 0; i < reduction->fit.size(); ++i)
            line->addData(reduction->fit.timeS[i] + 1,
                          numberIn(Temperature::kelvin(reduction->fit.value[i]), unit));
    } else if (reduction && !reduction->quantities.empty()) {
        const double value =
            numberIn(Temperature::kelvin(reduction->quantities.front().value), unit);
        line->setData({0.5, most + 0.5}, {value, value}, true);
    }
    rect->axis(QCPAxis::atBottom)->setRange(0.5, most + 0.5);
    rect->axis(QCPAxis::atLeft)->scaleRange(1.6);
    words << QStringLiteral("red: the result");
    words_->setText(words.join(QStringLiteral("; ")));
}

} // namespace dynamet::app
