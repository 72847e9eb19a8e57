// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/simulation.h"
#include "food/doneness.h"

#include <stop_token>

namespace dynamet::cook {

/// invalidArgument with the reason when a piece cannot be cooked to a core: measures, a fat cap
/// thicker than the piece, a start as hot as the goal.
Result<void> checkPiece(const recipe::FoodPiece& piece, double coreK);
/// How far a what-if of thickness and start temperature makes sense about a piece, SI: half to
/// twice as thick, and from 20 K below a frozen or fresh start to a warm room; always inside what
/// `checkPiece` takes.
std::pair<double, double> thicknessRange(const recipe::FoodPiece& piece);
std::pair<double, double> startRange(const recipe::FoodPiece& piece);

/// What is wanted: a core temperature at the peak after the rest, at the pull (or in the bath), or
/// on the plate.
struct CookTarget {
    double coreK = 330;
    food::GoalMoment readAt = food::GoalMoment::peak;
};

/// What many cooks of one food at one pressure share.
struct Tables {
    std::shared_ptr<const heat::Material> material;
    std::shared_ptr<const heat::Vapour> vapour;
    std::stop_token stop = {}; ///< asked after every step; a cook that is stopped is refused
};
Tables tablesFor(const food::Food& food, double pressurePa);

/// Finds the pull so that the target is met, turning as the programme says (for "once" the turn is
/// put at half of the solved time). refused with the highest core when the target is not reached
/// within the programme's longest time.
Result<Outcome> cookTo(const recipe::FoodPiece& piece, const Programme& programme,
                       const CookTarget& target, const Effort& effort, const Tables& tables,
                       bool withSamples = false);

/// The same programme with its turns where the outcome had them.
Programme withFixedTurn(Programme programme, const Outcome& outcome);

/// Cooks until a time from the first stage's start, whatever comes out (what a rule of thumb would
/// do).
Result<Outcome> cookFor(const recipe::FoodPiece& piece, const Programme& programme, double seconds,
                        const Effort& effort, const Tables& tables, bool withSamples = false);

/// The same, with the time counted from the last stage's start, waits before it over.
Result<Outcome> cookLastFor(const recipe::FoodPiece& piece, const Programme& programme,
                            double lastS, const Effort& effort, const Tables& tables,
                            bool withSamples = false);

/// Whichever the programme says: `cookLastFor` its own time, or `cookTo` the target.
Result<Outcome> cookProgramme(const recipe::FoodPiece& piece, const Programme& programme,
                              const CookTarget& target, const Effort& effort, const Tables& tables,
                              bool withSamples = false);

/// Time from the first stage's start until the core first reaches a temperature in the last one, on
/// a fixed programme (turns at `turnAtS`), s; infinite when it is not reached.
Result<double> timeToReach(const recipe::FoodPiece& piece, const Programme& programme, double coreK,
                           const Effort& effort, const Tables& tables);

} // namespace dynamet::cook
