// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/parse_temperature.h"
#include "rating/inputs/protocols.h"

namespace dynamet::rating {

/// What a cook typed into a needed value, in the unit that its name carries (kg, m², °C, s, J…).
/// Units may be written out; a bare number takes the field's own (temperatures: `bare`).
Result<double> parseNeeded(const NeededValue& value, const std::string& typed,
                           TemperatureUnit bare);

/// A value (in the unit that its name carries) as its field shows it, "1200 g"; not for
/// temperatures.
std::string shownValue(const NeededValue& value, double named);

/// One typed reading: its SI value (K, s, or a plain count) and the text.
struct TypedReading {
    double value = 0;
    std::string typed;
};
/// Readings typed in a row, split by blanks or semicolons: "142 139 147 F". Names the one it cannot
/// read.
Result<std::vector<TypedReading>> parseReadings(const std::string& typed, TemperatureUnit bare);

/// Whole counts or minutes typed in a row.
Result<std::vector<TypedReading>> parseCounts(const std::string& typed);
Result<std::vector<TypedReading>> parseMinutes(const std::string& typed);
/// By the role's kind; an error names the role.
Result<std::vector<TypedReading>> parseKeyed(const KeyedRole& role, const std::string& typed,
                                             TemperatureUnit bare);

} // namespace dynamet::rating
