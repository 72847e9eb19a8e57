// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"
#include "food/judgement.h"

namespace dynamet::cook {

/// One quality of a cook beside the wanted one, in just noticed differences: > 0 is hotter, darker,
/// drier, softer, leaner. The crust has two, of the darker and of the paler face.
struct Difference {
    food::Quality quality = food::Quality::core;
    double noticed = 0;
};
std::vector<Difference> differences(const Outcome& is, const Outcome& wanted,
                                    std::span<const food::Tolerance> judged);
double distanceOf(std::span<const Difference> differences);

/// A cook that is to become like another one in all that it is judged by.
struct LikeGoal {
    const Outcome* wanted = nullptr;
    std::vector<food::Tolerance> judged;
    /// A search has something so near already [just noticed differences]: what cannot come nearer
    /// is left early.
    double enough = std::numeric_limits<double>::infinity();
    std::vector<double> slopes = {}; ///< as a coarser search found them; empty = not known
};

/// How much of the time's say each quality has: shares of the squared slopes, largest first.
struct Say {
    food::Quality quality = food::Quality::core;
    double share = 0;
};

/// How near a cook comes to its goal.
struct Likeness {
    double distance = 0; ///< in just noticed differences, all together
    std::vector<Difference> differences;
    std::vector<double> slopes; ///< of each difference by the logarithm of the time
    std::vector<Say> says;
    /// Do core and mean decide when it is done, and does the core still rise there? Else time and
    /// looks lead.
    bool coreLeads() const;
};

struct LikeCook {
    Outcome outcome;
    Likeness likeness;
    int solves = 0;
};

/// The last stage for the time at which its outcome is nearest to the goal (definitions.md §5).
/// `guessS` of the last stage, 0 = no idea. Errors: those of the cook; refused when the core stays
/// far from the goal's.
Result<LikeCook> cookLike(const recipe::FoodPiece& piece, const Programme& programme,
                          const LikeGoal& goal, double guessS, const Effort& effort,
                          const Tables& tables);

} // namespace dynamet::cook
