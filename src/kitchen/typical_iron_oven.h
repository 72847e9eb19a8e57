// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/site.h"
#include "kitchen/typical_table.h"

namespace dynamet::kitchen {

/// Inside of an iron oven with so many coals, the mean of their first hour, from the share of their
/// heat that it takes up.
Spread ironOvenInside(Spread captured, int coals, const Site& site);

/// The floor that the food lies on, the lid above it and the course of two hours while the coals
/// burn down. `keys` are the numbers that err with the inside's own temperature; the floor's and
/// the lid's are added.
void addIronOven(HeatField& field, Spread captured, CoalCount coals, Spread inside,
                 const Site& site, std::vector<FieldKey>& keys);

} // namespace dynamet::kitchen
