// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/parse_temperature.h"

#include <string>
#include <vector>

namespace dynamet::rating {

/// A reading that was typed with its moment.
struct TimedReading {
    double timeS = 0;
    double value = 0; ///< in the unit of all of them
};
struct TimedReadings {
    std::vector<TimedReading> readings;
    TemperatureUnit unit = TemperatureUnit::celsius;
};

/// Readings with the clock beside them, "0 65, 1 82, 2:30 99": minutes, or minutes:seconds, then
/// what was read; a comma and a blank, a semicolon or a new line between. A unit may stand behind a
/// reading and holds for all. invalidArgument names the pair that is none, or a time that runs
/// back.
Result<TimedReadings> parseTimed(const std::string& typed, TemperatureUnit bare);

} // namespace dynamet::rating
