// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/grill_box.h"

#include "coals/thin_wall.h"
#include "numeric/roots.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace dynamet::kitchen {
namespace {

constexpr double kGravity = 9.81, kGasConstantAir = 287, kHotAirJ_kgK = 1050;
constexpr double kDischarge = 0.6; ///< sharp-edged openings
constexpr double kInsideW_m2K = 8;
constexpr double kInsideEmissivity = 0.5; ///< hot metal under the grate to the walls
constexpr double kStillW_m2K = 5;         ///< outside
constexpr double kWindW_m2K = 4;          ///< per (m/s)^0.8
constexpr double kWallEmissivity = 0.8;
constexpr double kReach = 1; ///< burners that the unmixed heat spreads over (1/e^½)
constexpr double kHottestRiseK = 900;

double draughtKg_s(const GrillBox& box, std::size_t burners, double riseK, const Site& site) {
    const double ambientK = site.ambient.kelvin();
    const double density = pressurePa(site) / (kGasConstantAir * (ambientK + riseK));
    const double opening = box.openingPerBurnerM2 * static_cast<double>(burners);
    return kDischarge * opening * density *
           std::sqrt(2 * kGravity * box.draughtHeightM * riseK / ambientK);
}

double wallLossW_K(const GrillBox& box, std::size_t burners, double riseK, const Site& site) {
    const double width = box.burnerWidthM * static_cast<double>(burners);
    const double area = 2 * width * box.depthM + 2 * (width + box.depthM) * box.wallHeightM;
    const double roomK = site.ambient.kelvin();
    coals::ThinWall wall{kInsideW_m2K, kInsideEmissivity, kStillW_m2K, kWallEmissivity};
    wall.outsideW_m2K += kWindW_m2K * std::pow(site.windMPerS, 0.8);
    return box.wallFactor * area * coals::throughWall_W_m2K(wall, roomK + riseK, roomK);
}

/// Of the whole box, from what goes in and out.
double meanRise(const GrillBox& box, double watts, std::size_t burners, const Site& site) {
    const auto surplus = [&](double riseK) {
        return watts - riseK * (kHotAirJ_kgK * draughtKg_s(box, burners, riseK, site) +
                                wallLossW_K(box, burners, riseK, site));
    };
    return watts > 0 ? solveBracketed(surplus, 0, kHottestRiseK, 0.01).value_or(kHottestRiseK) : 0;
}

/// Share of a burner's unmixed heat that comes up over each place.
std::vector<double> plumeOf(std::size_t burner, std::size_t burners) {
    std::vector<double> out;
    for (std::size_t i = 0; i < burners; ++i) {
        const double away = (static_cast<double>(i) - static_cast<double>(burner)) / kReach;
        out.push_back(std::exp(-away * away / 2));
    }
    const double all = std::accumulate(out.begin(), out.end(), 0.0);
    for (double& share : out)
        share /= all;
    return out;
}

double riseAt(const GrillBox& box, std::span<const double> shares, bool direct, const Site& site) {
    const auto rises = grillRises(box, shares, site);
    return direct ? *std::max_element(rises.begin(), rises.end())
                  : *std::min_element(rises.begin(), rises.end());
}

} // namespace

std::vector<double> grillRises(const GrillBox& box, std::span<const double> shares,
                               const Site& site) {
    const std::size_t n = shares.size();
    const double sum = std::accumulate(shares.begin(), shares.end(), 0.0);
    std::vector<double> out(n);
    if (sum <= 0)
        return out;
    const double mean = meanRise(box, sum * box.burnerW, n, site);
    for (std::size_t j = 0; j < n; ++j) {
        const auto plume = plumeOf(j, n);
        for (std::size_t i = 0; i < n; ++i)
            out[i] += mean * shares[j] / sum *
                      (box.mixedShare + (1 - box.mixedShare) * plume[i] * static_cast<double>(n));
    }
    return out;
}

GrillRise grillRise(const GrillBox& box, std::span<const double> shares, bool direct,
                    const Site& site) {
    constexpr double kPowerShare = 0.08, kLowFlame = 0.1, kOpening = 0.18, kWalls = 0.15,
                     kMixed = 0.04, kModel = 0.05;
    const double rise = riseAt(box, shares, direct, site);
    double variance = std::pow(kModel * rise, 2);
    const auto vary = [&](double GrillBox::*number, double factor) {
        GrillBox other = box;
        other.*number *= 1 + factor;
        variance += std::pow(riseAt(other, shares, direct, site) - rise, 2);
    };
    vary(&GrillBox::burnerW, kPowerShare);
    vary(&GrillBox::openingPerBurnerM2, kOpening);
    vary(&GrillBox::wallFactor, kWalls);
    vary(&GrillBox::mixedShare, kMixed / box.mixedShare);
    std::vector<double> flames(shares.begin(), shares.end());
    for (double& share : flames)
        if (share < 1)
            share *= 1 + kLowFlame;
    variance += std::pow(riseAt(box, flames, direct, site) - rise, 2);
    return {rise, std::sqrt(variance)};
}

} // namespace dynamet::kitchen
