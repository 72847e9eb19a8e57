// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/parse_temperature.h"
#include "rating/inputs/protocols.h"

namespace dynamet::rating {

/// What a cook typed for a value, in the unit of its name (kg, m², °C, s, J…), inside its range.
/// Units may be written out; a bare number takes the field's own (temperatures: `bare`). Errors
/// name the field.
Result<double> parseValue(const ValueSpec& spec, const std::string& typed, TemperatureUnit bare);

/// A value (in the unit of its name) as its field shows it, "1200 g".
std::string shownValue(const ValueSpec& spec, double named, TemperatureUnit unit);
/// What stands in its field at first; empty where nothing is usual.
std::string usualText(const ValueSpec& spec, TemperatureUnit unit);

/// A form's texts by name, read: numbers and choices. An optional value left empty is left out.
struct TypedValues {
    std::map<std::string, double> values;
    std::map<std::string, std::string> choices;
};
Result<TypedValues> readTyped(const Protocol& protocol,
                              const std::map<std::string, std::string>& typed,
                              TemperatureUnit bare);
/// The same where the values are written in the units of their names ("water_kg" = "1.5").
Result<TypedValues> readNamed(const Protocol& protocol,
                              const std::map<std::string, std::string>& written);

} // namespace dynamet::rating
