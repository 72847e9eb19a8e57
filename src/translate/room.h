// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"
#include "recipe/recipe.h"

namespace dynamet::translate {

/// How the pieces of a recipe go onto a place.
struct Room {
    double areaM2 = 0; ///< a pan's base; elsewhere the cooking area, which its zones share
    int fits = 0;      ///< pieces at once, a finger's breadth apart; 0 = not even one
    int together = 0;  ///< of them in the first batch
    int rounds = 1;
    double covered = 0; ///< share of the area under the first batch
};
/// nullopt where the recipe says neither a number of pieces nor what one takes up, or its shape
/// does not tell; and for a place that is gone.
std::optional<Room> roomAt(const kitchen::Kitchen& kitchen, const recipe::FoodPiece& piece,
                           const recipe::Place& place);

} // namespace dynamet::translate
