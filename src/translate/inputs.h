// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

#include <span>
#include <vector>

namespace dynamet::translate {

/// An uncertain input of a cook: a number of the field or a property of the food.
struct Input {
    std::string name; ///< as a cook reads it: "thickness", "air temperature"
    enum class What {
        fieldNumber,
        thickness,
        start,
        moisture,
        composition
    } what = What::fieldNumber;
    kitchen::FieldKey key{};
    std::string heatId = {}; ///< of the stages whose number it is
    double sd = 0;           ///< of the number (temperatures, start) or of its logarithm
};

/// Everything uncertain that a programme and piece have, in a fixed order. Stages of one heat share
/// its inputs.
std::vector<Input> inputsOf(const cook::Programme& programme, const FoodSpread& spread,
                            const recipe::FoodPiece& piece);
/// Correlations between the inputs, row-major; only numbers of one heat correlate.
std::vector<double> correlationsOf(const std::vector<Input>& inputs,
                                   const cook::Programme& programme);

/// The cook with every input shifted by so many standard deviations.
struct Deviated {
    recipe::FoodPiece piece;
    cook::Programme programme;
    bool composition = false; ///< true when the food's tables must be made anew
};
Deviated deviated(const recipe::FoodPiece& piece, const cook::Programme& programme,
                  const std::vector<Input>& inputs, std::span<const double> deviations);

} // namespace dynamet::translate
