// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A black block, insulated but for one face, held to a fire, a broiler or a fan. SI.
struct OneFaceBlock {
    Series block; ///< K
    double massKg = 0.12, areaM2 = 0.0025;
    double specificHeat20 = 896, specificHeatSlope = 0.46;
    double emissivity = 0.95;
    double airK = 373.15;          ///< of the air that touches the face
    double leakW_m2K = 2;          ///< through the insulation to the air, per face area
    bool fromBelow = true;         ///< the face looks down
    bool coefficientKnown = false; ///< hold `knownW_m2K` instead of fitting it (short logs)
    double knownW_m2K = 20;
    double skipS = 10;
    std::optional<double> limitK;
    // Standard uncertainties.
    double uEmissivity = 0.03, uHeat = 0.012, uBiasK = 1.0, uAirK = 15, uLeakW_m2K = 1,
           uKnown = 0.25; ///< uHeat and uKnown relative
};

/// Flux into a black face at 40 °C and the irradiation that falls on it (W/m²): of coals only this
/// product of view and T⁴ can be known; and the air's coefficient. Refused: probe at its limit,
/// rose by less than 40 K.
Result<Reduction> reduceOneFaceBlock(const OneFaceBlock& test);

} // namespace dynamet::rating
