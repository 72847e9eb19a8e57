// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A cold slab with its own probe set down on a hot plate, both logged on one clock. SI.
struct LoadDip {
    Series plate, load; ///< K
    double loadKg = 0.8;
    double specificHeat20 = 896, specificHeatSlope = 0.46; ///< J/kgK (aluminium; materials table)
    double loadAreaM2 = 0.0225;                            ///< face that touches
    double ambientK = 295.15;
    double topW_m2K = 11;              ///< load's other faces to the room, per touching area
    double plateLag = 3, loadLag = 3;  ///< s
    bool stone = false;                ///< a thick floor: find its effusivity instead
    double uLoad = 0.01, uArea = 0.01; ///< relative
    double radiantShare = 0.6;         ///< of the plate's loss before the dip
    double edge = 1, uEdge = 0.05; ///< heat drawn from the stone around the load, on what passed
    double uRadiantShare = 0.15, uTopW_m2K = 4, uLagS = 1.5, uBiasK = 0.7;
};

/// Metal: heat capacity (J/m²K), burner flux (W/m²) and loss (W/m²K) of the plate under the load,
/// jointly, and the load's own contact coefficient. Stone: effusivity, W s^½/m²K, after the
/// semi-infinite solid under a changing flux (Carslaw and Jaeger, §2.9). Refused: no dip found,
/// plate not settled before it, recovery too short.
Result<Reduction> reduceLoadDip(const LoadDip& test);

} // namespace dynamet::rating
