// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/chimney_bed.h"

#include "coals/placement.h"
#include "coals/thin_wall.h"
#include "numeric/roots.h"
#include "quantity/water.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dynamet::coals {
namespace {

constexpr double kCarbonJ_kg = 32.8e6, kAirPerCarbon = 11.5; // heat of combustion, kg per kg
constexpr double kGasJ_kgK = 1150;
constexpr double kBedEmissivity = 0.95, kFoodEmissivity = 0.9;
constexpr ThinWall kWall{60, 0, 8, 0.8}; ///< from the bed; its radiation is in the 60
constexpr double kFilledPower = 0.7;     ///< half a chimney draws less and burns more slowly
constexpr double kEntrainedM = 0.06;     ///< height over which as much air again joins the gas
constexpr double kFoodRadiusM = 0.06, kNearestM = 0.01;
constexpr double kHottestK = 1900;

} // namespace

double bedKelvin(const Chimney& chimney, double filled, double burning, const Air& air) {
    const double area = std::numbers::pi * chimney.radiusM * chimney.radiusM;
    const double walls = 2 * filled * chimney.heightM / chimney.radiusM; // per bed area
    const double given =
        chimney.fullW * std::pow(filled, kFilledPower) * burning * burnFactor(air) / area;
    const double gas = given / kCarbonJ_kg * (1 + kAirPerCarbon * chimney.excessAir) * kGasJ_kgK;
    const double roomK = air.ambientK;
    return solveBracketed(
               [&](double k) {
                   return given - (gas + walls * throughWall_W_m2K(kWall, k, roomK)) * (k - roomK) -
                          kBedEmissivity * kStefanBoltzmann * (std::pow(k, 4) - std::pow(roomK, 4));
               },
               roomK, kHottestK, 0.1)
        .value_or(roomK);
}

double plumeKelvin(double bedK, double heightM, const Air& air) {
    return air.ambientK + (bedK - air.ambientK) / (1 + heightM / kEntrainedM);
}

double viewOfBed(const Chimney& chimney, double heightM) {
    return kFoodEmissivity * kBedEmissivity *
           coaxialDisks(kFoodRadiusM, chimney.radiusM, std::max(heightM, kNearestM));
}

} // namespace dynamet::coals
