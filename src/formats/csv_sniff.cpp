// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_sniff.h"

#include "formats/csv_fields.h"
#include "formats/csv_time.h"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <map>

namespace dynamet::formats {
namespace {

constexpr std::size_t kLinesLooked = 200;

struct Line {
    int number = 0;
    std::string_view text;
};

std::vector<Line> firstLines(std::string_view text) {
    if (text.starts_with("\xEF\xBB\xBF"))
        text.remove_prefix(3);
    std::vector<Line> out;
    for (int number = 1; !text.empty() && out.size() < kLinesLooked; ++number) {
        const std::string_view line = takeLine(text);
        if (!unquoted(line).empty())
            out.push_back({number, line});
    }
    return out;
}

/// The delimiter (with its decimal sign) that gives the most lines the same count of fields, most
/// of them numbers or times.
struct Split {
    char delimiter = ',';
    bool decimalComma = false;
    std::size_t fields = 1;
    std::size_t lines = 0;
    double score = 0;
};

bool looksLikeTime(std::string_view field) {
    return readTime(field, TimeStyle::isoDateTime, false) ||
           readTime(field, TimeStyle::elapsedClock, false) ||
           readTime(field, TimeStyle::clock, false);
}

Split scoreOf(const std::vector<Line>& lines, char delimiter, bool decimalComma) {
    std::map<std::size_t, std::pair<std::size_t, double>> byCount;
    std::vector<std::string_view> fields;
    for (const Line& line : lines) {
        splitLine(line.text, delimiter, fields);
        double good = 0;
        for (std::string_view field : fields)
            good += readDecimal(field, decimalComma) || looksLikeTime(field)
                        ? 1
                        : (isMissing(field) ? 0.5 : 0);
        auto& entry = byCount[fields.size()];
        ++entry.first;
        entry.second += good / static_cast<double>(fields.size());
    }
    Split out{delimiter, decimalComma, 1, 0, 0};
    for (const auto& [count, entry] : byCount) {
        // A column more is worth a little: the wrong delimiter merges columns.
        const double score =
            entry.second * (1 + 0.1 * static_cast<double>(std::min<std::size_t>(count, 9)));
        if (score > out.score)
            out = {delimiter, decimalComma, count, entry.first, score};
    }
    return out;
}

Split bestSplit(const std::vector<Line>& lines) {
    Split best;
    for (char delimiter : {',', ';', '\t', '|'})
        for (bool comma : {false, true}) {
            if (comma && delimiter == ',')
                continue;
            const Split next = scoreOf(lines, delimiter, comma);
            if (next.score > best.score + 1e-9)
                best = next;
        }
    return best;
}

std::string lowered(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        c = static_cast<char>(c >= 'A' && c <= 'Z' ? c + 32 : c);
    return out;
}

/// "Probe 1 (°F)", "Ofen [C]", "temp_degf": the unit of a header, if it says one.
std::optional<TemperatureUnit> unitInHeader(std::string_view name) {
    const std::string low = lowered(name);
    const auto has = [&low](const char* word) { return low.find(word) != std::string::npos; };
    for (const char* open : {"(", "[", "/", "_deg", "deg", "°", "º", " "}) {
        const std::string f = std::string(open) + "f", c = std::string(open) + "c",
                          k = std::string(open) + "k";
        const auto ends = [&low](const std::string& s) {
            const auto at = low.find(s);
            if (at == std::string::npos)
                return false;
            const auto after = at + s.size();
            return after == low.size() || low[after] == ')' || low[after] == ']' ||
                   low[after] == ' ';
        };
        if (ends(f))
            return TemperatureUnit::fahrenheit;
        if (ends(c))
            return TemperatureUnit::celsius;
        if (ends(k))
            return TemperatureUnit::kelvin;
    }
    if (has("fahrenheit"))
        return TemperatureUnit::fahrenheit;
    if (has("celsius"))
        return TemperatureUnit::celsius;
    return std::nullopt;
}

using Rows = std::vector<std::vector<std::string_view>>;

/// Numbers that mostly rise: a step back is an error for the reader to name, not a reason to
/// overlook the time.
bool risingNumbers(const Rows& rows, std::size_t column, bool comma) {
    double before = -1e300;
    std::size_t good = 0, rising = 0;
    for (const auto& row : rows) {
        const auto value = readDecimal(row[column], comma);
        if (!value)
            continue;
        rising += *value > before;
        before = *value;
        ++good;
    }
    return good * 10 > rows.size() * 9 && good > 2 && rising * 10 >= good * 8;
}

std::optional<TimeStyle> timeStyleOf(const Rows& rows, std::size_t column,
                                     const std::string& header, bool comma) {
    const auto most = [&](TimeStyle style) {
        std::size_t good = 0;
        for (const auto& row : rows)
            good += readTime(row[column], style, comma).has_value();
        return good * 10 > rows.size() * 8;
    };
    const std::string low = lowered(header);
    const bool elapsed = low.find("elapsed") != std::string::npos ||
                         low.find("since") != std::string::npos ||
                         low.find("dauer") != std::string::npos;
    if (most(TimeStyle::isoDateTime))
        return TimeStyle::isoDateTime;
    if (most(TimeStyle::elapsedClock)) {
        const auto first = readTime(rows.front()[column], TimeStyle::elapsedClock, comma);
        return elapsed || (first && *first < 60) || !most(TimeStyle::clock)
                   ? TimeStyle::elapsedClock
                   : TimeStyle::clock;
    }
    const bool named = low.starts_with("t") || low.find("time") != std::string::npos || elapsed ||
                       low.find("zeit") != std::string::npos ||
                       low.find("sec") != std::string::npos ||
                       low.find("min") != std::string::npos || low == "s";
    if (column == 0 && risingNumbers(rows, column, comma) && (named || header.empty()))
        return low.find("min") != std::string::npos ? TimeStyle::elapsedMinutes
                                                    : TimeStyle::elapsedSeconds;
    return std::nullopt;
}

bool mostlyNumbers(const Rows& rows, std::size_t column, bool comma) {
    std::size_t good = 0, missing = 0;
    for (const auto& row : rows) {
        good += readDecimal(row[column], comma).has_value();
        missing += isMissing(row[column]);
    }
    return good > 0 && (good + missing) * 10 > rows.size() * 7;
}

} // namespace

Result<CsvDialect> sniffCsv(std::string_view text) {
    const std::vector<Line> lines = firstLines(text);
    if (lines.empty())
        return fail(Errc::parse, "the file is empty", 1);
    const Split split = bestSplit(lines);
    CsvDialect out;
    out.delimiter = split.delimiter;
    out.decimalComma = split.decimalComma;
    Rows rows;
    std::vector<std::string_view> fields, header;
    for (const Line& line : lines) {
        splitLine(line.text, split.delimiter, fields);
        if (fields.size() != split.fields)
            continue;
        const bool any = std::any_of(fields.begin(), fields.end(), [&](std::string_view f) {
            return readDecimal(f, split.decimalComma) || looksLikeTime(f);
        });
        if (any) {
            if (rows.empty())
                out.firstRow = header.empty() ? line.number : out.firstRow;
            rows.push_back(fields);
        } else if (rows.empty()) {
            header = fields;
            out.firstRow = line.number;
        }
    }
    if (rows.empty())
        return fail(Errc::parse,
                    fmt::format("no readings found: \"{}\" holds no number",
                                std::string(lines.back().text.substr(0, 60))),
                    lines.back().number);
    out.header = !header.empty();
    bool timeFound = false, temperatureFound = false;
    for (std::size_t c = 0; c < split.fields; ++c) {
        CsvColumn column;
        column.name =
            out.header ? std::string(unquoted(header[c])) : fmt::format("probe {}", c + 1);
        const auto style =
            timeFound || split.fields == 1 // readings that rise are no time
                ? std::nullopt
                : timeStyleOf(rows, c, out.header ? column.name : "", split.decimalComma);
        if (style) {
            column.use = ColumnUse::time;
            out.time = *style;
            timeFound = true;
        } else if (mostlyNumbers(rows, c, split.decimalComma)) {
            column.use = ColumnUse::temperature;
            temperatureFound = true;
            const auto unit = unitInHeader(column.name);
            column.unitWritten = unit.has_value();
            column.unit = unit.value_or(TemperatureUnit::celsius);
        }
        out.columns.push_back(column);
    }
    if (!timeFound)
        out.time = TimeStyle::none;
    if (!temperatureFound)
        return fail(Errc::parse, "no column of readings found beside the time", out.firstRow);
    return out;
}

} // namespace dynamet::formats
