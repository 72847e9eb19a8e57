// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A pot of water on a hob, burner or bath, its temperature logged. SI.
struct WaterHeatUp {
    Series water; ///< K
    double waterKg = 0;
    double potKg = 0;
    double potSpecificHeat = 500; ///< J/kgK
    double evaporatedKg = 0;      ///< weighed loss over the whole log
    bool lid = true;
    double ambientK = 295.15;
    double pressurePa = 101325;
    std::optional<double> energyJ;       ///< metered over the window that is evaluated
    std::optional<double> inputW;        ///< or the rated or metered input
    double lossW_K = 0.8;                ///< UA of pot and water to the room
    double fromK = 303.15, toK = 353.15; ///< window (30–80 °C)
    double hobLagS = 150;                ///< the window starts no earlier after the log's start
    // Standard uncertainties of what was measured or assumed (physics §4: 1.3 % thermometer,
    // 0.9 % water, 0.6 % pot, 0.9 % loss, 1.7 % evaporation when open, 3 % energy).
    double uWaterKg = 0.009;      ///< relative
    double uPotHeat = 0.05;       ///< relative, on mass × c of the pot
    double uGain = 0.013;         ///< relative, on temperature differences
    double uLossW_K = 0.35;       ///< W/K
    double uEvaporatedKg = 0.004; ///< kg
    double uEnergy = 0.03;        ///< relative
};

/// Net power into water and pot, W; with energy or input also the efficiency. Method after
/// IEC 60350-2 and EN 30-2-1 (from memory: heat a known mass of water, correct for the pan).
/// Refused: window not passed, time backwards, implausible unit, water boils inside the window.
Result<Reduction> reduceWaterHeatUp(const WaterHeatUp& test);

} // namespace dynamet::rating
