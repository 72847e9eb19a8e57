// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/composition.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::food {
namespace {

struct Quadratic {
    double a, b, c;
    double at(double t) const { return a + t * (b + t * c); }
};
struct Component {
    Quadratic k, rho, c;
};

// Choi & Okos 1986, as printed in the ASHRAE Handbook—Refrigeration (from memory). Fat's
// conductivity slope is −2.7604e-4: a copy with e-3 exists and goes negative near 65 °C.
constexpr std::array<Component, 6> kComponents{{
    {{0.57109, 1.7625e-3, -6.7036e-6},
     {997.18, 3.1439e-3, -3.7574e-3},
     {4176.2, -9.0864e-2, 5.4731e-3}}, // water
    {{0.17881, 1.1958e-3, -2.7178e-6},
     {1329.9, -0.51840, 0},
     {2008.2, 1.2089, -1.3129e-3}}, // protein
    {{0.18071, -2.7604e-4, -1.7749e-7}, {925.59, -0.41757, 0}, {1984.2, 1.4733, -4.8008e-3}}, // fat
    {{0.20141, 1.3874e-3, -4.3312e-6},
     {1599.1, -0.31046, 0},
     {1548.8, 1.9625, -5.9399e-3}}, // carbohydrate
    {{0.18331, 1.2497e-3, -3.1683e-6},
     {1311.5, -0.36589, 0},
     {1845.9, 1.8306, -4.6509e-3}}, // fibre
    {{0.32962, 1.4011e-3, -2.9069e-6}, {2423.8, -0.28063, 0}, {1092.6, 1.8896, -3.6817e-3}}, // ash
}};
constexpr double kAirConductivity = 0.03; // W/mK, warm air in pores

std::array<double, 6> fractions(const Composition& c) {
    return {c.water, c.protein, c.fat, c.carbohydrate, c.fibre, c.ash};
}

double inRange(double celsius) {
    return std::clamp(celsius, -40.0, 200.0);
}

} // namespace

Result<Composition> normalised(const Composition& composition) {
    double sum = 0;
    for (double x : fractions(composition)) {
        if (!(x >= 0))
            return fail(Errc::invalidArgument, Finding{"negative_share"});
        sum += x;
    }
    if (std::abs(sum - 1) > 0.03)
        return fail(Errc::invalidArgument, Finding{"shares_not_one", {Number{sum, 3}}});
    return Composition{composition.water / sum, composition.protein / sum,
                       composition.fat / sum,   composition.carbohydrate / sum,
                       composition.fibre / sum, composition.ash / sum};
}

double densityAt(const Composition& composition, double celsius) {
    const double t = inRange(celsius);
    const auto x = fractions(composition);
    double volume = 0;
    for (std::size_t i = 0; i < x.size(); ++i)
        volume += x[i] / kComponents[i].rho.at(t);
    return 1 / volume;
}

double specificHeatAt(const Composition& composition, double celsius) {
    const double t = inRange(celsius);
    const auto x = fractions(composition);
    double c = 0;
    for (std::size_t i = 0; i < x.size(); ++i)
        c += x[i] * kComponents[i].c.at(t);
    return c;
}

VolumeParts volumeParts(const Composition& composition, double celsius) {
    const double t = inRange(celsius);
    const auto x = fractions(composition);
    double volume = 0;
    VolumeParts parts;
    for (std::size_t i = 0; i < x.size(); ++i)
        volume += x[i] / kComponents[i].rho.at(t);
    for (std::size_t i = 1; i < x.size(); ++i)
        parts.drySum += x[i] / kComponents[i].rho.at(t) / volume * kComponents[i].k.at(t);
    parts.waterShare = x[0] / kComponents[0].rho.at(t) / volume;
    parts.waterConductivity = kComponents[0].k.at(t);
    return parts;
}

double conductivityOf(const VolumeParts& parts, double waterLeft) {
    const double lost = parts.waterShare * (1 - waterLeft);
    const double thickness = 1 - lost / 2;
    const double sum = parts.drySum + parts.waterShare * waterLeft * parts.waterConductivity +
                       lost / 2 * kAirConductivity;
    return sum / (thickness * thickness);
}

double dryHeatCapacity(const Composition& composition, double celsius) {
    const double t = inRange(celsius), rho = densityAt(composition, 20);
    const auto x = fractions(composition);
    double c = 0;
    for (std::size_t i = 1; i < x.size(); ++i)
        c += rho * x[i] * kComponents[i].c.at(t);
    return c;
}

double waterPerVolume(const Composition& composition) {
    return densityAt(composition, 20) * composition.water;
}

double waterSpecificHeatInFood(double celsius) {
    return kComponents[0].c.at(inRange(celsius));
}

} // namespace dynamet::food
