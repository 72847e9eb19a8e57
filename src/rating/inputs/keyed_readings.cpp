// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/keyed_readings.h"

#include "quantity/number_text.h"

#include <cmath>
#include <fmt/format.h>
#include <sstream>

namespace dynamet::rating {
namespace {

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

/// A comma between readings and not inside one: no figure behind it, or two or three figures before
/// it and exactly three behind ("225,231"): readings have neither so many thousands nor decimals.
bool isBetween(const std::string& text, std::size_t comma) {
    std::size_t before = 0, behind = 0;
    while (before < comma && isDigit(text[comma - 1 - before]))
        ++before;
    while (comma + 1 + behind < text.size() && isDigit(text[comma + 1 + behind]))
        ++behind;
    return behind == 0 || (before >= 2 && behind == 3);
}

std::vector<std::string> wordsOf(std::string text) {
    const std::string original = text;
    for (std::size_t i = 0; i < text.size(); ++i)
        if (text[i] == ';' || text[i] == '\n' || text[i] == '\t' ||
            (text[i] == ',' && isBetween(original, i)))
            text[i] = ' ';
    std::vector<std::string> words;
    std::istringstream in(text);
    for (std::string word; in >> word;)
        words.push_back(word);
    return words;
}

constexpr double kMost = 100000; ///< coals, minutes

/// Numbers in a row, times `factor`; `whole` refuses fractions.
Result<std::vector<KeyedReading>> parseNumbers(const std::string& typed, double factor,
                                               bool whole) {
    std::vector<KeyedReading> out;
    for (const std::string& word : wordsOf(typed)) {
        if (word == "min" && !out.empty()) // a unit behind the numbers
            continue;
        std::string_view rest = word;
        const auto number = takeNumber(rest);
        const bool left = !trimmed(rest).empty() && trimmed(rest) != "min";
        if (!number || left || *number < 0 || *number > kMost ||
            (whole && *number != std::floor(*number)))
            return fail(Errc::parse, fmt::format("entry {}: \"{}\" is not a {}", out.size() + 1,
                                                 word, whole ? "whole count" : "number"));
        out.push_back({*number * factor, word});
    }
    if (out.empty())
        return fail(Errc::parse, "nothing was typed");
    return out;
}

} // namespace

Result<std::vector<KeyedReading>> parseReadings(const std::string& typed, TemperatureUnit bare) {
    std::vector<std::string> words = wordsOf(typed);
    if (words.empty())
        return fail(Errc::parse, "no reading was typed");
    // A unit alone behind the numbers holds for all of them.
    if (words.size() > 1 && (words.back() == "F" || words.back() == "°F" || words.back() == "C" ||
                             words.back() == "°C")) {
        bare = words.back().back() == 'F' ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
        words.pop_back();
    }
    std::vector<KeyedReading> out;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto t = parseTemperature(words[i], bare);
        if (!t)
            return tl::unexpected(t.error().in(fmt::format("reading {}", i + 1)));
        out.push_back({t->kelvin(), words[i]});
    }
    return out;
}

Result<std::vector<KeyedReading>> parseCounts(const std::string& typed) {
    return parseNumbers(typed, 1, true);
}

Result<std::vector<KeyedReading>> parseMinutes(const std::string& typed) {
    return parseNumbers(typed, 60, false);
}

Result<std::vector<KeyedReading>> parseKeyed(const KeyedRole& role, const std::string& typed,
                                             TemperatureUnit bare) {
    auto out = role.kind == KeyedKind::count     ? parseCounts(typed)
               : role.kind == KeyedKind::minutes ? parseMinutes(typed)
                                                 : parseReadings(typed, bare);
    return out ? std::move(out) : tl::unexpected(out.error().in(role.label));
}

} // namespace dynamet::rating
