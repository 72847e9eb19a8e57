// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::formats {

/// How the time of a row is written. `none`: rows are one `stepS` apart.
enum class TimeStyle {
    none,
    isoDateTime,
    dayFirst,   ///< "03.04.2026 14:05:00"
    monthFirst, ///< "4/3/2026 2:05 PM"
    clock,
    elapsedMilliseconds,
    elapsedSeconds,
    elapsedMinutes,
    elapsedHours,
    elapsedClock, ///< h:min or h:min:s
    minuteClock,  ///< min:s, also with tenths
    unixSeconds,
    unixMilliseconds
};
const char* enumName(TimeStyle style);
/// nullopt for a word that is no style.
std::optional<TimeStyle> timeStyleOf(const std::string& word);

/// What readings are written in.
enum class LogUnit { celsius, fahrenheit, kelvin, gram, kilogram, ounce, pound };
const char* logUnitSign(LogUnit unit); ///< "°C", "kg"…
bool isWeight(LogUnit unit);
double siOf(double recorded, LogUnit unit); ///< K or kg

/// What a column holds.
enum class ColumnUse { time, date, unit, readings, ignored };

struct CsvColumn {
    std::string name;
    ColumnUse use = ColumnUse::ignored;
    LogUnit unit = LogUnit::celsius;
    bool unitWritten = false; ///< the file says so; otherwise it is a guess to be confirmed
    std::string role;    ///< what its name says it is in: "air", "block", "room"…; may be empty
    std::string notUsed; ///< why a column of numbers is no probe: "set-point", "counter"…
    bool operator==(const CsvColumn&) const = default;
};

/// What a file leaves open; somebody has to answer before it is read.
enum class CsvQuestion {
    interval,       ///< it has no times: how far are its rows apart?
    minutesOrHours, ///< "0:05": five seconds or five minutes?
    dayOrMonth,     ///< "03/04/2026": only the date of the test hangs on it
    unit            ///< readings that are plausible in °C and in °F, or weights without one
};

/// How a log is written: recognised, shown, confirmed, kept with the readings.
struct CsvDialect {
    char delimiter = ',';
    bool decimalComma = false;
    bool header = true;
    int firstRow = 1; ///< 1-based line of the first row (or of the header)
    TimeStyle time = TimeStyle::elapsedSeconds;
    bool timeWritten = true; ///< the file says how; otherwise it is a guess to be confirmed
    double stepS = 0;        ///< for TimeStyle::none; 0 = not known: nothing is read
    TimeStyle dateOrder = TimeStyle::dayFirst; ///< of a column of dates beside the times
    std::vector<CsvColumn> columns;
    std::vector<CsvQuestion> questions;
    bool asks(CsvQuestion question) const;
    bool operator==(const CsvDialect&) const = default;
};

/// What a cook (or an option) says of a file; it overrules what was recognised.
struct CsvAnswers {
    std::optional<double> intervalS;
    std::optional<TimeStyle> time;
    std::optional<LogUnit> unit; ///< of every column that names none
    bool weights = false;        ///< the log of a scale is wanted, not temperatures
};

/// One sentence a cook can check: "Semicolons, decimal comma, clock time, 2 probes in °C".
std::string describe(const CsvDialect& dialect);
/// Compact JSON for the book.
std::string dialectJson(const CsvDialect& dialect);

} // namespace dynamet::formats
