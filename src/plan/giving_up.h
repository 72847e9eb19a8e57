// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu_plan.h"

namespace dynamet::plan {

/// What may be given up so that there is a plan. Words are for JSON: only ever append.
enum class GiveUp { later, elsewhere, unpinned, anyCook, allLater, earlier, without };
const char* enumName(GiveUp what);

/// One thing given up, and the menu that comes of it.
struct Concession {
    GiveUp what = GiveUp::later;
    std::size_t dish = 0;    ///< of the menu; not of `allLater` and `earlier`
    int minutes = 0;         ///< later, or the first work earlier
    std::string applianceId; ///< where it goes instead
    Menu menu;
};

/// Why there is no plan: the fewest dishes that cannot all be had, and where they meet.
struct Conflict {
    std::vector<std::size_t> dishes; ///< of the menu
    /// Of two or more: an appliance that all of them need, with the setting of each.
    std::string applianceId;
    std::vector<kitchen::Setting> settings;
    std::string vesselId; ///< no appliance, but a pan that all of them need
    bool hands = false;   ///< with as many cooks as dishes there would be a plan
    bool proved = false;  ///< that there is none; else none was found
};
Conflict conflictOf(const MenuProblem& menu, const Effort& effort = {}, std::stop_token stop = {});

/// The ways of the conflict's dishes that have a place chosen, as if they had none; the others are
/// left empty. `requests` as the menu's dishes.
std::vector<DishWays> openWaysOf(const Menu& menu, const Conflict& conflict,
                                 const std::vector<Result<translate::Request>>& requests,
                                 std::stop_token stop = {});

/// Single things that would do, each with its menu: a dish later, elsewhere (of `openWays`, the
/// ways of the menu's dishes with no place chosen; those without are left out), unpinned, by any
/// cook; the first work earlier or all later; last of all a dish less.
std::vector<Concession> concessionsOf(const MenuProblem& menu, const Conflict& conflict,
                                      const std::vector<DishWays>& openWays,
                                      const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                                      const Effort& effort = {}, std::stop_token stop = {});

} // namespace dynamet::plan
