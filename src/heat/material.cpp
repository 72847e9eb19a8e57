// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/material.h"

#include "food/freezing.h"
#include "food/porous.h"
#include "quantity/temperature.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {

constexpr int kRows = 442; // one more than the steps, so that a next row always exists
constexpr double kColdestC = -40, kFrozenStepK = 0.05;
constexpr double kSetsOverK = 10;
constexpr double kStiffAt = 0.3; ///< share of the water left where nothing moves any more
constexpr double kHalfActivity = 0.10, kHighestActivity = 0.99;

/// By how much better heat spreads at a temperature, in parts of conduction.
double extraOf(const food::Mixing& mixing, double kelvin) {
    return (mixing.times - 1) * std::clamp((mixing.setsK - kelvin) / kSetsOverK, 0.0, 1.0);
}

/// How freely what is left moves, 0…1.
double looseness(double waterLeft) {
    return std::max(0.0, (waterLeft - kStiffAt) / (1 - kStiffAt));
}

} // namespace

Material::Material(const ConstantProperties& constants) {
    const double capacity = constants.density * constants.specificHeat;
    full_.assign(kRows, {capacity, constants.conductivity});
    rows_.assign(kRows, {capacity, 0, constants.conductivity, 0, 0, 0, 0});
}

Material::Material(const food::Composition& composition, double freezingC, bool withIce,
                   double porosity, const food::Mixing& mixing)
    : water0_((1 - porosity) * food::waterPerVolume(composition)) {
    const double dry =
        composition.protein + composition.carbohydrate + composition.fibre + composition.ash;
    dryRatio_ = composition.water > 0 ? dry / composition.water : 0;
    mixes_ = mixing.times > 1 && mixing.carriesWater;
    full_.reserve(kRows);
    rows_.reserve(kRows);
    for (int i = 0; i < kRows; ++i) {
        const double celsius = i - 40.0;
        const food::VolumeParts parts = food::volumeParts(composition, celsius);
        const double solid = 1 - porosity;
        const Row r{solid * food::dryHeatCapacity(composition, celsius),
                    water0_ * food::waterSpecificHeatInFood(celsius),
                    solid * parts.drySum + porosity * food::kPoreAirConductivity,
                    solid * parts.waterShare,
                    parts.waterConductivity,
                    porosity > 0 ? porosity * food::poreVapourConductivity(celsius) : 0,
                    extraOf(mixing, celsius + kZeroCelsiusK)};
        rows_.push_back(r);
        full_.push_back(
            {r.dryCapacity + r.waterCapacity,
             (1 + r.mixing) * (r.drySum + r.waterShare * r.waterConductivity + r.pores)});
    }
    if (composition.water <= 0 || !withIce)
        return;
    freezingK_ = freezingC + kZeroCelsiusK;
    const int steps = static_cast<int>(std::floor((freezingC - kColdestC) / kFrozenStepK));
    double sensible = 0, before = food::frozenHeatCapacity(composition, freezingC, freezingC);
    for (int i = 0; i <= steps; ++i) { // counted down from the freezing point
        const double c = freezingC - kFrozenStepK * i;
        const double capacity = food::frozenHeatCapacity(composition, freezingC, c);
        if (i > 0)
            sensible -= kFrozenStepK * (capacity + before) / 2;
        before = capacity;
        frozen_.push_back({sensible - food::meltingHeat(composition, freezingC, c), 0,
                           food::frozenConductivity(composition, freezingC, c)});
    }
    for (std::size_t i = 0; i + 1 < frozen_.size(); ++i)
        frozen_[i].capacity = (frozen_[i].enthalpy - frozen_[i + 1].enthalpy) / kFrozenStepK;
    frozen_.back().capacity = frozen_[frozen_.size() - 2].capacity;
}

Material::Material(const food::Food& food, bool withIce)
    : Material(food.composition, food.freezingC, withIce, food.porosity, food.mixing) {
    if (!food.lid)
        return;
    lid_ = std::make_shared<Material>(food.lid->composition, food.freezingC, withIce,
                                      food.lid->porosity);
    lidM_ = food.lid->thicknessM;
}

Material::Row Material::row(double kelvin) const {
    double share = 0;
    const std::size_t i = at(kelvin, share);
    const Row &a = rows_[i], &b = rows_[i + 1];
    const auto mix = [share](double x, double y) { return x + share * (y - x); };
    return {mix(a.dryCapacity, b.dryCapacity),
            mix(a.waterCapacity, b.waterCapacity),
            mix(a.drySum, b.drySum),
            mix(a.waterShare, b.waterShare),
            mix(a.waterConductivity, b.waterConductivity),
            mix(a.pores, b.pores),
            mix(a.mixing, b.mixing)};
}

void Material::partial(double kelvin, double waterLeft, double& capacity,
                       double& conductivity) const {
    if (kelvin < freezingK_)
        return frozen(kelvin, capacity, conductivity);
    const Row r = row(kelvin);
    capacity = r.dryCapacity + waterLeft * r.waterCapacity;
    const double lost = r.waterShare * (1 - waterLeft), s = 1 - lost / 2;
    conductivity =
        (1 + r.mixing * looseness(waterLeft)) *
        (r.drySum + waterLeft * (r.waterShare * r.waterConductivity + r.pores) + lost * 0.015) /
        (s * s);
}

double Material::movingShare(double kelvin, double waterLeft) const {
    if (!mixes_ || kelvin < freezingK_)
        return 0;
    const double extra = row(kelvin).mixing * looseness(waterLeft);
    return extra / (1 + extra);
}

double Material::heatCapacity(double kelvin, double waterLeft) const {
    double capacity = 0, ignored = 0;
    waterLeft == 1 ? full(kelvin, capacity, ignored)
                   : partial(kelvin, waterLeft, capacity, ignored);
    return capacity;
}

void Material::frozen(double kelvin, double& capacity, double& conductivity) const {
    const double place = std::max(0.0, std::min(static_cast<double>(frozen_.size()) - 1.001,
                                                (freezingK_ - kelvin) / kFrozenStepK));
    const auto i = static_cast<std::size_t>(place);
    const double share = place - static_cast<double>(i);
    const Frozen &a = frozen_[i], &b = frozen_[i + 1];
    capacity = a.capacity;
    conductivity = a.conductivity + share * (b.conductivity - a.conductivity);
}

double Material::frozenEnthalpy(double kelvin) const {
    const double place = std::max(0.0, (freezingK_ - kelvin) / kFrozenStepK);
    const double last = static_cast<double>(frozen_.size()) - 1;
    if (place >= last)
        return frozen_.back().enthalpy - (place - last) * kFrozenStepK * frozen_.back().capacity;
    const auto i = static_cast<std::size_t>(place);
    const double share = place - static_cast<double>(i);
    return frozen_[i].enthalpy + share * (frozen_[i + 1].enthalpy - frozen_[i].enthalpy);
}

double Material::thawedTo(double enthalpy) const {
    if (!(enthalpy < 0))
        return freezingK_;
    if (enthalpy <= frozen_.back().enthalpy)
        return freezingK_ - kFrozenStepK * static_cast<double>(frozen_.size() - 1) +
               (enthalpy - frozen_.back().enthalpy) / frozen_.back().capacity;
    const auto after =
        std::lower_bound(frozen_.begin(), frozen_.end(), enthalpy,
                         [](const Frozen& row, double wanted) { return row.enthalpy > wanted; });
    const auto i = static_cast<std::size_t>(after - frozen_.begin());
    const double share =
        (frozen_[i - 1].enthalpy - enthalpy) / (frozen_[i - 1].enthalpy - frozen_[i].enthalpy);
    return freezingK_ - kFrozenStepK * (static_cast<double>(i - 1) + share);
}

double Material::warmed(double kelvin, double waterLeft, double capacity, double heat) const {
    double from = kelvin, left = heat;
    if (kelvin < freezingK_) {
        const double reached = frozenEnthalpy(kelvin) + heat;
        if (reached < 0)
            return thawedTo(reached);
        from = freezingK_;
        left = reached;
        capacity = heatCapacity(freezingK_, waterLeft);
    }
    const double guess = from + left / capacity;
    if (guess < freezingK_ && !frozen_.empty())
        return thawedTo(left + capacity * (from - freezingK_));
    return from + left / heatCapacity((from + guess) / 2, waterLeft);
}

double Material::enthalpy(double kelvin, double waterLeft) const {
    if (kelvin < freezingK_)
        return frozenEnthalpy(kelvin);
    double sum = 0;
    const double low = std::max(freezingK_, 233.15);
    constexpr int kPieces = 32;
    const double h = (kelvin - low) / kPieces;
    for (int i = 0; i < kPieces; ++i)
        sum += h * heatCapacity(low + h * (i + 0.5), waterLeft);
    return sum;
}

double Material::waterActivity(double waterLeft, double& slope) const {
    if (waterLeft <= 0) {
        slope = 0;
        return 0;
    }
    const double ratio = kHalfActivity * dryRatio_ / waterLeft, squared = ratio * ratio;
    const double activity = kHighestActivity / (1 + squared);
    slope = 2 * squared / waterLeft / (1 + squared) * activity;
    return activity;
}

} // namespace dynamet::heat
