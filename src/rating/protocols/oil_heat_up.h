// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A fryer's oil heated at full power. SI.
struct OilHeatUp {
    Series oil; ///< K
    double oilKg = 0;
    double potJ_K = 700; ///< container and element
    double lossW_K = 2.5;
    double ambientK = 295.15;
    double fromK = 333.15, toK = 433.15; ///< window (60–160 °C)
    std::optional<double> energyJ;       ///< metered over the whole log
    double lagS = 60;                    ///< of the element
    double uOilKg = 0.005, uSpecificHeat = 0.04, uPotJ_K = 250, uLossW_K = 1, uGain = 0.01,
           uEnergy = 0.03; ///< uOilKg, uSpecificHeat, uGain, uEnergy relative
};

/// Specific heat of frying oil, J/kgK: 1870 + 3.4 T/°C (from memory, ± 4 %).
double oilSpecificHeat(double kelvin);
/// Net power (W), heat capacity of the filled fryer at 180 °C (J/K), with energy the efficiency.
/// Refused: the window is not passed, time backwards, unit suspected.
Result<Reduction> reduceOilHeatUp(const OilHeatUp& test);

} // namespace dynamet::rating
