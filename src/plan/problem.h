// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace dynamet::plan {

/// A menu as the scheduler sees it: whole minutes from the moment from which it is planned, and
/// indices. Nothing here knows food or heat; problem_of.h makes it.

/// Whole minutes, up.
int minutesUp(double seconds);

/// Something that is at one setting at a time and has so much room.
struct Resource {
    int room = 100;           ///< per cent, of each of its zones
    int settings = 1;         ///< that the menu asks for
    std::vector<int> fromNow; ///< [setting] minutes until it is ready, from the state it is in now
    std::vector<int> change;  ///< [from × settings + to] minutes from one setting to another
    std::vector<int> hands;   ///< [setting] minutes of hands that begin its heating up
    int changeBetween(int from, int to) const {
        const auto row = static_cast<std::size_t>(from), width = static_cast<std::size_t>(settings);
        return change[row * width + static_cast<std::size_t>(to)];
    }
};

/// A stretch on a resource, minutes from the way's start. `waits`: from when it is ready until it
/// is served instead (a warm place), wherever that falls.
struct Use {
    int resource = 0, setting = 0, zone = 0;
    int from = 0, to = 0;
    int demand = 100; ///< per cent of the room
    bool waits = false;
    bool operator==(const Use&) const = default;
};

/// A pan or pot that a dish has to itself, minutes from the way's start; `untilServed`: it waits
/// and comes to the table in it.
struct Holding {
    int vessel = 0, from = 0, to = 0;
    bool untilServed = false;
    bool operator==(const Holding&) const = default;
};

/// Work of a cook, minutes from the way's start, or before the serving (`beforeServed`).
struct Hands {
    int at = 0, lasts = 1;
    bool beforeServed = false;
    bool operator==(const Hands&) const = default;
};

/// One way to make a dish: where and how long, what it asks of hands, what waiting costs.
struct Way {
    int readyAt = 0; ///< minutes from its start until its rest begins
    int shortestRest = 0;
    std::vector<int>
        waitCost; ///< of each minute beyond the shortest rest, summed; [0] = 0; never falls
    int cost = 0; ///< of the way itself
    std::vector<Use> uses;
    std::vector<Hands> hands;
    std::vector<Holding> holdings; ///< of each vessel one at most
    int longestRest() const { return shortestRest + static_cast<int>(waitCost.size()) - 1; }
};

struct Dish {
    std::vector<Way> ways;         ///< never empty
    std::optional<int> way, start; ///< pinned
    std::optional<int> cook;       ///< of the problem's cooks; none = any of them
    int earliest = 0, latest = 0;  ///< when it may be served
    int target = 0;                ///< and when it should be
    int late = 0;                  ///< minutes after `latest` that may be bought, dearly
};

struct Problem {
    std::vector<Dish> dishes;
    std::vector<Resource> resources;
    std::vector<int> vessels; ///< how many there are of each
    int cooks = 1;
    int leadWeight = 1;  ///< of a minute that the first work begins earlier
    int horizon() const; ///< the last minute that anything may end
    int latest() const;  ///< the latest serving that is asked for
};

/// The same kitchen with some of the dishes.
Problem partOf(const Problem& problem, const std::vector<std::size_t>& dishes);

/// What a dish may want that others want too: resources, and numbered after them vessels.
std::set<int> wantsOf(const Problem& problem, const Dish& dish);

/// A dish's place in a plan.
struct Placed {
    int way = 0, cook = 0, start = 0, served = 0;
    /// [use] when its heating up begins; none where it joins what is hot already.
    std::vector<std::optional<int>> heats;
    bool operator==(const Placed&) const = default;
};
struct Plan {
    std::vector<Placed> dishes; ///< as in the problem
    int cost = 0;               ///< `costOf` it
    bool operator==(const Plan&) const = default;
};

/// What a minute bought after the latest serving costs, and a hundredth of a noticed difference
/// beside a minute that the cook begins earlier.
inline constexpr int kLateCost = 1000, kWaitWeight = 5;
/// What a minute of hands costs that an appliance's heating up takes: no fire is lit without need.
inline constexpr int kHeatHandsCost = 20;
/// What a minute costs that a dish is served off its time.
inline constexpr int kOffCost = 4;

/// A warm place is not heated for less than so many minutes of waiting.
inline constexpr int kLeastWarmMin = 10;

/// When a use begins and ends in a plan.
struct Span {
    int from = 0, to = 0;
};
Span spanOf(const Use& use, const Placed& placed);
/// When its pan is not to be had.
Span spanOf(const Holding& holding, const Placed& placed);
/// When hands are wanted.
Span spanOf(const Hands& hands, const Placed& placed);
/// Minutes that a dish waits beyond its shortest rest.
int waitsFor(const Way& way, const Placed& placed);
/// What a dish costs by itself: its way, its waiting, and being off its time.
int costOf(const Dish& dish, const Placed& placed);
/// Waiting, ways and lateness in hundredths, weighed, and the minutes from the first work until
/// the latest serving that was asked for.
int costOf(const Problem& problem, const Plan& plan);

/// What a plan breaks, in words for a log; empty = it holds. Computed minute by minute, apart from
/// the search.
std::vector<std::string> broken(const Problem& problem, const Plan& plan);

} // namespace dynamet::plan
