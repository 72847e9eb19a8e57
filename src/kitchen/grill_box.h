// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/site.h"

#include <span>
#include <vector>

namespace dynamet::kitchen {

/// A covered grill over burners that lie side by side: what they give leaves with the draught
/// through the openings and through the walls, and part of it stays near the burner that gave it.
/// Dimensions as most are built (from memory), each known only roughly.
struct GrillBox {
    double burnerW = 3000;      ///< each, full
    double burnerWidthM = 0.16; ///< of the box, per burner
    double depthM = 0.45;       ///< front to back
    double wallHeightM = 0.30;  ///< below and above the grate together
    double openingPerBurnerM2 = 0.0065;
    double draughtHeightM = 0.25; ///< from the openings below to those in the lid
    double wallFactor = 1;        ///< of the walls' loss
    double mixedShare = 0.5;      ///< of a burner's heat, spread over all of the box
};

/// Air at the grate over each burner, as a rise above the room, K. `shares` 0…1 of full, left to
/// right, at least one.
std::vector<double> grillRises(const GrillBox& box, std::span<const double> shares,
                               const Site& site);

/// Rise and its standard uncertainty over the hottest burner (direct) or at the coolest place, from
/// how well a typical grill's power, low flame, openings, walls and mixing are known.
struct GrillRise {
    double riseK = 0;
    double u = 0;
};
GrillRise grillRise(const GrillBox& box, std::span<const double> shares, bool direct,
                    const Site& site);

} // namespace dynamet::kitchen
