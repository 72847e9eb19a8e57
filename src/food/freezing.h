// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/composition.h"

namespace dynamet::food {

/// Share of the whole mass that is ice, at °C, for a food that begins to freeze at `freezingC`:
/// (x_w − 0.4 x_protein)(1 − t_f/t), the bound water after Schwartzberg and Pham (ASHRAE
/// Handbook—Refrigeration, thermal properties of foods; from memory).
double iceShare(const Composition& composition, double freezingC, double celsius);

/// Heat capacity of the partly frozen food per original volume without the melting, J/m³K.
double frozenHeatCapacity(const Composition& composition, double freezingC, double celsius);
/// Heat that its ice takes to melt, J/m³, mass counted at 20 °C; latent heat 333.6 kJ/kg.
double meltingHeat(const Composition& composition, double freezingC, double celsius);

/// W/mK with part of the water as ice: by volume, parallel.
double frozenConductivity(const Composition& composition, double freezingC, double celsius);

} // namespace dynamet::food
