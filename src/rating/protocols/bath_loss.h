// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A water bath heated at full power, then left to cool with the pump running. SI.
struct BathLoss {
    Series water; ///< K
    double waterKg = 0;
    double bodyJ_K = 600;  ///< container and heater
    double heaterOffS = 0; ///< from the log's start
    double ambientK = 295.15;
    double evaporatedKg = 0; ///< over the whole log
    bool lid = true;
    std::optional<double> energyJ; ///< metered until the heater went off
    double uWaterKg = 0.005, uBodyJ_K = 250, uAmbientK = 1, uBiasK = 0.3, uGain = 0.005,
           uEvaporatedKg = 0.01, uEnergy = 0.03; ///< uWaterKg, uGain, uEnergy relative
};

/// Heater's net power (W), loss (W/K, steam included), evaporation (kg/h) and the most water (kg)
/// that the heater brings from 20 to 60 °C within an hour. Refused: rose by less than 10 K, cooled
/// by less than 2 K, heater-off time outside the log.
Result<Reduction> reduceBathLoss(const BathLoss& test);

} // namespace dynamet::rating
