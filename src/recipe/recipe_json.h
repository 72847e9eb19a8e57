// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe/recipe.h"

namespace dynamet::recipe {

/// The one serialisation of a recipe, kept in books and snapshots (docs/formats.md): SI, settings
/// in their canonical text, foods and appliances by id.
std::string recipeJson(const Recipe& recipe, const kitchen::Kitchen& kitchen);

/// The way back. Words that a newer program may have added (a bone, a surface) fall back to the
/// usual one. Errors: parse or invalidArgument for text that is no recipe, with its place; notFound
/// when its food, or an appliance or a setting of one of its stages, is no longer there.
Result<Recipe> readRecipe(const std::string& text, const kitchen::Kitchen& kitchen);

} // namespace dynamet::recipe
