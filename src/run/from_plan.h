// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/underway.h"
#include "run/course.h"

namespace dynamet::run {

/// A dish of a menu's plan as it is cooked, from now on.
struct PlannedDish {
    std::string name, person;
    PlannedCook planned;
    double startsS = 0, serveS = 0; ///< from now; 0 where its beginning is past already
};
/// A menu that is cooked, as it stands: what was served is left out.
struct MenuNow {
    plan::Menu menu;
    std::vector<plan::Underway> underway; ///< by its dishes
    std::vector<std::size_t> cookOf;      ///< and which cook each of them is
};
/// How a dish stands for it.
struct CookNow {
    std::string recipeId, applianceId;
    Standing stands;
    double pullS = 0; ///< from the run's beginning, as it is forecast or was
    kitchen::Setting setting;
};
/// `menu` as it is to be solved again `nowMin` minutes after midnight of the day of its serving.
/// Cooks are found by their recipe, in order; a dish that nobody cooks is left out.
MenuNow menuNow(const plan::Menu& menu, const std::vector<CookNow>& cooks, double nowS,
                double nowMin);

/// `nowMin`: the wall clock of the day of the serving, minutes after midnight. Without a plan none.
std::vector<PlannedDish> dishesOf(const plan::MenuProblem& menu, const plan::MenuPlan& made,
                                  double nowMin);

} // namespace dynamet::run
