// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_dialect.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::formats {

const char* word(TimeStyle style) {
    switch (style) {
    case TimeStyle::none:
        return "none";
    case TimeStyle::isoDateTime:
        return "iso_date_time";
    case TimeStyle::clock:
        return "clock";
    case TimeStyle::elapsedSeconds:
        return "elapsed_s";
    case TimeStyle::elapsedMinutes:
        return "elapsed_min";
    case TimeStyle::elapsedClock:
        return "elapsed_clock";
    }
    return "none";
}

namespace {

const char* timeWords(TimeStyle style) {
    switch (style) {
    case TimeStyle::none:
        return "no time column";
    case TimeStyle::isoDateTime:
        return "date and time";
    case TimeStyle::clock:
        return "clock time";
    case TimeStyle::elapsedSeconds:
        return "elapsed seconds";
    case TimeStyle::elapsedMinutes:
        return "elapsed minutes";
    case TimeStyle::elapsedClock:
        return "elapsed h:min:s";
    }
    return "";
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

std::string describe(const CsvDialect& dialect) {
    std::string units;
    int probes = 0;
    bool guessed = false;
    for (const CsvColumn& column : dialect.columns)
        if (column.use == ColumnUse::temperature) {
            ++probes;
            guessed = guessed || !column.unitWritten;
            const std::string sign = unitSign(column.unit);
            if (units.find(sign) == std::string::npos)
                units += (units.empty() ? "" : " and ") + sign;
        }
    return fmt::format("Columns split by {}, decimal {}, {}, {}; {} {} in {}{}",
                       delimiterWords(dialect.delimiter), dialect.decimalComma ? "comma" : "point",
                       dialect.header ? "with a header" : "no header",
                       timeWords(dialect.time), probes, probes == 1 ? "probe" : "probes",
                       units, guessed ? " (guessed: please check the unit)" : "");
}

std::string dialectJson(const CsvDialect& dialect) {
    nlohmann::json columns = nlohmann::json::array();
    for (const CsvColumn& column : dialect.columns)
        columns.push_back({{"name", column.name},
                           {"use", column.use == ColumnUse::time          ? "time"
                                   : column.use == ColumnUse::temperature ? "temperature"
                                                                          : "ignored"},
                           {"unit", unitSign(column.unit)}});
    return nlohmann::json{{"delimiter", std::string(1, dialect.delimiter)},
                          {"decimal_comma", dialect.decimalComma},
                          {"header", dialect.header},
                          {"first_row", dialect.firstRow},
                          {"time", word(dialect.time)},
                          {"step_s", dialect.stepS},
                          {"columns", columns}}
        .dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
}

} // namespace dynamet::formats
