// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A cook with instruments on the line: connects one, measures, marks, unplugs, is cut off and goes
// on.
#include "app/hands.h"
#include "app/live/instruments_dialog.h"
#include "app/shell/test_day_dialog.h"
#include "app/sim_kitchen.h"

#include <QSettings>

namespace {

using namespace hands;

/// Settings of its own: what other tests connected is not remembered here.
struct OwnSettings {
    QTemporaryDir folder;
    OwnSettings() { QSettings::setPath(QSettings::IniFormat, QSettings::UserScope, folder.path()); }
};

struct Live : ::testing::Test {
    OwnSettings settings;
    SimKitchen sim{7};

    void connectThermometer(QWidget* dialog) {
        auto* where = find<QComboBox>(dialog, "Where it is");
        where->setCurrentText(QString::fromStdString(sim.port("thermometer")));
        click(dialog, "Connect");
        EXPECT_TRUE(waitFor(
            [&] {
                return textOf(dialog, "Connected instruments")
                    .contains(QStringLiteral("Four simulated probes"));
            },
            20000))
            << textOf(dialog, "Connected instruments").toStdString();
        click(dialog, "Done");
    }
    /// The deck oven's preheat, ready to begin.
    void prepare(Bench& bench) {
        bench.choose("Deck");
        click(bench.window.get(), "Preheat and wait");
        sim.say(QStringLiteral("plug thermometer 1 oven air"));
        sim.say(QStringLiteral("set oven dial 180"));
        inDialog([this](QWidget* dialog) { connectThermometer(dialog); });
        click(bench.window.get(), "Measure live");
        sim.say(QStringLiteral("run 5"));
        QTest::qWait(200);
    }
    QString preheatTitle() {
        return QString::fromStdString(dynamet::rating::findProtocol("preheat")->title);
    }
};

TEST_F(Live, ARunIsMeasuredMarkedAndKept) {
    Bench bench(true, Bench::Kitchen::few);
    QWidget* window = bench.window.get();
    prepare(bench);
    ASSERT_TRUE(isThere(window, "What to do now"));
    EXPECT_TRUE(textOf(window, "What is measured").startsWith(QStringLiteral("Deck oven, ")));
    pick(window, "Four simulated probes, probe 1", "probe 1: air");
    click(window, "Start or stop");
    ASSERT_TRUE(bench.window->ratePage().runPage().isRunning())
        << textOf(window, "What is wrong").toStdString();
    sim.say(QStringLiteral("run 2400"));
    auto& page = bench.window->ratePage().runPage();
    page.setFocus();
    QTest::keyClick(&page, Qt::Key_D);
    EXPECT_TRUE(waitFor(
        [&] {
            return isThere(window, "Marks") &&
                   textOf(window, "Marks").contains(QStringLiteral("door opened at"));
        },
        2000));
    QTest::keyClick(&page, Qt::Key_U);
    sim.say(QStringLiteral("run 3000"));
    EXPECT_TRUE(waitFor([&] { return page.run().reduction().has_value(); }, 20000))
        << textOf(window, "Found so far").toStdString();
    EXPECT_TRUE(waitFor(
        [&] { return textOf(window, "Found so far").startsWith(QStringLiteral("So far: ")); },
        5000));
    EXPECT_GT(page.chime().count(), 0);
    EXPECT_TRUE(waitFor([&] { return page.run().nowS() > 5390; }, 5000)); // all is read
    click(window, "Start or stop");
    ASSERT_TRUE(waitFor([&] { return isThere(window, "What was found"); }, 10000));
    const auto tests = listTests(bench.document.book(), "deck");
    const auto kept = loadTest(bench.document.book(), tests->front().id);
    ASSERT_TRUE(kept.has_value());
    EXPECT_GT(kept->channels.front().timeS.size(), 5000u);
    EXPECT_TRUE(tests->front().draft);
    click(window, "Save the rating");
    if (listTests(bench.document.book(), "deck")->front().draft)
        click(window, "Save the rating"); // it was asked whether that can be
    EXPECT_FALSE(listTests(bench.document.book(), "deck")->front().draft);
}

TEST_F(Live, AnUnpluggedInstrumentIsShownAndComesBack) {
    Bench bench(true, Bench::Kitchen::few);
    QWidget* window = bench.window.get();
    prepare(bench);
    pick(window, "Four simulated probes, probe 1", "probe 1: air");
    click(window, "Start or stop");
    auto& page = bench.window->ratePage().runPage();
    ASSERT_TRUE(page.isRunning());
    sim.say(QStringLiteral("run 60"));
    sim.say(QStringLiteral("unplug thermometer"));
    EXPECT_TRUE(waitFor(
        [&] {
            return textOf(window, "Four simulated probes, probe 1, reading")
                .contains(QStringLiteral("nothing for"));
        },
        10000));
    sim.say(QStringLiteral("run 60"));
    sim.say(QStringLiteral("replug thermometer"));
    ASSERT_TRUE(waitFor(
        [&] {
            const auto state = bench.window->ratePage().desk().lines().front().link->state();
            return state == SerialLink::State::silent || state == SerialLink::State::talking;
        },
        10000));
    sim.say(QStringLiteral("run 60"));
    EXPECT_TRUE(waitFor(
        [&] {
            return textOf(window, "Four simulated probes, probe 1, reading")
                .contains(QStringLiteral("°C"));
        },
        10000));
    const auto test = page.run().stop();
    ASSERT_TRUE(test.has_value());
    const auto& times = test->channels.front().timeS;
    EXPECT_NEAR(static_cast<double>(times.size()), 120, 6);
    EXPECT_TRUE(std::is_sorted(times.begin(), times.end()));
}

TEST_F(Live, ARunThatWasCutOffIsOfferedAndGoesOn) {
    QTemporaryDir folder;
    const QString book = folder.filePath(QStringLiteral("kept.dynamet"));
    {
        Bench bench(true, Bench::Kitchen::few);
        prepare(bench);
        pick(bench.window.get(), "Four simulated probes, probe 1", "probe 1: air");
        click(bench.window.get(), "Start or stop");
        ASSERT_TRUE(bench.window->ratePage().runPage().isRunning());
        sim.say(QStringLiteral("run 100"));
        QTest::qWait(900);
        ASSERT_TRUE(dynamet::book::copyBook(bench.document.book(), book.toStdString()));
    }
    Document document{[] { return kNow; }};
    ASSERT_TRUE(document.open(book).has_value());
    MainWindow window(document, book);
    window.resize(1280, 800);
    window.show();
    ASSERT_TRUE(QTest::qWaitForWindowActive(&window));
    EXPECT_TRUE(textOf(&window, "A run was cut off").contains(QStringLiteral("Deck")));
    click(&window, "Go on with the run");
    auto& page = window.ratePage().runPage();
    ASSERT_TRUE(page.isRunning()) << textOf(&window, "What is wrong").toStdString();
    ASSERT_TRUE(waitFor([&] { return window.ratePage().desk().channels().size() == 4; }, 10000));
    const auto test = page.run().stop();
    ASSERT_TRUE(test.has_value()) << test.error().message;
    EXPECT_GE(test->channels.front().timeS.size(), 95u);
    EXPECT_TRUE(dynamet::book::cutOffRuns(document.book())->empty());
}

TEST_F(Live, NothingIsBegunWithoutItsLeadingProbe) {
    Bench bench(true, Bench::Kitchen::few);
    prepare(bench);
    pick(bench.window.get(), "Four simulated probes, probe 1", "probe 1: not used");
    click(bench.window.get(), "Start or stop");
    EXPECT_FALSE(bench.window->ratePage().runPage().isRunning());
    EXPECT_TRUE(textOf(bench.window.get(), "What is wrong")
                    .contains(QStringLiteral("nothing measures \"air\"")));
}

TEST_F(Live, AWrongPathIsSaidAndAnotherDialectIsGuessedAt) {
    Document document{[] { return kNow; }};
    LineDesk desk;
    KnownLine line;
    line.connection.path = "/dev/there-is-none";
    desk.add(line);
    EXPECT_TRUE(waitFor(
        [&] {
            return LineDesk::stateWords(desk.lines().front())
                .contains(QStringLiteral("there is nothing at"));
        },
        5000))
        << LineDesk::stateWords(desk.lines().front()).toStdString();
    KnownLine bench;
    bench.connection.path = sim.port("bench");
    bench.connection.dialect = dynamet::device::Dialect::scpi;
    bench.connection.scpi.channels = *dynamet::device::parseChannels("left C, right C");
    desk.add(bench);
    sim.say(QStringLiteral("plug bench 1 oven air"));
    EXPECT_TRUE(waitFor(
        [&] {
            for (const auto& channel : desk.channels())
                if (channel.id.instrument == sim.port("bench") && channel.id.channel == "1" &&
                    channel.state == dynamet::device::ChannelState::live)
                    return true;
            return false;
        },
        10000));
}

// Infrared guns and dials: spots in order, one key per reading; the newest is taken back by
// Backspace; what cannot be read stays.
TEST(LiveByHand, SpotsAreKeyedOneAfterAnotherAndAreInTheBookAtOnce) {
    OwnSettings settings;
    Bench bench(true, Bench::Kitchen::few);
    QWidget* window = bench.window.get();
    bench.choose("Yard");
    click(window, "Measure live");
    click(window, "Start or stop");
    auto& run = bench.window->ratePage().runPage().run();
    ASSERT_TRUE(run.isKeyed()) << textOf(window, "What is wrong").toStdString();
    auto* field = find<QLineEdit>(window, "The reading");
    ASSERT_NE(field, nullptr);
    for (const char* typed : {"142", "146", "1388", "138"}) {
        QTest::keyClicks(field, QString::fromUtf8(typed));
        QTest::keyClick(field, Qt::Key_Return);
        if (std::string(typed) == "1388") { // a slip of the finger
            QTest::keyClick(field, Qt::Key_A, Qt::ControlModifier);
            QTest::keyClick(field, Qt::Key_Delete);
            if (run.test().keyed.at("probe").size() == 3)
                QTest::keyClick(field, Qt::Key_Backspace);
        }
    }
    const auto cut = dynamet::book::cutOffRuns(bench.document.book());
    ASSERT_EQ(cut->size(), 1u);
    EXPECT_EQ(cut->front().readings, 3);
    EXPECT_TRUE(waitFor([&] { return run.reduction().has_value(); }, 10000));
    QTest::keyClick(field, Qt::Key_Return);
    EXPECT_TRUE(textOf(window, "What to read now").startsWith(QStringLiteral("Lid dial")));
    click(window, "Start or stop");
    ASSERT_TRUE(waitFor([&] { return isThere(window, "What was found"); }, 10000));
    EXPECT_TRUE(textOf(window, "What was found").contains(QStringLiteral("142")));
}

// Everything of a day fits between its hands, and ticking goes on to what is next.
TEST(TestDayWalk, ADayIsWorkedOutAndTickedOff) {
    Bench bench(true, Bench::Kitchen::few);
    TestDayDialog day(bench.document);
    static_cast<QDialog&>(day).show();
    type(&day, "The day lasts", QStringLiteral("soon"));
    click(&day, "Work out the day");
    EXPECT_TRUE(textOf(&day, "What is next").startsWith(QStringLiteral("! Say how long")));
    type(&day, "The day lasts", QStringLiteral("5 h"));
    for (const char* name : {"Rate Deck oven", "Rate Front burner", "Rate Yard grill"})
        if (auto* box = find<QCheckBox>(&day, name); box && !box->isChecked())
            QTest::mouseClick(box, Qt::LeftButton, {}, {8, box->height() / 2});
    click(&day, "Work out the day");
    ASSERT_TRUE(waitFor([&] { return day.isIdle() && !day.day().tests.empty(); }));
    EXPECT_GE(day.day().tests.size(), 3u);
    const QString first = textOf(&day, "What is next");
    click(&day, "Tick off the next step");
    const QString second = textOf(&day, "What is next");
    EXPECT_NE(second, first);
    {
        TestDayDialog again(bench.document); // the program was closed and begun again
        static_cast<QDialog&>(again).show();
        EXPECT_EQ(textOf(&again, "What is next"), second);
        EXPECT_EQ(again.day().tests.size(), day.day().tests.size());
    }
    for (int i = 0; i < 20; ++i)
        if (auto* tick = find<QPushButton>(&day, "Tick off the next step"); tick->isEnabled())
            click(&day, "Tick off the next step");
    EXPECT_TRUE(textOf(&day, "What is next").startsWith(QStringLiteral("The day is done")));
}

} // namespace
