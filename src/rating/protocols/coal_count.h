// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/oven_heat.h"
#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// Inside temperature of an iron oven at several counts of coals. SI.
struct CoalCount {
    std::vector<double> under, lid; ///< whole coals of each run
    std::vector<double> insideK;
    std::vector<double> ageS; ///< of the coals at each reading; empty = all alike
    double ambientK = 288.15;
    coals::Fuel fuel;
    coals::Air air;
    double ironKg = 0; ///< 0 = not weighed
    double ironSpecificHeat = 460;
    double halfS = 0; ///< time in which the cooling oven loses half its excess; 0 = not taken
    int fieldUnder = 0, fieldLid = 0; ///< the count whose field is wanted; 0 + 0 = the last run's
    double uReadingK = 6, uBiasK = 1.5, uAmbientK = 1.5;
    double uIron = 0.02, uHalf = 0.05, uFuel = 0.04; ///< relative
};

/// Kelvins that one coal under the oven and one on the lid are worth, jointly; with weighed iron
/// and its cool-down the loss (W/K) and heat per coal (W) and its share of what the fuel holds.
/// When all runs have one share on the lid, only a mean worth. Refused: fewer than two runs.
Result<Reduction> reduceCoalCount(const CoalCount& test);

} // namespace dynamet::rating
