// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a hand tries on an opened row: knobs, time, turning, a cover; taken back and made again.
#include "app/hands.h"

namespace {

using namespace hands;

struct Tried : ::testing::Test {
    Bench bench{true, Bench::Kitchen::few};
    QWidget* window = bench.window.get();

    void openRow(const char* applianceId) {
        bench.press(Qt::Key_2, Qt::ControlModifier);
        ASSERT_TRUE(waitFor([&] {
            return bench.window->isIdle() &&
                   bench.window->translatePage().reach().rows().rowCount() > 0;
        }));
        bench.window->translatePage().chooseTarget(applianceId);
        ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    }
    bool lines(const char* words) {
        return waitFor(
            [&] {
                return bench.window->isIdle() &&
                       textOf(window, "Reasons and times").contains(QString::fromUtf8(words));
            },
            60000);
    }
    QString field(const char* name) {
        auto* edit = find<QLineEdit>(window, name);
        return edit ? edit->text() : QString();
    }
    void typeInto(const char* name, const char* words) {
        type(window, name, QString::fromUtf8(words));
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    }
};

TEST_F(Tried, ASettingByKeysAndButtonsIsTakenBackWithUndo) {
    openRow("gale");
    const QString own = field("oven");
    click(window, "More oven");
    ASSERT_TRUE(lines("Tried by hand: "));
    EXPECT_NE(field("oven"), own);
    QTest::qWait(800); // another hand's move
    typeInto("oven", "200");
    ASSERT_TRUE(lines("Tried by hand: 200 °C"));
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    ASSERT_TRUE(waitFor(
        [&] { return bench.window->isIdle() && field("oven") != QStringLiteral("200 °C"); }));
    EXPECT_TRUE(lines("Tried by hand: "));
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && field("oven") == own; }));
    EXPECT_FALSE(textOf(window, "Reasons and times").contains(QStringLiteral("Tried by hand")));
    bench.press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(lines("Tried by hand: "));
    click(window, "Back to the row as it was found");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && field("oven") == own; }));
}

TEST_F(Tried, ATimeSaysWhatTheCoreComesTo) {
    openRow("gale");
    typeInto("Out after", "20 min");
    ASSERT_TRUE(lines("out after 20 min"));
    EXPECT_TRUE(textOf(window, "Pull").startsWith(QStringLiteral("by the clock")));
    typeInto("Out after", "soon"); // stays, with the reason
    EXPECT_TRUE(
        textOf(window, "Out after, what is wrong").contains(QStringLiteral("still using 20 min")));
}

TEST_F(Tried, TurningAndACoverAreTriedTogetherAndStayWhileThePieceGrows) {
    openRow("front-burner");
    pick(window, "Turning, tried", "never");
    ASSERT_TRUE(lines("never turned"));
    click(window, "Covered, tried");
    ASSERT_TRUE(lines("never turned, pan lid on"));
    click(window, "More thickness");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_TRUE(lines("never turned, pan lid on"));
    bench.press(Qt::Key_Z, Qt::ControlModifier); // the thickness
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_TRUE(lines("never turned, pan lid on"));
    bench.press(Qt::Key_Z, Qt::ControlModifier); // the lid
    EXPECT_TRUE(lines("never turned."));
}

} // namespace
