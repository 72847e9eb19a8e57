// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/drift_pane.h"

#include "app/look/palette.h"
#include "words/rating_words.h"

#include <QDateTime>
#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

namespace dynamet::app {

DriftPane::DriftPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), choice_(new QComboBox), verdict_(new QLabel),
      twins_(new QLabel), plot_(new Plot),
      table_(new TextTable(QStringLiteral("Repeats, one a row"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("drift"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(8);
    choice_->setAccessibleName(QStringLiteral("Which repeated test"));
    verdict_->setAccessibleName(QStringLiteral("Verdict of the chart"));
    twins_->setAccessibleName(QStringLiteral("Others of its kind"));
    plot_->setAccessibleName(QStringLiteral("Control chart"));
    verdict_->setStyleSheet(QStringLiteral("font-size: 18px"));
    for (QLabel* label : {verdict_, twins_})
        label->setWordWrap(true);
    box->addWidget(choice_);
    box->addWidget(verdict_);
    box->addWidget(twins_);
    auto* line = new QHBoxLayout;
    line->addWidget(plot_, 3);
    line->addWidget(table_, 2);
    box->addLayout(line, 1);
    connect(choice_, &QComboBox::currentIndexChanged, this, &DriftPane::showRepeats);
}

std::vector<DriftPane::Repeats> DriftPane::repeatsOf(const std::string& applianceId) const {
    std::vector<Repeats> out;
    const auto lines = loadHistory(document_.book(), applianceId);
    for (const book::RatedLine& line : lines.value_or(std::vector<book::RatedLine>{})) {
        if (line.u <= 0)
            continue;
        const std::string key =
            line.protocol + "|" + line.setting + "|" + line.zone + "|" + line.name;
        auto at =
            std::find_if(out.begin(), out.end(), [&](const Repeats& r) { return r.key == key; });
        if (at == out.end()) {
            const auto* appliance = findAppliance(document_.kitchen(), applianceId);
            const auto setting = parseSetting(appliance->controls, line.setting);
            const rating::Protocol* protocol = rating::findProtocol(line.protocol);
            out.push_back(
                {QStringLiteral("%1: %2, %3, %4")
                     .arg(toQt(words::quantityWords(line.name)),
                          setting
                              ? toQt(settingLabel(appliance->controls, *setting, document_.units()))
                              : toQt(line.setting),
                          toQt(line.zone), protocol ? toQt(protocol->title).toLower() : QString()),
                 line.name,
                 line.unit,
                 key,
                 {}});
            at = out.end() - 1;
        }
        at->values.push_back({line.value, line.u, line.startedMs});
    }
    std::stable_sort(out.begin(), out.end(), [](const Repeats& a, const Repeats& b) {
        return a.values.size() > b.values.size();
    });
    return out;
}

void DriftPane::showAppliance(const std::string& id) {
    applianceId_ = id;
    all_ = document_.isOpen() ? repeatsOf(id) : std::vector<Repeats>{};
    const QSignalBlocker quiet(choice_);
    choice_->clear();
    for (const Repeats& r : all_)
        choice_->addItem(QStringLiteral("%1  (tested %2 ×)").arg(r.label).arg(r.values.size()));
    choice_->setVisible(!all_.empty());
    showRepeats(0);
}

double DriftPane::shown(const Repeats& repeats, double value) const {
    return words::shownNumber(repeats.quantity, repeats.unit, value,
                              document_.units().temperature());
}

QString DriftPane::unitOf(const Repeats& repeats) const {
    return toQt(words::shownUnit(repeats.quantity, repeats.unit, document_.units().temperature()));
}

void DriftPane::showRepeats(int index) {
    const bool there = index >= 0 && index < static_cast<int>(all_.size());
    plot_->setVisible(there);
    table_->setVisible(there);
    twins_->setVisible(there);
    if (!there) {
        verdict_->setText(QStringLiteral(
            "Nothing rated yet. Rate a setting on the bench; rate it again some weeks "
            "later, and this page tells whether it drifts."));
        return;
    }
    const Repeats& repeats = all_[static_cast<std::size_t>(index)];
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto chart = rating::controlChart(repeats.values);
    verdict_->setText(toQt(rating::driftWords(chart, repeats.quantity, appliance->kind)));
    twins_->setText(twinWords(repeats));
    draw(repeats, chart);
    QVector<QStringList> rows;
    for (std::size_t i = 0; i < repeats.values.size(); ++i) {
        const bool out =
            std::find(chart.outside.begin(), chart.outside.end(), i) != chart.outside.end();
        rows << QStringList{QDateTime::fromMSecsSinceEpoch(repeats.values[i].whenMs, Qt::UTC)
                                .toString(QStringLiteral("yyyy-MM-dd")),
                            toQt(printFixed(shown(repeats, repeats.values[i].value), 1)) +
                                QStringLiteral(" ") + unitOf(repeats),
                            out ? QStringLiteral("! outside") : QStringLiteral("inside")};
    }
    table_->showRows({QStringLiteral("Day"), QStringLiteral("Found"), QStringLiteral("Limits")},
                     rows);
}

QString DriftPane::twinWords(const Repeats& repeats) const {
    const auto* mine = findAppliance(document_.kitchen(), applianceId_);
    QStringList out;
    for (const kitchen::Appliance& other : document_.kitchen().appliances) {
        if (other.id == mine->id || other.kind != mine->kind)
            continue;
        for (const Repeats& r : repeatsOf(other.id)) {
            if (r.key != repeats.key)
                continue;
            const auto apart = rating::twinDifference(repeats.values.back(), r.values.back());
            const double degrees = repeats.unit == "K" ? degreesOf(KelvinDelta(apart.difference),
                                                                   document_.units().temperature())
                                                       : apart.difference;
            out << QStringLiteral("%1, of the same kind, is %2 %3 %4 at this setting%5.")
                       .arg(toQt(other.name), toQt(printFixed(std::abs(degrees), 0)),
                            unitOf(repeats),
                            degrees < 0 ? QStringLiteral("lower") : QStringLiteral("higher"),
                            apart.real ? QString() : QStringLiteral(", within the ± of both"));
        }
    }
    return out.join(QStringLiteral(" "));
}

void DriftPane::draw(const Repeats& repeats, const rating::ControlChart& chart) {
    plot_->clearPlottables();
    plot_->clearItems();
    const double count = static_cast<double>(chart.values.size());
    const auto line = [&](double value, const QColor& colour, Qt::PenStyle style) {
        QCPGraph* graph = plot_->addGraph();
        graph->setData({0.5, count + 0.5}, {shown(repeats, value), shown(repeats, value)}, true);
        graph->setPen(QPen(colour, 1, style));
    };
    if (chart.values.size() > 1) {
        line(chart.centre, look::quietInk(), Qt::SolidLine);
        line(chart.low, look::accent(), Qt::DashLine);
        line(chart.high, look::accent(), Qt::DashLine);
    }
    QVector<double> at, values, ewma;
    for (std::size_t i = 0; i < repeats.values.size(); ++i) {
        at << static_cast<double>(i + 1);
        values << shown(repeats, repeats.values[i].value);
        if (i < chart.ewma.size())
            ewma << shown(repeats, chart.ewma[i]);
    }
    QCPGraph* dots = plot_->addGraph();
    dots->setData(at, values, true);
    dots->setPen(QPen(look::reference(), 1));
    dots->setScatterStyle(
        QCPScatterStyle(QCPScatterStyle::ssDisc, look::reference(), look::reference(), 9));
    if (ewma.size() == at.size()) {
        QCPGraph* smooth = plot_->addGraph();
        smooth->setData(at, ewma, true);
        smooth->setPen(QPen(look::ink(), 2));
    }
    plot_->xAxis->setLabel(
        QStringLiteral("repeat test (dots: results; thick line: weighted mean; dashed: limits)"));
    plot_->yAxis->setLabel(unitOf(repeats));
    plot_->rescaleAxes();
    plot_->xAxis->setRange(0.5, count + 0.5);
    plot_->yAxis->scaleRange(1.25);
    plot_->replot();
}

} // namespace dynamet::app
