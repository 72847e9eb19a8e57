// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

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
    std::optional<TemperatureUnit> temperature;
};
NameMeaning meaningOf(std::string_view name);

/// The unit of a field in a column of units: "C", "°F", "K".
std::optional<TemperatureUnit> unitWord(std::string_view field);

} // namespace dynamet::formats
