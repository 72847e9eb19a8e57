// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/porous.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::food {

double poreVapourConductivity(double celsius) {
    constexpr double kPressure = 101325, kMolar = 0.018015, kGas = 8.314462, kMost = 1.5;
    const double held = std::clamp(celsius, 0.0, 99.0);
    const Temperature t = Temperature::celsius(held);
    const double saturation = saturationPressurePa(t);
    const double rise = (saturationPressurePa(Temperature::celsius(held + 0.5)) -
                         saturationPressurePa(Temperature::celsius(held - 0.5)));
    const double diffusivity = 2.2e-5 * std::pow(t.kelvin() / 273.15, 1.8);
    const double vapour = latentHeatJPerKg(t) * diffusivity * kMolar / (kGas * t.kelvin()) * rise *
                          kPressure / (kPressure - saturation);
    return std::min(vapour, kMost);
}

} // namespace dynamet::food
