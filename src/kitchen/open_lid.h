// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"

namespace dynamet::kitchen {

/// Is it a grill or kettle whose lid can stand open over the food?
bool hasLid(ApplianceKind kind);

/// A covered grill's field with its lid up: from above the food sees the room, the air at the grate
/// keeps a share of its rise over the room (more over the fire), what glows or touches from below
/// stays. The changed numbers are assumed, wide, from memory; a rating of the closed grill stays in
/// what it scales.
HeatField withLidOpen(HeatField field, bool overFire, double ambientK);

} // namespace dynamet::kitchen
