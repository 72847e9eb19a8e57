// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/inputs.h"

namespace dynamet::translate {

/// What a cook shares with others, by name: its recipe, food, way of heating; and its own.
struct CookNames {
    std::string recipe, food, way;
    std::string cook = "this";
};
CookNames namesOf(const Request& request, const cook::Programme& programme, std::string cook);

/// The unknowns behind a cook's ln(time): the inputs with their sensitivities per standard
/// deviation, and what no input can say (food, way of heating, model, the cook, the probe).
evidence::Effects effectsOf(const std::vector<Input>& inputs, const std::vector<double>& lnPerSd,
                            const FoodSpread& spread, const CookNames& names,
                            const recipe::FoodPiece& piece, double seconds);
/// The last part of them alone.
evidence::Effects restOf(const std::vector<Input>& inputs, const std::vector<double>& lnPerSd,
                         const FoodSpread& spread, const CookNames& names,
                         const recipe::FoodPiece& piece, double seconds);
/// Each input's deviation, in its standard deviations, by the unknowns behind it.
std::vector<evidence::Effects> deviationsOf(const std::vector<Input>& inputs,
                                            const FoodSpread& spread, const CookNames& names);
/// What correlates among them: the numbers of one heat.
std::vector<evidence::Block> blocksOf(const std::vector<Input>& inputs,
                                      const std::vector<double>& correlations);

/// Names of single unknowns, for what narrows them.
std::string fieldUnknown(const Input& input);
std::string thicknessUnknown(const CookNames& names);
std::string startUnknown(const CookNames& names);

} // namespace dynamet::translate
