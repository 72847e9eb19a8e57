// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"
#include "kitchen/site.h"
#include "kitchen/vessel.h"

namespace dynamet::kitchen {

/// Where a field is asked for: everything but the appliance and its setting.
struct Place {
    std::string zone;
    Site site;
    std::optional<Vessel> vessel; ///< hobs need one
    std::string insertId;
};

/// The assumed field of an appliance's kind at a setting: wide, every number marked assumed.
/// Numbers from data/typical_fields.json. invalidArgument: the setting does not fit the controls,
/// an unknown zone, a hob without a vessel.
Result<HeatField> typicalField(const Appliance& appliance, const Setting& setting,
                               const Place& place);

/// A new appliance of a kind with its usual controls and zones, no id, no name; its dials are
/// marked in °C or in °F.
Result<Appliance> typicalAppliance(ApplianceKind kind,
                                   TemperatureUnit marks = TemperatureUnit::celsius);

/// The controls of a hob whose knob is marked in watts, up to its rated input.
std::vector<Control> withWatts(const Appliance& hob);

} // namespace dynamet::kitchen
