// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A plan that is cooked: what slips, and what is made of it.
#include "app/cook/cook_desk.h"
#include "book/menu_store.h"
#include "quantity/parse_duration.h"

#include <algorithm>
#include <cmath>

namespace dynamet::app {

/// By how much the dish that is latest comes after its serving.
double CookDesk::slipS() const {
    double slip = 0;
    for (const DishNow& dish : dishes_) {
        const run::Standing stands = dish.standing();
        if (!dish.cook.serveS || !dish.forecast || !stands.begun || stands.served ||
            !std::isfinite(dish.forecast->pull.s))
            continue;
        const double ready =
            stands.foodInS +
            (stands.pulled ? stands.pulledS - stands.foodInS : dish.forecast->pull.s) +
            dish.cook.planned.recipe.rest.shortestS;
        slip = std::max(slip, ready - *dish.cook.serveS);
    }
    return slip;
}

/// A dish that slips makes those that are not begun wait for it, so that all come together; a menu
/// is solved again around what is begun.
void CookDesk::reflow() {
    const double slip = slipS();
    constexpr double kWorthS = 60;
    if (slip < kWorthS)
        return;
    for (DishNow& dish : dishes_) {
        if (!dish.cook.serveS)
            continue;
        const double serve = *dish.cook.serveS + slip;
        const double starts = dish.standing().begun ? dish.cook.startsS : dish.cook.startsS + slip;
        if (const auto kept = moveStart(document_.book(), dish.cook.id, starts, serve); !kept) {
            document_.say(toQt(kept.error(), document_.units()));
            return;
        }
        dish.cook.startsS = starts;
        dish.cook.serveS = serve;
    }
    document_.say(QStringLiteral("A dish takes longer: everything comes %1 later, and what is not "
                                 "begun waits for it.")
                      .arg(toQt(printDuration(slip))));
    solveAgain();
}

void CookDesk::solveAgain() {
    const bool waits = std::any_of(dishes_.begin(), dishes_.end(), [](const DishNow& dish) {
        return !dish.standing().begun && !dish.cook.unreadable;
    });
    const auto menu = std::find_if(document_.menus().begin(), document_.menus().end(),
                                   [&](const plan::Menu& one) { return one.id == run_->menuId; });
    if (!waits || menu == document_.menus().end())
        return;
    const double now = nowS();
    std::vector<run::CookNow> cooks;
    std::optional<double> serveS;
    for (const DishNow& dish : dishes_) {
        run::CookNow one;
        const auto& stages = dish.cook.planned.recipe.stages;
        one.recipeId = dish.cook.recipeId;
        one.stands = dish.standing();
        const auto& place = stages[std::min(one.stands.stage, stages.size() - 1)].place;
        one.applianceId = dish.cook.applianceId;
        one.setting = place.setting;
        one.pullS = one.stands.foodInS + (dish.forecast && std::isfinite(dish.forecast->pull.s)
                                              ? dish.forecast->pull.s
                                              : dish.cook.planned.expectS);
        if (dish.cook.serveS && !one.stands.served)
            serveS = std::max(serveS.value_or(0), *dish.cook.serveS);
        cooks.push_back(std::move(one));
    }
    if (!serveS)
        return;
    const double nowMin = book::minuteOfDay(document_.now());
    constexpr double kMinute = 60;
    plan::Menu asItIs = *menu;
    asItIs.serveMin = static_cast<int>(std::ceil(nowMin + (*serveS - now) / kMinute));
    asked_ = run::menuNow(asItIs, cooks, now, nowMin);
    askedPlanS_ = now;
    PlanWorker::Question question{asked_.menu, document_.kitchen(), {}, {}, asked_.underway};
    if (const auto rated = ratedTimes(document_.book(), document_.kitchen()))
        question.rated = *rated;
    else
        document_.say(toQt(rated.error(), document_.units()));
    question.requests = requestsOf(asked_.menu, document_.recipes(), document_.kitchen(),
                                   document_.choices(), document_.units());
    planner_.start(question);
}

void CookDesk::takePlan(const PlanAnswer& answer) {
    if (!answer.made.found.plan) {
        document_.say(QStringLiteral(
            "A dish takes longer. No plan fits around what is begun: the order of before holds, "
            "only later."));
        return;
    }
    const double nowMin = answer.menu.baseMin;
    const auto made = run::dishesOf(answer.menu, answer.made, nowMin);
    QStringList told;
    for (std::size_t d = 0; d < made.size(); ++d) {
        DishNow& dish = dishes_[asked_.cookOf[answer.menu.ofMenu[d]]];
        book::CookRecord cook = dish.cook;
        cook.serveS = askedPlanS_ + made[d].serveS;
        if (dish.standing().begun) {
            if (moveStart(document_.book(), cook.id, cook.startsS, cook.serveS))
                dish.cook.serveS = cook.serveS;
            continue;
        }
        cook.startsS = askedPlanS_ + made[d].startsS;
        cook.planned = made[d].planned;
        cook.person = made[d].person;
        cook.applianceId = made[d].planned.recipe.last().place.applianceId;
        if (const auto kept = planAgain(document_.book(), cook, document_.kitchen()); !kept) {
            document_.say(toQt(kept.error(), document_.units()));
            return;
        }
        const auto* on = findAppliance(document_.kitchen(), cook.applianceId);
        told << QStringLiteral("%1 at %2%3")
                    .arg(toQt(cook.name), toQt(clock().at(cook.startsS)),
                         cook.applianceId != dish.cook.applianceId && on
                             ? QStringLiteral(" on %1").arg(toQt(on->name))
                             : QString());
        dish.cook = cook;
        dish.forecast.reset();
    }
    document_.say(QStringLiteral("A dish takes longer. The plan was solved again around what is "
                                 "begun: %1 %2.")
                      .arg(told.join(QStringLiteral(", ")),
                           told.size() == 1 ? QStringLiteral("begins") : QStringLiteral("begin")));
    emit changed();
}

} // namespace dynamet::app
