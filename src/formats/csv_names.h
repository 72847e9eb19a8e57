// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"

#include "quantity/print.h"

#include <optional>
#include <string>
#include <string_view>

namespace dynamet::formats {

/// What a column's name says of it, in the languages that loggers speak.
struct NameMeaning {
    bool time = false, date = false, unit = false;
    std::optional<double> timeUnitS; ///< "Time (ms)": 0.001
    bool minuteClock = false;        ///< "mm:ss"
    bool hourClock = false;          ///< "hh:mm"
    std::string notUsed; ///< "set-point", "counter", "humidity"…; empty: a probe may be
    std::string role;    ///< what the probe is in: "air", "block", "front left", "room"…
    std::optional<LogUnit> written; ///< the unit that stands in it
    bool weight = false;            ///< a scale's
};
NameMeaning meaningOf(std::string_view name);

/// The unit of a field in a column of units: "C", "°F", "K", "g".
std::optional<LogUnit> unitWord(std::string_view field);

} // namespace dynamet::formats
