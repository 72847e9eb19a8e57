// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "recipe/recipe.h"

namespace dynamet::book {

/// Adds a recipe, or puts it in place of what it was (its id and place in the order stay); its
/// settings are written as the kitchen's controls have them.
Result<void> addRecipe(Book& book, const recipe::Recipe& recipe, const kitchen::Kitchen& kitchen,
                       const When& when);
Result<void> changeRecipe(Book& book, const recipe::Recipe& recipe,
                          const kitchen::Kitchen& kitchen);
Result<void> withdrawRecipe(Book& book, const std::string& id, std::optional<When> when);
/// Recipes that stand, in their order; those whose food, or an appliance or setting of one of their
/// stages, is gone are left out (see `listRecipes`).
Result<std::vector<recipe::Recipe>> loadRecipes(Book& book, const kitchen::Kitchen& kitchen);

/// A recipe of the book by its name, whether or not it can be computed with.
struct RecipeLine {
    std::string id, name;
    bool retired = false;
    std::optional<Error> missing; ///< why it is not among `loadRecipes`; empty = it is, or retired
    int kept = 0;                 ///< translations of it that are kept
};
Result<std::vector<RecipeLine>> listRecipes(Book& book, const kitchen::Kitchen& kitchen);

/// Keeps a translation: a snapshot of everything it was computed from, and the result. Returns its
/// id.
Result<std::string> saveTranslation(Book& book, const std::string& recipeId,
                                    const std::string& snapshotJson, std::uint64_t seed,
                                    const When& when);
Result<void> withdrawTranslation(Book& book, const std::string& id, std::optional<When> when);
struct TranslationLine {
    std::string id, recipeId, snapshotJson;
    std::int64_t createdMs = 0;
};
Result<std::vector<TranslationLine>> listTranslations(Book& book, const std::string& recipeId);

} // namespace dynamet::book
