// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The import by hand: what a log leaves open is asked in the window, never taken for granted; what
// somebody calls something is shown as it is written.
#include "app/hands.h"

#include <fstream>

namespace {

using namespace hands;

class ImportQuestions : public ::testing::Test {
  protected:
    Bench bench;
    /// Opens the import with a log of these lines, on the deck oven's preheat.
    void withLog(const std::string& text, const std::function<void(QWidget*)>& hands) {
        const QString file = bench.folder.filePath(QStringLiteral("log.csv"));
        std::ofstream(file.toStdString()) << text;
        bench.choose("Deck");
        click(bench.window.get(), "Page Bench");
        inDialog([file, hands](QWidget* dialog) {
            type(dialog, "File of the log", file);
            hands(dialog);
        });
        bench.press(Qt::Key_I, Qt::ControlModifier);
    }
    static bool canImport(QWidget* dialog) { return find(dialog, "Import the log")->isEnabled(); }
    static std::string rows(const std::string& header, const std::string& row, int count) {
        std::string out = header + "\n";
        for (int i = 0; i < count; ++i)
            out += row.empty() ? std::to_string(20 + i % 7) + ".5\n"
                               : std::to_string(5 * i) + row + "\n";
        return out;
    }
};

TEST_F(ImportQuestions, Defect143ALogWithoutTimesAsksForItsInterval) {
    withLog(rows("Oven (°C)", "", 40), [](QWidget* dialog) {
        EXPECT_FALSE(canImport(dialog));
        EXPECT_TRUE(
            textOf(dialog, "What is wrong with the file").contains(QStringLiteral("apart")));
        auto* field = find<QLineEdit>(dialog, "The log has no times. Its readings are apart by");
        ASSERT_TRUE(field && field->isVisible());
        type(dialog, "The log has no times. Its readings are apart by", QStringLiteral("soon"));
        EXPECT_FALSE(canImport(dialog));
        type(dialog, "The log has no times. Its readings are apart by", QStringLiteral("1 min"));
        EXPECT_TRUE(canImport(dialog));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    const auto tests = dynamet::book::listTests(bench.document.book(), "deck");
    const auto test = dynamet::book::loadTest(bench.document.book(), tests->front().id);
    EXPECT_DOUBLE_EQ(test->channels.front().timeS[1], 60);
}

TEST_F(ImportQuestions, UnitsThatMayBeEitherAreAsked) {
    withLog(rows("time_s,Oven", ",392", 40), [](QWidget* dialog) {
        EXPECT_FALSE(canImport(dialog));
        auto* unit = find<QComboBox>(dialog, "Unit of Oven");
        EXPECT_EQ(unit->currentIndex(), -1) << "nothing stands there before somebody says it";
        unit->setCurrentIndex(1);
        EXPECT_TRUE(canImport(dialog));
        EXPECT_TRUE(textOf(dialog, "How the log is written").contains(QStringLiteral("in °F")));
        EXPECT_FALSE(
            textOf(dialog, "How the log is written").contains(QStringLiteral("not known")));
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
}

TEST_F(ImportQuestions, TwoProbesAreToldApartAndNoRoleIsGivenTwice) {
    withLog(rows("time_s,Probe 1 (C),Probe 2 (C)", ",180,21", 40), [](QWidget* dialog) {
        EXPECT_FALSE(canImport(dialog));
        auto* first = find<QComboBox>(dialog, "Role of Probe 1 (C)");
        auto* second = find<QComboBox>(dialog, "Role of Probe 2 (C)");
        EXPECT_EQ(first->currentText(), QStringLiteral("not used"));
        first->setCurrentIndex(0);
        EXPECT_TRUE(canImport(dialog));
        second->setCurrentIndex(0);
        EXPECT_FALSE(canImport(dialog)) << "the last one would have won";
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
}

TEST_F(ImportQuestions, Defect151ADayThatMayBeAMonthIsAskedAndNeverToday) {
    std::string text = "Date,Time,Oven (C)\n";
    for (int i = 0; i < 40; ++i)
        text += "03/04/2026,14:05:" + std::string(i < 10 ? "0" : "") + std::to_string(i) + ",180\n";
    withLog(text, [](QWidget* dialog) {
        EXPECT_FALSE(canImport(dialog));
        EXPECT_TRUE(find<QLineEdit>(dialog, "Day of the log")->text().isEmpty());
        type(dialog, "Day of the log", QStringLiteral("2026-03-04"));
        EXPECT_TRUE(canImport(dialog));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    const auto tests = dynamet::book::listTests(bench.document.book(), "deck");
    const auto draft =
        std::find_if(tests->begin(), tests->end(), [](const auto& t) { return t.draft; });
    ASSERT_NE(draft, tests->end());
    const auto test = dynamet::book::loadTest(bench.document.book(), draft->id);
    EXPECT_EQ(QDateTime::fromMSecsSinceEpoch(test->startedMs, Qt::UTC).date(), QDate(2026, 3, 4));
}

TEST_F(ImportQuestions, SetPointsAreNoProbes) {
    withLog(rows("time_s,Setpoint (C),Oven (C)", ",180,175", 40), [](QWidget* dialog) {
        EXPECT_EQ(find<QComboBox>(dialog, "Role of Oven (C)")->currentText(),
                  QStringLiteral("air"));
        EXPECT_TRUE(canImport(dialog));
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
}

// An appliance called like a picture ended the program.
TEST(PlainText, Defect144WhatSomebodyCallsSomethingIsNotHtml) {
    Bench bench;
    auto oven = bench.document.kitchen().appliances.front();
    oven.name = "<img src=/dev/zero><b>Oven</b>";
    ASSERT_TRUE(bench.document.change(oven).has_value());
    QLabel label(QStringLiteral("<b>%1</b>").arg(QString::fromStdString(oven.name)));
    label.show();
    EXPECT_EQ(label.textFormat(), Qt::PlainText);
    for (const char* page : {"Workspace Kitchen", "Workspace Translate", "Workspace Rate"}) {
        click(bench.window.get(), page);
        QApplication::processEvents();
        for (auto* shown : bench.window->findChildren<QLabel*>())
            if (shown->isVisible() && shown->text().contains(QStringLiteral("<img"))) {
                EXPECT_EQ(shown->textFormat(), Qt::PlainText) << shown->text().toStdString();
            }
    }
}

} // namespace
