// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/oven_heat.h"

#include <cmath>

namespace dynamet::coals {
namespace {
constexpr int kMostCoals = 60;
constexpr double kHourS = 3600;
} // namespace

double ovenLossW_K(const Air& air) {
    return 1.5 * std::sqrt(air.pressurePa / 101325) * (1 + 0.9 * std::pow(air.windMPerS, 0.8)) +
           1.2;
}

double risePerCoalK(const IronOven& oven, const Fuel& fuel, const Air& air) {
    return oven.captured * meanHeatW(fuel, 0, kHourS, air) / ovenLossW_K(air);
}

double risenShare(const IronOven& oven, const Fuel& fuel, const Air& air, double sinceS) {
    const double burns = -std::log(leftAt(fuel, 1, air)); // 1/s
    double follows = ovenLossW_K(air) / oven.heatJ_K;
    if (std::abs(follows - burns) <
        1e-6 * burns) // the two terms below are alike, no answer is lost
        follows = burns * (1 + 1e-6);
    const double first = heatW(fuel, 0, air) / meanHeatW(fuel, 0, kHourS, air);
    // τ s' = first·e^(−λt) − s from s(0) = 1
    const double forced = first * follows / (follows - burns);
    return forced * std::exp(-burns * sinceS) + (1 - forced) * std::exp(-follows * sinceS);
}

double insideK(const OvenHeat& heat, int under, int lid, double ambientK, double ageFactor) {
    return ambientK + ageFactor * (heat.perUnderK * under + heat.perLidK * lid);
}

Count countFor(const OvenHeat& heat, double wantedK, double ambientK, double lidShare) {
    Count best;
    double off = 1e9;
    for (int all = 2; all <= kMostCoals; ++all) {
        const int lid = static_cast<int>(std::lround(all * lidShare));
        const double away = std::abs(insideK(heat, all - lid, lid, ambientK) - wantedK);
        if (away < off) {
            off = away;
            best = {all - lid, lid};
        }
    }
    return best;
}

} // namespace dynamet::coals
