// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe_text/filled.h"

namespace dynamet::recipe_text {

/// What a text says of the food that is cooked, the usual where it says nothing, and what was asked
/// for that.
struct PieceSaid {
    recipe::FoodPiece piece;
    std::vector<Asked> asked;
    std::optional<double> weightKg; ///< of all of it
};
PieceSaid pieceSaid(const std::string& name, const std::string& text,
                    const std::vector<Binding>& bindings);

/// In the middle of a range; asks for one with numbers.
inline double middleOf(const Binding& b) {
    return (*b.low + *b.high) / 2;
}

} // namespace dynamet::recipe_text
