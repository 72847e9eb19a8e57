// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// How a dish that is late pushes the one after it, against what the distribution of ln(time) says
// by hand: P(late by no more than s) = Φ(ln(1 + s / lasts) / sd).
#include "plan/menu_plan.h"

#include <boost/math/distributions/normal.hpp>
#include <gtest/gtest.h>

namespace dynamet::plan {
namespace {

constexpr int kLasts = 60, kManyDraws = 20000;
constexpr double kLnSd = 0.1;
/// A dish is on time until half a minute after the latest.
constexpr double kHalfMinute = 0.5;

/// Cooks for an hour; served when ready.
DishWay hour(double lnSd) {
    DishWay out;
    out.way.readyAt = kLasts;
    out.way.waitCost = {0};
    out.straight = out.stageSpans = {{0, kLasts}};
    out.lnSd = lnSd;
    return out;
}

struct Day {
    MenuProblem menu;
    Plan plan;
    void add(DishWay way, int start, int mayBeLate = 0) {
        Dish dish;
        dish.ways = {way.way};
        dish.earliest = dish.target = start + kLasts;
        dish.latest = start + kLasts + mayBeLate;
        menu.problem.dishes.push_back(dish);
        DishWays ways;
        ways.ways.push_back(std::move(way));
        menu.dishes.push_back(std::move(ways));
        Placed placed;
        placed.start = start;
        placed.served = start + kLasts;
        plan.dishes.push_back(placed);
    }
    double chanceOfLast() const { return chanceOf(menu, plan, 1, kManyDraws).dishes.back(); }
};

double notLaterThan(double minutes) {
    return cdf(boost::math::normal(), std::log(1 + minutes / kLasts) / kLnSd);
}

/// Two hours in pans of one kind at once, and after `gap` minutes a third dish that lasts exactly.
double thirdIn(int pans, int gap, int mayBeLate) {
    Day day;
    day.menu.problem.vessels = {pans};
    DishWay fries = hour(kLnSd);
    fries.way.holdings = {{0, 0, kLasts}};
    DishWay exact = fries;
    exact.lnSd = 0;
    day.add(fries, 0);
    day.add(fries, 0);
    day.add(exact, kLasts + gap, mayBeLate);
    return day.chanceOfLast();
}

TEST(Chance, Defect206OfTwoPansAlikeTheFirstThatIsEmptiedIsTaken) {
    for (const auto& [gap, mayBeLate] : {std::pair{0, 5}, {5, 5}, {0, 12}}) {
        const double one = notLaterThan(gap + mayBeLate + kHalfMinute);
        EXPECT_NEAR(thirdIn(2, gap, mayBeLate), 1 - (1 - one) * (1 - one), 0.01) << gap;
    }
    EXPECT_DOUBLE_EQ(thirdIn(3, 0, 0), 1) << "there is one to spare";
}

TEST(Chance, OneThatFollowsInTheOnlyPanIsAsLateAsTheOneBefore) {
    Day day;
    day.menu.problem.vessels = {1};
    DishWay fries = hour(kLnSd);
    fries.way.holdings = {{0, 0, kLasts}};
    DishWay exact = fries;
    exact.lnSd = 0;
    day.add(fries, 0);
    day.add(exact, kLasts, 5);
    EXPECT_NEAR(day.chanceOfLast(), notLaterThan(5 + kHalfMinute), 0.01);
}

// The minutes between two uses are lost first, but not those in which the oven changes its heat.
TEST(Chance, Defect206MinutesBetweenTwoDishesOfAnOvenAbsorbBeingLate) {
    constexpr int kGap = 15, kChange = 10;
    Day day;
    Resource oven;
    oven.settings = 2;
    oven.fromNow = {10, 10};
    oven.change = {0, kChange, kChange, 0};
    day.menu.problem.resources = {oven};
    DishWay roasts = hour(kLnSd);
    roasts.way.uses = {{0, 0, 0, 0, kLasts, 100, false}};
    DishWay exact = hour(0);
    exact.way.uses = {{0, 1, 0, 0, kLasts, 100, false}};
    day.add(roasts, 0);
    day.add(exact, kLasts + kGap);
    EXPECT_NEAR(day.chanceOfLast(), notLaterThan(kGap - kChange + kHalfMinute), 0.01);
}

} // namespace
} // namespace dynamet::plan
