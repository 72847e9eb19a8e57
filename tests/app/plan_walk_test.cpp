// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Plan by hand: the demo's menu, a pin by key, undo; a menu that cannot be; a menu from nothing.
#include "app/hands.h"
#include "plan/plan_steps.h"
#include "words/plan_words.h"

#include <QListWidget>
#include <cmath>

namespace {

using namespace hands;
using dynamet::plan::Menu;

struct PlanWalk : ::testing::Test {
    Bench bench{true, Bench::Kitchen::few};
    QWidget* window = bench.window.get();
    PlanPage& page() { return bench.window->planPage(); }
    bool planned() {
        return waitFor([&] { return page().isIdle() && page().answer() && page().answer()->last; });
    }
    void open() {
        bench.press(Qt::Key_3, Qt::ControlModifier);
        ASSERT_TRUE(planned());
    }
    int beginsMin(std::size_t dish) {
        const auto& answer = *page().answer();
        return answer.menu.baseMin + answer.made.found.plan->dishes[dish].start;
    }
};

TEST_F(PlanWalk, TheDemosMenuIsPlannedPinnedByKeyAndTakenBack) {
    open();
    ASSERT_TRUE(page().answer()->made.found.plan);
    EXPECT_TRUE(
        dynamet::plan::broken(page().answer()->menu.problem, *page().answer()->made.found.plan)
            .empty());
    EXPECT_TRUE(textOf(window, "How the plan stands").contains(QStringLiteral("of 100")));
    auto* list = find<QListWidget>(window, "Dishes");
    ASSERT_EQ(list->count(), 5);
    auto& timeline = page().timeline();
    timeline.setFocus();
    QTest::keyClick(&timeline, Qt::Key_Down);
    const int dish = timeline.chosen();
    ASSERT_GE(dish, 0);
    EXPECT_EQ(list->currentRow(), dish);
    const int before = beginsMin(static_cast<std::size_t>(dish));
    QTest::keyClick(&timeline, Qt::Key_Left);
    ASSERT_TRUE(planned());
    ASSERT_TRUE(bench.document.menus()[0].dishes[static_cast<std::size_t>(dish)].beginsS);
    if (page().answer()->made.found.plan) {
        EXPECT_EQ(beginsMin(static_cast<std::size_t>(dish)), before - 5);
    }
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    ASSERT_TRUE(planned());
    EXPECT_FALSE(bench.document.menus()[0].dishes[static_cast<std::size_t>(dish)].beginsS);
    EXPECT_EQ(beginsMin(static_cast<std::size_t>(dish)), before);
}

TEST_F(PlanWalk, ABarIsDraggedAndUnpinned) {
    open();
    auto& timeline = page().timeline();
    const QPoint at = timeline.placeOf(0).toPoint();
    ASSERT_FALSE(at.isNull());
    const int before = beginsMin(0);
    const QPoint to =
        at - QPoint(static_cast<int>(std::lround(10 * timeline.pixelsPerMinute())), 0);
    QTest::mousePress(&timeline, Qt::LeftButton, {}, at);
    QTest::mouseMove(&timeline, to);
    QTest::mouseRelease(&timeline, Qt::LeftButton, {}, to);
    ASSERT_TRUE(planned());
    const auto pinned = bench.document.menus()[0].dishes[0].beginsS;
    ASSERT_TRUE(pinned);
    EXPECT_NEAR(*pinned / 60, 19 * 60 - (before - 10), 1);
    click(window, "Unpin the dish");
    ASSERT_TRUE(planned());
    EXPECT_FALSE(bench.document.menus()[0].dishes[0].beginsS);
}

TEST_F(PlanWalk, WhatCannotBeIsOneSentenceWithButtonsThatHelp) {
    open();
    Menu menu = bench.document.menus()[0];
    menu.notBeforeMin = menu.serveMin - 30; // nothing is roasted in half an hour
    ASSERT_TRUE(bench.document.changeMenu(menu));
    ASSERT_TRUE(planned());
    ASSERT_FALSE(page().answer()->made.found.plan);
    EXPECT_TRUE(textOf(window, "How the plan stands").startsWith(QStringLiteral("! ")));
    ASSERT_FALSE(page().answer()->concessions.empty());
    menu.dishes.resize(1);
    menu.notBeforeMin = menu.serveMin - 60;
    ASSERT_TRUE(bench.document.changeMenu(menu));
    ASSERT_TRUE(planned());
    ASSERT_FALSE(page().answer()->made.found.plan);
    const auto& concession = page().answer()->concessions.front();
    const std::string words = dynamet::words::concessionWords(concession, {"Caraway pork loin"},
                                                              bench.document.kitchen());
    click(window, words.c_str());
    ASSERT_TRUE(planned());
    EXPECT_TRUE(page().answer()->made.found.plan) << words;
}

TEST_F(PlanWalk, AMenuFromNothingIsTypedWithAHurriedHand) {
    open();
    inDialog([](QWidget* dialog) {
        type(dialog, "Name", QStringLiteral("Late supper"));
        type(dialog, "Cooks", QStringLiteral("Ann,  Ben"));
        type(dialog, "Served at", QStringLiteral("half nine"));
        pressSave(dialog);
        EXPECT_TRUE(dialog->isVisible()) << "no time of day";
        type(dialog, "Served at", QStringLiteral("930 pm"));
        pressSave(dialog);
    });
    auto* begins = find<QPushButton>(window, "New menu");
    begins->setFocus();
    QTest::keyClick(begins, Qt::Key_Return); // Enter did nothing on a button of the window (203)
    ASSERT_EQ(bench.document.menus().size(), 2u);
    EXPECT_EQ(bench.document.menus()[1].serveMin, 21 * 60 + 30);
    EXPECT_EQ(bench.document.menus()[1].cooks, (std::vector<std::string>{"Ann", "Ben"}));
    inDialog([](QWidget* dialog) {
        pick(dialog, "Recipe", "Duck");
        type(dialog, "or late by", QStringLiteral("0"));
        pressSave(dialog);
    });
    click(window, "Add a dish");
    ASSERT_TRUE(planned());
    ASSERT_EQ(bench.document.menus()[1].dishes.size(), 1u);
    EXPECT_EQ(bench.document.menus()[1].dishes[0].lateS, 0);
    ASSERT_TRUE(page().answer()->made.found.plan);
    click(window, "Show the plan as a list");
    EXPECT_TRUE(isThere(window, "The plan, step by step"));
    const QString pdf = bench.folder.filePath(QStringLiteral("plan.pdf"));
    EXPECT_EQ(page().printPlan(pdf), QString());
    EXPECT_GT(QFileInfo(pdf).size(), 1000);
    click(window, "Take the dish off the menu");
    EXPECT_TRUE(bench.document.menus()[1].dishes.empty());
    EXPECT_FALSE(find<QPushButton>(window, "Print the plan")->isEnabled());
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(bench.document.menus()[1].dishes.size(), 1u);
}

// What was worked out of a recipe does not outlive a change of it.
TEST_F(PlanWalk, Defect193AChangedRecipeIsWorkedOutAgain) {
    open();
    const auto cooksMin = [&] {
        const auto& answer = *page().answer();
        const auto& way =
            answer.menu.dishes[0]
                .ways[static_cast<std::size_t>(answer.made.found.plan->dishes[0].way)];
        return way.straight.back().to - way.foodInAt;
    };
    const int before = cooksMin();
    dynamet::recipe::Recipe thicker = bench.document.recipes()[0];
    ASSERT_EQ(thicker.id, bench.document.menus()[0].dishes[0].recipeId);
    thicker.piece.thicknessM *= 1.5;
    ASSERT_TRUE(bench.document.changeRecipe(thicker));
    ASSERT_TRUE(planned());
    ASSERT_TRUE(page().answer()->made.found.plan);
    EXPECT_GT(cooksMin(), before + 10);
}

TEST_F(PlanWalk, AnOvenThatIsOnAlreadyIsNotHeatedFromCold) {
    open();
    const auto heatsOven = [&] {
        const auto& answer = *page().answer();
        double longest = 0;
        for (const auto& step : stepsOf(answer.menu, *answer.made.found.plan))
            if (step.kind == dynamet::plan::StepKind::heat &&
                answer.menu.places[static_cast<std::size_t>(step.place)].applianceId == "deck")
                longest = std::max(longest, step.heats.seconds);
        return longest;
    };
    EXPECT_GT(heatsOven(), 600);
    inDialog([](QWidget* dialog) {
        pick(dialog, "Appliance that is on", "Deck oven");
        type(dialog, "On already, oven", QStringLiteral("225"));
        click(dialog, "It is on at this setting");
        click(dialog, "Save");
    });
    click(window, "What is on already");
    ASSERT_TRUE(planned());
    ASSERT_EQ(bench.document.menus()[0].on.size(), 1u);
    EXPECT_TRUE(textOf(window, "When and who").contains(QStringLiteral("On already: Deck oven")));
    EXPECT_LT(heatsOven(), 120);
}

TEST_F(PlanWalk, AnOpenedRowOfTranslateGoesOnTheMenu) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] {
        return bench.window->isIdle() &&
               bench.window->translatePage().reach().rows().rowCount() > 0;
    }));
    bench.window->translatePage().chooseTarget("gale");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    const std::size_t before = bench.document.menus()[0].dishes.size();
    click(window, "Put the dish on the menu, made here");
    ASSERT_EQ(bench.document.menus()[0].dishes.size(), before + 1);
    const auto& dish = bench.document.menus()[0].dishes.back();
    ASSERT_TRUE(dish.place);
    EXPECT_EQ(dish.place->applianceId, "gale");
}

// A dish of the day before is only reheated; a kept translation comes in with its setting.
TEST_F(PlanWalk, ADishIsReheatedOrCookedAsKept) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] {
        return bench.window->isIdle() &&
               bench.window->translatePage().reach().rows().rowCount() > 0;
    }));
    click(window, "Keep this translation");
    open();
    find<QListWidget>(window, "Dishes")->setCurrentRow(0);
    inDialog([](QWidget* dialog) {
        pick(dialog, "Where", "As kept");
        pressSave(dialog);
    });
    click(window, "Change the dish");
    ASSERT_TRUE(planned());
    ASSERT_TRUE(bench.document.menus()[0].dishes[0].setting);
    auto* list = find<QListWidget>(window, "Dishes");
    EXPECT_TRUE(list->item(0)->text().contains(QStringLiteral("as kept")));
    inDialog([](QWidget* dialog) {
        pick(dialog, "Where", "The plan chooses");
        for (auto* box : dialog->findChildren<QCheckBox*>())
            if (box->text().startsWith(QStringLiteral("Made before")))
                box->setChecked(true);
        pressSave(dialog);
    });
    click(window, "Change the dish");
    ASSERT_TRUE(planned());
    EXPECT_TRUE(bench.document.menus()[0].dishes[0].madeAhead);
    EXPECT_FALSE(bench.document.menus()[0].dishes[0].setting);
    ASSERT_TRUE(page().answer()->made.found.plan);
    EXPECT_TRUE(textOf(window, "Between cold and hot").contains(QStringLiteral("reheated to 74")));
}

} // namespace
