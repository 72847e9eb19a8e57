// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu_plan.h"
#include "run/course.h"

namespace dynamet::run {

/// A dish of a menu's plan as it is cooked, from now on.
struct PlannedDish {
    std::string name, person;
    PlannedCook planned;
    double startsS = 0, serveS = 0; ///< from now; 0 where its beginning is past already
};
/// `nowMin`: the wall clock of the day of the serving, minutes after midnight. Without a plan none.
std::vector<PlannedDish> dishesOf(const plan::MenuProblem& menu, const plan::MenuPlan& made,
                                  double nowMin);

} // namespace dynamet::run
