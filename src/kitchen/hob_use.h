// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// A recipe's pan temperature is held by the cook, who turns the mark down in time: the burner
/// gives what it is rated at until the pan is there, and never drives it past (within 15 K;
/// definitions §5). What a mark alone does is the field without this. Fields without a burner stay
/// as they are.
HeatField withHeldPan(HeatField field);

/// With its pan limiter, which stops the burner and never lets the pan past it (within 10 K).
HeatField withPanLimit(HeatField field, double limitK);
/// What a pan holds, when its limiter lets it be no hotter.
Representative notAbove(Representative held, double limitK);
/// The mark that follows when the boost ends; empty where the setting is not the highest mark of a
/// hob whose boost ends.
std::optional<Setting> afterBoost(const Appliance& appliance, const Setting& setting);
/// With the burner's flux falling to that of `after` once the boost has ended.
HeatField withBoostEnding(HeatField field, const HeatField& after, double boostS);
/// The appliance's controls as far as its limiter lets them be set.
std::vector<Control> settable(const Appliance& appliance);
/// The rated input of a setting's mark or watts, W; 0 where it is not known.
double inputOf(const Appliance& appliance, const Setting& setting);

/// Time in which a power into the vessel brings a litre of water from 15 °C to the boil under a
/// lid, s; empty where it never gets there. The lidded pot loses about 1 W/K; common practice, no
/// source.
std::optional<double> litreBoilsS(double powerW, const Site& site);

} // namespace dynamet::kitchen
