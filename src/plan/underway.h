// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu_plan.h"

namespace dynamet::plan {

/// Where a dish of a plan stands when the plan is solved again.
struct Underway {
    bool begun = false;
    double leftS = 0;        ///< of its heat, as it is forecast now; 0 = it rests
    double restedS = 0;      ///< so far
    std::string applianceId; ///< that it is on, or was
};

/// Solves a menu again from this minute (its `notBeforeMin`): what is begun stays where it is for
/// as long as is forecast, everything else is placed anew around it. `underway` is by the problem's
/// dishes. Without a plan none; the serving time is the caller's to move.
MenuPlan planFrom(MenuProblem& menu, const std::vector<Underway>& underway,
                  const Effort& effort = {}, std::stop_token stop = {});

/// The same, served as much later as it needs (5 minutes to 4 hours) where it cannot be on the
/// table in time. `ways` and `underway` are by the menu's dishes.
struct Replanned {
    MenuProblem menu;
    MenuPlan made;
};
Replanned planAround(Menu menu, const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                     const std::vector<DishWays>& ways, const std::vector<Underway>& underway,
                     std::stop_token stop = {});

} // namespace dynamet::plan
