// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/problem.h"

#include <algorithm>
#include <random>

namespace dynamet::tests {

/// Invented menus: dishes of hands, a stretch or two on appliances, a rest and a wait that costs.
inline plan::Problem randomMenu(unsigned seed, int dishes, int resources, int cooks = 1,
                                int tolerance = 10, bool gentle = false) {
    std::mt19937 random(seed);
    const auto pick = [&](int low, int high) {
        return low + static_cast<int>(random() % static_cast<unsigned>(high - low + 1));
    };
    plan::Problem out;
    out.cooks = cooks;
    constexpr int kSettings = 3;
    for (int r = 0; r < resources; ++r) {
        plan::Resource one;
        one.settings = kSettings;
        const int perStep = pick(1, 8);
        for (int to = 0; to < kSettings; ++to) {
            one.fromNow.push_back(pick(2, 6) + perStep * (to + 1));
            one.hands.push_back(pick(0, 3));
        }
        for (int from = 0; from < kSettings; ++from)
            for (int to = 0; to < kSettings; ++to)
                one.change.push_back(from == to ? 0 : perStep * std::abs(from - to));
        out.resources.push_back(one);
    }
    for (int d = 0; d < dishes; ++d) {
        plan::Dish dish;
        dish.target = 300;
        dish.earliest = 300 - tolerance / 2;
        dish.latest = 300 + tolerance - tolerance / 2;
        if (cooks > 1 && pick(0, 1))
            dish.cook = pick(0, cooks - 1);
        const int ways = pick(1, 3);
        for (int w = 0; w < ways; ++w) {
            plan::Way way;
            way.cost = w * pick(5, 60);
            int at = 0;
            way.hands.push_back({0, pick(1, gentle ? 2 : 4), false});
            at += way.hands.back().lasts + pick(0, 30);
            const int stages = pick(1, 2);
            for (int s = 0; s < stages; ++s) {
                const int lasts = pick(5, gentle ? 45 : 60);
                way.uses.push_back({pick(0, resources - 1), pick(0, kSettings - 1), 0, at,
                                    at + lasts, pick(20, gentle ? 50 : 100), false});
                way.hands.push_back({at, 1, false});
                at += lasts;
                way.hands.push_back({at - 1, 1, false});
                at += s + 1 < stages ? pick(1, 10) : 0;
            }
            way.readyAt = at;
            way.shortestRest = pick(0, 15);
            const int longest = pick(10, 60), perMinute = pick(1, gentle ? 3 : 9);
            for (int m = 0; m <= longest; ++m)
                way.waitCost.push_back(m * perMinute);
            if (pick(0, 3) == 0)
                way.uses.push_back({pick(0, resources - 1), pick(0, kSettings - 1), 0,
                                    way.readyAt + way.shortestRest, 0, pick(10, 40), true});
            way.hands.push_back({1, 1, true});
            dish.ways.push_back(way);
        }
        std::stable_sort(dish.ways.begin(), dish.ways.end(),
                         [](const auto& a, const auto& b) { return a.cost < b.cost; });
        out.dishes.push_back(dish);
    }
    return out;
}

/// Some of its dishes want pans, of which there are one or two: from some minute until the way is
/// ready and a little longer, or until it is served.
inline plan::Problem withPans(plan::Problem problem, unsigned seed) {
    std::mt19937 random(seed);
    problem.vessels = {1, 1, 2};
    for (plan::Dish& dish : problem.dishes)
        for (plan::Way& way : dish.ways)
            for (int vessel = 0; vessel < static_cast<int>(problem.vessels.size()); ++vessel)
                if (random() % 3 == 0) {
                    const int from = static_cast<int>(random() % 10u);
                    way.holdings.push_back(
                        {vessel, from,
                         std::max(from + 1, way.readyAt) + static_cast<int>(random() % 5u),
                         random() % 4 == 0});
                }
    return problem;
}

/// Kitchens that have nothing in common, as one problem: each its appliances and its cook. What it
/// costs at least is what they cost at least alone, so that its bound is known exactly (no lead
/// counts: that would be shared).
struct Joined {
    plan::Problem whole;
    std::vector<plan::Problem> parts;
};
inline Joined joinedKitchens(unsigned seed, const std::vector<int>& dishes,
                             const std::vector<int>& resources) {
    Joined out;
    out.whole.cooks = static_cast<int>(dishes.size());
    out.whole.leadWeight = 0;
    for (std::size_t k = 0; k < dishes.size(); ++k) {
        plan::Problem part =
            randomMenu(seed * 100 + static_cast<unsigned>(k), dishes[k], resources[k], 1, 40, true);
        part.leadWeight = 0;
        const int offset = static_cast<int>(out.whole.resources.size());
        for (const plan::Resource& one : part.resources)
            out.whole.resources.push_back(one);
        for (plan::Dish dish : part.dishes) {
            dish.cook = static_cast<int>(k);
            for (plan::Way& way : dish.ways)
                for (plan::Use& use : way.uses)
                    use.resource += offset;
            out.whole.dishes.push_back(std::move(dish));
        }
        out.parts.push_back(std::move(part));
    }
    return out;
}

} // namespace dynamet::tests
