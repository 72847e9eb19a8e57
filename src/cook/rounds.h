// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"

namespace dynamet::cook {

/// One batch of several on the same plate.
struct Round {
    double plateStartK = 0; ///< of the plate as the batch goes on; NaN where nothing touches
    Outcome outcome;
};

/// Batches one after another: each finds the plate as the last one left it, `gapS` later, its
/// burner on all the while. Without a plate all rounds are alike. refused with the round that does
/// not get there.
Result<std::vector<Round>> cookRounds(const recipe::FoodPiece& piece, const Programme& programme,
                                      const CookTarget& target, int rounds, double gapS,
                                      const Effort& effort, const Tables& tables);

/// Temperature of an empty plate after a time, K.
double plateAfter(const heat::LumpedPlate& plate, double startK, double seconds);

} // namespace dynamet::cook
