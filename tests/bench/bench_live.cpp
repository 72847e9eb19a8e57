// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A long run in the window: 12 hours of 8 channels at 1 Hz, then an hour at 50 Hz. Prints how long
// frames take (goal: 95 % under 16 ms) and how much memory the second half adds (goal: 20 MB).
#include "app/live/run_page.h"
#include "app/look/palette.h"
#include "book/kitchen_store.h"

#include <QApplication>
#include <QTemporaryDir>
#include <QTest>
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <fstream>
#include <unistd.h>

namespace {

using namespace dynamet;
using namespace dynamet::app;

double residentMb() {
    std::ifstream statm("/proc/self/statm");
    long all = 0, resident = 0;
    statm >> all >> resident;
    return static_cast<double>(resident) * static_cast<double>(sysconf(_SC_PAGESIZE)) / 1e6;
}

device::Reading reading(double t) {
    device::Reading out;
    out.deviceS = t;
    for (int c = 1; c <= 8; ++c)
        out.values.push_back({std::to_string(c), 180 - 160 * std::exp(-t / (900.0 + 40 * c)) +
                                                     2 * std::sin(t / 40 + c)});
    return out;
}

/// Feeds a run and looks at its page as often as a screen would within its time.
void measure(const char* name, double hours, double hertz) {
    QTemporaryDir folder;
    Document document{[] { return book::When{1795176000000, 0}; }};
    kitchen::Site site;
    site.name = "bench";
    if (!document.createNew(folder.filePath(QStringLiteral("b.dynamet")), site))
        return;
    auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
    oven.id = oven.name = "oven";
    oven.siteId = document.kitchen().sites.front().id;
    if (!document.add(oven))
        return;
    LineDesk desk;
    RunPage page(document, desk);
    page.resize(1048, 752);
    page.show();
    book::TestRecord test;
    test.applianceId = "oven";
    test.protocol = "cavity-map";
    test.setting = settingText(oven.controls, kitchen::usualSetting(oven.controls));
    test.zone = oven.zones.front().name;
    test.siteId = oven.siteId;
    const auto& protocol = *rating::findProtocol("cavity-map");
    page.run().prepare(protocol, test);
    std::map<device::ChannelId, std::string> roles;
    for (std::size_t i = 0; i < protocol.roles.size(); ++i)
        roles[{"line", std::to_string(i + 1)}] = protocol.roles[i];
    emit desk.reading("line", reading(0), desk.nowS());
    if (!page.run().begin(roles))
        return;
    const auto steps = static_cast<long>(hours * 3600 * hertz);
    std::vector<double> frames;
    double half = 0;
    for (long i = 1; i <= steps; ++i) {
        emit desk.reading("line", reading(static_cast<double>(i) / hertz), desk.nowS());
        if (i % 200 == 0) {
            frames.push_back(page.drawNow());
            QApplication::processEvents();
        }
        if (i == steps / 2)
            half = residentMb();
    }
    QTest::qWait(1500); // what is still to be written and worked out
    const double end = residentMb();
    std::vector<double> late(frames.begin() + static_cast<std::ptrdiff_t>(frames.size() / 2),
                             frames.end());
    std::sort(late.begin(), late.end());
    std::printf("%-28s %8ld readings a channel  frame median %5.1f ms  p95 %5.1f ms  (goal 16)  "
                "memory in the second half %+6.1f MB (goal 20)\n",
                name, steps, late[late.size() / 2], late[late.size() * 95 / 100], end - half);
    const auto done = page.run().stop();
    if (!done)
        std::printf("  %s\n", done.error().message.c_str());
}

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    look::applyLook();
    measure("8 channels, 1 Hz, 12 h", 12, 1);
    measure("8 channels, 50 Hz, 1 h", 1, 50);
    return 0;
}
