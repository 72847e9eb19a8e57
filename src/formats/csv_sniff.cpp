// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_sniff.h"

#include "formats/csv_fields.h"
#include "formats/csv_names.h"
#include "formats/csv_table.h"
#include "formats/csv_time.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::formats {
namespace {

/// Share of a column's fields that are there and fulfil something.
template <class Test>
bool most(const Rows& rows, std::size_t column, Test test) {
    std::size_t good = 0, there = 0;
    for (const auto& row : rows) {
        if (isMissing(row[column]))
            continue;
        ++there;
        good += test(row[column]);
    }
    return there > 0 && good * 10 > there * 8;
}

std::vector<double> timesOf(const Rows& rows, std::size_t column, TimeStyle style, bool comma) {
    std::vector<double> out;
    for (const auto& row : rows)
        if (const auto time = readTime(row[column], style, comma))
            out.push_back(*time);
    return out;
}

/// A step back is an error for the reader to name, not a reason to overlook the time.
bool mostlyRising(const std::vector<double>& values, std::size_t rows) {
    std::size_t rising = 0;
    for (std::size_t i = 1; i < values.size(); ++i)
        rising += values[i] > values[i - 1];
    return values.size() > 2 && values.size() * 10 > rows * 9 &&
           (rising + 1) * 10 >= values.size() * 8;
}

/// Each value one more than the one before: rows may have been counted.
bool countsRows(const std::vector<double>& values) {
    for (std::size_t i = 1; i < values.size(); ++i)
        if (values[i] - values[i - 1] != 1)
            return false;
    return values.size() > 1 && values.front() == std::floor(values.front()) && values.front() <= 1;
}

struct TimeFound {
    TimeStyle style = TimeStyle::none;
    bool written = true;
    std::optional<CsvQuestion> question = {};
};

/// Day or month first: a figure over 12 tells, else the order in which steps are the smaller.
TimeFound dateOrder(const Rows& rows, std::size_t column) {
    const auto spanOf = [&](TimeStyle style) {
        const auto times = timesOf(rows, column, style, false);
        double worst = times.size() < rows.size() ? 1e18 : 0;
        for (std::size_t i = 1; i < times.size(); ++i)
            worst = std::max(worst, times[i] < times[i - 1] ? 1e18 : times[i] - times[i - 1]);
        return worst;
    };
    const double day = spanOf(TimeStyle::dayFirst), month = spanOf(TimeStyle::monthFirst);
    if (day == month)
        return {TimeStyle::dayFirst, false, CsvQuestion::dayOrMonth};
    return {day < month ? TimeStyle::dayFirst : TimeStyle::monthFirst};
}

/// "0:05": min:s or h:min. The name tells, a fraction, or figures that no clock has.
TimeFound twoPartClock(const Rows& rows, std::size_t column, const NameMeaning& name) {
    bool fraction = false, three = false, tooLong = false;
    for (const auto& row : rows) {
        const std::string_view field = unquoted(row[column]);
        const auto colons = std::count(field.begin(), field.end(), ':');
        three = three || colons > 1;
        fraction = fraction || (colons == 1 && field.find_first_of(".,") != std::string_view::npos);
        tooLong = tooLong || (colons == 1 && field.find(':') > 2);
    }
    const auto asHours = timesOf(rows, column, TimeStyle::elapsedClock, false);
    const bool fromNought = !asHours.empty() && asHours.front() < 3600;
    const bool clock = most(rows, column, [](std::string_view field) {
        return readTime(field, TimeStyle::clock, false).has_value();
    });
    if (!three && (name.minuteClock || fraction || tooLong || name.timeUnitS == 60 ||
                   (!clock && !name.hourClock)))
        return {TimeStyle::minuteClock};
    if (three || name.hourClock)
        return {clock && !fromNought ? TimeStyle::clock : TimeStyle::elapsedClock};
    if (!fromNought) // begins at an hour of the day
        return {TimeStyle::clock};
    return {TimeStyle::minuteClock, false, CsvQuestion::minutesOrHours};
}

TimeFound elapsedNumbers(const std::vector<double>& values, const NameMeaning& name) {
    if (values.front() >= 1e12)
        return {TimeStyle::unixMilliseconds};
    if (values.front() >= 1e9)
        return {TimeStyle::unixSeconds};
    if (!name.timeUnitS)
        return {TimeStyle::elapsedSeconds, false};
    return {*name.timeUnitS < 1    ? TimeStyle::elapsedMilliseconds
            : *name.timeUnitS == 1 ? TimeStyle::elapsedSeconds
            : *name.timeUnitS < 90 ? TimeStyle::elapsedMinutes
                                   : TimeStyle::elapsedHours};
}

/// How a column writes the time; nothing where it is no time.
std::optional<TimeFound> timeIn(const Rows& rows, std::size_t column, const NameMeaning& name,
                                bool header, bool comma) {
    const auto all = [&](TimeStyle style) {
        return most(rows, column,
                    [&](std::string_view f) { return readTime(f, style, comma).has_value(); });
    };
    if (all(TimeStyle::isoDateTime))
        return TimeFound{TimeStyle::isoDateTime};
    if (all(TimeStyle::dayFirst) || all(TimeStyle::monthFirst))
        return dateOrder(rows, column);
    if (all(TimeStyle::elapsedClock) || all(TimeStyle::minuteClock)) {
        const bool half = most(rows, column, [](std::string_view f) {
            return unquoted(f).find_first_of("mM") != std::string_view::npos;
        });
        return half ? TimeFound{TimeStyle::clock} : twoPartClock(rows, column, name);
    }
    const bool mayBe = name.time || (column == 0 && !header);
    if (!mayBe || !name.notUsed.empty())
        return std::nullopt;
    const auto values = timesOf(rows, column, TimeStyle::elapsedSeconds, comma);
    if (!mostlyRising(values, rows.size()) || (!header && countsRows(values)))
        return std::nullopt;
    return elapsedNumbers(values, name);
}

bool isDateColumn(const Rows& rows, std::size_t column) {
    return most(rows, column, [](std::string_view field) {
        return readDate(field, TimeStyle::dayFirst) || readDate(field, TimeStyle::monthFirst);
    });
}

bool mostlyNumbers(const Rows& rows, std::size_t column, bool comma) {
    std::size_t good = 0, missing = 0;
    for (const auto& row : rows) {
        good += readDecimal(row[column], comma).has_value();
        missing += isMissing(row[column]);
    }
    return good > 0 && (good + missing) * 10 > rows.size() * 7;
}

/// Readings without a unit: a log that begins in a room (5 to 45 °C, nobody starts at 41 °F) is in
/// °C. What begins between 50 and 110 may be a room in °F, what begins hotter anything.
bool plainlyCelsius(const Rows& rows, std::size_t column, bool comma) {
    for (const auto& row : rows)
        if (const auto value = readDecimal(row[column], comma))
            return *value >= 2 && *value <= 45;
    return false;
}

/// Names that differ in one letter ("Probe A", "Probe C"): the letter is no unit.
bool lettersAreNames(const std::vector<std::string_view>& header) {
    std::size_t single = 0;
    for (std::string_view raw : header) {
        const std::string_view name = unquoted(raw);
        if (name.size() > 2 && name[name.size() - 2] == ' ') {
            const char c = name.back();
            single += (c >= 'A' && c <= 'Z' && c != 'C' && c != 'F' && c != 'K');
        }
    }
    return single > 0;
}

struct Sniffer {
    const FirstRows& table;
    const CsvAnswers& answers;
    CsvDialect out = {};
    std::optional<std::size_t> unitColumn = {}; ///< a column of units
    std::optional<LogUnit> unitOfColumn = {};
    bool timeFound = false;

    NameMeaning nameOf(std::size_t column) const {
        NameMeaning name;
        if (!table.header.empty())
            name = meaningOf(unquoted(table.header[column]));
        const std::string_view raw =
            table.header.empty() ? std::string_view{} : unquoted(table.header[column]);
        const bool bareLetter = raw.size() > 2 && raw[raw.size() - 2] == ' ';
        if (bareLetter && lettersAreNames(table.header))
            name.written.reset();
        return name;
    }

    void findUnitColumn() {
        for (std::size_t c = 0; c < table.rows.front().size(); ++c)
            if (most(table.rows, c,
                     [](std::string_view f) { return unitWord(unquoted(f)).has_value(); })) {
                unitColumn = c;
                unitOfColumn = unitWord(unquoted(table.rows.front()[c]));
            }
    }

    Result<void> addColumn(std::size_t c) {
        CsvColumn column;
        const NameMeaning name = nameOf(c);
        column.name = table.header.empty() ? fmt::format("probe {}", c + 1)
                                           : std::string(unquoted(table.header[c]));
        const bool onlyOne = table.rows.front().size() == 1; // readings that rise are no time
        if (!timeFound && !onlyOne) {
            const auto found =
                timeIn(table.rows, c, name, !table.header.empty(), table.decimalComma);
            if (found) {
                takeTime(*found);
                column.use = ColumnUse::time;
                out.columns.push_back(column);
                return {};
            }
        }
        if (isDateColumn(table.rows, c)) {
            column.use = ColumnUse::date;
            takeDate(c);
        } else if (unitColumn == c) {
            column.use = ColumnUse::unit;
        } else if (!timeFound && name.time && !name.date) {
            return fail(Errc::parse,
                        fmt::format("the time \"{}\" is not understood",
                                    std::string(unquoted(table.rows.front()[c]).substr(0, 40))),
                        out.firstRow + (out.header ? 1 : 0));
        } else if (answers.weights != isScale(name, c)) {
            column.notUsed = answers.weights ? "temperature" : "power or weight";
        } else if (!answers.weights && !name.notUsed.empty()) {
            column.notUsed = name.notUsed;
        } else if (mostlyNumbers(table.rows, c, table.decimalComma)) {
            addProbe(column, name, c);
        }
        out.columns.push_back(column);
        return {};
    }

    /// A column of weights says so, or stands alone where a scale's log is wanted.
    bool isScale(const NameMeaning& name, std::size_t c) const {
        if (name.weight)
            return !(unitOfColumn && !isWeight(*unitOfColumn));
        if (!answers.weights || name.written || !name.notUsed.empty() || !name.role.empty())
            return unitOfColumn && isWeight(*unitOfColumn);
        const std::size_t numbers = static_cast<std::size_t>(std::count_if(
            table.rows.front().begin(), table.rows.front().end(),
            [&](std::string_view f) { return readDecimal(f, table.decimalComma).has_value(); }));
        return numbers <= 2 && c > 0;
    }

    void takeTime(const TimeFound& found) {
        timeFound = true;
        out.time = answers.time.value_or(found.style);
        out.timeWritten = found.written || answers.time.has_value();
        if (found.question && !answers.time)
            out.questions.push_back(*found.question);
    }

    /// Day or month first: only one order gives dates, or somebody has to say which day it was.
    void takeDate(std::size_t c) {
        const auto all = [&](TimeStyle order) {
            return most(table.rows, c,
                        [&](std::string_view f) { return readDate(f, order).has_value(); });
        };
        const bool day = all(TimeStyle::dayFirst), month = all(TimeStyle::monthFirst);
        const std::string_view first = table.rows.front()[c];
        if (!day)
            out.dateOrder = TimeStyle::monthFirst;
        else if (month &&
                 readDate(first, TimeStyle::dayFirst) != readDate(first, TimeStyle::monthFirst))
            out.questions.push_back(CsvQuestion::dayOrMonth);
    }

    void addProbe(CsvColumn& column, const NameMeaning& name, std::size_t c) {
        const bool counted = table.header.empty() && c == 0 && table.rows.front().size() > 1 &&
                             countsRows(timesOf(table.rows, c, TimeStyle::elapsedSeconds, false));
        if (counted) { // seconds, or the numbers of the rows: nobody can know
            column.notUsed = "counter";
            return;
        }
        column.use = ColumnUse::readings;
        column.role = name.role;
        const auto said = name.written ? name.written : unitOfColumn;
        column.unitWritten = said.has_value();
        column.unit = said.value_or(
            answers.unit.value_or(answers.weights ? LogUnit::gram : LogUnit::celsius));
        const bool plain = !answers.weights && plainlyCelsius(table.rows, c, table.decimalComma);
        if (!said && !answers.unit && !plain && !out.asks(CsvQuestion::unit))
            out.questions.push_back(CsvQuestion::unit);
    }
};

} // namespace

Result<CsvDialect> sniffCsv(std::string_view text, const CsvAnswers& answers) {
    const auto table = firstRowsOf(text);
    if (!table)
        return tl::unexpected(table.error());
    Sniffer sniffer{*table, answers};
    CsvDialect& out = sniffer.out;
    out.delimiter = table->delimiter;
    out.decimalComma = table->decimalComma;
    out.header = !table->header.empty();
    out.firstRow = table->firstRow;
    sniffer.findUnitColumn();
    for (std::size_t c = 0; c < table->rows.front().size(); ++c)
        if (const auto ok = sniffer.addColumn(c); !ok)
            return tl::unexpected(ok.error());
    if (!sniffer.timeFound) {
        out.time = TimeStyle::none;
        out.stepS = answers.intervalS.value_or(0);
        if (!answers.intervalS)
            out.questions.push_back(CsvQuestion::interval);
    }
    if (std::none_of(out.columns.begin(), out.columns.end(),
                     [](const CsvColumn& c) { return c.use == ColumnUse::readings; }))
        return fail(Errc::parse, "no column of readings found beside the time", out.firstRow);
    return std::move(sniffer.out);
}

} // namespace dynamet::formats
