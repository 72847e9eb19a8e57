// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Works in a window until it is killed; every rating that the window says is saved is told on
// standard output first thing after it. `walker BOOK open` only opens the book, `walker BOOK live
// PORT` measures from a line; `walker BOOK cook` cooks a dish.
#include "app/hands.h"
#include "app/look/palette.h"
#include "book/recipe_request.h"

#include <unistd.h>

namespace {

using namespace hands;

void tell(const std::string& line) {
    [[maybe_unused]] const auto written = ::write(1, (line + "\n").data(), line.size() + 1);
}

/// Readings typed, Enter, Ctrl+Enter; how many ratings of the grill stand then.
std::size_t rateOnce(MainWindow& window, Document& document, int round) {
    type(&window, "Probe readings", QStringLiteral("%1 150 145").arg(130 + round % 20));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    QTest::keyClick(&window, Qt::Key_Return, Qt::ControlModifier);
    QApplication::processEvents();
    const auto lines = listTests(document.book(), "yard-grill");
    return lines ? static_cast<std::size_t>(std::count_if(
                       lines->begin(), lines->end(), [](const auto& line) { return !line.draft; }))
                 : 0;
}

/// Measures the deck oven by the instrument at a port; tells the newest reading that came, and each
/// mark that is kept.
int measureLive(MainWindow& window, Document& document, const char* port) {
    RatePage& rate = window.ratePage();
    rate.showAppliance("deck");
    KnownLine line;
    line.connection.path = port;
    rate.desk().add(line);
    if (!waitFor([&] { return !rate.desk().channels().empty(); }, 20000))
        return 5;
    dynamet::book::TestRecord test;
    test.applianceId = "deck";
    test.protocol = "preheat";
    const auto& deck = *findAppliance(document.kitchen(), "deck");
    test.setting = settingText(deck.controls, dynamet::kitchen::usualSetting(deck.controls));
    test.zone = deck.zones.front().name;
    test.siteId = deck.siteId;
    rate.runPage().run().prepare(*dynamet::rating::findProtocol("preheat"), test);
    if (!rate.runPage().run().begin({{rate.desk().channels().front().id, "air"}}))
        return 6;
    tell("begun " + rate.runPage().run().test().id);
    int heard = 0;
    QObject::connect(
        &rate.desk(), &LineDesk::reading, &window, [&](const std::string&, auto&, double) {
            const auto& drawn = rate.runPage().run().drawn();
            if (drawn.empty() || drawn.begin()->second.thinned.stretches().empty())
                return;
            tell("heard " + std::to_string(drawn.begin()->second.thinned.stretches().back().fromS));
            if (++heard % 7 == 0) {
                rate.runPage().run().mark(dynamet::device::Mark::doorOpened);
                tell("marked " + std::to_string(rate.runPage().run().marks().size()));
            }
        });
    return QApplication::exec();
}

/// Cooks a row of the demo kitchen by the page's own keys; tells each entry that is kept.
int cookOn(MainWindow& window, Document& document) {
    CookPage& page = window.cookPage();
    if (!page.desk().isOn()) {
        const auto& recipes = document.recipes();
        const auto prepared = dynamet::translate::prepare(
            requestOf(recipes.front(), document.kitchen(), document.choices()));
        if (!prepared)
            return 7;
        const auto row = solveRow(*prepared, prepared->targets.front());
        if (!page.desk().begin("killed",
                               {dynamet::book::recordOf(dynamet::run::plannedOf(*prepared, row))}))
            return 8;
    }
    window.go(MainWindow::cook);
    const auto told = [&] {
        const DishNow& dish = page.desk().dishes().front();
        tell("kept " + dish.cook.id + " " + std::to_string(dish.all.size()));
    };
    told();
    if (!page.desk().dishes().front().standing().begun)
        QTest::keyClick(&page, Qt::Key_Return);
    for (int round = 0; round < 100000; ++round) {
        QTest::keyClick(&page, round % 3 == 2 ? Qt::Key_Backspace : Qt::Key_B);
        QApplication::processEvents();
        told();
    }
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    if (argc < 2)
        return 2;
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    look::applyLook();
    Document document{[] { return kNow; }};
    if (!document.open(QString::fromUtf8(argv[1])) || !document.isWritable())
        return 3;
    tell("open");
    const bool live = argc > 3 && std::string(argv[2]) == "live";
    const bool cooks = argc > 2 && std::string(argv[2]) == "cook";
    if (argc > 2 && !live && !cooks)
        return 0;
    MainWindow window(document, QString());
    window.resize(1280, 800);
    window.show();
    window.activateWindow();
    if (!QTest::qWaitForWindowActive(&window))
        return 4;
    if (cooks)
        return cookOn(window, document);
    if (live)
        return measureLive(window, document, argv[3]);
    QTest::keyClick(&window, Qt::Key_Slash);
    auto* filter = find<QLineEdit>(&window, "Filter the line-up");
    QTest::keyClicks(filter, QStringLiteral("Yard"));
    QTest::keyClick(filter, Qt::Key_Return);
    QApplication::processEvents();
    for (int round = 0; round < 1000; ++round)
        tell("saved " + std::to_string(rateOnce(window, document, round)));
    return 0;
}
