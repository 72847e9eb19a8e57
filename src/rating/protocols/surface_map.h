// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/infrared.h"
#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// What the surface is to food: a plate with its thermostat, a floor it may lie on, or something
/// that radiates from above (a lid) or from below (a deflector).
enum class MappedSurface { plate, floor, lid, deflector };

/// Infrared readings spot by spot over a plate, row by row. SI.
struct SurfaceMap {
    std::vector<double> shownK;
    int perRow = 0; ///< 0 = not a grid
    kitchen::InfraredView view;
    MappedSurface surface = MappedSurface::plate;
    double uEmissivity = 0.05, uBackgroundK = 10, uGun = 0.01; ///< the last relative to °C
    std::optional<double> limitK;
};

/// The surface's true temperatures in the readings' order, K; refused as surfaceFromInfrared.
Result<std::vector<double>> trueSpots(const SurfaceMap& test);
/// Mean, spread (hottest − coldest), hottest and coldest spot, K. Refused: fewer than three spots,
/// emissivity below 0.5, readings at the gun's limit.
Result<Reduction> reduceSurfaceMap(const SurfaceMap& test);

} // namespace dynamet::rating
