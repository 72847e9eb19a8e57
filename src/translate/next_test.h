// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

#include <functional>
#include <stop_token>

namespace dynamet::translate {

/// A test that would narrow windows of the book's recipes, all together.
struct NextTest {
    std::string applianceId, protocol;
    kitchen::Setting setting; ///< where it gains most
    std::string zone;
    double narrowerS = 0; ///< over all recipes
    double workS = 0;
    int recipes = 0; ///< how many of them it helps
};

/// Over all recipes on all appliances, each recipe counting once: what to rate next, most per
/// minute of work first. Recipes that cannot be translated are passed over; `done` is told after
/// each.
std::vector<NextTest> nextTests(const std::vector<Request>& requests, std::stop_token stop = {},
                                const std::function<void(int)>& done = {});

} // namespace dynamet::translate
