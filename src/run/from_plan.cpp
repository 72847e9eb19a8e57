// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/from_plan.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {

MenuNow menuNow(const plan::Menu& menu, const std::vector<CookNow>& cooks, double nowS,
                double nowMin) {
    MenuNow out;
    out.menu = menu;
    out.menu.dishes.clear();
    out.menu.notBeforeMin = static_cast<int>(std::floor(nowMin));
    std::vector<bool> taken(cooks.size(), false);
    for (plan::MenuDish dish : menu.dishes) {
        std::size_t at = 0;
        while (at < cooks.size() && (taken[at] || cooks[at].recipeId != dish.recipeId))
            ++at;
        if (at == cooks.size())
            continue;
        taken[at] = true;
        const CookNow& cook = cooks[at];
        if (cook.stands.served)
            continue;
        dish.beginsS.reset();
        plan::Underway one;
        one.begun = cook.stands.begun;
        one.applianceId = cook.applianceId;
        if (cook.stands.begun) {
            one.leftS = cook.stands.pulled ? 0 : std::max(0.0, cook.pullS - nowS);
            one.restedS = cook.stands.pulled ? nowS - cook.stands.pulledS : 0;
            if (!cook.stands.pulled)
                out.menu.on.push_back({cook.applianceId, cook.setting});
        }
        out.menu.dishes.push_back(std::move(dish));
        out.underway.push_back(one);
        out.cookOf.push_back(at);
    }
    return out;
}

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
