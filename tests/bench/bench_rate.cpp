// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Five hundred tests of an hour at 1 Hz, reduced anew on one core (goal 5 s), beside a plain pass
// over the same readings; and frames of the heat plane and of a 12-hour trace of eight channels.
#include "app/look/palette.h"
#include "app/rate/heat_plane_view.h"
#include "app/widgets/plot.h"
#include "generator/fires.h"
#include "generator/liquids.h"
#include "kitchen/heat_plane.h"
#include "rating/reduce.h"
#include "rating/series_of.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <cstdio>

namespace {

using namespace dynamet;

struct Mix {
    const char* protocol;
    int count;
    rating::TestInput test;
};

std::vector<Mix> mix() {
    std::vector<Mix> out;
    rating::TestInput preheat{"preheat", {}, {}, {{"set_C", 180}}};
    preheat.channels["air"] =
        seriesOf(generator::preheat({}, 180, 3600, 1, {60, 0.4, 1, 0.15, 0.1}, 1).air);
    out.push_back({"preheat", 150, preheat});
    const auto run = generator::blockInCavity({}, 180, {}, 3600, 1, {2, 0, 1, 0.15, 0.1},
                                              {90, 0, 1, 0.2, 0.1}, 2);
    rating::TestInput block{"block", {}, {}, {}};
    block.channels = {{"block", seriesOf(run.block)}, {"air", seriesOf(run.air)}};
    out.push_back({"block", 150, block});
    generator::Pot pot;
    pot.netW = 180;
    rating::TestInput water{"water-heat-up", {}, {}, {{"water_kg", 1.5}, {"pot_kg", 1.2}}};
    water.channels["water"] = seriesOf(generator::heatPot(pot, 88, 1, {}, 3).water);
    out.push_back({"water-heat-up", 100, water});
    generator::Fire fire;
    fire.fuelKg = 9;
    fire.burnS = 500;
    rating::TestInput burn{"burn-down", {}, {}, {{"target_C", 200}}};
    burn.channels["air"] = seriesOf(generator::burn(fire, 3600, 1, {20, 1, 1, 1, 0.5}, 4).air);
    out.push_back({"burn-down", 50, burn});
    rating::TestInput bath{"bath-loss", {}, {}, {{"water_kg", 4}, {"off_s", 900}}};
    generator::Vat vat;
    vat.liquidKg = 4;
    bath.channels["water"] =
        seriesOf(generator::heatVat(vat, 900, 200, 3600, 1, {5, 0, 1, 0.05, 0.05}, 5).liquid);
    out.push_back({"bath-loss", 50, bath});
    return out;
}

void reductions() {
    double all = 0, plain = 0;
    int tests = 0, refused = 0;
    for (const Mix& m : mix()) {
        QElapsedTimer timer;
        timer.start();
        for (int i = 0; i < m.count; ++i)
            refused += !rating::reduce(m.test).has_value();
        const double ms = static_cast<double>(timer.nsecsElapsed()) / 1e6;
        timer.start();
        double sum = 0;
        for (int i = 0; i < m.count; ++i)
            for (const auto& [role, series] : m.test.channels)
                for (double v : series.value)
                    sum += v;
        plain += static_cast<double>(timer.nsecsElapsed()) / 1e6 + sum * 0;
        std::printf("  %-14s %4d tests %8.0f ms  %6.2f ms each\n", m.protocol, m.count, ms,
                    ms / m.count);
        all += ms;
        tests += m.count;
    }
    std::printf("reduce/%d_tests_of_an_hour: %.2f s on one core (goal 5 s); a plain pass over "
                "their readings %.0f ms; refused %d\n",
                tests, all / 1000, plain, refused);
}

template <class Frame>
void frames(const char* name, Frame frame) {
    std::vector<double> ms;
    for (int i = 0; i < 120; ++i) {
        QElapsedTimer timer;
        timer.start();
        frame(i);
        ms.push_back(static_cast<double>(timer.nsecsElapsed()) / 1e6);
    }
    std::sort(ms.begin(), ms.end());
    std::printf("%s: p50 %.1f ms, p95 %.1f ms (goal p95 16 ms, offscreen)\n", name, ms[60],
                ms[114]);
}

void drawing() {
    app::Document document([] { return book::When{1795176000000, 0}; });
    if (!document.open(QStringLiteral(DEMO_BOOK)))
        return;
    app::HeatPlaneView plane(document);
    plane.resize(900, 600);
    std::vector<kitchen::PlaneMark> marks;
    for (const auto& appliance : document.kitchen().appliances)
        for (const auto& mark : planeMarks(document.kitchen(), appliance))
            marks.push_back(mark);
    plane.showMarks(marks, "deck");
    plane.QWidget::show();
    QImage image(900, 600, QImage::Format_ARGB32_Premultiplied);
    frames("frame/heat_plane", [&](int i) {
        plane.choose(i % static_cast<int>(marks.size()));
        QPainter painter(&image);
        plane.draw(painter, image.size());
    });
    app::Plot plot;
    plot.resize(1000, 600);
    for (int c = 0; c < 8; ++c) {
        Series s;
        for (int i = 0; i < 12 * 3600; ++i) {
            s.timeS.push_back(i);
            s.value.push_back(400 + 10 * c + 8 * std::sin(i / 300.0 + c) +
                              0.3 * std::sin(i * 12.9898));
        }
        plot.addLine(plot.axisRect(), s, app::look::reference(), {});
    }
    plot.rescaleAxes();
    plot.show();
    frames("frame/trace_12_h_8_channels", [&](int i) {
        plot.xAxis->setRange(i, 720 - i);
        plot.replot(QCustomPlot::rpImmediateRefresh);
    });
    QImage empty(1000, 600, QImage::Format_ARGB32_Premultiplied);
    frames("frame/reference_one_fill",
           [&](int) { QPainter(&empty).fillRect(empty.rect(), app::look::surface()); });
}

} // namespace

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM"))
        qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    app::look::applyLook();
    reductions();
    drawing();
    return 0;
}
