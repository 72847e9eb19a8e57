// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Kitchen: what a cook enters, changes, retires and finds again.
#include "app/hands.h"

namespace {

using namespace hands;

TEST(Kitchen, ThingsAreRetiredListedAndBroughtBackWithTheirRecipes) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_K, Qt::ControlModifier);
    auto* table = find<QTableView>(bench.window.get(), "Things of this kitchen");
    const auto has = [&](const char* words) {
        table = find<QTableView>(bench.window.get(), "Things of this kitchen");
        for (int i = 0; table && i < table->model()->rowCount(); ++i)
            if (table->model()
                    ->index(i, 0)
                    .data(Qt::AccessibleTextRole)
                    .toString()
                    .contains(QString::fromUtf8(words))) {
                table->setCurrentIndex(table->model()->index(i, 0));
                return true;
            }
        return false;
    };
    const auto recipes = bench.document.recipes().size();
    ASSERT_TRUE(has("Deck oven"));
    click(bench.window.get(), "Retire the chosen one");
    EXPECT_FALSE(has("Deck oven"));
    EXPECT_LT(bench.document.recipes().size(), recipes);
    click(bench.window.get(), "Show Recipes");
    EXPECT_TRUE(has("bring that back first")) << "a recipe is never lost";
    click(bench.window.get(), "Show Appliances");
    click(bench.window.get(), "Show retired");
    ASSERT_TRUE(has("Deck oven (retired)"));
    click(bench.window.get(), "Retire the chosen one"); // says Bring back now
    EXPECT_EQ(bench.document.recipes().size(), recipes);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(bench.document.recipes().size(), recipes);
}

TEST(Kitchen, EverythingCanBeChangedAndUndone) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_K, Qt::ControlModifier);
    const auto change = [&](const char* section, const char* field, const char* words) {
        click(bench.window.get(), section);
        inDialog([=](QWidget* dialog) {
            type(dialog, field, QString::fromUtf8(words));
            pressSave(dialog);
        });
        click(bench.window.get(), "Change the chosen one");
    };
    change("Show Places", "Height above the sea", "1,200 m");
    EXPECT_EQ(bench.document.kitchen().sites.front().altitudeM, 1200);
    change("Show Appliances", "Name of the appliance", "Renamed");
    change("Show Vessels", "Weighs", "3 lb 4 oz");
    EXPECT_NEAR(bench.document.kitchen().vessels.front().massKg, 1.474, 0.001);
    change("Show Instruments", "Upper limit", "280 °C");
    EXPECT_NEAR(*bench.document.kitchen().instruments.front().highLimit, 553.15, 1e-9);
    change("Show Inserts", "Name of the insert", "Thick plate");
    EXPECT_EQ(bench.document.kitchen().inserts.front().name, "Thick plate");
    for (int i = 0; i < 5; ++i)
        bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NE(bench.document.kitchen().sites.front().altitudeM, 1200);
    EXPECT_NE(bench.document.kitchen().inserts.front().name, "Thick plate");
    EXPECT_FALSE(bench.document.undoStack().canUndo());
}

TEST(Kitchen, AFieldThatIsWrongSaysSoUnderItselfAndKeepsWhatWasTyped) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_K, Qt::ControlModifier);
    click(bench.window.get(), "Show Places");
    inDialog([](QWidget* dialog) {
        type(dialog, "Height above the sea", QStringLiteral("12 km"));
        pressSave(dialog);
        EXPECT_TRUE(
            textOf(dialog, "Height above the sea, note").contains(QStringLiteral("not known")));
        EXPECT_EQ(find<QLineEdit>(dialog, "Height above the sea")->text(), QStringLiteral("12 km"));
        type(dialog, "Height above the sea", QStringLiteral("20000 m"));
        pressSave(dialog);
        EXPECT_TRUE(
            textOf(dialog, "Height above the sea, note").contains(QStringLiteral("between")));
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    click(bench.window.get(), "Change the chosen one");
}

TEST(Kitchen, AKeptTranslationIsOpenedBesideTodays) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] {
        return bench.window->isIdle() &&
               bench.window->translatePage().reach().rows().rowCount() > 0;
    }));
    click(bench.window.get(), "Keep this translation");
    bench.press(Qt::Key_K, Qt::ControlModifier);
    click(bench.window.get(), "Show Kept translations");
    inDialog([](QWidget* dialog) {
        auto* table = find<QTableView>(dialog, "Then and today");
        EXPECT_TRUE(waitFor([&] {
            return table->model()->rowCount() > 3 &&
                   !table->model()->index(0, 2).data().toString().contains(
                       QStringLiteral("being computed"));
        }));
        EXPECT_EQ(table->model()->index(0, 1).data().toString(),
                  table->model()->index(0, 2).data().toString())
            << "nothing has changed since";
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    click(bench.window.get(), "Change the chosen one"); // says Open
}

} // namespace
