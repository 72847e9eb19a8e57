// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Whatever the menu, no plan breaks a constraint, and what is proved impossible stays so when it is
// looked for otherwise.
#include "plan/arrangement.h"
#include "plan/random_menu.h"
#include "plan/recreate.h"
#include "plan/schedule.h"

#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace dynamet::plan {
namespace {

constexpr Effort kShort{1, 400, 2000, 200};

std::string firstOf(const std::vector<std::string>& words) {
    return words.empty() ? "" : words.front();
}

RC_GTEST_PROP(PlanProperty, NoPlanBreaksAConstraint, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    const int dishes = *rc::gen::inRange(1, 8), resources = *rc::gen::inRange(1, 7);
    const int cooks = *rc::gen::inRange(1, 3), tolerance = *rc::gen::inRange(0, 30);
    const Problem problem = tests::withPans(
        tests::randomMenu(seed, dishes, resources, cooks, tolerance, seed % 3 > 0), seed);
    const Found found = solve(problem, kShort);
    if (!found.plan)
        return;
    RC_ASSERT(firstOf(broken(problem, *found.plan)) == "");
    RC_ASSERT(found.bound <= found.plan->cost);
    RC_ASSERT(found.plan->cost == costOf(problem, *found.plan));
}

// Two searches that have nothing in common: what one proves to be the least, the other never
// undercuts (199), and what the other finds, the first can stand on.
RC_GTEST_PROP(PlanProperty, NothingFoundOtherwiseIsCheaperThanWhatIsProved, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    const int dishes = *rc::gen::inRange(1, 5), resources = *rc::gen::inRange(1, 4);
    const Problem problem = tests::withPans(
        tests::randomMenu(seed, dishes, resources, *rc::gen::inRange(1, 3), 30, true), seed);
    Effort patient = kShort;
    patient.proofFailures = 20000;
    const Found proved = solve(problem, patient);
    if (!proved.plan)
        return;
    Found other = firstPlan(problem, kShort);
    RC_PRE(other.plan.has_value());
    Effort many;
    many.recreateRounds = 400;
    recreate(problem, many, other, {}, {});
    RC_ASSERT(firstOf(broken(problem, *other.plan)) == "");
    RC_ASSERT(other.plan->cost == costOf(problem, *other.plan));
    if (proved.proved)
        RC_ASSERT(other.plan->cost >= proved.plan->cost);
    Problem pinned = problem;
    for (std::size_t d = 0; d < problem.dishes.size(); ++d) {
        const Placed& placed = other.plan->dishes[d];
        pinned.dishes[d].start = placed.start;
        pinned.dishes[d].way = placed.way;
        pinned.dishes[d].cook = placed.cook;
    }
    const Found again = solve(pinned, kShort);
    RC_ASSERT(again.plan.has_value());
    RC_ASSERT(again.plan->cost <= other.plan->cost);
}

// Taken out and put back, everything is as it was; what an arrangement says of cost and of what
// holds, `costOf` and `broken` say too.
RC_GTEST_PROP(PlanProperty, AnArrangementAgreesWithThePlanMinuteByMinute, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    const int dishes = *rc::gen::inRange(1, 7);
    const Problem problem = tests::withPans(tests::randomMenu(seed, dishes, 3, 2, 40, true), seed);
    std::mt19937 random(seed);
    Arrangement all(problem);
    int in = 0, tries = 0;
    for (std::size_t d = 0; d < problem.dishes.size(); ++d)
        for (int i = 0; i < 200; ++i, ++tries) {
            const Dish& dish = problem.dishes[d];
            const auto w = random() % dish.ways.size();
            const Way& way = dish.ways[w];
            Placed one;
            one.way = static_cast<int>(w);
            one.cook = dish.cook.value_or(static_cast<int>(random() % 2));
            one.served = dish.earliest + static_cast<int>(random() % 41);
            one.start = one.served - way.readyAt - way.shortestRest -
                        static_cast<int>(random() % way.waitCost.size());
            const bool tooShort = std::any_of(way.uses.begin(), way.uses.end(), [&](const Use& u) {
                const Span span = spanOf(u, one);
                return u.waits && span.to - span.from < kLeastWarmMin;
            });
            if (one.start < 0 || tooShort)
                continue;
            const auto cost = all.costWith(d, one);
            if (!cost)
                continue;
            all.put(d, one);
            RC_ASSERT(all.cost() == cost);
            ++in;
            break;
        }
    if (in < dishes)
        return;
    const Plan plan = all.plan();
    RC_ASSERT(firstOf(broken(problem, plan)) == "");
    RC_ASSERT(all.cost() == plan.cost);
}

RC_GTEST_PROP(PlanProperty, APlanThatIsPinnedWhereItIsStaysAPlan, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    Problem problem = tests::randomMenu(seed, *rc::gen::inRange(1, 6), 3, 1, 20);
    const Found found = solve(problem, kShort);
    if (!found.plan)
        return;
    for (std::size_t d = 0; d < problem.dishes.size(); ++d) {
        problem.dishes[d].start = found.plan->dishes[d].start;
        problem.dishes[d].way = found.plan->dishes[d].way;
    }
    const Found again = solve(problem, kShort);
    RC_ASSERT(again.plan.has_value());
    RC_ASSERT(again.plan->cost <= found.plan->cost);
}

RC_GTEST_PROP(PlanProperty, WhatIsProvedImpossibleIsNotFoundWithMoreEffort, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    const Problem problem =
        tests::withPans(tests::randomMenu(seed, *rc::gen::inRange(2, 7), 1, 1, 2), seed);
    const Found found = firstPlan(problem, kShort);
    if (found.plan || !found.proved)
        return;
    Effort more{seed % 1000 + 2, 3000, 3000, 3000};
    RC_ASSERT(!firstPlan(problem, more).plan);
}

// Dishes help each other where one heats what another joins, or on the way to it. Without that (a
// heat is reached as soon as by way of any other, and nobody's hands are asked) none costs less for
// another one beside it.
void withoutHelp(Problem& problem) {
    for (Resource& on : problem.resources) {
        std::fill(on.hands.begin(), on.hands.end(), 0);
        for (int to = 0; to < on.settings; ++to)
            for (int by = 0; by < on.settings; ++by)
                on.fromNow[static_cast<std::size_t>(to)] =
                    std::min(on.fromNow[static_cast<std::size_t>(to)],
                             on.fromNow[static_cast<std::size_t>(by)] + on.changeBetween(by, to));
    }
}

RC_GTEST_PROP(PlanProperty, ARelaxedMenuCostsNoMoreThanItsProvedPlan, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    Problem problem = tests::randomMenu(seed, *rc::gen::inRange(1, 4), 3, 1, 10);
    withoutHelp(problem);
    const Found found = solve(problem);
    if (!found.plan || !found.proved)
        return;
    problem.dishes.pop_back();
    if (problem.dishes.empty())
        return;
    const Found fewer = solve(problem);
    RC_ASSERT(fewer.plan.has_value());
    if (fewer.proved)
        RC_ASSERT(fewer.plan->cost <= found.plan->cost);
}

} // namespace
} // namespace dynamet::plan
