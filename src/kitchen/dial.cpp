// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/dial.h"

#include "quantity/number_text.h"
#include "quantity/parse_measures.h"
#include "quantity/print.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

constexpr double kLowestGasMark = 0.25, kHighestGasMark = 9;
/// Dials in °F are marked every 25 degrees and can be set to five.
constexpr double kFahrenheitMark = 25, kFahrenheitStep = 5;

/// The unit as a cook writes it.
std::string unitName(const Control& control) {
    return control.unit == "C" || control.unit == "F" ? "°" + control.unit : control.unit;
}

Result<double> bareNumber(const Control& control, const std::string& typed) {
    std::string_view rest = typed;
    const auto value = takeNumber(rest);
    const std::string_view unit = trimmed(rest);
    if (!value || (!unit.empty() && unit != control.unit && unit != unitName(control)))
        return fail(Errc::parse,
                    fmt::format("\"{}\" is not a number of {}", typed, unitName(control)));
    return *value;
}

Result<double> typedValue(const Control& control, const std::string& typed) {
    auto exact = bareNumber(control, typed);
    if (exact.has_value())
        return exact;
    if (control.kind == ControlKind::watts)
        return parsePowerW(typed, 1);
    if (control.unit == "mm")
        return parseLengthM(typed, 1e-3).map([](double metres) { return metres * 1e3; });
    if (!isTemperatureDial(control))
        return exact;
    return parseTemperature(typed).map(
        [&](Temperature temperature) { return dialValue(control, temperature); });
}

} // namespace

bool isTemperatureDial(const Control& control) {
    return control.kind == ControlKind::thermostat || control.kind == ControlKind::preheat;
}

Temperature dialTemperature(const Control& control, double value) {
    if (control.unit == "F")
        return Temperature::fahrenheit(value);
    if (control.unit == "gas")
        return *gasMark(std::clamp(value, kLowestGasMark, kHighestGasMark));
    return Temperature::celsius(value);
}

double dialValue(const Control& control, Temperature temperature) {
    if (control.unit == "gas") {
        const double mark = toGasMark(temperature);
        return mark < 0.75 ? std::max(0.25, std::round(mark * 4) / 4) : std::round(mark);
    }
    const double raw = control.unit == "F" ? temperature.fahrenheit() : temperature.celsius();
    return control.step > 0 ? std::round(raw / control.step) * control.step : raw;
}

std::string dialText(const Control& control, double value) {
    if (control.unit != "gas")
        return fmt::format("{} {}", value, unitName(control));
    const double whole = std::floor(value), part = value - whole;
    const std::string fraction = part == 0.25   ? "¼"
                                 : part == 0.5  ? "½"
                                 : part == 0.75 ? "¾"
                                                : fmt::format("{}", part).substr(1);
    if (part == 0)
        return fmt::format("gas {}", whole);
    return whole > 0 ? fmt::format("gas {}{}", whole, fraction) : "gas " + fraction;
}

std::optional<std::string> nearestGasMark(const Control& control, Temperature temperature) {
    constexpr double kHalfMarkK = 10;
    const Control gas = markedIn(control, "gas");
    if (control.unit == "gas" || control.kind != ControlKind::thermostat)
        return {};
    const double mark = dialValue(gas, temperature);
    if (std::abs((dialTemperature(gas, mark) - temperature).kelvin()) > kHalfMarkK)
        return {};
    return dialText(gas, mark);
}

Result<double> parseDial(const Control& control, const std::string& typed) {
    if (trimmed(typed).empty())
        return fail(Errc::parse,
                    fmt::format("type what it is set to, {} to {}", dialText(control, control.low),
                                dialText(control, control.high)));
    const auto value = typedValue(control, typed);
    if (!value)
        return value;
    if (*value < control.low - 1e-9 || *value > control.high + 1e-9)
        return fail(Errc::invalidArgument,
                    fmt::format("{} is not on this dial: it goes from {} to {}",
                                dialText(control, *value), dialText(control, control.low),
                                dialText(control, control.high)));
    return *value;
}

Control markedIn(const Control& control, const std::string& unit) {
    Control out = control;
    out.unit = unit;
    if (unit == control.unit || !isTemperatureDial(control))
        return out;
    const Temperature low = dialTemperature(control, control.low),
                      high = dialTemperature(control, control.high);
    if (unit == "F") {
        out.step = kFahrenheitStep;
        out.low = std::floor(low.fahrenheit() / kFahrenheitMark) * kFahrenheitMark;
        out.high = std::ceil(high.fahrenheit() / kFahrenheitMark) * kFahrenheitMark;
    } else if (unit == "gas") {
        out.step = 1;
        out.low = kLowestGasMark;
        out.high = kHighestGasMark;
    } else {
        out.step = 5;
        out.low = std::round(low.celsius() / 5) * 5;
        out.high = std::round(high.celsius() / 5) * 5;
    }
    return out;
}

} // namespace dynamet::kitchen
