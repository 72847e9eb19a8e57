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
/// Inside temperature with so many coals, K, when a coal gives `ageFactor` of its mean heat.
double insideK(const OvenHeat& heat, int under, int lid, double ambientK, double ageFactor = 1);

struct Count {
    int under = 0, lid = 0;
};
/// Whole coals that come nearest to an inside temperature at a share on the lid (0…1), up to 60.
Count countFor(const OvenHeat& heat, double wantedK, double ambientK, double lidShare);

} // namespace dynamet::coals
