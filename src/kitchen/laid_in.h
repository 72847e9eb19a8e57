// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"
#include "kitchen/site.h"
#include "kitchen/vessel.h"

namespace dynamet::kitchen {

/// The heat of a place for food that lies in a vessel there: the vessel stores heat, gets it from
/// the place's air, glow and plate, and passes it on where it touches; a rack changes nothing. It
/// goes in as warm as `startK`. What was measured there with it stays; the rest is assumed, wide,
/// from memory (docs/physics.md). A liquid's field stays as it is.
HeatField laidIn(HeatField field, const Vessel& vessel, double startK);

/// The same for a part that was put in and heated up with the appliance: a plate or a stone touches
/// the food, a raised grate marks it, a deflector hides the glow from below, a water trough
/// moistens the air.
HeatField withInsert(HeatField field, InsertKind insert);

/// Where a body under the food's place settles with nothing on it, K: between the air, what glows
/// and what it stands on; with its coefficient, W/m²K, per area of its underside.
struct Settles {
    double kelvin = 0, u = 0, coefficient = 0;
};
Settles settlesIn(const HeatField& field, double emissivity);

} // namespace dynamet::kitchen
