// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/recipe_store.h"

namespace dynamet::book {

/// What a recipe's columns do not say about its stages and its rest, as JSON (docs/formats.md).
std::string stagesJson(const RecipeRecord& recipe);
/// Reads it back into a recipe; false when an appliance or a setting of a stage is gone. What the
/// text does not say stays as it is.
bool readStagesJson(const std::string& text, const kitchen::Kitchen& kitchen, RecipeRecord& recipe);

} // namespace dynamet::book
