// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "translate/request.h"

namespace dynamet::book {

/// A recipe as it was written, bound to where and what.
struct RecipeRecord {
    std::string id;
    std::string name;
    std::string author;
    std::string text;
    translate::Reference reference; ///< its setting is checked against the appliance on load
    std::string settingText;
    cook::FoodPiece piece;
    translate::Goal goal;
};

Result<bool> addRecipe(Book& book, const RecipeRecord& recipe, const When& when);
/// Puts the recipe's piece and goal in place of what they were; its text and reference stay.
Result<bool> changeRecipe(Book& book, const RecipeRecord& recipe);
/// Recipes that stand, in their order; those whose appliance or food is gone are left out.
Result<std::vector<RecipeRecord>> loadRecipes(Book& book, const kitchen::Kitchen& kitchen);

/// Keeps a translation: a snapshot of everything it was computed from, and the result. Returns its
/// id.
Result<std::string> saveTranslation(Book& book, const std::string& recipeId,
                                    const std::string& snapshotJson, std::uint64_t seed,
                                    const When& when);
Result<bool> withdrawTranslation(Book& book, const std::string& id, std::optional<When> when);
struct TranslationLine {
    std::string id, recipeId, snapshotJson;
    std::int64_t createdMs = 0;
};
Result<std::vector<TranslationLine>> listTranslations(Book& book, const std::string& recipeId);

} // namespace dynamet::book
