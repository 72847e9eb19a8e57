// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn.h"

namespace dynamet::coals {

/// What an iron oven makes of its coals: how far one raises the inside in the long run, K.
struct OvenHeat {
    double perUnderK = 6, perLidK = 6;
};

/// Loss of a 12 in iron oven, W/K: 1.5 (p/p0)^½ (1 + 0.9 u^0.8) + 1.2 (docs/physics.md, tuned).
double ovenLossW_K(const Air& air);
/// Share of a coal's heat that gets into the oven (0.11 to 0.26, docs/physics.md), and the iron of
/// a usual one.
struct IronOven {
    double captured = 0.15;
    double heatJ_K = 4000; ///< of 8.5 kg
};
/// How far one coal raises the inside over its first hour, K, in this air.
double risePerCoalK(const IronOven& oven, const Fuel& fuel, const Air& air);
/// Rise at a time since the coals were laid, in parts of that mean, the oven being settled when
/// they are: coals that burn down, slowed by the iron.
double risenShare(const IronOven& oven, const Fuel& fuel, const Air& air, double sinceS);

/// Inside temperature with so many coals, K, when a coal gives `ageFactor` of its mean heat.
double insideK(const OvenHeat& heat, int under, int lid, double ambientK, double ageFactor = 1);

struct Count {
    int under = 0, lid = 0;
};
/// Whole coals that come nearest to an inside temperature at a share on the lid (0…1), up to 60.
Count countFor(const OvenHeat& heat, double wantedK, double ambientK, double lidShare);

} // namespace dynamet::coals
