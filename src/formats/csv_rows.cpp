// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_rows.h"

#include "formats/csv_fields.h"
#include "formats/csv_names.h"
#include "formats/csv_time.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::formats {
namespace {

constexpr std::size_t kMostJunkShare = 5; // more than a fifth of the lines: this is no such log

std::string quoted(std::string_view field) {
    return fmt::format("\"{}\"", std::string(unquoted(field).substr(0, 40)));
}

int decimalsOf(std::string_view field, bool comma) {
    const auto point = field.find(comma ? ',' : '.');
    return point == std::string_view::npos
               ? 0
               : static_cast<int>(unquoted(field.substr(point)).size()) - 1;
}

/// Reads rows into the log; keeps what the next row needs to know.
struct Reader {
    const CsvDialect& dialect;
    ParsedLog out;
    std::vector<int> decimals;
    std::vector<std::size_t> channelColumns;
    std::size_t timeColumn = 0;
    std::optional<std::size_t> dateColumn, unitColumn;
    double first = 0, before = -1e300, dayS = 0;
    std::optional<double> startDayS; ///< of a column of dates
    std::vector<std::string_view> fields;

    explicit Reader(const CsvDialect& d) : dialect(d) {
        for (std::size_t c = 0; c < d.columns.size(); ++c) {
            if (d.columns[c].use == ColumnUse::time)
                timeColumn = c;
            if (d.columns[c].use == ColumnUse::date)
                dateColumn = c;
            if (d.columns[c].use == ColumnUse::unit)
                unitColumn = c;
            if (d.columns[c].use == ColumnUse::readings) {
                channelColumns.push_back(c);
                out.channels.push_back({d.columns[c].name, d.columns[c].unit, {}, 0});
            }
        }
        decimals.assign(channelColumns.size(), 0);
    }

    /// A header that comes again names the same units.
    Result<void> checkHeader(int number) const {
        if (!dialect.header || fields.size() != dialect.columns.size())
            return {};
        for (std::size_t i = 0; i < channelColumns.size(); ++i) {
            const auto said = meaningOf(unquoted(fields[channelColumns[i]])).written;
            const CsvColumn& column = dialect.columns[channelColumns[i]];
            if (said && column.unitWritten && *said != column.unit)
                return fail(Errc::parse,
                            fmt::format("from here on {} is in {}: cut the log in two",
                                        quoted(fields[channelColumns[i]]), logUnitSign(*said)),
                            number);
        }
        return {};
    }

    Result<void> checkUnit(int number) {
        if (!unitColumn || *unitColumn >= fields.size())
            return {};
        const auto said = unitWord(unquoted(fields[*unitColumn]));
        if (said && *said != dialect.columns[channelColumns.front()].unit)
            return fail(Errc::parse,
                        fmt::format("from here on readings are in {}: cut the log in two",
                                    logUnitSign(*said)),
                        number);
        return {};
    }

    /// true = a row, false = junk.
    Result<bool> row(std::string_view line, int number) {
        splitLine(line, dialect.delimiter, fields);
        std::optional<double> time;
        if (dialect.time == TimeStyle::none)
            time = static_cast<double>(out.timeS.size()) * dialect.stepS;
        else if (timeColumn < fields.size())
            time = readTime(fields[timeColumn], dialect.time, dialect.decimalComma);
        if (!time || fields.size() < 2 - (dialect.time == TimeStyle::none ? 1u : 0u)) {
            if (const auto ok = checkHeader(number); !ok)
                return tl::unexpected(ok.error());
            return false;
        }
        if (fields.size() < dialect.columns.size() && channelColumns.back() >= fields.size())
            return fail(Errc::parse,
                        fmt::format("{} columns where {} were expected", fields.size(),
                                    dialect.columns.size()),
                        number);
        if (dialect.time == TimeStyle::clock && *time + dayS < before - 12 * 3600)
            dayS += 86400;
        const double at = *time + dayS;
        if (at < before)
            return fail(Errc::parse,
                        fmt::format("time runs backwards at {}", quoted(fields[timeColumn])),
                        number);
        if (const auto ok = checkUnit(number); !ok)
            return tl::unexpected(ok.error());
        for (std::size_t i = 0; i < channelColumns.size(); ++i) {
            const std::string_view field = fields[channelColumns[i]];
            const auto value = readDecimal(field, dialect.decimalComma);
            if (!value && !isMissing(field))
                return fail(Errc::parse,
                            fmt::format("{} in column {} is not a number", quoted(field),
                                        channelColumns[i] + 1),
                            number);
            out.channels[i].asRecorded.push_back(
                value.value_or(std::numeric_limits<double>::quiet_NaN()));
            if (value && out.timeS.size() < 2000)
                decimals[i] = std::max(decimals[i], decimalsOf(field, dialect.decimalComma));
        }
        if (out.timeS.empty()) {
            first = at;
            if (dateColumn && *dateColumn < fields.size())
                startDayS = readDate(fields[*dateColumn], dialect.dateOrder);
        }
        before = at;
        out.timeS.push_back(at - first);
        return true;
    }
};

int countGaps(const std::vector<double>& t) {
    if (t.size() < 4)
        return 0;
    std::vector<double> steps;
    for (std::size_t i = 1; i < t.size(); ++i)
        steps.push_back(t[i] - t[i - 1]);
    std::vector<double> sorted = steps;
    std::nth_element(sorted.begin(),
                     sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2), sorted.end());
    const double usual = sorted[sorted.size() / 2];
    return static_cast<int>(std::count_if(
        steps.begin(), steps.end(), [usual](double s) { return usual > 0 && s > 5 * usual; }));
}

} // namespace

Result<ParsedLog> parseCsv(std::string_view text, const CsvDialect& dialect) {
    Reader reader(dialect);
    if (reader.channelColumns.empty())
        return fail(Errc::invalidArgument, "no column is chosen as readings");
    if (dialect.time == TimeStyle::none && !(dialect.stepS > 0))
        return fail(Errc::invalidArgument,
                    "the log has no times: say how far apart its readings are");
    if (text.starts_with("\xEF\xBB\xBF"))
        text.remove_prefix(3);
    const std::size_t guess = text.size() / 16;
    reader.out.timeS.reserve(guess);
    for (LoggedChannel& channel : reader.out.channels)
        channel.asRecorded.reserve(guess /
                                   std::max<std::size_t>(1, reader.out.channels.size() / 2));
    int number = 0;
    std::size_t junk = 0;
    while (!text.empty()) {
        const std::string_view line = takeLine(text);
        ++number;
        if (number < dialect.firstRow || (dialect.header && number == dialect.firstRow) ||
            unquoted(line).empty())
            continue;
        const auto isRow = reader.row(line, number);
        if (!isRow)
            return tl::unexpected(isRow.error());
        if (!*isRow) {
            ++junk;
            if (reader.out.junkLines.size() < 100)
                reader.out.junkLines.push_back(number);
        }
    }
    if (reader.out.timeS.empty())
        return fail(Errc::parse, "no rows were found in this format", number);
    if (junk * kMostJunkShare > reader.out.timeS.size() + junk)
        return fail(Errc::parse,
                    fmt::format("{} of {} lines are not rows in this format", junk,
                                reader.out.timeS.size() + junk),
                    reader.out.junkLines.front());
    for (std::size_t i = 0; i < reader.out.channels.size(); ++i)
        reader.out.channels[i].resolution = std::pow(10.0, -std::min(reader.decimals[i], 6));
    const bool dated =
        dialect.time == TimeStyle::isoDateTime || dialect.time == TimeStyle::dayFirst ||
        dialect.time == TimeStyle::monthFirst || dialect.time == TimeStyle::unixSeconds ||
        dialect.time == TimeStyle::unixMilliseconds;
    if (dated && !dialect.asks(CsvQuestion::dayOrMonth))
        reader.out.startUnixS = reader.first;
    if (reader.startDayS && dialect.time == TimeStyle::clock &&
        !dialect.asks(CsvQuestion::dayOrMonth))
        reader.out.startUnixS = *reader.startDayS + reader.first;
    reader.out.gaps = countGaps(reader.out.timeS);
    return std::move(reader.out);
}

Series siSeries(const ParsedLog& log, std::size_t channel) {
    Series out;
    out.timeS = log.timeS;
    const LoggedChannel& c = log.channels[channel];
    out.value.reserve(c.asRecorded.size());
    for (double v : c.asRecorded)
        out.value.push_back(siOf(v, c.unit));
    return out;
}

} // namespace dynamet::formats
