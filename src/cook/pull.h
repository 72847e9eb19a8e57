// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"
#include "cook/stage_cooking.h"

namespace dynamet::cook {

/// The last stage as far as its core has to come, with moments to come back to.
struct CookedSoFar {
    std::vector<StageOutcome> stages;
    double startS = 0; ///< of the last stage
    TurnedStage last;
};

/// Is the turn to be found, at half of the last stage's time?
bool seeksTurn(const Programme& programme);

/// Cooks the last stage to its target, with the turn of "once" put at half of the time it is on.
/// `guessS` = 0: no idea.
/// Errors: refused with the highest core when the target is not reached, or when it is passed
/// already.
Result<Outcome> solveLast(Simulation& simulation, CookedSoFar& passed,
                          const recipe::FoodPiece& piece, const Programme& programme,
                          const CookTarget& target, double guessS, const Effort& effort);

} // namespace dynamet::cook
