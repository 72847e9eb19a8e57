// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/choices_store.h"
#include "book/recipe_store.h"
#include "translate/request.h"

namespace dynamet::book {

/// What a translation of the recipe is computed from, with the book's schools; the whole cook
/// moves.
translate::Request requestOf(const recipe::Recipe& recipe, kitchen::Kitchen kitchen,
                             const Choices& choices);

/// The other recipes of a book whose authors' times bear on one; see `translate::bearsOn`.
std::vector<recipe::Recipe> othersOf(const recipe::Recipe& recipe,
                                     const std::vector<recipe::Recipe>& all);
/// One request a recipe, each with the others that bear on it.
std::vector<translate::Request> requestsOf(const std::vector<recipe::Recipe>& recipes,
                                           const kitchen::Kitchen& kitchen, const Choices& choices);

/// A recipe to begin with: the first appliance and food of the kitchen, the middle level that the
/// first scale has for it. Its id is new.
recipe::Recipe beginRecipe(const kitchen::Kitchen& kitchen, const Choices& choices);

} // namespace dynamet::book
