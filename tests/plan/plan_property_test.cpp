// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Whatever the menu, no plan breaks a constraint, and what is proved impossible stays so when it is
// looked for otherwise.
#include "plan/random_menu.h"
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
    const Problem problem =
        tests::randomMenu(seed, dishes, resources, cooks, tolerance, seed % 3 > 0);
    const Found found = solve(problem, kShort);
    if (!found.plan)
        return;
    RC_ASSERT(firstOf(broken(problem, *found.plan)) == "");
    RC_ASSERT(found.bound <= found.plan->cost);
    RC_ASSERT(found.plan->cost == costOf(problem, *found.plan));
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
    const Problem problem = tests::randomMenu(seed, *rc::gen::inRange(2, 7), 1, 1, 2);
    const Found found = firstPlan(problem, kShort);
    if (found.plan || !found.proved)
        return;
    Effort more{seed % 1000 + 2, 3000, 3000, 3000};
    RC_ASSERT(!firstPlan(problem, more).plan);
}

RC_GTEST_PROP(PlanProperty, ARelaxedMenuCostsNoMoreThanItsProvedPlan, ()) {
    const auto seed = *rc::gen::arbitrary<unsigned>();
    Problem problem = tests::randomMenu(seed, *rc::gen::inRange(1, 4), 3, 1, 10);
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
