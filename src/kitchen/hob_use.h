// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// A recipe's pan temperature is held by the cook, who turns the mark down in time: the burner
/// gives what it is rated at until the pan is there, and never drives it past (within 15 K;
/// definitions §5). What a mark alone does is the field without this. Fields without a burner stay
/// as they are.
HeatField withHeldPan(HeatField field);

/// Time in which a power into the vessel brings a litre of water from 15 °C to the boil under a
/// lid, s; empty where it never gets there. The lidded pot loses about 1 W/K; common practice, no
/// source.
std::optional<double> litreBoilsS(double powerW, const Site& site);

} // namespace dynamet::kitchen
