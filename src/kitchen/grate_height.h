// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"

namespace dynamet::kitchen {

/// Where a grate usually stands over open coals, and how far off it can be said to be, m.
inline constexpr double kUsualGrateM = 0.12, kLowestGrateM = 0.02, kHighestGrateM = 0.6;

/// Does its zone lie over coals or a fire that a grate can be nearer to or farther from? Those
/// whose own control says the height do not.
bool hasGrateOverCoals(const Appliance& appliance, const Zone& zone);

/// What food over open coals gets with the grate at another height than the usual one: the glow
/// from below with the view of the bed, two coaxial disks (Incropera et al., table 13.2). Refused
/// by nobody: heights outside what is said above are taken at its ends.
HeatField atGrateHeight(HeatField field, double heightM);

} // namespace dynamet::kitchen
