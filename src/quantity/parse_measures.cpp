// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_measures.h"

#include "quantity/number_text.h"

#include <array>
#include <fmt/format.h>

namespace dynamet {
namespace {

constexpr UnitName kLengths[] = {
    {"mm", 1e-3},     {"cm", 1e-2},     {"m", 1},      {"in", 0.0254},     {"inch", 0.0254},
    {"\"", 0.0254},   {"″", 0.0254},    {"”", 0.0254}, {"inches", 0.0254}, {"ft", 0.3048},
    {"foot", 0.3048}, {"feet", 0.3048}, {"′", 0.3048}, {"'", 0.3048},      {"metres", 1},
    {"meters", 1},    {"metre", 1},     {"meter", 1}};
constexpr UnitName kAreas[] = {{"cm²", 1e-4},
                               {"cm2", 1e-4},
                               {"m²", 1},
                               {"m2", 1},
                               {"in²", 6.4516e-4},
                               {"in2", 6.4516e-4},
                               {"sq in", 6.4516e-4},
                               {"sqin", 6.4516e-4},
                               {"ft²", 0.09290304},
                               {"sq ft", 0.09290304}};
constexpr UnitName kMasses[] = {
    {"g", 1e-3},        {"kg", 1},           {"mg", 1e-6},          {"oz", 0.028349523125},
    {"lb", 0.45359237}, {"lbs", 0.45359237}, {"pound", 0.45359237}, {"pounds", 0.45359237}};
constexpr UnitName kPowers[] = {
    {"w", 1}, {"kw", 1e3}, {"btu/h", 0.29307107}, {"btu/hr", 0.29307107}};
constexpr UnitName kEnergies[] = {{"j", 1},     {"kj", 1e3},    {"mj", 1e6},
                                  {"wh", 3600}, {"kwh", 3.6e6}, {"btu", 1055.05585}};
constexpr UnitName kPressures[] = {{"pa", 1},          {"hpa", 100},     {"kpa", 1e3},
                                   {"mbar", 100},      {"bar", 1e5},     {"mmhg", 133.322387},
                                   {"inhg", 3386.389}, {"psi", 6894.757}};

Result<double> notNegative(Result<double> value, std::string_view text, std::string_view what) {
    if (value && *value < 0)
        return fail(Errc::parse, fmt::format("\"{}\": a {} cannot be below zero", text, what));
    return value;
}

} // namespace

Result<double> parseLengthM(std::string_view text, double defaultSi) {
    return notNegative(parseWithUnits(text, kLengths, defaultSi, "length"), text, "length");
}

Result<double> parseAreaM2(std::string_view text, double defaultSi) {
    return notNegative(parseWithUnits(text, kAreas, defaultSi, "area"), text, "area");
}

/// Pounds and ounces may stand together ("1 lb 4 oz").
Result<double> parseMassKg(std::string_view text, double defaultSi) {
    for (std::string_view pound : {"lbs", "lb"})
        if (const auto at = text.find(pound); at != std::string_view::npos) {
            const std::string_view ounces = trimmed(text.substr(at + pound.size()));
            if (ounces.empty())
                break;
            const auto big = parseWithUnits(text.substr(0, at + pound.size()), kMasses, 1, "mass");
            const auto small = parseWithUnits(ounces, kMasses, 0.028349523125, "mass");
            if (!big || !small)
                return big ? small : big;
            if (*big < 0 || *small < 0)
                return fail(Errc::parse, fmt::format("\"{}\": a mass cannot be below zero", text));
            return *big + *small;
        }
    return notNegative(parseWithUnits(text, kMasses, defaultSi, "mass"), text, "mass");
}

Result<double> parsePowerW(std::string_view text, double defaultSi) {
    return notNegative(parseWithUnits(text, kPowers, defaultSi, "power"), text, "power");
}

Result<double> parseEnergyJ(std::string_view text, double defaultSi) {
    return notNegative(parseWithUnits(text, kEnergies, defaultSi, "energy"), text, "energy");
}

Result<double> parsePressurePa(std::string_view text, double defaultSi) {
    return notNegative(parseWithUnits(text, kPressures, defaultSi, "pressure"), text, "pressure");
}

} // namespace dynamet
