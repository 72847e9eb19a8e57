// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn.h"
#include "coals/placement.h"
#include "kitchen/site.h"
#include "quantity/result.h"

#include <vector>

namespace dynamet::kitchen {

/// Coals under an open grate: how many, lit in a chimney, how they lie, and how long ago they were
/// lit through.
struct OpenCoalsWish {
    double chimney = 1; ///< filled so far, 0…1 and more for a second one; a full one holds 2.5 kg
    coals::Layout layout = coals::Layout::even;
    double ageS = 0;
    double lastsS = 1800; ///< how long the cook takes
    coals::Fuel fuel;
    std::vector<double> heightsM{0.05, 0.10, 0.15, 0.20, 0.30}; ///< of grates; the second is usual
};

/// What a height of the grate gets. From memory: browning meat fast takes some 15 kW/m², grilling
/// 8, and less than 4 is slow (common practice, no source).
enum class CoalHeat { sears, grills, slow, hardly };
struct AtGrate {
    double heightM = 0;
    double fluxW_m2 = 0, u = 0; ///< radiation from below onto a small level face
    CoalHeat is = CoalHeat::grills;
};

struct OpenCoalsPlan {
    int coals = 0;
    double bedDiameterM = 0;
    std::vector<AtGrate> heights;
    double halfS = 0;         ///< until half of the heat is left
    double firstAddS = 0;     ///< add by then to keep it; 0 = it lasts
    int toAdd = 0;            ///< lit ones, each time
    double halfHeatFromM = 0; ///< height that halves what the usual one gets
};

/// A bed one layer deep (banked: two), glowing as one of lit coals (docs/physics.md, "Coals"); it
/// fades with what is left to burn, faster in wind and slower at altitude. invalidArgument: no
/// coals or more than four chimneys.
Result<OpenCoalsPlan> openCoals(const OpenCoalsWish& wish, const Site& site);

} // namespace dynamet::kitchen
