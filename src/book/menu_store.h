// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/recipe_request.h"
#include "plan/heat_up.h"
#include "plan/menu.h"

namespace dynamet::book {

/// Adds a menu, or puts it in place of what it was (its id and place in the order stay).
Result<void> addMenu(Book& book, const plan::Menu& menu, const kitchen::Kitchen& kitchen,
                     const When& when);
Result<void> changeMenu(Book& book, const plan::Menu& menu, const kitchen::Kitchen& kitchen);
Result<void> withdrawMenu(Book& book, const std::string& id, std::optional<When> when);
/// Menus that stand, in their order; one that cannot be read is left out.
Result<std::vector<plan::Menu>> loadMenus(Book& book, const kitchen::Kitchen& kitchen);

/// What each dish of a menu is worked out from; notFound where its recipe is gone.
std::vector<Result<translate::Request>> requestsOf(const plan::Menu& menu,
                                                   const std::vector<recipe::Recipe>& recipes,
                                                   const kitchen::Kitchen& kitchen,
                                                   const Choices& choices, Units units);

/// How long appliances took to settle, of their newest tests that say it.
Result<plan::RatedTimes> ratedTimes(Book& book, const kitchen::Kitchen& kitchen);

/// The test day that is under way, as the window wrote it; empty = none.
Result<std::string> loadTestDay(Book& book);
Result<void> keepTestDay(Book& book, const std::string& json);

} // namespace dynamet::book
