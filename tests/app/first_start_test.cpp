// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/hands.h"

#include <fstream>

namespace {

using namespace hands;

TEST(FirstStart, TheDemoKitchenIsOneKeyAway) {
    Bench bench(false);
    auto* button = find<QPushButton>(bench.window.get(), "Open the demo kitchen");
    button->setFocus();
    QTest::keyClick(button, Qt::Key_Space);
    EXPECT_TRUE(isThere(bench.window.get(), "Line-up of appliances"));
    EXPECT_TRUE(bench.document.isOpen());
}

TEST(FirstStart, ANewKitchenKnowsWhereWaterBoilsAndHowToBegin) {
    Bench bench(false);
    type(bench.window.get(), "Name of the kitchen", QStringLiteral("Attic"));
    type(bench.window.get(), "Height above the sea", QStringLiteral("1000 m"));
    type(bench.window.get(), "File of the new book",
         bench.folder.filePath(QStringLiteral("attic.dynamet")));
    click(bench.window.get(), "Begin a new kitchen");
    ASSERT_TRUE(bench.document.isOpen());
    EXPECT_EQ(textOf(bench.window.get(), "Site"),
              QStringLiteral("Attic · 1000 m · water boils at 96.6 °C")); // IF97
    EXPECT_FALSE(isThere(bench.window.get(), "Line-up of appliances"))
        << "the empty line-up says what to do";
    inDialog([](QWidget* dialog) {
        type(dialog, "Name of the appliance", QStringLiteral("Old oven"));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    click(bench.window.get(), "Add an appliance");
    EXPECT_TRUE(isThere(bench.window.get(), "Line-up of appliances"));
    EXPECT_EQ(bench.document.kitchen().appliances.front().name, "Old oven");
}

TEST(FirstStart, AForeignFileIsRefusedInWordsAndLeftAlone) {
    Bench bench(false);
    const QString letter = bench.folder.filePath(QStringLiteral("letter.dynamet"));
    std::ofstream(letter.toStdString())
        << "This is a letter to a cook, not a kitchen book, although it is long enough.";
    type(bench.window.get(), "File of the book", letter);
    click(bench.window.get(), "Open the book");
    EXPECT_TRUE(
        textOf(bench.window.get(), "What is wrong").contains(QStringLiteral("left as it is")) ||
        textOf(bench.window.get(), "What is wrong").contains(QStringLiteral("left as it was")))
        << textOf(bench.window.get(), "What is wrong").toStdString();
    EXPECT_FALSE(bench.document.isOpen());
}

TEST(FirstStart, ABookThatIsOpenElsewhereCanOnlyBeRead) {
    Bench bench(false);
    auto other = dynamet::book::Book::open(bench.book.toStdString());
    ASSERT_TRUE(other.has_value());
    click(bench.window.get(), "Open the demo kitchen");
    EXPECT_TRUE(textOf(bench.window.get(), "Notice").contains(QStringLiteral("open elsewhere")));
    bench.choose("Yard");
    type(bench.window.get(), "Probe readings", QStringLiteral("100 101 102"));
    click(bench.window.get(), "Work it out");
    EXPECT_TRUE(
        textOf(bench.window.get(), "Notice").contains(QStringLiteral("nothing was changed")));
}

} // namespace
