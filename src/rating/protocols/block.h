// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A small metal block put into a hot oven, air fryer or grill, its core logged; beside it, where
/// the air cycles, a probe's log. SI.
struct BlockTest {
    Series block;              ///< K, from the moment it goes in
    std::optional<Series> air; ///< K, same clock
    double massKg = 0.045;
    double areaM2 = 0.0065;
    double specificHeat20 = 896;     ///< J/kgK at 20 °C; aluminium 6061
    double specificHeatSlope = 0.46; ///< J/kgK per K (reference-values, materials)
    double conductivity = 167;       ///< W/mK, for the Biot number
    double density = 2700;
    double emissivity = 0.9;
    bool inLiquid = false;   ///< in a bag in a bath: no radiation, the field's liquid is meant
    bool forcedFlow = false; ///< a fan moves the air: h goes with L^−½, else L^−¼
    double blockLengthM = 0.045;
    double foodLengthM = 0.12;
    double airProbeLagS = 100;
    double skipS = 90;            ///< after the door: left out while the air recovers
    std::optional<double> limitK; ///< of the block's probe
    // Standard uncertainties (Type B).
    double uEmissivity = 0.03;
    double uHeat = 0.01;   ///< relative, on m·c/A
    double uBiasK = 0.6;   ///< block's probe
    double uAirLag = 0.3;  ///< relative, on the air probe's lag
    double uRadiantK = 15; ///< how far walls may differ from the air
};

/// What reduceBlock would refuse, found with one fit.
Result<void> checkBlock(const BlockTest& test);
/// Effective temperature and total coefficient, jointly, and the convective part for the field.
/// Refused: Bi ≥ 0.1, shorter than 0.6 time constants (2 with a cycling thermostat and no air log
/// warns), probe at its limit, time backwards, unit suspected.
Result<Reduction> reduceBlock(const BlockTest& test);

} // namespace dynamet::rating
