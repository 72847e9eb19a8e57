// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/problem.h"

#include <algorithm>
#include <cmath>
#include <cstdlib>

namespace dynamet::plan {

int minutesUp(double seconds) {
    return static_cast<int>(std::ceil(seconds / 60 - 1e-9));
}

int Problem::horizon() const {
    int out = 0;
    for (const Dish& dish : dishes)
        out = std::max(out, dish.latest + dish.late);
    return out;
}

int Problem::latest() const {
    int out = 0;
    for (const Dish& dish : dishes)
        out = std::max(out, dish.latest);
    return out;
}

Problem partOf(const Problem& problem, const std::vector<std::size_t>& dishes) {
    Problem out = problem;
    out.dishes.clear();
    for (const std::size_t d : dishes)
        out.dishes.push_back(problem.dishes[d]);
    return out;
}

std::set<int> wantsOf(const Problem& problem, const Dish& dish) {
    std::set<int> out;
    for (const Way& way : dish.ways) {
        for (const Use& use : way.uses)
            out.insert(use.resource);
        for (const Holding& one : way.holdings)
            out.insert(static_cast<int>(problem.resources.size()) + one.vessel);
    }
    return out;
}

Span spanOf(const Use& use, const Placed& placed) {
    if (use.waits)
        return {placed.start + use.from, placed.served};
    return {placed.start + use.from, placed.start + use.to};
}

Span spanOf(const Holding& holding, const Placed& placed) {
    return {placed.start + holding.from,
            holding.untilServed ? placed.served : placed.start + holding.to};
}

Span spanOf(const Hands& hands, const Placed& placed) {
    const int from = hands.beforeServed ? placed.served - hands.at : placed.start + hands.at;
    return {from, from + hands.lasts};
}

int waitsFor(const Way& way, const Placed& placed) {
    return placed.served - placed.start - way.readyAt - way.shortestRest;
}

int costOf(const Dish& dish, const Placed& placed) {
    const Way& way = dish.ways[static_cast<std::size_t>(placed.way)];
    const auto waits = static_cast<std::size_t>(waitsFor(way, placed));
    return kWaitWeight * (way.cost + way.waitCost[waits]) +
           kLateCost * std::max(0, placed.served - dish.latest) +
           kOffCost * std::abs(placed.served - dish.target);
}

int costOf(const Problem& problem, const Plan& plan) {
    int cost = 0, first = problem.horizon();
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const Dish& dish = problem.dishes[d];
        const Way& way = dish.ways[static_cast<std::size_t>(placed.way)];
        cost += costOf(dish, placed);
        first = std::min(first, placed.start);
        for (std::size_t u = 0; u < placed.heats.size(); ++u) {
            if (!placed.heats[u])
                continue;
            first = std::min(first, *placed.heats[u]);
            const Resource& on = problem.resources[static_cast<std::size_t>(way.uses[u].resource)];
            cost += kHeatHandsCost * on.hands[static_cast<std::size_t>(way.uses[u].setting)];
        }
    }
    const int latest = problem.latest();
    return cost + problem.leadWeight * (latest - std::min(first, latest));
}

} // namespace dynamet::plan
