// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Recipes and their stages, by hand on the real window.
#include "hands.h"

#include <QPlainTextEdit>
#include <QSpinBox>

namespace {

using namespace hands;

constexpr const char* kStaged = "Fennel venison, oven then pan";

const dynamet::recipe::Recipe& recipeNamed(Bench& bench, const std::string& name) {
    for (const auto& recipe : bench.document.recipes())
        if (recipe.name == name)
            return recipe;
    ADD_FAILURE() << "no recipe " << name;
    return bench.document.recipes().front();
}

/// Opens Translate on the recipe of two stages, and waits for its rows.
void openStaged(Bench& bench) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* chooser = find<QComboBox>(bench.window.get(), "Recipe");
    chooser->setFocus();
    QTest::keyClick(chooser, Qt::Key_End);
    ASSERT_EQ(chooser->currentText(), QString::fromUtf8(kStaged));
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
}

bool says(QWidget* dialog, const char* words) {
    for (auto* label : dialog->findChildren<QLabel*>())
        if (label->isVisible() && label->text().contains(QString::fromUtf8(words)))
            return true;
    return false;
}

TEST(Recipe, TheWholeCookOrOneStageMoves) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    QWidget* window = bench.window.get();
    EXPECT_TRUE(
        textOf(window, "Where it was written")
            .contains(QStringLiteral("1. Wall fan oven, 95 °C until the core reads 43 °C")));
    auto* moves = find<QComboBox>(window, "Move to another appliance");
    ASSERT_EQ(moves->count(), 3);
    ReachPane& reach = bench.window->translatePage().reach();
    reach.openRow(0);
    EXPECT_FALSE(isThere(window, "Stages, in order"));
    QTest::keyClick(&reach, Qt::Key_Escape);
    moves->setFocus();
    QTest::keyClick(moves, Qt::Key_Down);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    bool own = false;
    for (int i = 0; i < reach.rows().rowCount(); ++i) {
        const auto& row = reach.rows().item(i).row;
        if (!row.reached)
            continue;
        EXPECT_EQ(row.outcome.stages.size(), 1u);
        if (row.target.applianceId != "gale")
            continue;
        own = true;
        reach.openRow(i);
        const QString lines = textOf(window, "Stages, in order");
        EXPECT_TRUE(lines.contains(QStringLiteral("1. Wall fan oven, 95 °C: until the core reads")))
            << toStd(lines);
        EXPECT_TRUE(lines.contains(QStringLiteral("2. Front burner"))) << toStd(lines);
    }
    EXPECT_TRUE(own);
    // A recipe of one stage has nothing to choose.
    auto* chooser = find<QComboBox>(window, "Recipe");
    chooser->setFocus();
    QTest::keyClick(chooser, Qt::Key_Home);
    EXPECT_FALSE(isThere(window, "Move to another appliance"));
}

TEST(Recipe, ItsStagesAreAddedMovedAndTakenAwayAndUndone) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    inDialog([&](QWidget* dialog) {
        type(dialog, "Stage 1, core", QStringLiteral("46 °C"));
        type(dialog, "Stage 1, wait", QStringLiteral("6 min"));
        click(dialog, "Stage 1, under foil");
        type(dialog, "Stage 1, oven", QStringLiteral("115"));
        click(dialog, "Add a stage before the last");
        QTest::qWait(20);
        type(dialog, "Stage 2, time", QStringLiteral("90 s"));
        click(dialog, "Stage 2, earlier");
        QTest::qWait(20);
        EXPECT_EQ(find<QComboBox>(dialog, "Stage 1, appliance")->currentText(),
                  QStringLiteral("Front burner"));
        EXPECT_EQ(find<QLineEdit>(dialog, "Stage 2, core")->text(), QStringLiteral("46 °C"));
        type(dialog, "Stage 3, time", QStringLiteral("2 min"));
        type(dialog, "Rest at least", QStringLiteral("8 min"));
        auto* on = find<QComboBox>(dialog, "Rest on");
        on->setFocus();
        QTest::keyClick(on, Qt::Key_Down);
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    {
        const auto& recipe = recipeNamed(bench, kStaged);
        ASSERT_EQ(recipe.stages.size(), 3u);
        EXPECT_EQ(recipe.stages[0].end.afterS, 90);
        EXPECT_EQ(recipe.stages[0].place.applianceId, "front-burner");
        EXPECT_EQ(std::get<double>(recipe.stages[1].place.setting.values[0]), 115);
        EXPECT_NEAR(*recipe.stages[1].end.coreK, 319.15, 1e-9);
        EXPECT_EQ(recipe.stages[1].waitS, 360);
        EXPECT_TRUE(recipe.stages[1].waitTented);
        EXPECT_EQ(recipe.last().end.afterS, 120);
        EXPECT_EQ(recipe.rest.shortestS, 480);
        EXPECT_TRUE(recipe.rest.onBoard);
    }
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(recipeNamed(bench, kStaged).stages.size(), 2u);
    EXPECT_EQ(recipeNamed(bench, kStaged).last().end.afterS, 0);
    bench.press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(recipeNamed(bench, kStaged).stages.size(), 3u);
    inDialog([&](QWidget* dialog) {
        click(dialog, "Stage 1, remove");
        QTest::qWait(20);
        click(dialog, "Stage 1, remove");
        QTest::qWait(20);
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    EXPECT_EQ(recipeNamed(bench, kStaged).stages.size(), 1u);
}

TEST(Recipe, AGrillsLidStandsOpenAndAnOvenHasNone) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    inDialog([&](QWidget* dialog) {
        EXPECT_FALSE(isThere(dialog, "Stage 1, lid open"));
        auto* appliance = find<QComboBox>(dialog, "Stage 1, appliance");
        appliance->setFocus();
        while (appliance->currentText() != QStringLiteral("Yard grill") &&
               appliance->currentIndex() + 1 < appliance->count())
            QTest::keyClick(appliance, Qt::Key_Down);
        while (appliance->currentText() != QStringLiteral("Yard grill") &&
               appliance->currentIndex() > 0)
            QTest::keyClick(appliance, Qt::Key_Up);
        click(dialog, "Stage 1, lid open");
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    const auto& place = recipeNamed(bench, kStaged).stages.front().place;
    EXPECT_EQ(place.applianceId, "yard-grill");
    EXPECT_TRUE(place.lidOpen);
    EXPECT_TRUE(textOf(bench.window.get(), "Where it was written")
                    .contains(QStringLiteral("lid open until the core reads 43 °C")));
}

TEST(Recipe, AStageThatCannotBeReadOrCookedKeepsTheDialog) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    inDialog([&](QWidget* dialog) {
        type(dialog, "Stage 1, wait", QStringLiteral("a while"));
        pressSave(dialog);
        EXPECT_TRUE(says(dialog, "Stage 1, wait"));
        type(dialog, "Stage 1, wait", QString());
        QTest::keyClick(find<QLineEdit>(dialog, "Stage 1, wait"), Qt::Key_Backspace);
        type(dialog, "Stage 1, core", QString());
        QTest::keyClick(find<QLineEdit>(dialog, "Stage 1, core"), Qt::Key_Backspace);
        pressSave(dialog);
        EXPECT_TRUE(says(dialog, "stage 1: it should end after a time or at a core"));
        type(dialog, "Stage 1, core", QStringLiteral("4 °C"));
        pressSave(dialog);
        EXPECT_TRUE(says(dialog, "above the piece's start"));
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    click(bench.window.get(), "Recipe…");
    const auto& stage = recipeNamed(bench, kStaged).stages.front();
    EXPECT_NEAR(*stage.end.coreK, 316.15, 1e-9);
    EXPECT_EQ(stage.waitS, 420);
}

TEST(Recipe, ANewOneIsWrittenAndTranslated) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    const auto before = bench.document.recipes().size();
    inNewRecipe(bench.window.get(), [&](QWidget* dialog) {
        pressSave(dialog);
        EXPECT_TRUE(says(dialog, "should have a name"));
        type(dialog, "Name", QStringLiteral("Dill trout"));
        type(dialog, "By", QStringLiteral("Wenna"));
        auto* words = find<QPlainTextEdit>(dialog, "Words");
        words->setFocus();
        QTest::keyClicks(words, QStringLiteral("Bake the trout for 12 minutes."));
        auto* appliance = find<QComboBox>(dialog, "Stage 1, appliance");
        appliance->setFocus();
        while (appliance->currentText() != QStringLiteral("Deck oven") &&
               appliance->currentIndex() + 1 < appliance->count())
            QTest::keyClick(appliance, Qt::Key_Down);
        type(dialog, "Stage 1, time", QStringLiteral("12 min"));
        pressSave(dialog);
        inDialog([](QWidget* piece) {
            auto* food = find<QComboBox>(piece, "Food");
            food->setFocus();
            QTest::keyClicks(food, QStringLiteral("Trout"));
            pressSave(piece);
        });
    });
    ASSERT_EQ(bench.document.recipes().size(), before + 1);
    const auto& recipe = recipeNamed(bench, "Dill trout");
    EXPECT_EQ(recipe.author, "Wenna");
    EXPECT_EQ(recipe.last().place.applianceId, "deck");
    EXPECT_EQ(recipe.last().end.afterS, 720);
    EXPECT_EQ(recipe.piece.food.id, "trout");
    EXPECT_EQ(find<QComboBox>(bench.window.get(), "Recipe")->currentText(),
              QStringLiteral("Dill trout"));
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    EXPECT_TRUE(says(bench.window.get(), "as the recipe's time gives"));
    bench.press(Qt::Key_Z, Qt::ControlModifier); // the piece
    bench.press(Qt::Key_Z, Qt::ControlModifier); // the recipe
    EXPECT_EQ(bench.document.recipes().size(), before);
}

} // namespace
