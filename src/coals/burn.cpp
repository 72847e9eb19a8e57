// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/burn.h"

#include <cmath>

namespace dynamet::coals {
namespace {

constexpr double kSeaLevelPa = 101325, kPressurePower = 0.75, kPerWind = 0.10, kHourS = 3600;

double rate(const Fuel& fuel, const Air& air) {
    return -std::log(1 - fuel.burntInHour) / kHourS * burnFactor(air);
}

} // namespace

double burnFactor(const Air& air) {
    return std::pow(air.pressurePa / kSeaLevelPa, kPressurePower) * (1 + kPerWind * air.windMPerS);
}

double leftAt(const Fuel& fuel, double ageS, const Air& air) {
    return std::exp(-rate(fuel, air) * ageS);
}

double heatW(const Fuel& fuel, double ageS, const Air& air) {
    return fuel.pieceKg * fuel.heatingJ_kg * rate(fuel, air) * leftAt(fuel, ageS, air);
}

double meanHeatW(const Fuel& fuel, double fromS, double toS, const Air& air) {
    return fuel.pieceKg * fuel.heatingJ_kg * (leftAt(fuel, fromS, air) - leftAt(fuel, toS, air)) /
           (toS - fromS);
}

} // namespace dynamet::coals
