// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe/recipe.h"

#include <set>
#include <string>
#include <vector>

namespace dynamet::words {

/// A line of data/cautions.json: all facts of one of `when` must hold.
struct Caution {
    std::string id, text;
    std::vector<std::vector<std::string>> when;
};
const std::vector<Caution>& allCautions();

/// What is true of a stage and its food, in the words of data/cautions.json.
std::set<std::string> cautionFacts(const recipe::Stage& stage, const recipe::FoodPiece& piece,
                                   const kitchen::Kitchen& kitchen);
/// The cautions that those facts call for, in the table's order.
std::vector<Caution> cautionsFor(const std::set<std::string>& facts);
/// Of a whole recipe, each once, before the first step that needs it: stage by stage.
std::vector<std::vector<Caution>> cautionsOf(const std::vector<recipe::Stage>& stages,
                                             const recipe::FoodPiece& piece,
                                             const kitchen::Kitchen& kitchen);

} // namespace dynamet::words
