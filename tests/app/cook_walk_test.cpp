// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Beside the cook by hand: a row is cooked with keys, slips, is taken up after the program was
// closed, judged, learned from, compared and found again; a menu with several dishes.
#include "app/hands.h"
#include "app/sim_kitchen.h"

#include <QListWidget>
#include <QTableWidget>
#include <cmath>

namespace {

using namespace hands;
using dynamet::run::What;

struct CookWalk : ::testing::Test {
    Bench bench{true, Bench::Kitchen::few};
    QWidget* window = bench.window.get();
    CookPage& page() { return bench.window->cookPage(); }
    CookDesk& desk() { return page().desk(); }
    const DishNow& dish(std::size_t at = 0) { return desk().dishes()[at]; }
    void later(double minutes) { bench.aheadMs += static_cast<std::int64_t>(minutes * 60000); }
    void key(Qt::Key key) {
        page().setFocus();
        QTest::keyClick(&page(), key);
        QApplication::processEvents();
    }
    /// Chooses a place in Translate and presses "Cook this".
    void cookOn(const char* appliance) {
        bench.press(Qt::Key_2, Qt::ControlModifier);
        ASSERT_TRUE(waitFor([&] {
            return bench.window->isIdle() &&
                   bench.window->translatePage().reach().rows().rowCount() > 0;
        }));
        bench.window->translatePage().chooseTarget(appliance);
        ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
        click(window, "Cook this now");
        ASSERT_TRUE(desk().isOn());
        ASSERT_TRUE(waitFor([&] { return desk().isIdle(); }));
    }
    void typeCore(const char* typed) {
        type(window, "Core reads", QString::fromUtf8(typed));
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        ASSERT_TRUE(waitFor([&] { return desk().isIdle(); }));
        QApplication::processEvents();
    }
    QString headline() { return textOf(window, "What to do next"); }
};

TEST_F(CookWalk, ARowIsCookedByKeysAndItsForecastFollowsOneReading) {
    cookOn("gale");
    EXPECT_TRUE(headline().startsWith(QStringLiteral("Put the Caraway pork loin in")));
    EXPECT_TRUE(textOf(window, "Cautions").contains(QStringLiteral("Raw")));
    EXPECT_TRUE(page().awake().isAsked());
    key(Qt::Key_Return);
    ASSERT_TRUE(dish().standing().begun);
    ASSERT_TRUE(waitFor([&] { return desk().isIdle() && dish().forecast; }));
    const double planned = dish().forecast->pull.s;
    later(15);
    typeCore("14");
    ASSERT_TRUE(dish().forecast);
    EXPECT_EQ(dish().forecast->readings, 1u);
    EXPECT_GT(std::abs(dish().forecast->pull.s - planned), 60) << "a cold core tells a slow cook";
    EXPECT_TRUE(textOf(window, "Forecast").startsWith(QStringLiteral("Pull in")));
    EXPECT_TRUE(dish().entries.back().what == What::reading);
    EXPECT_FALSE(dish().standing().pulled) << "Enter in the field is no key of the run";
    key(Qt::Key_O);
    EXPECT_TRUE(dish().standing().open);
    later(2);
    key(Qt::Key_O);
    EXPECT_FALSE(dish().standing().open);
    key(Qt::Key_Backspace);
    EXPECT_TRUE(dish().standing().open) << "the last entry is taken back";
    click(window, "Seen: too dark");
    ASSERT_TRUE(waitFor([&] { return desk().isIdle() && !dish().actions.empty(); }));
    EXPECT_LE(dish().actions.size(), 5u);
    const auto entries = dish().entries.size();
    const auto first = dish().actions.front();
    if (!first.entries.empty()) {
        auto* action = page().findChild<LookPane*>();
        for (QPushButton* button : action->findChildren<QPushButton*>())
            if (button->objectName() == QStringLiteral("method") && button->isVisible()) {
                QTest::mouseClick(button, Qt::LeftButton);
                break;
            }
        EXPECT_GT(dish().entries.size(), entries);
    }
    const int rang = page().chime().count();
    later(90); // the pull is long due: heard once, however long nobody comes
    ASSERT_TRUE(waitFor([&] { return desk().isIdle(); }));
    desk().refresh(0);
    ASSERT_TRUE(waitFor([&] { return desk().isIdle(); }));
    QApplication::processEvents();
    EXPECT_GT(page().chime().count(), rang);
}

TEST_F(CookWalk, WhatCannotBeReadAsACoreIsRefusedAtTheField) {
    cookOn("deck");
    key(Qt::Key_Return);
    const auto before = dish().entries.size();
    for (const char* typed : {"", "hot", "1,650", "-"}) {
        type(window, "Core reads", QString::fromUtf8(typed));
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        EXPECT_EQ(dish().entries.size(), before) << typed;
    }
    typeCore("38,5");
    EXPECT_EQ(dish().entries.size(), before + 1);
    EXPECT_NEAR(dish().entries.back().value, 273.15 + 38.5, 0.01);
}

TEST_F(CookWalk, IsTakenUpWhereItWasAlsoOverMidnight) {
    cookOn("deck");
    key(Qt::Key_Return);
    later(5);
    key(Qt::Key_B);
    const auto entries = dish().entries;
    const auto began = desk().run()->began.utcMs;
    bench.window.reset();           // as a kill would: nothing is said before
    bench.aheadMs += 9LL * 3600000; // over midnight
    Document again{[this] {
        return dynamet::book::When{kNow.utcMs + bench.aheadMs, 120};
    }}; // and in another time zone
    bench.document.undoStack().clear();
    const QString copy = bench.folder.filePath(QStringLiteral("again.dynamet"));
    ASSERT_TRUE(copyBook(bench.document.book(), copy.toStdString()));
    ASSERT_TRUE(again.open(copy));
    MainWindow second(again, QString());
    second.resize(1280, 800);
    second.show();
    QApplication::processEvents();
    CookDesk& taken = second.cookPage().desk();
    ASSERT_TRUE(taken.isOn());
    EXPECT_TRUE(second.cookPage().isVisible()) << "what cooks comes first";
    EXPECT_EQ(taken.run()->began.utcMs, began);
    ASSERT_EQ(taken.dishes()[0].entries.size(), entries.size());
    EXPECT_EQ(taken.dishes()[0].entries.back().atS, entries.back().atS);
    EXPECT_NEAR(taken.nowS(), 5 * 60 + 9 * 3600, 1);
    // The run's clock stays in the zone where it began.
    EXPECT_EQ(taken.clock().at(0), dynamet::words::RunClock({began, 0}).at(0));
    EXPECT_TRUE(waitFor([&] { return taken.isIdle(); }));
}

TEST_F(CookWalk, AfterwardsItIsJudgedLearnedFromComparedAndFound) {
    cookOn("deck");
    key(Qt::Key_Return);
    ASSERT_TRUE(waitFor([&] { return desk().isIdle() && dish().forecast; }));
    const double expected = dish().forecast->pull.s;
    later(expected * 1.1 / 60);
    typeCore("59");
    key(Qt::Key_P);
    EXPECT_TRUE(headline().startsWith(QStringLiteral("Serve")));
    later(12);
    key(Qt::Key_R);
    EXPECT_TRUE(headline().startsWith(QStringLiteral("All of it is served")));
    click(window, "End the run");
    EXPECT_FALSE(desk().isOn());
    JudgePage& judge = bench.window->judgePage();
    ASSERT_TRUE(judge.isVisible());
    ASSERT_TRUE(waitFor([&] { return judge.isIdle(); }));
    EXPECT_TRUE(textOf(window, "What this cook says").contains(QStringLiteral("were expected")));
    type(window, "Verdict", QStringLiteral("juicy, pale edge"));
    type(window, "Next time", QStringLiteral("five degrees hotter"));
    auto* scores = find<QTableWidget>(window, "Scores");
    scores->item(0, 0)->setText(QStringLiteral("Ann"));
    scores->item(0, 1)->setText(QStringLiteral("12"));
    click(window, "Keep what came out");
    EXPECT_TRUE(textOf(window, "Notice").contains(QStringLiteral("1 to 9")));
    scores->item(0, 1)->setText(QStringLiteral("7,5"));
    click(window, "Keep what came out");
    const auto cooks = listCooks(bench.document.book(), bench.document.kitchen()).value();
    ASSERT_FALSE(cooks.empty());
    EXPECT_EQ(cooks[0].judged.verdict, "juicy, pale edge");
    ASSERT_EQ(cooks[0].judged.scores.size(), 1u);
    EXPECT_EQ(cooks[0].judged.scores[0].points, 7.5);
    const auto observations = [&] {
        return bench.document.choices().learned.observations().size();
    };
    const auto before = observations();
    click(window, "Learn from this cook");
    EXPECT_EQ(observations(), before + 1);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(observations(), before) << "undone";
    // Beside others of its dish: the demo's.
    click(window, "Compare this cook with others");
    ComparePage& compare = bench.window->comparePage();
    ASSERT_TRUE(waitFor([&] { return compare.isIdle(); }));
    EXPECT_EQ(compare.compared().size(), 2u);
    const QString report = bench.folder.filePath(QStringLiteral("report.html"));
    EXPECT_EQ(compare.writeReport(report), QString());
    QFile file(report);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_TRUE(QString::fromUtf8(file.readAll()).contains(QStringLiteral("juicy, pale edge")));
    // In the logbook by its words, and in Translate when the dish is opened again.
    bench.press(Qt::Key_L, Qt::ControlModifier);
    type(window, "Search the logbook", QStringLiteral("pale edge"));
    EXPECT_EQ(bench.window->logbookPage().lines().size(), 1u);
    EXPECT_EQ(bench.window->logbookPage().write(bench.folder.filePath(QStringLiteral("l.csv"))),
              QString());
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_EQ(textOf(window, "What was to be done next time"),
              QStringLiteral("Next time: five degrees hotter"));
}

TEST_F(CookWalk, AMenuIsCookedAndASlipMovesWhatIsNotBegun) {
    bench.aheadMs = 0;
    bench.press(Qt::Key_3, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] {
        const auto& plan = bench.window->planPage();
        return plan.isIdle() && plan.answer() && plan.answer()->last;
    }));
    click(window, "Cook the menu by this plan");
    ASSERT_TRUE(desk().isOn());
    ASSERT_EQ(desk().dishes().size(), 5u);
    const auto moves = desk().moves();
    ASSERT_EQ(moves.size(), 5u);
    for (std::size_t i = 1; i < moves.size(); ++i)
        EXPECT_GE(moves[i].atS, moves[i - 1].atS);
    const std::size_t first = moves[0].dish, last = moves.back().dish;
    page().choose(first);
    ASSERT_TRUE(desk().log(first, What::foodIn));
    const double starts = dish(last).cook.startsS, serves = *dish(last).cook.serveS;
    later((serves - desk().nowS()) / 60); // it should be on the table, and is not even pulled
    const auto kelvin = dish(first).cook.planned.recipe.piece.startK + 5;
    ASSERT_TRUE(desk().log(first, What::reading, kelvin));
    ASSERT_TRUE(waitFor([&] { return desk().isIdle(); }));
    EXPECT_TRUE(textOf(window, "Notice").contains(QStringLiteral("takes longer")));
    ASSERT_TRUE(waitFor([&] { return !desk().isPlanning(); }));
    EXPECT_GT(*dish(last).cook.serveS, serves + 60);
    EXPECT_GT(dish(last).cook.startsS, starts + 60);
    EXPECT_TRUE(textOf(window, "Notice").contains(QStringLiteral("solved again around what is")))
        << textOf(window, "Notice").toStdString();
    const auto onDisk = openRun(bench.document.book(), bench.document.kitchen());
    ASSERT_TRUE(onDisk && *onDisk);
    EXPECT_EQ((*onDisk)->cooks[last].startsS, dish(last).cook.startsS);
    EXPECT_EQ((*onDisk)->cooks[last].planned, dish(last).cook.planned);
}

TEST_F(CookWalk, ATrialsCooksStandBesideEachOtherBlind) {
    bench.press(Qt::Key_5, Qt::ControlModifier);
    ComparePage& compare = bench.window->comparePage();
    pick(window, "Trial", "Trial: Which oven");
    ASSERT_TRUE(waitFor([&] { return compare.isIdle(); }));
    ASSERT_EQ(compare.compared().size(), 3u);
    EXPECT_TRUE(textOf(window, "What else differed").contains(QStringLiteral("colder")));
    EXPECT_TRUE(isThere(window, "Scores of all tasters"));
    auto* table = find<TextTable>(window, "What differs");
    QString places;
    for (int column = 1; column <= 3; ++column)
        places += table->model()->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString();
    EXPECT_TRUE(places.contains(QStringLiteral("Deck oven")));
    click(window, "Blind, letters only");
    for (int column = 1; column <= 3; ++column)
        EXPECT_LE(
            table->model()->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString().size(),
            2);
    type(window, "Verdict of the trial", QStringLiteral("the deck oven"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    EXPECT_EQ(listTrials(bench.document.book()).value()[0].verdict, "the deck oven");
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NE(listTrials(bench.document.book()).value()[0].verdict, "the deck oven");
}

// A trial is planned, its dish cooked for it, and its cooks stand under it.
TEST_F(CookWalk, ADishIsCookedForATrial) {
    bench.press(Qt::Key_5, Qt::ControlModifier);
    inDialog([](QWidget* dialog) {
        auto* field = dialog->findChild<QLineEdit*>();
        QTest::keyClicks(field, QStringLiteral("Rack or pan?"));
        QTest::keyClick(field, Qt::Key_Return);
    });
    click(window, "Plan a new trial");
    const auto trials = listTrials(bench.document.book()).value();
    ASSERT_EQ(trials.size(), 2u);
    const auto made = std::find_if(trials.begin(), trials.end(),
                                   [](const auto& one) { return one.name == "Rack or pan?"; });
    ASSERT_NE(made, trials.end());
    inDialog(
        [](QWidget* dialog) { QTest::keyClick(dialog->findChild<QComboBox*>(), Qt::Key_Return); });
    cookOn("deck");
    EXPECT_EQ(desk().run()->trialId, made->id);
}

// A piece in the simulated kitchen, its probe on a line: readings are in the book as they come.
TEST_F(CookWalk, AProbeOnTheLineIsReadIntoTheBook) {
    SimKitchen kitchen(3, 1);
    kitchen.say(QStringLiteral("set oven dial 180"));
    kitchen.say(QStringLiteral("put oven piece"));
    kitchen.say(QStringLiteral("plug thermometer 1 oven core"));
    cookOn("deck");
    LineDesk& lines = bench.window->ratePage().desk();
    KnownLine line;
    line.connection.path = kitchen.port("thermometer");
    lines.add(line, LineDesk::Keep::thisTime);
    ASSERT_TRUE(waitFor([&] { return !lines.channels().empty(); }, 20000));
    key(Qt::Key_Return);
    bench.press(Qt::Key_4, Qt::ControlModifier);
    auto* probe = find<QComboBox>(window, "Probe in the core");
    ASSERT_GT(probe->count(), 1);
    probe->setCurrentIndex(1);
    emit probe->activated(1);
    ASSERT_TRUE(dish().probe);
    ASSERT_TRUE(waitFor(
        [&] {
            bench.aheadMs += 50; // the book's clock goes on
            return dish().readings.size() >= 3;
        },
        20000));
    EXPECT_NEAR(dish().readings.back().kelvin, 273.15 + 6, 10);
    const std::string id = dish().cook.id;
    EXPECT_TRUE(
        waitFor([&] { return loadReadings(bench.document.book(), id).value().size() >= 3; }, 5000));
    kitchen.stop();
    later(3); // and then nothing: the cook is told, the forecast goes on
    desk().refresh(0);
    ASSERT_TRUE(waitFor([&] { return desk().isIdle() && dish().forecast; }));
    EXPECT_EQ(dish().forecast->probe, dynamet::run::ProbeState::lost);
    QApplication::processEvents();
    EXPECT_TRUE(textOf(window, "What is wrong").contains(QStringLiteral("says nothing any more")));
}

// A quick line that is not a recipe of the book has the food's name, in letters for two metres.
TEST_F(CookWalk, Defect194AQuickLineIsCalledByItsFood) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    type(window, "Quick", QStringLiteral("chicken thigh 32 mm, 220 C 25 min, deck oven"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    ASSERT_TRUE(waitFor([&] {
        return bench.window->isIdle() &&
               bench.window->translatePage().reach().rows().rowCount() > 0;
    }));
    bench.window->translatePage().chooseTarget("deck");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    click(window, "Cook this now");
    ASSERT_TRUE(desk().isOn());
    EXPECT_EQ(dish().cook.name, "Chicken thigh with skin");
    // Defect 195: a bird that stays under its official minimum is said so while it cooks.
    EXPECT_TRUE(
        textOf(window, "What is wrong").contains(QStringLiteral("below the official 74 °C")))
        << textOf(window, "What is wrong").toStdString();
}

// Defect 196: at 1000 x 700 the keys stood beyond the edge.
TEST_F(CookWalk, Defect196NothingStandsBeyondTheEdgeOfASmallScreen) {
    cookOn("deck");
    bench.window->resize(1000, 700);
    const auto fits = [&](const char* name) {
        auto* button = find<QPushButton>(window, name);
        if (!button)
            return false;
        const QPoint corner = button->mapTo(window, QPoint(button->width(), button->height()));
        return corner.x() <= 1000 && corner.y() <= 700;
    };
    for (const char* name : {"Note", "End the run", "Take the core", "It is done"})
        EXPECT_TRUE(waitFor([&] { return fits(name); }, 5000)) << name;
}

} // namespace
