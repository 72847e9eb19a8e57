// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/bound.h"

#include <algorithm>

namespace dynamet::plan {
namespace {

constexpr std::size_t kGroup = 4;

/// The least cost of some dishes that have the kitchen to themselves; 0 where it is not proved.
int leastOf(const Problem& problem, const std::vector<std::size_t>& dishes, int leadWeight,
            const Effort& effort, const std::stop_token& stop) {
    Problem part = partOf(problem, dishes);
    part.leadWeight = leadWeight;
    const Found found = solveAlone(part, effort, stop);
    if (!found.plan || !found.proved)
        return 0;
    return found.plan->cost + leadWeight * (problem.latest() - part.latest());
}

} // namespace

std::vector<std::vector<std::size_t>> groupsOf(const Problem& problem, const Plan& plan) {
    std::vector<std::size_t> left(problem.dishes.size());
    for (std::size_t d = 0; d < left.size(); ++d)
        left[d] = d;
    std::vector<std::set<int>> wants;
    for (const Dish& dish : problem.dishes)
        wants.push_back(wantsOf(problem, dish));
    const auto share = [&](std::size_t a, std::size_t b) {
        return std::any_of(wants[a].begin(), wants[a].end(),
                           [&](int one) { return wants[b].contains(one); });
    };
    const auto costs = [&](std::size_t d) {
        const Placed& placed = plan.dishes[d];
        const Way& way = problem.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        return way.cost + way.waitCost[static_cast<std::size_t>(waitsFor(way, placed))];
    };
    std::stable_sort(left.begin(), left.end(),
                     [&](std::size_t a, std::size_t b) { return costs(a) > costs(b); });
    std::vector<std::vector<std::size_t>> out;
    while (!left.empty()) {
        std::vector<std::size_t> group{left.front()};
        left.erase(left.begin());
        for (const bool sharing : {true, false})
            for (auto it = left.begin(); it != left.end() && group.size() < kGroup;) {
                const bool shares = std::any_of(group.begin(), group.end(),
                                                [&](std::size_t d) { return share(d, *it); });
                if (shares == sharing) {
                    group.push_back(*it);
                    it = left.erase(it);
                } else {
                    ++it;
                }
            }
        out.push_back(group);
    }
    return out;
}

int lowerBound(const Problem& problem, const Plan& plan, const Effort& effort,
               std::stop_token stop) {
    std::vector<int> waits, all;
    int sum = 0;
    for (const auto& group : groupsOf(problem, plan)) {
        int least = 0, whole = 0, ofOne = 0, wholeOfOne = 0;
        for (const std::size_t d : group) {
            ofOne += leastOf(problem, {d}, 0, effort, stop);
            wholeOfOne =
                std::max(wholeOfOne, leastOf(problem, {d}, problem.leadWeight, effort, stop));
        }
        int ofPairs = 0;
        for (std::size_t i = 0; i < group.size(); i += 2)
            ofPairs += leastOf(
                problem,
                {group.begin() + static_cast<std::ptrdiff_t>(i),
                 group.begin() + static_cast<std::ptrdiff_t>(std::min(i + 2, group.size()))},
                0, effort, stop);
        least = std::max({ofOne, ofPairs, leastOf(problem, group, 0, effort, stop)});
        whole = std::max(
            {wholeOfOne, least, leastOf(problem, group, problem.leadWeight, effort, stop)});
        waits.push_back(least);
        all.push_back(whole);
        sum += least;
    }
    int out = sum;
    for (std::size_t g = 0; g < waits.size(); ++g)
        out = std::max(out, sum - waits[g] + all[g]);
    return out;
}

} // namespace dynamet::plan
