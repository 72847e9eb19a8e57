// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/parse_temperature.h"
#include "rating/inputs/protocols.h"

namespace dynamet::rating {

/// A reading that was typed: the text beside its value.
struct KeyedReading {
    double value = 0; ///< K, s or a count, by the protocol's role
    std::string typed;
    bool operator==(const KeyedReading&) const = default;
};

/// Readings typed in a row, split by blanks or semicolons: "142 139 147 F". Names the one it cannot
/// read.
Result<std::vector<KeyedReading>> parseReadings(const std::string& typed, TemperatureUnit bare);

/// Whole counts or minutes typed in a row.
Result<std::vector<KeyedReading>> parseCounts(const std::string& typed);
Result<std::vector<KeyedReading>> parseMinutes(const std::string& typed);
/// By the role's kind; an error names the role.
Result<std::vector<KeyedReading>> parseKeyed(const KeyedRole& role, const std::string& typed,
                                             TemperatureUnit bare);

} // namespace dynamet::rating
