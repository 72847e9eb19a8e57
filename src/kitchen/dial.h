// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/setting.h"
#include "quantity/parse_temperature.h"

namespace dynamet::kitchen {

/// A control whose numbers are temperatures: a thermostat, or a pan's preheat, in °C, °F or gas
/// marks.
bool isTemperatureDial(const Control& control);
/// What a number on such a dial stands for. Gas marks outside ¼ to 9 are taken as the nearest.
Temperature dialTemperature(const Control& control, double value);
/// The nearest place on the dial, in its own unit and step.
double dialValue(const Control& control, Temperature temperature);

/// "350 °F", "gas ½", "1200 W", "120 mm": as the dial has it.
std::string dialText(const Control& control, double value);

/// "gas 4" for a temperature within half a mark of one, on a dial that is not marked so itself.
std::optional<std::string> nearestGasMark(const Control& control, Temperature temperature);

/// Reads what a cook typed for a numeric control. A bare number is in the dial's own unit; "180 C"
/// on a dial in °F, or "gas 4", is converted and put on the nearest step. Anything between two
/// steps is taken as typed: dials are turned, not clicked. invalidArgument says what the dial has.
Result<double> parseDial(const Control& control, const std::string& typed);

/// The same control marked in another unit ("C", "F" or "gas"), its range rounded outwards to what
/// such dials have.
Control markedIn(const Control& control, const std::string& unit);

} // namespace dynamet::kitchen
