// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"
#include "quantity/temperature.h"

namespace dynamet {

inline constexpr double kStandardPressurePa = 101325;
inline constexpr double kStefanBoltzmann = 5.670374e-8; ///< W/m²K⁴

/// Air pressure of the ICAO standard atmosphere, Pa; −500 to 9000 m, otherwise invalidArgument.
Result<double> standardPressurePa(double altitudeM);

/// Saturation pressure of water, Pa. IAPWS-IF97 region 4; 250 to 647 K (held at the ends).
double saturationPressurePa(Temperature temperature);
/// Boiling point at a pressure. IAPWS-IF97 region 4, backward equation; 611 Pa to 22 MPa (held).
Temperature boilingPoint(double pressurePa);

/// Latent heat of vaporisation, J/kg, at a temperature (0–120 °C); steam-table values (IF97, ± 0.1
/// kJ/kg between them).
double latentHeatJPerKg(Temperature temperature);
/// Specific heat (J/kgK) and density (kg/m³) of liquid water at 1 atm, 0–100 °C.
double waterSpecificHeat(Temperature temperature);
double waterDensity(Temperature temperature);

} // namespace dynamet
