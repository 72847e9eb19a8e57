// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"

#include <nlohmann/json.hpp>
#include <string>

/// One fact of practice as a cook on assumed heat (assumptions.json).
namespace practice {

struct Case {
    dynamet::recipe::FoodPiece piece;
    dynamet::cook::Programme programme;
    double fixedS = 0;  ///< length of all stages together; 0 = as long as it takes
    double pullAtK = 0; ///< the last stage ends when the core is here; 0 = otherwise
};
Case caseOf(const nlohmann::json& fact);

/// What the model says in the fact's own unit; NaN when it is never reached.
double predicted(const nlohmann::json& fact);

} // namespace practice
