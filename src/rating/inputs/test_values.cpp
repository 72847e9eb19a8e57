// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/test_values.h"

#include "quantity/temperature.h"
#include "quantity/water.h"

#include <fmt/format.h>

namespace dynamet::rating {

double TestValues::read(const std::string& name, double fallback) {
    asked_.insert(name);
    const auto at = test_.values.find(name);
    return at == test_.values.end() ? fallback : at->second;
}

double TestValues::kelvin(const std::string& name, double fallbackC) {
    return read(name, fallbackC) + kZeroCelsiusK;
}

std::optional<double> TestValues::ifGiven(const std::string& name) {
    const double value = read(name, 0);
    return value == 0 ? std::nullopt : std::optional<double>(value);
}

std::optional<double> TestValues::kelvinIfGiven(const std::string& name) {
    const auto celsius = ifGiven(name);
    return celsius ? std::optional<double>(*celsius + kZeroCelsiusK) : std::nullopt;
}

double TestValues::pressurePa() {
    const auto pressure = standardPressurePa(read("altitude_m", 0));
    return read("pressure_Pa", pressure.value_or(kStandardPressurePa));
}

std::optional<double> TestValues::inputEnergyJ() {
    const auto electric = ifGiven("energy_J");
    const auto gas = ifGiven("gas_m3"), fuel = ifGiven("fuel_kg");
    const double perM3 =
        read("heating_J_m3", 38e6); // natural gas, gross (from memory: 37–39 MJ/m³)
    const double perKg = read("heating_J_kg", 50.3e6); // propane, gross (from memory)
    if (electric)
        return electric;
    if (gas)
        return *gas * perM3;
    if (fuel)
        return *fuel * perKg;
    return std::nullopt;
}

Result<void> TestValues::checkAllUsed() const {
    for (const auto& [name, value] : test_.values)
        if (!asked_.contains(name))
            return fail(Errc::invalidArgument,
                        fmt::format("{} does not know the value \"{}\"", test_.protocol, name));
    return {};
}

const Series* channelOf(const TestInput& test, const std::string& role) {
    const auto at = test.channels.find(role);
    return at == test.channels.end() ? nullptr : &at->second;
}

std::vector<double> keyedOf(const TestInput& test, const std::string& role) {
    if (const auto at = test.keyed.find(role); at != test.keyed.end())
        return at->second;
    if (const Series* log = channelOf(test, role))
        return log->value;
    return {};
}

tl::unexpected<Error> missingRole(const TestInput& test, const std::string& role) {
    return fail(Errc::invalidArgument,
                fmt::format("{} needs a column with the role \"{}\"", test.protocol, role));
}

} // namespace dynamet::rating
