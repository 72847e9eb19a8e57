// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

namespace dynamet::heat {

/// Water's vapour at one air pressure: what a wet face needs, on a grid of 0.25 K. Saturation
/// pressure is clipped at 0.98 p (docs/physics.md).
class Vapour {
  public:
    explicit Vapour(double pressurePa);
    double pressurePa() const { return pressure_; }
    double boilingK() const { return boilingK_; }
    double latentAtBoiling() const { return latentAtBoiling_; } ///< J/kg

    struct Wet {
        double mass;          ///< kg/m²s per W/m²K of the face's convective coefficient
        double slope;         ///< its derivative by the face's temperature
        double latent;        ///< J/kg
        double activitySlope; ///< derivative of `mass` by the water's activity
    };
    /// Evaporation of a face by the Lewis analogy with Stefan flow, its saturation pressure lowered
    /// by the activity of its water; negative = condensation.
    Wet wet(double surfaceK, double vapourPa, double activity) const;
    /// Diffusivity of water in the food, m²/s: 1e-9 at 55 °C, 45 kJ/mol, held above 100 °C.
    double diffusivity(double surfaceK) const;

  private:
    double pressure_, boilingK_, latentAtBoiling_;
    struct Row {
        double saturation, latent, diffusivity;
    };
    std::vector<Row> rows_;
};

} // namespace dynamet::heat
