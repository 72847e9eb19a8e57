// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

namespace dynamet::food {

/// Mass fractions of a food; they add up to 1 (± 0.03, then scaled).
struct Composition {
    double water = 0.72;
    double protein = 0.20;
    double fat = 0.07;
    double carbohydrate = 0;
    double fibre = 0;
    double ash = 0.01;
    bool operator==(const Composition&) const = default;
};

/// Scales the fractions to a sum of exactly 1; invalidArgument when one is negative or the sum is
/// off by more than 0.03.
Result<Composition> normalised(const Composition& composition);

/// Density at a temperature in °C, kg/m³: 1/Σ(x/ρ), Choi & Okos 1986.
double densityAt(const Composition& composition, double celsius);
/// Specific heat, J/kgK, by mass fraction, Choi & Okos 1986.
double specificHeatAt(const Composition& composition, double celsius);

/// Volumes and conductivities that make up the conductivity of a food as it dries; celsius in the
/// tables' range (held outside −40 to 200 °C).
struct VolumeParts {
    double waterShare = 0;        ///< volume fraction of water while none has left
    double waterConductivity = 0; ///< W/mK
    double drySum = 0; ///< Σ of volume fraction × conductivity over the dry parts, W/mK
};
VolumeParts volumeParts(const Composition& composition, double celsius);

/// Conductivity, W/mK, after a share of the water has left: half of the water's volume becomes air,
/// half is lost by shrinking, and the value is referred to the original thickness
/// (docs/physics.md).
double conductivityOf(const VolumeParts& parts, double waterLeft);

/// Heat capacity of the dry parts per original volume, J/m³K, and the water's mass per volume,
/// kg/m³: geometry is fixed, mass is counted at 20 °C.
double dryHeatCapacity(const Composition& composition, double celsius);
double waterPerVolume(const Composition& composition);
/// Specific heat of the food's water, J/kgK (Choi & Okos).
double waterSpecificHeatInFood(double celsius);

} // namespace dynamet::food
