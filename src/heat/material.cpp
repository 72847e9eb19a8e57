// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/material.h"

#include "quantity/temperature.h"

namespace dynamet::heat {
namespace {
constexpr int kRows = 442; // one more than the steps, so that a next row always exists
}

Material::Material(const ConstantProperties& constants) {
    const double capacity = constants.density * constants.specificHeat;
    full_.assign(kRows, {capacity, constants.conductivity});
    rows_.assign(kRows,
                 {capacity, constants.conductivity, capacity, 0, constants.conductivity, 0, 0});
}

Material::Material(const food::Composition& composition)
    : water0_(food::waterPerVolume(composition)) {
    full_.reserve(kRows);
    rows_.reserve(kRows);
    for (int i = 0; i < kRows; ++i) {
        const double celsius = i - 40.0;
        const food::VolumeParts parts = food::volumeParts(composition, celsius);
        Row r{};
        r.dryCapacity = food::dryHeatCapacity(composition, celsius);
        r.waterCapacity = water0_ * food::waterSpecificHeatInFood(celsius);
        r.fullCapacity = r.dryCapacity + r.waterCapacity;
        r.drySum = parts.drySum;
        r.waterShare = parts.waterShare;
        r.waterConductivity = parts.waterConductivity;
        r.fullConductivity = food::conductivityOf(parts, 1);
        rows_.push_back(r);
        full_.push_back({r.fullCapacity, r.fullConductivity});
    }
}

Material::Row Material::row(double kelvin) const {
    double share = 0;
    const std::size_t i = at(kelvin, share);
    const Row &a = rows_[i], &b = rows_[i + 1];
    const auto mix = [share](double x, double y) { return x + share * (y - x); };
    return {mix(a.fullCapacity, b.fullCapacity),
            mix(a.fullConductivity, b.fullConductivity),
            mix(a.dryCapacity, b.dryCapacity),
            mix(a.waterCapacity, b.waterCapacity),
            mix(a.drySum, b.drySum),
            mix(a.waterShare, b.waterShare),
            mix(a.waterConductivity, b.waterConductivity)};
}

} // namespace dynamet::heat
