// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/print.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <numeric>

namespace dynamet {

int decimalsFor(double halfWidth) {
    if (!(halfWidth > 0) || !std::isfinite(halfWidth))
        return 0;
    int exponent = static_cast<int>(std::floor(std::log10(halfWidth)));
    double lead = halfWidth / std::pow(10.0, exponent);
    if (lead >= 9.5) {
        ++exponent;
        lead = 1;
    }
    return lead < 1.95 ? 1 - exponent : -exponent;
}

std::string printFixed(double value, int decimals) {
    if (!std::isfinite(value))
        return "–";
    double rounded = value;
    if (decimals < 0) {
        const double unit = std::pow(10.0, -decimals);
        rounded = std::round(value / unit) * unit;
    }
    const double tiny = 0.5 * std::pow(10.0, -std::max(decimals, 0));
    if (std::abs(rounded) < tiny)
        rounded = 0;
    const std::string digits = fmt::format("{:.{}f}", std::abs(rounded), std::max(decimals, 0));
    return rounded < 0 ? "−" + digits : digits;
}

std::string printPlusMinus(double value, double halfWidth, const std::string& unit,
                           int plainDecimals) {
    const std::string behind = unit.empty() ? "" : " " + unit;
    if (!(halfWidth > 0) || !std::isfinite(halfWidth))
        return printFixed(value, plainDecimals) + behind;
    const double largest = std::max(std::abs(value), halfWidth);
    if (largest >= 1e5) {
        static const char* const kPowers[] = {"⁰", "¹", "²", "³", "⁴", "⁵", "⁶", "⁷", "⁸", "⁹"};
        const int power = std::min(9, 3 * static_cast<int>(std::floor(std::log10(largest) / 3)));
        const double scale = std::pow(10.0, power);
        const int shared = decimalsFor(halfWidth / scale);
        return fmt::format("({} ± {})×10{}{}", printFixed(value / scale, shared),
                           printFixed(halfWidth / scale, shared), kPowers[power], behind);
    }
    const int decimals = decimalsFor(halfWidth);
    return fmt::format("{} ± {}{}", printFixed(value, decimals), printFixed(halfWidth, decimals),
                       behind);
}

const char* unitSign(TemperatureUnit unit) {
    switch (unit) {
    case TemperatureUnit::celsius:
        return "°C";
    case TemperatureUnit::fahrenheit:
        return "°F";
    case TemperatureUnit::kelvin:
        return "K";
    }
    return "";
}

double numberIn(Temperature temperature, TemperatureUnit unit) {
    switch (unit) {
    case TemperatureUnit::celsius:
        return temperature.celsius();
    case TemperatureUnit::fahrenheit:
        return temperature.fahrenheit();
    case TemperatureUnit::kelvin:
        return temperature.kelvin();
    }
    return temperature.kelvin();
}

double degreesOf(KelvinDelta difference, TemperatureUnit unit) {
    return unit == TemperatureUnit::fahrenheit ? difference.fahrenheit() : difference.kelvin();
}

std::string printTemperature(Temperature temperature, TemperatureUnit unit, double halfWidthK) {
    return printPlusMinus(numberIn(temperature, unit), degreesOf(KelvinDelta(halfWidthK), unit),
                          unitSign(unit));
}

std::string printDegrees(double kelvin, Units units) {
    return printTemperature(Temperature::kelvin(kelvin), units.temperature());
}

std::string printDifference(KelvinDelta difference, TemperatureUnit unit, bool sign) {
    const double number = degreesOf(difference, unit);
    const std::string plus = sign && number > 0 ? "+" : "";
    return plus + printFixed(number, std::abs(number) < 9.5 ? 1 : 0) + " " + unitSign(unit);
}

std::string printLength(double metres, bool inches) {
    if (!inches)
        return fmt::format("{} mm", printFixed(metres * 1000, metres < 0.01 ? 1 : 0));
    const long sixteenths = std::lround(metres / 0.0254 * 16);
    const long whole = sixteenths / 16, rest = sixteenths % 16;
    if (rest == 0)
        return fmt::format("{} in", whole);
    const long common = std::gcd(rest, 16L);
    const std::string fraction = fmt::format("{}/{}", rest / common, 16 / common);
    return whole > 0 ? fmt::format("{} {} in", whole, fraction) : fraction + " in";
}

std::string printThin(double metres, Units units) {
    return units.inches ? printLength(metres, true) : printFixed(metres * 1000, 0) + " mm";
}

double roundedUpTime(double seconds) {
    const double step = seconds < 300 ? 10 : 60;
    return std::ceil(seconds / step - 1e-9) * step;
}

double roundedDownTime(double seconds) {
    const double step = seconds < 300 ? 10 : 60;
    return std::floor(seconds / step + 1e-9) * step;
}

} // namespace dynamet
