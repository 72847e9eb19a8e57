// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

namespace dynamet::translate {

/// The heat of a stage's place with all that the stage puts there (vessel, insert, cover, an open
/// lid), and how it is turned and changed while it goes on. `site` is the appliance's.
struct Handled {
    kitchen::HeatField field;
    std::vector<cook::Change> changes;
};
Result<Handled> handled(const Request& request, const recipe::Stage& written,
                        const kitchen::Site& site);

/// What of a stage's handling goes with it to another appliance: covers, turning (one after so many
/// minutes becomes one halfway) and what is done to the food again and again; not its settings,
/// places and moments, which are those of its own heat.
recipe::Handling carriedOver(const recipe::Handling& handling, const kitchen::Appliance& from,
                             const kitchen::Appliance& to);

/// Lets the stage be turned as its handling says; "as usual" leaves it.
void turnAs(cook::Stage& stage, const recipe::Turning& turning);

} // namespace dynamet::translate
