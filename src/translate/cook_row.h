// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate {

/// The core that the recipe asks for.
cook::CookTarget targetOf(const Request& request);
/// The tables of a programme's own air.
cook::Tables tablesAt(const Prepared& prepared, const cook::Programme& programme,
                      const std::stop_token& stop);

/// A cook of some piece on a row's programme: to the recipe's goal or, where a time gave that, to
/// be like what it gave on a grid as fine (`likeness` is set then).
struct RowCook {
    cook::Outcome outcome;
    std::optional<cook::Likeness> likeness;
    int solves = 1;
};
/// What is known of it beforehand.
struct CookIdea {
    double guessS = 0;               ///< of the last stage
    std::vector<double> slopes = {}; ///< of a likeness, from a coarser cook
    /// What cannot come within so many noticed differences is left early.
    double enough = std::numeric_limits<double>::infinity();
};
Result<RowCook> cookRow(const Prepared& prepared, const recipe::FoodPiece& piece,
                        const cook::Programme& programme, const CookIdea& idea,
                        const cook::Tables& tables, const cook::Effort& effort);

} // namespace dynamet::translate
