// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_dialect.h"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::formats {

namespace {

struct StyleWords {
    TimeStyle style;
    const char *word, *said;
};
constexpr std::array<StyleWords, 13> kStyles{
    {{TimeStyle::none, "none", "no times"},
     {TimeStyle::isoDateTime, "iso_date_time", "date and time"},
     {TimeStyle::dayFirst, "day_first", "date and time, the day first"},
     {TimeStyle::monthFirst, "month_first", "date and time, the month first"},
     {TimeStyle::clock, "clock", "clock time"},
     {TimeStyle::elapsedMilliseconds, "elapsed_ms", "elapsed milliseconds"},
     {TimeStyle::elapsedSeconds, "elapsed_s", "elapsed seconds"},
     {TimeStyle::elapsedMinutes, "elapsed_min", "elapsed minutes"},
     {TimeStyle::elapsedHours, "elapsed_h", "elapsed hours"},
     {TimeStyle::elapsedClock, "elapsed_clock", "elapsed h:min:s"},
     {TimeStyle::minuteClock, "elapsed_min_s", "elapsed min:s"},
     {TimeStyle::unixSeconds, "unix_s", "seconds since 1970"},
     {TimeStyle::unixMilliseconds, "unix_ms", "milliseconds since 1970"}}};

const StyleWords& wordsOf(TimeStyle style) {
    for (const StyleWords& words : kStyles)
        if (words.style == style)
            return words;
    return kStyles.front();
}

const char* delimiterWords(char delimiter) {
    switch (delimiter) {
    case ';':
        return "semicolons";
    case '\t':
        return "tabs";
    case '|':
        return "bars";
    default:
        return "commas";
    }
}

} // namespace

const char* enumName(TimeStyle style) {
    return wordsOf(style).word;
}

std::optional<TimeStyle> timeStyleOf(const std::string& word) {
    for (const StyleWords& words : kStyles)
        if (word == words.word)
            return words.style;
    return std::nullopt;
}

const char* logUnitSign(LogUnit unit) {
    constexpr std::array<const char*, 7> kSigns{"°C", "°F", "K", "g", "kg", "oz", "lb"};
    return kSigns[static_cast<std::size_t>(unit)];
}

bool isWeight(LogUnit unit) {
    return unit >= LogUnit::gram;
}

double siOf(double recorded, LogUnit unit) {
    constexpr double kOunce = 0.028349523125, kPound = 0.45359237;
    switch (unit) {
    case LogUnit::celsius:
        return Temperature::celsius(recorded).kelvin();
    case LogUnit::fahrenheit:
        return Temperature::fahrenheit(recorded).kelvin();
    case LogUnit::gram:
        return recorded * 1e-3;
    case LogUnit::ounce:
        return recorded * kOunce;
    case LogUnit::pound:
        return recorded * kPound;
    case LogUnit::kelvin:
    case LogUnit::kilogram:
        break;
    }
    return recorded;
}

bool CsvDialect::asks(CsvQuestion question) const {
    return std::find(questions.begin(), questions.end(), question) != questions.end();
}

std::string describe(const CsvDialect& dialect) {
    std::string units;
    int probes = 0;
    bool guessed = false;
    for (const CsvColumn& column : dialect.columns)
        if (column.use == ColumnUse::readings) {
            ++probes;
            guessed = guessed || !column.unitWritten;
            const std::string sign = logUnitSign(column.unit);
            if (units.find(sign) == std::string::npos)
                units += (units.empty() ? "" : " and ") + sign;
        }
    std::string time = wordsOf(dialect.time).said;
    if (dialect.time == TimeStyle::none && dialect.stepS > 0)
        time = fmt::format("rows {:g} s apart", dialect.stepS);
    else if (!dialect.timeWritten)
        time += " (guessed: please check)";
    const bool weights =
        std::any_of(dialect.columns.begin(), dialect.columns.end(), [](const CsvColumn& c) {
            return c.use == ColumnUse::readings && isWeight(c.unit);
        });
    const char* what = weights       ? (probes == 1 ? "scale" : "scales")
                       : probes == 1 ? "probe"
                                     : "probes";
    return fmt::format("Columns split by {}, decimal {}, {}, {}; {} {} in {}{}",
                       delimiterWords(dialect.delimiter), dialect.decimalComma ? "comma" : "point",
                       dialect.header ? "with a header" : "no header", time, probes, what, units,
                       dialect.asks(CsvQuestion::unit)
                           ? (weights ? "? the unit is not known" : " or °F: not known")
                       : guessed ? " (guessed: please check the unit)"
                                 : "");
}

std::string dialectJson(const CsvDialect& dialect) {
    nlohmann::json columns = nlohmann::json::array();
    for (const CsvColumn& column : dialect.columns)
        columns.push_back({{"name", column.name},
                           {"use", column.use == ColumnUse::time       ? "time"
                                   : column.use != ColumnUse::readings ? "ignored"
                                   : isWeight(column.unit)             ? "weight"
                                                                       : "temperature"},
                           {"unit", logUnitSign(column.unit)},
                           {"unit_written", column.unitWritten}});
    return nlohmann::json{{"delimiter", std::string(1, dialect.delimiter)},
                          {"decimal_comma", dialect.decimalComma},
                          {"header", dialect.header},
                          {"first_row", dialect.firstRow},
                          {"time", enumName(dialect.time)},
                          {"time_written", dialect.timeWritten},
                          {"step_s", dialect.stepS},
                          {"columns", columns}}
        .dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
}

} // namespace dynamet::formats
