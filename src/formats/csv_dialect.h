// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"

#include <string>
#include <vector>

namespace dynamet::formats {

/// How the time of a row is written. `none`: rows are one `stepS` apart.
enum class TimeStyle { none, isoDateTime, clock, elapsedSeconds, elapsedMinutes, elapsedClock };
const char* word(TimeStyle style);

/// What a column holds.
enum class ColumnUse { time, temperature, ignored };

struct CsvColumn {
    std::string name;
    ColumnUse use = ColumnUse::ignored;
    TemperatureUnit unit = TemperatureUnit::celsius;
    bool unitWritten = false; ///< the file says so; otherwise it is a guess to be confirmed
    bool operator==(const CsvColumn&) const = default;
};

/// How a log is written: recognised, shown, confirmed, kept with the readings.
struct CsvDialect {
    char delimiter = ',';
    bool decimalComma = false;
    bool header = true;
    int firstRow = 1; ///< 1-based line of the first row (or of the header)
    TimeStyle time = TimeStyle::elapsedSeconds;
    double stepS = 1; ///< for TimeStyle::none
    std::vector<CsvColumn> columns;
    bool operator==(const CsvDialect&) const = default;
};

/// One sentence a cook can check: "Semicolons, decimal comma, clock time, 2 probes in °C".
std::string describe(const CsvDialect& dialect);
/// Compact JSON for the book.
std::string dialectJson(const CsvDialect& dialect);

} // namespace dynamet::formats
