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

// The first page said "rated many times but for one" of a kitchen with two that are not.
TEST(Defect125, TheFirstPageSaysWhatTheDemoHolds) {
    Bench bench;
    const auto& kitchen = bench.document.kitchen();
    const auto rated =
        std::count_if(kitchen.rated.begin(), kitchen.rated.end(),
                      [](const auto& numbersOfOne) { return !numbersOfOne.second.empty(); });
    Bench first(false);
    const QString said =
        QStringLiteral("%1 appliances in %2 places, %3 of them rated, and %4 recipes")
            .arg(kitchen.appliances.size())
            .arg(kitchen.sites.size())
            .arg(rated)
            .arg(bench.document.recipes().size());
    const auto labels = first.window->findChildren<QLabel*>();
    EXPECT_TRUE(std::any_of(labels.begin(), labels.end(), [&](QLabel* label) {
        return label->text().contains(said);
    })) << said.toStdString();
}

// Without a demo book its button was grey and nobody said why.
TEST(Defect181, WithoutADemoBookTheFirstPageSaysSo) {
    Document document{[] { return kNow; }};
    MainWindow window(document, QString());
    window.show();
    EXPECT_FALSE(find<QPushButton>(&window, "Open the demo kitchen")->isEnabled());
    EXPECT_TRUE(
        textOf(&window, "Why there is no demo kitchen").contains(QStringLiteral("--demo-book")));
    Bench with(false);
    EXPECT_FALSE(isThere(with.window.get(), "Why there is no demo kitchen"));
}

// "Taken as 1650 ft." came up as the field lost the keys to a press on the button, moved the button
// from under the pointer, and the click was lost.
TEST(Defect126, AClickThatLeavesAFieldIsNeverLost) {
    Bench bench(false);
    QWidget* window = bench.window.get();
    type(window, "Name of the kitchen", QStringLiteral("Attic"));
    type(window, "File of the new book", bench.folder.filePath(QStringLiteral("attic.dynamet")));
    type(window, "Height above the sea", QStringLiteral("1,650"));
    auto* begin = find<QPushButton>(window, "Begin a new kitchen");
    const QPoint at = begin->mapTo(window, begin->rect().center());
    QTest::mousePress(window->windowHandle(), Qt::LeftButton, {}, at);
    QTest::qWait(100);
    QTest::mouseRelease(window->windowHandle(), Qt::LeftButton, {}, at);
    QTest::qWait(100);
    ASSERT_TRUE(bench.document.isOpen());
    EXPECT_NEAR(bench.document.kitchen().sites.front().altitudeM, 1650, 1e-9);
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
    for (const char* ofNothing : {"Trace of the readings", "Setting to be rated"})
        EXPECT_FALSE(isThere(bench.window.get(), ofNothing)) << "207: a scale of nothing";
    inDialog([](QWidget* dialog) {
        type(dialog, "Name of the appliance", QStringLiteral("Old oven"));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    click(bench.window.get(), "Add an appliance");
    for (const char* there : {"Line-up of appliances", "Setting to be rated"})
        EXPECT_TRUE(isThere(bench.window.get(), there)) << there;
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

// The bar said °F · in while the form below took "1,650" for metres.
TEST(FirstStart, Defect150TheUnitsAreOneChoiceWhereverTheyAreMade) {
    Bench bench(false);
    click(bench.window.get(), "Switch units");
    auto* units = find<QComboBox>(bench.window.get(), "Units");
    EXPECT_EQ(units->currentIndex(), 1);
    type(bench.window.get(), "Height above the sea", QStringLiteral("5280"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
    EXPECT_TRUE(
        textOf(bench.window.get(), "Where water boils").startsWith(QStringLiteral("5280 ft")))
        << textOf(bench.window.get(), "Where water boils").toStdString();
    bench.press(Qt::Key_U, Qt::ControlModifier);
    EXPECT_EQ(units->currentIndex(), 0);
    EXPECT_TRUE(
        textOf(bench.window.get(), "Where water boils").startsWith(QStringLiteral("1609 m")))
        << textOf(bench.window.get(), "Where water boils").toStdString();
}

} // namespace
