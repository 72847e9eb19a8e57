// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A plan that is solved again while it is cooked.
#include "plan/underway.h"
#include "translate/small_kitchen.h"

#include <gtest/gtest.h>

namespace dynamet::plan {
namespace {

using namespace translate::testing;

MenuProblem twoRoastsOfOneOven() {
    Menu menu;
    menu.serveMin = 18 * 60;
    menu.notBeforeMin = 16 * 60; // it is four o'clock
    std::vector<DishWays> ways;
    for (const char* name : {"First", "Second"}) {
        translate::Request request = roastRequest();
        request.recipe.id = request.recipe.name = name;
        MenuDish dish;
        dish.id = dish.recipeId = name;
        dish.place = translate::Target{"still", "middle", ""};
        dish.earlyS = 7200;
        request.recipe.last().place.setting =
            *kitchen::parseSetting(request.kitchen.appliances.front().controls,
                                   std::string(name) == "First" ? "oven=180C" : "oven=150C");
        ways.push_back(waysOf(dish, menu, request));
        menu.dishes.push_back(dish);
    }
    menu.on.push_back(
        {"still", *kitchen::parseSetting(smallKitchen().appliances.front().controls, "oven=180C")});
    return problemOf(menu, smallKitchen(), {}, std::move(ways));
}

// Two roasts that want one oven at two heats: the second waits until the first, which is late, is
// out.
TEST(Underway, WhatIsBegunStaysAndTheRestComesAroundIt) {
    MenuProblem menu = twoRoastsOfOneOven();
    ASSERT_EQ(menu.dishes.size(), 2u);
    std::vector<Underway> underway(2);
    underway[0] = {true, 25 * 60, 0, "still"};
    const MenuPlan made = planFrom(menu, underway);
    ASSERT_TRUE(made.found.plan);
    const Placed &first = made.found.plan->dishes[0], &second = made.found.plan->dishes[1];
    EXPECT_EQ(first.start, 0);
    const DishWay& way = menu.dishes[1].ways[static_cast<std::size_t>(second.way)];
    EXPECT_GE(second.start + way.foodInAt, 25) << "the oven is free then, not before";
    EXPECT_GE(first.served, 25);
}

TEST(Underway, WhatRestsTakesNoOvenAnyMore) {
    MenuProblem menu = twoRoastsOfOneOven();
    std::vector<Underway> underway(2);
    underway[0] = {true, 0, 240, "still"};
    const MenuPlan made = planFrom(menu, underway);
    ASSERT_TRUE(made.found.plan);
}

// A roast that is done while the other needs an hour yet waits for it, longer than was planned.
TEST(Underway, WhatIsDoneWaitsForTheOthers) {
    MenuProblem menu = twoRoastsOfOneOven();
    for (Dish& dish : menu.problem.dishes)
        dish.earliest = dish.target;
    std::vector<Underway> underway(2);
    underway[0] = {true, 0, 0, "still"};
    const MenuPlan made = planFrom(menu, underway);
    ASSERT_TRUE(made.found.plan);
    EXPECT_GE(made.found.plan->dishes[0].served, 120);
}

// What cannot be on the table any more in time is no plan: the caller moves the serving.
TEST(Underway, TooLateIsNoPlan) {
    MenuProblem menu = twoRoastsOfOneOven();
    std::vector<Underway> underway(2);
    underway[0] = {true, 4 * 3600, 0, "still"};
    EXPECT_FALSE(planFrom(menu, underway).found.plan);
}

} // namespace
} // namespace dynamet::plan
