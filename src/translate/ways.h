// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/likeness.h"
#include "translate/request.h"

#include <stop_token>

namespace dynamet::translate {

struct Prepared;
struct Row;

/// Methods of the trade. Words are stable.
enum class Method {
    straight,
    hotThenSlow,  ///< colour first, then gently to the core: high then low
    slowThenHot,  ///< gently first, colour last: low then high, the reverse sear
    twoZones,     ///< over the fire, then beside it
    zonesBack,    ///< beside the fire, then over it
    searThenHere, ///< coloured on a hob or griddle, finished here
    hereThenSear, ///< cooked here, coloured on a hob, griddle or over a fire
    coolThenHotOil,
    coveredThenOpen
};
const char* enumName(Method method);
std::optional<Method> methodOf(const std::string& word);

/// How a method is carried out on a target: its stages with their settings, and how near the food
/// comes to the recipe's.
struct Way {
    Method method = Method::straight;
    std::vector<recipe::Stage> stages; ///< the last one ends by the goal
    cook::Outcome outcome;
    double distance = 0; ///< from the recipe's outcome, just noticed differences, all together
    std::vector<cook::Difference> differences = {};
};

/// The best ways on the target of a row, nearest first, the straight one among them; `gain` is by
/// how many just noticed differences the best of them is nearer than going straight through.
struct Ways {
    std::vector<Way> best;
    double gain = 0;
    long solves = 0;
    /// A second stage that gains less than a taster notices buys nothing.
    bool secondStageGains() const { return gain >= 1; }
};

/// All methods that this appliance (with a searing place of the kitchen beside it) can do,
/// computed, not gated; at most `most` of them are kept. Empty where the recipe's piece cannot be
/// held. Settings are those of the dials, on the coarse grid of a search.
Ways waysOn(const Prepared& prepared, const Row& straight, std::size_t most = 3,
            std::stop_token stop = {});

/// The grid that a method is searched on, for tests: settings of both stages and where it changes
/// over.
struct WayGrid {
    Method method = Method::straight;
    std::vector<recipe::Stage> first, last; ///< cooler settings first
    std::vector<recipe::StageEnd> changeOver;
    /// Of one appliance's settings: the first is hotter (1) or cooler (−1) than the last, 0 = any.
    int firstIsHotter = 0;
    bool isOfItsKind(std::size_t firstAt, std::size_t lastAt) const {
        return firstIsHotter == 0 || (firstIsHotter > 0 ? firstAt > lastAt : firstAt < lastAt);
    }
    std::size_t size() const { return first.size() * last.size() * changeOver.size(); }
    std::vector<recipe::Stage> stagesAt(std::size_t first, std::size_t last,
                                        std::size_t changeOver) const;
};
std::vector<WayGrid> waysGrids(const Prepared& prepared, const Target& target);
/// One point of it; an error where it does not come to the goal.
Result<Way> wayAt(const Prepared& prepared, const WayGrid& grid, std::size_t first,
                  std::size_t last, std::size_t changeOver);

} // namespace dynamet::translate
