// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/needed_values.h"

#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"

#include <fmt/format.h>
#include <sstream>

namespace dynamet::rating {

Result<double> parseNeeded(const NeededValue& value, const std::string& typed,
                           TemperatureUnit bare) {
    const auto named = [&](Result<double> result) -> Result<double> {
        return result ? result : tl::unexpected(result.error().in(value.label));
    };
    if (value.celsius) {
        const auto t = parseTemperature(typed, bare);
        return t ? Result<double>(t->celsius()) : named(tl::unexpected(t.error()));
    }
    if (value.unit == "g")
        return named(parseMassKg(typed, value.siPerUnit));
    if (value.unit == "kWh")
        return named(parseEnergyJ(typed, value.siPerUnit));
    if (value.unit == "min") {
        const auto t = parseDuration(typed);
        return t ? Result<double>(t->lowS) : named(tl::unexpected(t.error()));
    }
    std::string_view rest = typed;
    const auto number = takeNumber(rest);
    if (!number)
        return named(number);
    if (const auto unit = trimmed(rest); !unit.empty() && unit != value.unit)
        return named(fail(Errc::parse, fmt::format("\"{}\" should be in {}", typed, value.unit)));
    return *number * value.siPerUnit;
}

Result<std::vector<TypedReading>> parseReadings(const std::string& typed, TemperatureUnit bare) {
    std::string text = typed;
    for (char& c : text)
        if (c == ';' || c == '\n' || c == '\t')
            c = ' ';
    std::vector<std::string> words;
    std::istringstream in(text);
    for (std::string word; in >> word;)
        words.push_back(word);
    if (words.empty())
        return fail(Errc::parse, "no reading was typed");
    // A unit alone behind the numbers holds for all of them.
    if (words.size() > 1 && (words.back() == "F" || words.back() == "°F" || words.back() == "C" ||
                             words.back() == "°C")) {
        bare = words.back().back() == 'F' ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
        words.pop_back();
    }
    std::vector<TypedReading> out;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto t = parseTemperature(words[i], bare);
        if (!t)
            return tl::unexpected(t.error().in(fmt::format("reading {}", i + 1)));
        out.push_back({t->kelvin(), words[i]});
    }
    return out;
}

} // namespace dynamet::rating
