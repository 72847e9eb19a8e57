// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/from_plan.h"

#include <algorithm>

namespace dynamet::run {

std::vector<PlannedDish> dishesOf(const plan::MenuProblem& menu, const plan::MenuPlan& made,
                                  double nowMin) {
    std::vector<PlannedDish> out;
    if (!made.found.plan)
        return out;
    constexpr double kMinute = 60;
    for (std::size_t d = 0; d < made.found.plan->dishes.size(); ++d) {
        const plan::Placed& placed = made.found.plan->dishes[d];
        const plan::DishWay& way = menu.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const translate::Prepared& prepared = *menu.dishes[d].prepared;
        PlannedDish dish;
        dish.name = prepared.request.recipe.name;
        const auto cook = static_cast<std::size_t>(placed.cook);
        dish.person = cook < menu.menu.cooks.size() ? menu.menu.cooks[cook] : "";
        dish.planned = plannedOf(prepared, way.row);
        const double in = menu.baseMin + placed.start + way.foodInAt;
        dish.startsS = std::max(0.0, (in - nowMin) * kMinute);
        dish.serveS = std::max(0.0, (menu.baseMin + placed.served - nowMin) * kMinute);
        out.push_back(std::move(dish));
    }
    return out;
}

} // namespace dynamet::run
