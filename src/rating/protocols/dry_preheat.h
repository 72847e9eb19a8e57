// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// An empty plate or pan heated at a steady mark and then left to cool, its surface logged. SI.
struct DryPreheat {
    Series plate;               ///< K
    std::optional<double> offS; ///< when the heat went off; else the log's hottest moment
    double massKg = 0;          ///< 0 = not weighed: only ratios are found
    double specificHeat = 460;
    double areaM2 = 0.04;
    double ambientK = 295.15;
    double hobLagS = 60;        ///< left out after each switch
    double referenceK = 503.15; ///< where the loss is stated (230 °C)
    double radiantShare = 0.6;  ///< of the loss there (docs/physics.md: 14 of 22–25 W/m²K)
    double uRadiantShare = 0.1, uMass = 0.01, uSpecificHeat = 0.03,
           uArea = 0.01; ///< last 3 relative
    double uBiasK = 1, uGain = 0.01, uAmbientK = 2;
};

/// Power and loss per heat capacity; with the weight the flux into the plate (W/m²), its loss at
/// the reference (W/m²K) and its heat capacity (J/m²K). Refused: never cooled, heated by less than
/// 60 K, time backwards.
Result<Reduction> reduceDryPreheat(const DryPreheat& test);

} // namespace dynamet::rating
