// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/freezing.h"

#include <algorithm>
#include <cmath>

namespace dynamet::food {
namespace {

constexpr double kLatent = 333.6e3, kBoundPerProtein = 0.4;

// Ice, Choi & Okos 1986 (from memory).
double iceConductivity(double t) {
    return 2.2196 - 6.2489e-3 * t + 1.0154e-4 * t * t;
}
double iceDensity(double t) {
    return 916.89 - 0.13071 * t;
}
double iceSpecificHeat(double t) {
    return 2062.3 + 6.0769 * t;
}

double freezable(const Composition& c) {
    return std::max(0.0, c.water - kBoundPerProtein * c.protein);
}

} // namespace

double iceShare(const Composition& composition, double freezingC, double celsius) {
    return celsius < freezingC ? freezable(composition) * (1 - freezingC / celsius) : 0;
}

double frozenHeatCapacity(const Composition& c, double freezingC, double celsius) {
    const double ice = iceShare(c, freezingC, celsius);
    return dryHeatCapacity(c, celsius) +
           densityAt(c, 20) * ((c.water - ice) * waterSpecificHeatInFood(celsius) +
                               ice * iceSpecificHeat(celsius));
}

double meltingHeat(const Composition& c, double freezingC, double celsius) {
    return densityAt(c, 20) * kLatent * iceShare(c, freezingC, celsius);
}

double frozenConductivity(const Composition& c, double freezingC, double celsius) {
    const VolumeParts parts = volumeParts(c, celsius);
    const double iceOfWater = c.water > 0 ? iceShare(c, freezingC, celsius) / c.water : 0;
    // Volumes relative to the food before it froze; ice takes more room than its water.
    const double water = parts.waterShare * (1 - iceOfWater);
    const double ice = parts.waterShare * iceOfWater * 1000 / iceDensity(celsius);
    return (parts.drySum + water * parts.waterConductivity + ice * iceConductivity(celsius)) /
           (1 - parts.waterShare + water + ice);
}

} // namespace dynamet::food
