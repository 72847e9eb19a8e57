// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/random_menu.h"
#include "plan/schedule.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

namespace dynamet::plan {
namespace {

/// An appliance that is ready after `cold` minutes from now and after `change` from one setting to
/// another.
Resource place(int cold, int change, int room = 100) {
    return {room, 2, {cold, cold}, {0, change, change, 0}, {0, 0}};
}

/// A dish of one stretch on an appliance, then no rest; every minute that it waits costs one.
Dish roast(int resource, int setting, int lasts, int demand = 100) {
    Way way;
    way.readyAt = lasts;
    for (int m = 0; m <= 60; ++m)
        way.waitCost.push_back(m);
    way.uses = {{resource, setting, 0, 0, lasts, demand, false}};
    Dish dish;
    dish.ways = {way};
    dish.earliest = dish.latest = dish.target = 120;
    return dish;
}

std::string all(const std::vector<std::string>& words) {
    std::string out;
    for (const auto& one : words)
        out += one + "\n";
    return out;
}

TEST(Schedule, OneDishEndsWhenItIsServedAndItsOvenIsHot) {
    Problem problem;
    problem.resources = {place(20, 5)};
    problem.dishes = {roast(0, 0, 40)};
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_TRUE(found.proved);
    EXPECT_EQ(found.plan->dishes[0].start, 80);
    EXPECT_EQ(found.plan->dishes[0].heats[0], 60);
    EXPECT_EQ(found.plan->cost, 60); // from the heating up on
    EXPECT_EQ(all(broken(problem, *found.plan)), "");
}

TEST(Schedule, TwoSettingsOfOneOvenFollowEachOtherAndTheOneThatWaitsWellGoesFirst) {
    Problem problem;
    problem.resources = {place(20, 7)};
    problem.dishes = {roast(0, 0, 30), roast(0, 1, 30)};
    for (int& cost : problem.dishes[1].ways[0].waitCost)
        cost *= 10;
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_TRUE(found.proved);
    EXPECT_EQ(found.plan->dishes[1].served - found.plan->dishes[1].start, 30); // does not wait
    EXPECT_EQ(found.plan->dishes[0].start, 120 - 30 - 7 - 30);
    EXPECT_EQ(found.plan->dishes[1].heats[0], 120 - 30 - 7);
}

TEST(Schedule, WhatJoinsAnOvenThatIsHotIsNotHeatedAgainAndRoomIsKept) {
    Problem problem;
    problem.resources = {place(20, 7)};
    problem.resources[0].hands = {5, 5};
    problem.dishes = {roast(0, 0, 30, 50), roast(0, 0, 20, 50)};
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_EQ(found.plan->dishes[0].start, 90);
    EXPECT_EQ(found.plan->dishes[1].start, 100);
    EXPECT_TRUE(found.plan->dishes[0].heats[0]);
    EXPECT_FALSE(found.plan->dishes[1].heats[0]);
    problem.dishes[1].ways[0].uses[0].demand = 60; // no room beside the other
    const Found after = solve(problem);
    ASSERT_TRUE(after.plan);
    EXPECT_EQ(all(broken(problem, *after.plan)), "");
    EXPECT_EQ(after.plan->cost, found.plan->cost + 20 * kWaitWeight + 20);
}

// One pan, two burners: the second dish waits until the pan is empty; with two of them it does not.
TEST(Schedule, Defect201APanHoldsOneDishAtATime) {
    Problem problem;
    problem.resources = {place(0, 0), place(0, 0)};
    problem.dishes = {roast(0, 0, 30), roast(1, 0, 30)};
    for (Dish& dish : problem.dishes)
        dish.ways[0].holdings = {{0, 0, 32, false}};
    problem.vessels = {2};
    const Found two = solve(problem);
    ASSERT_TRUE(two.plan);
    EXPECT_EQ(two.plan->cost, 30);
    problem.vessels = {1};
    EXPECT_NE(all(broken(problem, *two.plan)), "");
    const Found one = solve(problem);
    ASSERT_TRUE(one.plan);
    EXPECT_TRUE(one.proved);
    EXPECT_EQ(all(broken(problem, *one.plan)), "");
    EXPECT_EQ(one.plan->cost, 32 * kWaitWeight + 62);
    for (Dish& dish : problem.dishes) // what is served from it is in it until then
        dish.ways[0].holdings = {{0, 0, 32, true}};
    const Found never = solve(problem);
    EXPECT_FALSE(never.plan);
    EXPECT_TRUE(never.proved);
}

TEST(Schedule, HandsNeverOverlapAndASecondCookHelps) {
    Problem problem;
    problem.resources = {place(0, 0), place(0, 0)};
    problem.dishes = {roast(0, 0, 30), roast(1, 0, 30)};
    for (Dish& dish : problem.dishes)
        dish.ways[0].hands = {{25, 5, false}};
    const Found one = solve(problem);
    ASSERT_TRUE(one.plan);
    EXPECT_EQ(one.plan->cost, 5 * kWaitWeight + 35);
    problem.cooks = 2;
    const Found two = solve(problem);
    ASSERT_TRUE(two.plan);
    EXPECT_EQ(two.plan->cost, 30);
}

TEST(Schedule, WhatCannotBeIsProved) {
    Problem problem;
    problem.resources = {place(20, 7)};
    problem.dishes = {roast(0, 0, 30), roast(0, 1, 30)};
    for (Dish& dish : problem.dishes)
        dish.ways[0].waitCost.resize(20);
    const Found found = solve(problem);
    EXPECT_FALSE(found.plan);
    EXPECT_TRUE(found.proved);
}

TEST(Schedule, TheOtherApplianceIsTakenWhereThatCostsLess) {
    Problem problem;
    problem.resources = {place(20, 7), place(10, 5)};
    problem.dishes = {roast(0, 0, 30), roast(0, 1, 30)};
    Way other = problem.dishes[1].ways[0];
    other.cost = 10;
    other.uses[0].resource = 1;
    problem.dishes[1].ways.push_back(other);
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_EQ(found.plan->dishes[1].way, 1);
    problem.dishes[1].way = 0; // pinned
    const Found pinned = solve(problem);
    ASSERT_TRUE(pinned.plan);
    EXPECT_EQ(pinned.plan->dishes[1].way, 0);
    EXPECT_GT(pinned.plan->cost, found.plan->cost);
}

TEST(Schedule, ASearThatFollowsItsRoastInOneOvenNeedsNoHeatingOfItsOwnAndNothingComesBetween) {
    Problem problem;
    problem.resources = {place(20, 7)};
    problem.dishes = {roast(0, 0, 30), roast(0, 0, 10)};
    problem.dishes[0].ways[0].uses = {{0, 0, 0, 0, 20, 100, false}, {0, 1, 0, 20, 30, 100, false}};
    for (int& cost : problem.dishes[0].ways[0].waitCost)
        cost *= 10;
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_EQ(all(broken(problem, *found.plan)), "");
    EXPECT_LT(found.plan->dishes[1].start, found.plan->dishes[0].start);
    EXPECT_FALSE(found.plan->dishes[0].heats[1]);
}

// 199: of a dish that can be made quickly or slowly, the quick way could begin no later than the
// slow one, so that it stood about for the difference.
TEST(Schedule, Defect199TheQuickWayMayBeginLate) {
    Problem problem;
    problem.resources = {place(20, 7), place(10, 5)};
    problem.dishes = {roast(0, 0, 30)};
    Way slow = problem.dishes[0].ways[0];
    slow.cost = 500;
    slow.readyAt = 200;
    slow.uses[0].resource = 1;
    slow.uses[0].to = 200;
    // Kept warm at its own appliance, which ends long after the quick way is served.
    Use warm = slow.uses[0];
    warm.waits = true;
    warm.from = 200 + slow.shortestRest;
    slow.uses.push_back(warm);
    problem.dishes[0].ways.push_back(slow);
    const Found found = solve(problem);
    ASSERT_TRUE(found.plan);
    EXPECT_TRUE(found.proved);
    const Placed& placed = found.plan->dishes[0];
    EXPECT_EQ(placed.way, 0);
    EXPECT_EQ(placed.served, problem.dishes[0].target);
    EXPECT_EQ(waitsFor(problem.dishes[0].ways[0], placed), 0);
}

TEST(Schedule, IsTheSameForASeedAndStopsWhenItIsTold) {
    const Problem problem = tests::randomMenu(2, 6, 5, 2, 20, true);
    const Found a = solve(problem), b = solve(problem);
    ASSERT_TRUE(a.plan);
    EXPECT_EQ(*a.plan, *b.plan);
    EXPECT_EQ(a.failures, b.failures);
    std::stop_source stop;
    int seen = 0;
    const Found early = solve(problem, {}, stop.get_token(), [&](const Plan&) {
        ++seen;
        stop.request_stop();
    });
    EXPECT_EQ(seen, 1);
    EXPECT_TRUE(early.stopped);
    ASSERT_TRUE(early.plan);
    EXPECT_EQ(all(broken(problem, *early.plan)), "");
}

TEST(Schedule, TwelveDishesOnEightAppliancesHoldAndAreNearTheirBound) {
    int planned = 0;
    for (unsigned seed = 1; seed <= 4; ++seed) {
        const Problem problem = tests::randomMenu(seed, 12, 8, 2, 30, true);
        const Found found = solve(problem);
        if (!found.plan)
            continue;
        ++planned;
        EXPECT_EQ(all(broken(problem, *found.plan)), "") << seed;
        EXPECT_LE(found.bound, found.plan->cost) << seed;
        fmt::print("seed {}: cost {}, bound {}{}, {} failures, {} nodes\n", seed, found.plan->cost,
                   found.bound, found.proved ? " (proved)" : "", found.failures, found.nodes);
    }
    EXPECT_GE(planned, 3);
}

// Twelve dishes on eight appliances whose least cost is known exactly: three kitchens of four
// dishes, each proved alone. All twelve together come within 5 % of it.
TEST(Schedule, TwelveDishesComeNearABoundThatIsKnown) {
    int known = 0;
    for (unsigned seed = 1; seed <= 4; ++seed) {
        const auto joined = tests::joinedKitchens(seed, {4, 4, 4}, {3, 3, 2});
        int least = 0;
        bool proved = true;
        for (const Problem& part : joined.parts) {
            Effort patient;
            patient.proofFailures = 200000;
            const Found alone = solve(part, patient);
            proved = proved && alone.plan && alone.proved;
            least += alone.plan ? alone.plan->cost : 0;
        }
        if (!proved)
            continue;
        ++known;
        const Found found = solve(joined.whole);
        ASSERT_TRUE(found.plan) << seed;
        EXPECT_EQ(all(broken(joined.whole, *found.plan)), "") << seed;
        EXPECT_GE(found.plan->cost, least) << seed << ": no plan is cheaper than its parts alone";
        EXPECT_LE(found.plan->cost, 1.05 * least) << seed;
        EXPECT_LE(found.bound, least) << seed;
        fmt::print("seed {}: cost {}, known least {}, own bound {}\n", seed, found.plan->cost,
                   least, found.bound);
    }
    ASSERT_GE(known, 3);
}

} // namespace
} // namespace dynamet::plan
