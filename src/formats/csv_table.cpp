// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_table.h"

#include "formats/csv_fields.h"
#include "formats/csv_time.h"

#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace dynamet::formats {
namespace {

constexpr std::size_t kLinesLooked = 200, kLongestLine = 65536;

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
    for (const TimeStyle style :
         {TimeStyle::isoDateTime, TimeStyle::elapsedClock, TimeStyle::clock, TimeStyle::minuteClock,
          TimeStyle::dayFirst, TimeStyle::monthFirst})
        if (readTime(field, style, false))
            return true;
    return readDate(field, TimeStyle::dayFirst) || readDate(field, TimeStyle::monthFirst);
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

/// "20,5" in quotes: a decimal comma may stand between columns split by commas.
bool quotedCommas(const std::vector<Line>& lines) {
    std::vector<std::string_view> fields;
    for (const Line& line : lines) {
        splitLine(line.text, ',', fields);
        for (std::string_view field : fields)
            if (field.find('"') != std::string_view::npos && readDecimal(field, true) &&
                !readDecimal(field, false) && !readThousands(field))
                return true;
    }
    return false;
}

Split bestSplit(const std::vector<Line>& lines) {
    Split best;
    for (char delimiter : {',', ';', '\t', '|'})
        for (bool comma : {false, true}) {
            if (comma && delimiter == ',' && !quotedCommas(lines))
                continue;
            const Split next = scoreOf(lines, delimiter, comma);
            if (next.score > best.score + 1e-9)
                best = next;
        }
    return best;
}

bool isNumberOrTime(std::string_view field, bool decimalComma) {
    return readDecimal(field, decimalComma) || looksLikeTime(field);
}

/// How many of a line's fields are numbers or times.
std::size_t numbersIn(const std::vector<std::string_view>& fields, bool decimalComma) {
    return static_cast<std::size_t>(
        std::count_if(fields.begin(), fields.end(),
                      [&](std::string_view field) { return isNumberOrTime(field, decimalComma); }));
}

/// The usual count of numbers in a row: a line of a preamble ("Serial,4711") has fewer.
std::size_t usualNumbers(const std::vector<Line>& lines, const Split& split) {
    std::map<std::size_t, std::size_t> counts;
    std::vector<std::string_view> fields;
    for (const Line& line : lines) {
        splitLine(line.text, split.delimiter, fields);
        if (fields.size() == split.fields)
            ++counts[numbersIn(fields, split.decimalComma)];
    }
    std::size_t usual = 0, most = 0;
    for (const auto& [numbers, times] : counts)
        if (numbers > 0 && times >= most) {
            usual = numbers;
            most = times;
        }
    return usual;
}

/// A header with fewer columns than the rows: commas inside numbers, most likely.
Result<void> checkDecimalCommas(const std::vector<Line>& lines, const Split& split, int firstRow) {
    if (split.delimiter != ',')
        return {};
    std::vector<std::string_view> fields;
    for (const Line& line : lines) {
        if (line.number >= firstRow)
            break;
        splitLine(line.text, ',', fields);
        const bool words = std::none_of(fields.begin(), fields.end(), [](std::string_view field) {
            return isNumberOrTime(field, false) || isMissing(field);
        });
        if (words && fields.size() > 1 && fields.size() < split.fields &&
            split.fields <= 2 * fields.size())
            return fail(Errc::parse,
                        fmt::format("the rows have {} columns where the header has {}: decimal "
                                    "commas between columns split by commas cannot be told apart; "
                                    "export it with semicolons or with decimal points",
                                    split.fields, fields.size()),
                        firstRow);
    }
    return {};
}

} // namespace

Result<FirstRows> firstRowsOf(std::string_view text) {
    const std::vector<Line> lines = firstLines(text);
    if (lines.empty())
        return fail(Errc::parse, "the file is empty", 1);
    for (const Line& line : lines)
        if (line.text.size() > kLongestLine)
            return fail(Errc::parse,
                        fmt::format("this line is {} kB long: that is no log of rows",
                                    line.text.size() / 1000),
                        line.number);
    const Split split = bestSplit(lines);
    FirstRows out;
    out.delimiter = split.delimiter;
    out.decimalComma = split.decimalComma;
    const std::size_t usual = usualNumbers(lines, split);
    std::vector<std::string_view> fields;
    int rowLine = 0;
    for (const Line& line : lines) {
        splitLine(line.text, split.delimiter, fields);
        if (fields.size() != split.fields)
            continue;
        const std::size_t numbers = numbersIn(fields, split.decimalComma);
        const auto missing =
            static_cast<std::size_t>(std::count_if(fields.begin(), fields.end(), isMissing));
        if (numbers > 0 && (numbers + missing >= usual || !out.rows.empty())) {
            if (out.rows.empty()) {
                rowLine = line.number;
                out.firstRow = out.header.empty() ? line.number : out.firstRow;
            }
            out.rows.push_back(fields);
        } else if (out.rows.empty() && numbers == 0) {
            out.header = fields;
            out.firstRow = line.number;
        }
    }
    if (out.rows.empty())
        return fail(Errc::parse,
                    fmt::format("no readings found: \"{}\" holds no number",
                                std::string(lines.back().text.substr(0, 60))),
                    lines.back().number);
    const auto ok = out.header.empty() ? checkDecimalCommas(lines, split, rowLine) : Result<void>();
    if (!ok)
        return tl::unexpected(ok.error());
    return out;
}

} // namespace dynamet::formats
