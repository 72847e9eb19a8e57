// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// The setting of fresh coals that heats as much as those of `setting`, laid `ageS` ago, with so
/// many lit ones more (fewer where negative), under and on the lid as they lay. An appliance
/// without coals to count keeps its setting.
Setting withCoalsAdded(const Appliance& oven, const Setting& setting, double ageS, int more,
                       const Site& site);
/// Coals that bring such an oven back to what it had when they were laid; 0 without a count.
int coalsBurnt(const Appliance& oven, const Setting& setting, double ageS, const Site& site);
/// How many lie there; 0 without a count.
int coalsIn(const Appliance& oven, const Setting& setting);

} // namespace dynamet::kitchen
