// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_temperature.h"

#include "quantity/number_text.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <string>

namespace dynamet {
namespace {

struct Mark {
    double mark;
    double celsius;
};
constexpr std::array<Mark, 11> kMarks{{{0.25, 110},
                                       {0.5, 120},
                                       {1, 140},
                                       {2, 150},
                                       {3, 165},
                                       {4, 180},
                                       {5, 190},
                                       {6, 200},
                                       {7, 220},
                                       {8, 230},
                                       {9, 240}}};

std::string unitLetter(std::string_view rest) {
    std::string unit;
    for (char c : rest)
        if (std::isalpha(static_cast<unsigned char>(c)))
            unit += static_cast<char>(std::toupper(static_cast<unsigned char>(c)));
    return unit;
}

Result<TemperatureUnit> unitOf(std::string_view rest, TemperatureUnit bare, std::string_view all) {
    std::string_view body = trimmed(rest);
    for (std::string_view sign : {"°", "º", "degrees", "deg"})
        if (body.starts_with(sign))
            body = trimmed(body.substr(sign.size()));
    const std::string unit = unitLetter(body);
    if (unit.size() != body.size())
        return fail(Errc::parse, fmt::format("\"{}\" is not a temperature", trimmed(all)));
    if (unit.empty())
        return bare;
    if (unit == "C" || unit == "CELSIUS")
        return TemperatureUnit::celsius;
    if (unit == "F" || unit == "FAHRENHEIT")
        return TemperatureUnit::fahrenheit;
    if (unit == "K")
        return TemperatureUnit::kelvin;
    return fail(Errc::parse,
                fmt::format("\"{}\" is not a temperature: the unit \"{}\" is not known",
                            trimmed(all), body));
}

} // namespace

Result<Temperature> parseTemperature(std::string_view text, TemperatureUnit bare) {
    std::string_view rest = trimmed(text);
    for (std::string_view word : {"gas mark", "Gas mark", "Gas Mark", "gas", "Gas", "mark"})
        if (rest.starts_with(word)) {
            rest = rest.substr(word.size());
            const auto mark = takeNumber(rest);
            if (!mark || !trimmed(rest).empty())
                return fail(Errc::parse, fmt::format("\"{}\" is not a gas mark", trimmed(text)));
            return gasMark(*mark);
        }
    const auto number = takeNumber(rest);
    if (!number)
        return fail(Errc::parse, fmt::format("\"{}\" is not a temperature", trimmed(text)));
    const auto unit = unitOf(rest, bare, text);
    if (!unit)
        return tl::unexpected(unit.error());
    Temperature result = Temperature::celsius(*number);
    if (*unit == TemperatureUnit::fahrenheit)
        result = Temperature::fahrenheit(*number);
    if (*unit == TemperatureUnit::kelvin)
        result = Temperature::kelvin(*number);
    if (result.kelvin() < 0 || result.celsius() > 2000)
        return fail(Errc::parse, fmt::format("\"{}\" is outside −273 to 2000 °C", trimmed(text)));
    return result;
}

Result<KelvinDelta> parseTemperatureDifference(std::string_view text, TemperatureUnit bare) {
    std::string_view rest = text;
    const auto number = takeNumber(rest);
    if (!number)
        return fail(Errc::parse, fmt::format("\"{}\" is not a difference", trimmed(text)));
    const auto unit = unitOf(rest, bare, text);
    if (!unit)
        return tl::unexpected(unit.error());
    return *unit == TemperatureUnit::fahrenheit ? KelvinDelta::fahrenheit(*number)
                                                : KelvinDelta(*number);
}

Result<Temperature> gasMark(double mark) {
    if (mark < kMarks.front().mark || mark > kMarks.back().mark)
        return fail(Errc::parse, fmt::format("gas mark {} does not exist (¼ to 9)", mark));
    const auto high = std::find_if(kMarks.begin() + 1, kMarks.end() - 1,
                                   [mark](const Mark& m) { return m.mark >= mark; });
    const auto low = high - 1;
    const double share = (mark - low->mark) / (high->mark - low->mark);
    return Temperature::celsius(std::lerp(low->celsius, high->celsius, share));
}

double toGasMark(Temperature temperature) {
    const double c =
        std::clamp(temperature.celsius(), kMarks.front().celsius, kMarks.back().celsius);
    const auto high = std::find_if(kMarks.begin() + 1, kMarks.end() - 1,
                                   [c](const Mark& m) { return m.celsius >= c; });
    const auto low = high - 1;
    return low->mark +
           (c - low->celsius) / (high->celsius - low->celsius) * (high->mark - low->mark);
}

} // namespace dynamet
