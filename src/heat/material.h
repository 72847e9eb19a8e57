// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"

#include <memory>
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

/// Begins to freeze here unless the food says otherwise (common for meat; ASHRAE
/// Handbook—Refrigeration, from memory).
inline constexpr double kUsualFreezingC = -1.7;

/// Properties of a food on a grid of 1 K, linear between, held outside −40 to 400 °C; below the
/// freezing point on a grid of 0.05 K. All per original volume. Built once per cook; reading
/// allocates nothing.
class Material {
  public:
    explicit Material(const ConstantProperties& constants);
    /// Without ice the food stays as it is below its freezing point (cooks that never go there).
    /// `porosity` is the share of gas in a risen dough: less of everything per volume, and vapour
    /// that carries heat across the pores while they are moist. What mixes conducts better until it
    /// sets, over 10 K, and as long as it has water to move in.
    explicit Material(const food::Composition& composition, double freezingC = kUsualFreezingC,
                      bool withIce = true, double porosity = 0, const food::Mixing& mixing = {});
    /// With its lid, if it has one.
    explicit Material(const food::Food& food, bool withIce = true);
    /// What lies on top, to the depth `lidM`; nullptr = the piece is the same all through. Its ice
    /// begins where the filling's does.
    const Material* lid() const { return lid_.get(); }
    double lidM() const { return lidM_; }

    double waterPerVolume() const { return water0_; } ///< kg/m³ at the start; 0 = dry
    double dryRatio() const { return dryRatio_; } ///< fat-free dry matter per water at the start
    /// Where ice begins, K; far below zero where none is reckoned with.
    double freezingK() const { return freezingK_; }

    /// Heat capacity J/m³K and conductivity W/mK at once where no water has left.
    void full(double kelvin, double& capacity, double& conductivity) const {
        if (kelvin < freezingK_)
            return frozen(kelvin, capacity, conductivity);
        double share = 0;
        const std::size_t i = at(kelvin, share);
        const Pair &a = full_[i], &b = full_[i + 1];
        capacity = a.capacity + share * (b.capacity - a.capacity);
        conductivity = a.conductivity + share * (b.conductivity - a.conductivity);
    }
    /// The same with `waterLeft` (0…1) of the water still there; conductivity is referred to the
    /// original thickness.
    void partial(double kelvin, double waterLeft, double& capacity, double& conductivity) const;
    double heatCapacity(double kelvin, double waterLeft) const;
    bool mixesWater() const { return mixes_; }
    /// What moves carries water as it does heat: its share of the conductivity (0…1).
    double movingShare(double kelvin, double waterLeft) const;

    /// Temperature after `heat` J/m³ more; exact where ice melts, second order elsewhere.
    double warmed(double kelvin, double waterLeft, double capacity, double heat) const;
    /// J/m³ relative to the freezing point with all the water there.
    double enthalpy(double kelvin, double waterLeft) const;

    /// Activity of the water at a face, and its derivative by `waterLeft`: 0.99/(1 + (0.10/X)²), X
    /// = water per fat-free dry matter (docs/physics.md).
    double waterActivity(double waterLeft, double& slope) const;

  private:
    struct Pair {
        double capacity, conductivity;
    };
    struct Row {
        double dryCapacity, waterCapacity, drySum, waterShare, waterConductivity, pores, mixing;
    };
    struct Frozen {
        double enthalpy, capacity, conductivity;
    };
    static std::size_t at(double kelvin, double& share);
    Row row(double kelvin) const;
    void frozen(double kelvin, double& capacity, double& conductivity) const;
    double frozenEnthalpy(double kelvin) const;
    double thawedTo(double enthalpy) const;

    std::shared_ptr<const Material> lid_;
    double lidM_ = 0;
    double water0_ = 0, freezingK_ = -1e9;
    bool mixes_ = false;
    double dryRatio_ = 0; ///< fat-free dry matter per water at the start
    std::vector<Pair> full_;
    std::vector<Row> rows_;
    std::vector<Frozen> frozen_; ///< from −40 °C up to the freezing point
};

inline std::size_t Material::at(double kelvin, double& share) {
    constexpr double kLow = 233.15;
    constexpr double kSteps = 440;
    double place = kelvin - kLow; // what is no number stands at the cold end
    place = place > 0 ? (place < kSteps - 1e-9 ? place : kSteps - 1e-9) : 0;
    const auto i = static_cast<std::size_t>(place);
    share = place - static_cast<double>(i);
    return i;
}

} // namespace dynamet::heat
