// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/plan_json.h"

#include <nlohmann/json.hpp>

namespace dynamet::formats {
namespace {

using Json = nlohmann::json;

Json headOf(const plan::MenuProblem& menu) {
    Json out{{"format", "dynamet-plan"},   {"version", 1},
             {"menu", menu.menu.name},     {"serve", plan::clockText(menu.menu.serveMin)},
             {"dishes", Json::array()},    {"steps", Json::array()},
             {"impossible", Json::array()}};
    for (const plan::DishWays& dish : menu.impossible)
        out["impossible"].push_back(
            {{"dish", dish.prepared ? dish.prepared->request.recipe.name : dish.dishId},
             {"reasons",
              dish.failed ? std::vector<std::string>{dish.failed->message} : dish.without}});
    return out;
}

const char* kindOf(const plan::PlanStep& step) {
    switch (step.kind) {
    case plan::StepKind::heat:
        return enumName(step.heats.way);
    case plan::StepKind::hands:
        return enumName(step.task);
    case plan::StepKind::rest:
        return "rest";
    case plan::StepKind::waitWarm:
        return "wait";
    }
    return "rest";
}

Json dishJson(const plan::MenuProblem& menu, const plan::MenuPlan& plan, std::size_t d,
              const kitchen::Kitchen& kitchen) {
    const plan::Placed& placed = plan.found.plan->dishes[d];
    const plan::DishWay& way = menu.dishes[d].ways[static_cast<std::size_t>(placed.way)];
    Json places = Json::array();
    for (const recipe::Stage& stage : way.stages)
        if (const auto* on = findAppliance(kitchen, stage.place.applianceId))
            places.push_back({{"appliance", on->name},
                              {"setting", settingText(on->controls, stage.place.setting)},
                              {"zone", stage.place.zone}});
    const auto at = [&](int minute) { return menu.baseMin + minute; };
    return {{"dish", words::dishName(menu, d)},
            {"places", places},
            {"cook", menu.menu.cooks[static_cast<std::size_t>(placed.cook)]},
            {"begins_min", at(placed.start)},
            {"expected_off_min", at(placed.start + way.expectedAt)},
            {"counted_off_min", at(placed.start + way.way.readyAt)},
            {"served_min", at(placed.served)},
            {"waits_min", waitsFor(way.way, placed)},
            {"wait_costs_noticed",
             way.way.waitCost[static_cast<std::size_t>(waitsFor(way.way, placed))] / 100.0},
            {"chance_on_time", plan.chance.dishes[d]},
            {"cold_to_hot_s", plan.clocks[d].exposedS},
            {"over_limit", plan.clocks[d].over},
            {"over_warning", plan.clocks[d].warn}};
}

} // namespace

std::string planJson(const plan::MenuProblem& menu, const plan::MenuPlan& plan,
                     const kitchen::Kitchen& kitchen, Units units) {
    Json out = headOf(menu);
    if (!plan.found.plan)
        return out.dump(2);
    out["chance_all_on_time"] = plan.chance.all;
    out["draws"] = plan.chance.draws;
    out["slack_share"] = plan.slack;
    out["cost"] = plan.found.plan->cost;
    out["cost_bound"] = plan.found.bound;
    out["proved_best"] = plan.found.proved;
    for (std::size_t d = 0; d < plan.found.plan->dishes.size(); ++d)
        out["dishes"].push_back(dishJson(menu, plan, d, kitchen));
    for (const plan::PlanStep& step : stepsOf(menu, *plan.found.plan))
        out["steps"].push_back(
            {{"at", plan::clockText(step.atMin)},
             {"at_min", step.atMin},
             {"until_min", step.untilMin},
             {"what", kindOf(step)},
             {"dish", words::dishName(menu, step.dish)},
             {"cook", menu.menu.cooks[static_cast<std::size_t>(step.cook)]},
             {"words", words::planStepWords(menu, *plan.found.plan, step, kitchen, units)}});
    return out.dump(2);
}

std::string noPlanJson(const plan::MenuProblem& menu, const plan::Conflict& conflict,
                       const std::vector<plan::Concession>& concessions,
                       const std::vector<std::string>& names, const kitchen::Kitchen& kitchen,
                       Units units) {
    Json out = headOf(menu);
    out["no_plan"] = words::conflictWords(menu.menu, conflict, names, kitchen, units);
    out["proved"] = conflict.proved;
    out["give_up"] = Json::array();
    for (const plan::Concession& one : concessions)
        out["give_up"].push_back({{"what", enumName(one.what)},
                                  {"minutes", one.minutes},
                                  {"words", words::concessionWords(one, names, kitchen)}});
    return out.dump(2);
}

} // namespace dynamet::formats
