// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::food {

/// What the gas in a dough's pores adds to its conductivity, W/mK of pore, while the crumb is
/// moist: air, and water that evaporates on the hot side of a pore and condenses on the cold one, L
/// D (M/RT) p/(p − p_s) dp_s/dT (de Vries, Sluimer & Bloksma 1989 for dough; formula from memory).
/// At most 1.5.
double poreVapourConductivity(double celsius);
inline constexpr double kPoreAirConductivity = 0.03;

} // namespace dynamet::food
