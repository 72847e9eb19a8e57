// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/composition.h"

#include <optional>
#include <vector>

namespace dynamet::heat {

/// Properties that do not change: W/mK, kg/m³, J/kgK.
struct ConstantProperties {
    double conductivity = 0.5;
    double density = 1050;
    double specificHeat = 3500;
    bool operator==(const ConstantProperties&) const = default;
};

/// Properties of a food on a grid of 1 K, linear between, held outside −40 to 400 °C. All per
/// original volume. Built once per cook; reading allocates nothing.
class Material {
  public:
    explicit Material(const ConstantProperties& constants);
    explicit Material(const food::Composition& composition);

    double waterPerVolume() const { return water0_; } ///< kg/m³ at the start; 0 = dry
    /// J/m³K with `waterLeft` (0…1) of the water still there.
    double heatCapacity(double kelvin, double waterLeft) const {
        const Row r = row(kelvin);
        return waterLeft == 1 ? r.fullCapacity : r.dryCapacity + waterLeft * r.waterCapacity;
    }
    /// W/mK, referred to the original thickness.
    double conductivity(double kelvin, double waterLeft) const {
        const Row r = row(kelvin);
        if (waterLeft == 1)
            return r.fullConductivity;
        const double lost = r.waterShare * (1 - waterLeft), s = 1 - lost / 2;
        return (r.drySum + r.waterShare * waterLeft * r.waterConductivity + lost * 0.015) / (s * s);
    }
    /// Both at once where no water has left.
    void full(double kelvin, double& capacity, double& conductivity) const {
        double share = 0;
        const std::size_t i = at(kelvin, share);
        const Pair &a = full_[i], &b = full_[i + 1];
        capacity = a.capacity + share * (b.capacity - a.capacity);
        conductivity = a.conductivity + share * (b.conductivity - a.conductivity);
    }

  private:
    struct Pair {
        double capacity, conductivity;
    };
    struct Row {
        double fullCapacity, fullConductivity, dryCapacity, waterCapacity, drySum, waterShare,
            waterConductivity;
    };
    static std::size_t at(double kelvin, double& share);
    Row row(double kelvin) const;

    double water0_ = 0;
    std::vector<Pair> full_;
    std::vector<Row> rows_;
};

inline std::size_t Material::at(double kelvin, double& share) {
    constexpr double kLow = 233.15;
    constexpr double kSteps = 440;
    double place = kelvin - kLow;
    place = place < 0 ? 0 : (place > kSteps - 1e-9 ? kSteps - 1e-9 : place);
    const auto i = static_cast<std::size_t>(place);
    share = place - static_cast<double>(i);
    return i;
}

} // namespace dynamet::heat
