// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/number_text.h"

#include <array>
#include <cctype>
#include <charconv>
#include <fmt/format.h>
#include <optional>

namespace dynamet {
namespace {

struct Vulgar {
    std::string_view text;
    double value;
};
constexpr std::array<Vulgar, 15> kVulgar{{{"¼", 0.25},
                                          {"½", 0.5},
                                          {"¾", 0.75},
                                          {"⅓", 1.0 / 3},
                                          {"⅔", 2.0 / 3},
                                          {"⅛", 0.125},
                                          {"⅜", 0.375},
                                          {"⅝", 0.625},
                                          {"⅞", 0.875},
                                          {"⅕", 0.2},
                                          {"⅖", 0.4},
                                          {"⅗", 0.6},
                                          {"⅘", 0.8},
                                          {"⅙", 1.0 / 6},
                                          {"⅚", 5.0 / 6}}};

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

std::optional<double> takeVulgar(std::string_view& text) {
    for (const Vulgar& v : kVulgar)
        if (text.starts_with(v.text)) {
            text.remove_prefix(v.text.size());
            return v.value;
        }
    return std::nullopt;
}

/// Figures in a row at the start of the text.
std::size_t digitsAt(std::string_view text, std::size_t at) {
    std::size_t count = 0;
    while (at + count < text.size() && isDigit(text[at + count]))
        ++count;
    return count;
}

/// Whether groups of exactly three figures, each behind `mark`, follow `at`; how many.
std::size_t groupsOfThree(std::string_view text, std::size_t at, char mark) {
    std::size_t groups = 0;
    while (at < text.size() && text[at] == mark && digitsAt(text, at + 1) == 3) {
        ++groups;
        at += 4;
    }
    return groups;
}

/// The marks between thousands of the number at the start, '\0' for none. "1,650" and "1,650.5" are
/// thousands, "0,125" and "1.650" are not; "1.650,5" and "1.650.000" are again.
char thousandsMark(std::string_view text) {
    const std::size_t head = digitsAt(text, 0);
    if (head < 1 || head > 3 || text[0] == '0' || head >= text.size())
        return '\0';
    const char mark = text[head];
    if (mark != ',' && mark != '.' && mark != '\'')
        return '\0';
    const std::size_t groups = groupsOfThree(text, head, mark);
    if (groups == 0 || mark != '.')
        return groups > 0 ? mark : '\0';
    const std::size_t behind = head + 4 * groups;
    const bool decimalComma =
        behind + 1 < text.size() && text[behind] == ',' && isDigit(text[behind + 1]);
    return groups > 1 || decimalComma ? mark : '\0';
}

std::optional<double> takeDecimal(std::string_view& text) {
    std::string plain;
    std::size_t used = 0;
    bool seenPoint = false;
    const char thousands = thousandsMark(text);
    for (; used < text.size(); ++used) {
        const char c = text[used];
        const bool beforeDigit = used + 1 < text.size() && isDigit(text[used + 1]);
        if (c == thousands && thousands != '\0' && beforeDigit && !seenPoint)
            continue;
        const bool isPoint = (c == '.' || c == ',') && c != thousands && !seenPoint && beforeDigit;
        if (!isDigit(c) && !isPoint)
            break;
        seenPoint = seenPoint || isPoint;
        plain += isPoint ? '.' : c;
    }
    double value = 0;
    if (std::from_chars(plain.data(), plain.data() + plain.size(), value).ec != std::errc{})
        return std::nullopt;
    text.remove_prefix(used);
    return value;
}

/// "1/4" at the start of the text, also behind one space.
std::optional<double> takeRatio(std::string_view& text) {
    std::string_view rest = text;
    while (rest.starts_with(' '))
        rest.remove_prefix(1);
    const auto top = takeDecimal(rest);
    if (!top || !rest.starts_with('/'))
        return std::nullopt;
    rest.remove_prefix(1);
    const auto bottom = takeDecimal(rest);
    if (!bottom || *bottom == 0)
        return std::nullopt;
    text = rest;
    return *top / *bottom;
}

std::string lowered(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return out;
}

} // namespace

std::string_view trimmed(std::string_view text) {
    const auto isSpace = [](char c) { return c == ' ' || c == '\t' || c == '\r' || c == '\n'; };
    while (!text.empty() && isSpace(text.front()))
        text.remove_prefix(1);
    while (!text.empty() && isSpace(text.back()))
        text.remove_suffix(1);
    return text;
}

bool hasTwoReadings(std::string_view text) {
    std::size_t at = 0;
    while (at < text.size() && !isDigit(text[at]))
        ++at;
    const std::string_view number = text.substr(at);
    const std::size_t head = digitsAt(number, 0);
    if (head < 1 || head > 3 || head >= number.size() || number[0] == '0')
        return false;
    const char mark = number[head];
    if ((mark != ',' && mark != '.') || groupsOfThree(number, head, mark) != 1)
        return false;
    const std::size_t behind = head + 4;
    return behind >= number.size() || (number[behind] != ',' && number[behind] != '.') ||
           digitsAt(number, behind + 1) == 0;
}

Result<double> takeNumber(std::string_view& text) {
    std::string_view rest = trimmed(text);
    double sign = 1;
    if (rest.starts_with("-") || rest.starts_with("−")) {
        sign = -1;
        rest.remove_prefix(rest.starts_with("-") ? 1 : std::string_view("−").size());
    }
    double value = 0;
    if (const auto ratio = takeRatio(rest)) {
        value = *ratio;
    } else if (const auto vulgar = takeVulgar(rest)) {
        value = *vulgar;
    } else if (const auto whole = takeDecimal(rest)) {
        value = *whole;
        std::string_view behind = trimmed(rest);
        if (const auto part = takeVulgar(behind)) {
            value += *part;
            rest = behind;
        } else if (rest.starts_with(' ')) {
            if (const auto fraction = takeRatio(rest))
                value += *fraction;
        }
    } else {
        return fail(Errc::parse, fmt::format("no number in \"{}\"", trimmed(text)));
    }
    text = rest;
    return sign * value;
}

Result<double> parseWithUnits(std::string_view text, std::span<const UnitName> units,
                              double defaultSiPerUnit, std::string_view what) {
    std::string_view rest = text;
    const auto number = takeNumber(rest);
    if (!number)
        return fail(Errc::parse, fmt::format("\"{}\" is not a {}: {}", trimmed(text), what,
                                             number.error().message));
    const std::string unit = lowered(trimmed(rest));
    if (unit.empty())
        return *number * defaultSiPerUnit;
    for (const UnitName& known : units)
        if (unit == known.name)
            return *number * known.siPerUnit;
    return fail(Errc::parse, fmt::format("\"{}\" is not a {}: the unit \"{}\" is not known",
                                         trimmed(text), what, trimmed(rest)));
}

} // namespace dynamet
