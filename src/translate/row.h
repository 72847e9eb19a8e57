// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/likeness.h"
#include "translate/request.h"
#include "translate/tried.h"

#include <optional>

namespace dynamet::translate {

/// One reason for the width of a window: an input and its share of the variance of ln(time).
struct Cause {
    std::string name;
    double share = 0;
};

/// When to look, what to expect, when at the latest (definitions §5), s from food in. `lookS` is
/// early enough that the chance of being past the band by then is below 1 in 20.
struct Window {
    double lookS = 0;
    double earlyS = 0; ///< 2.5 % quantile of the time, rounded down: coverage is scored on it
    double expectS = 0;
    std::optional<double> latestS; ///< none when it may never get there
    double neverShare = 0;         ///< chance that the pull temperature is not reached
    double lnSd = 0;               ///< standard deviation of ln(time)
    bool sampled = false;
    std::optional<double> overshootS; ///< earliest with 5 % chance of passing the band; in `lookS`
    std::vector<Cause> causes;        ///< largest first
    /// The window as it would be without what was seen, where that told anything.
    struct Without {
        double lookS = 0, expectS = 0, latestS = 0;
    };
    std::optional<Without> without;
    evidence::Effects effects; ///< behind ln(time): what would narrow it is told from them
    evidence::Belief belief;   ///< that it was told from
};

/// What a rule of thumb says here, and what it would do to the food.
struct RuleOfThumb {
    kitchen::Setting setting; ///< of the target
    double timeFactor = 1;    ///< on the recipe's time
    double seconds = 0;
    std::optional<double> peakK; ///< of the core, if it were followed
};

/// How a row is set and run.
struct Instruction {
    kitchen::Setting setting;
    cook::Turning turning = cook::Turning::never;
    double pullK = 0; ///< core at which the watched stage is left, as printed: whole degrees
    bool lidOpen = false;
    double stageS = 0; ///< how long the moved stage takes where a time ends it, else 0
    bool byProbe =
        true; ///< false where no probe fits or the core says nothing: time and looks lead
};

/// One target at its best setting. `reached` false keeps the reason and nothing else.
struct Row {
    Target target;
    bool reached = false;
    bool held = true;  ///< false: the place cannot hold this food at all
    bool known = true; ///< false: nothing tells yet whether it could be reached
    Error reason = {}; ///< why it is not reached
    Instruction instruction;
    Tried tried; ///< by hand; the setting is in the instruction too
    cook::Outcome outcome;
    /// The last stage that is left by a core: the window is its own. None: all goes by the clock.
    std::optional<std::size_t> watched;
    double crustDistance = 0;
    std::optional<cook::Likeness> likeness; ///< of a recipe that gives setting and time only
    std::optional<Window> window;           ///< added after the search
    std::optional<Error> windowless;        ///< why there is none
    std::optional<RuleOfThumb> rule;
    std::vector<Finding> warnings; ///< "below_minimum", "assumed_field", "crust_not_reached"…
    long solves = 0;               ///< cooks that were simulated for it
    /// A time and not a core ends the last stage.
    bool lastByClock() const { return !watched || *watched < outcome.stages.size(); }
};

/// Of a recipe of minutes: so many just noticed differences are near enough to be called like it.
inline constexpr double kNearEnoughNoticed = 2;
/// Crust counts as the same below this distance (definitions §4).
inline constexpr double kSameCrust = 0.4;
/// Order of rows: reachable first, likeness of crust in steps of 0.2, rim, time.
bool ranksBefore(const Row& a, const Row& b, const cook::Outcome& reference);

} // namespace dynamet::translate
