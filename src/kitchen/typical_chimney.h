// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// The gas, the bed and the view of it over a chimney of coals, by its fill, age and grate height
/// where it has such controls (coals/chimney_bed.h). Fills are marks in rising order; ages are just
/// lit, glowing, dying.
void addChimney(HeatField& field, const Appliance& appliance, const Setting& setting,
                const Site& site);

} // namespace dynamet::kitchen
