// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/dish_ways.h"
#include "plan/heat_up.h"
#include "plan/schedule.h"

namespace dynamet::plan {

/// An appliance that the menu uses, with its settings in the problem's order.
struct PlannedPlace {
    std::string applianceId;
    std::vector<kitchen::Setting> settings;
    std::vector<std::string> zones;
    std::vector<HeatUp> fromNow; ///< [setting]
    std::vector<HeatUp> change;  ///< [from × settings + to]
};

/// A menu ready to be scheduled: minute 0 is `baseMin` of the wall clock of the day of the serving
/// (negative: of a day before).
struct MenuProblem {
    Menu menu;
    std::vector<DishWays> dishes;     ///< those that can be made
    std::vector<std::size_t> ofMenu;  ///< [dish] which of the menu's
    std::vector<DishWays> impossible; ///< in no place of this menu, with the reasons
    std::vector<PlannedPlace> places; ///< as the problem's resources
    std::vector<std::string> vessels; ///< ids, as the problem's
    Problem problem;
    int baseMin = 0;
    int serveAt() const { return menu.serveMin - baseMin; }
};
MenuProblem problemOf(const Menu& menu, const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                      std::vector<DishWays> dishes);
/// Counts on a share of each dish's slack.
void setSlack(MenuProblem& problem, double share);

/// How long food is between cold and hot holding in a plan.
struct DishClock {
    double exposedS = 0, ofWaitS = 0;
    bool warn = false, over = false;
};

/// The chance that dishes are served within their tolerance.
struct Chance {
    double all = 0;
    std::vector<double> dishes; ///< [dish]
    int draws = 0;
};

/// A menu's plan with what a cook asks about it.
struct MenuPlan {
    Found found;
    double slack = 0; ///< share of each dish's slack that it counts on
    Chance chance;
    std::vector<DishClock> clocks; ///< [dish]
};

inline constexpr int kDraws = 1000;
/// Draws cooking times jointly (dishes of one heat err alike), lets what is late push what comes
/// after it on its place, and counts.
Chance chanceOf(const MenuProblem& menu, const Plan& plan, unsigned seed = 1, int draws = kDraws);
std::vector<DishClock> clocksOf(const MenuProblem& menu, const Plan& plan);

/// The best plan with all of its slack; where there is none, with less.
MenuPlan planMenu(MenuProblem& menu, const Effort& effort = {}, std::stop_token stop = {},
                  const std::function<void(const Plan&)>& better = {});

} // namespace dynamet::plan
