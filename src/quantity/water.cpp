// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/water.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <span>

namespace dynamet {
namespace {

// IAPWS-IF97, table 34 (coefficients n1…n10 of the saturation equation).
constexpr double n1 = 0.11670521452767e4, n2 = -0.72421316703206e6, n3 = -0.17073846940092e2,
                 n4 = 0.12020824702470e5, n5 = -0.32325550322333e7, n6 = 0.14915108613530e2,
                 n7 = -0.48232657361591e4, n8 = 0.40511340542057e6, n9 = -0.23855557567849,
                 n10 = 0.65017534844798e3;

struct Point {
    double t, y;
};

/// Polynomial through all points (Neville); the tables are short and smooth.
double throughAll(std::span<const Point> table, double t) {
    std::array<double, 8> p{};
    const std::size_t n = table.size();
    for (std::size_t i = 0; i < n; ++i)
        p[i] = table[i].y;
    for (std::size_t k = 1; k < n; ++k)
        for (std::size_t i = 0; i + k < n; ++i)
            p[i] = ((t - table[i + k].t) * p[i] + (table[i].t - t) * p[i + 1]) /
                   (table[i].t - table[i + k].t);
    return p[0];
}

// IF97 as general steam tables print it.
constexpr std::array<Point, 7> kLatent{{{0.01, 2500.9},
                                        {20, 2453.5},
                                        {40, 2406.0},
                                        {60, 2357.7},
                                        {80, 2308.0},
                                        {100, 2256.4},
                                        {120, 2202.1}}};
constexpr std::array<Point, 7> kSpecificHeat{{{0.01, 4219.9},
                                              {20, 4184.8},
                                              {40, 4178.6},
                                              {60, 4182.8},
                                              {80, 4195.5},
                                              {95, 4210.6},
                                              {100, 4215.7}}};
constexpr std::array<Point, 6> kDensity{
    {{4, 999.97}, {20, 998.21}, {40, 992.22}, {60, 983.21}, {80, 971.80}, {95, 961.90}}};

} // namespace

Result<double> standardPressurePa(double altitudeM) {
    if (!(altitudeM >= -500 && altitudeM <= 9000))
        return fail(Errc::invalidArgument,
                    fmt::format("altitude {} m is outside −500 to 9000 m", altitudeM));
    return kStandardPressurePa * std::pow(1 - 2.25577e-5 * altitudeM, 5.25588);
}

double saturationPressurePa(Temperature temperature) {
    const double t = std::clamp(temperature.kelvin(), 250.0, 647.0);
    const double theta = t + n9 / (t - n10);
    const double a = theta * theta + n1 * theta + n2;
    const double b = n3 * theta * theta + n4 * theta + n5;
    const double c = n6 * theta * theta + n7 * theta + n8;
    const double root = 2 * c / (-b + std::sqrt(b * b - 4 * a * c));
    return std::pow(root, 4) * 1e6;
}

Temperature boilingPoint(double pressurePa) {
    const double beta = std::pow(std::clamp(pressurePa, 611.0, 22e6) / 1e6, 0.25);
    const double e = beta * beta + n3 * beta + n6;
    const double f = n1 * beta * beta + n4 * beta + n7;
    const double g = n2 * beta * beta + n5 * beta + n8;
    const double d = 2 * g / (-f - std::sqrt(f * f - 4 * e * g));
    const double sum = n10 + d;
    return Temperature::kelvin((sum - std::sqrt(sum * sum - 4 * (n9 + n10 * d))) / 2);
}

double latentHeatJPerKg(Temperature temperature) {
    return 1e3 * throughAll(kLatent, std::clamp(temperature.celsius(), 0.0, 125.0));
}

double waterSpecificHeat(Temperature temperature) {
    return throughAll(kSpecificHeat, std::clamp(temperature.celsius(), 0.0, 102.0));
}

double waterDensity(Temperature temperature) {
    return throughAll(kDensity, std::clamp(temperature.celsius(), 0.0, 100.0));
}

} // namespace dynamet
