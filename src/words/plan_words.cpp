// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/plan_words.h"

#include "plan/reheat.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/stage_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using plan::HeatWay;
using plan::MenuProblem;
using plan::StepKind;
using plan::Task;

const plan::DishWay& wayOf(const MenuProblem& menu, const plan::Plan& plan, std::size_t dish) {
    return menu.dishes[dish].ways[static_cast<std::size_t>(plan.dishes[dish].way)];
}

std::string applianceName(const kitchen::Kitchen& kitchen, const std::string& id) {
    const auto* on = findAppliance(kitchen, id);
    return on ? on->name : id;
}

/// "Deck oven, 225 °C, middle".
std::string stagePlace(const plan::DishWay& way, std::size_t stage, const kitchen::Kitchen& kitchen,
                       Units units) {
    return placeWords(kitchen, way.stages[std::min(stage, way.stages.size() - 1)].place, units);
}

std::string heatWords(const MenuProblem& menu, const plan::PlanStep& step,
                      const kitchen::Kitchen& kitchen, Units units) {
    const plan::PlannedPlace& place = menu.places[static_cast<std::size_t>(step.place)];
    const auto* on = findAppliance(kitchen, place.applianceId);
    const std::string name = on ? on->name : place.applianceId;
    const std::string to =
        on ? settingLabel(on->controls, place.settings[static_cast<std::size_t>(step.setting)],
                          units)
           : "";
    const std::string lasts =
        fmt::format(" ({}, {})", printDuration(60.0 * plan::minutesUp(step.heats.seconds)),
                    heatSource(step.heats));
    switch (step.heats.way) {
    case HeatWay::lightCoals:
        return fmt::format("Light coals for the {}: {}{}; outdoors or under a flue", name, to,
                           lasts);
    case HeatWay::lightFire:
        return fmt::format("Light the fire of the {}: {}{}; outdoors or under a flue", name, to,
                           lasts);
    case HeatWay::heatWater:
        return fmt::format("Fill the {} and heat it: {}{}", name, to, lasts);
    case HeatWay::heatOil:
        return fmt::format("Heat the oil of the {}: {}{}; a lid at hand, never water", name, to,
                           lasts);
    case HeatWay::coolDown:
        return fmt::format("{} down to {}{}", name, to, lasts);
    case HeatWay::burnDown:
        return fmt::format("Let the {} burn down to {}{}", name, to, lasts);
    case HeatWay::heat:
        break;
    }
    return fmt::format("{} to {}{}", name, to, lasts);
}

std::string handsWords(const MenuProblem& menu, const plan::Plan& plan, const plan::PlanStep& step,
                       const kitchen::Kitchen& kitchen, Units units) {
    const plan::DishWay& way = wayOf(menu, plan, step.dish);
    const std::string name = dishName(menu, step.dish);
    const int begun = menu.baseMin + plan.dishes[step.dish].start;
    const int expects = begun + way.expectedAt;
    const std::string until =
        way.way.readyAt > way.expectedAt + 1
            ? fmt::format("; it has until {}", plan::clockText(begun + way.way.readyAt))
            : "";
    switch (step.task) {
    case Task::takeOut:
        return fmt::format("Take the {} out of the cold", name);
    case Task::dry: {
        const auto surface = menu.dishes[step.dish].prepared->request.recipe.piece.surface;
        return fmt::format("{} the {} and leave it open on a rack in the cold for {}",
                           surface == recipe::SurfaceState::salted ? "Salt" : "Pat dry", name,
                           printDuration(60.0 * way.dries));
    }
    case Task::putIn:
        if (way.reheats)
            return fmt::format("{} goes in cold to be reheated: {}", name,
                               stagePlace(way, 0, kitchen, units));
        return fmt::format("{} goes in: {}", name, stagePlace(way, 0, kitchen, units));
    case Task::wash:
        return fmt::format("Wash hands, board, tongs and probe: they touched raw {}", name);
    case Task::look:
        return fmt::format("Look at the {} (expect it at {})", name, plan::clockText(expects));
    case Task::turn:
        return fmt::format("Turn the {}", name);
    case Task::attend:
        return fmt::format("Stay with the {}: {}", name,
                           stagePlace(way, step.stage, kitchen, units));
    case Task::leaveStage:
        return fmt::format("Take the {} out: it waits for the next heat", name);
    case Task::nextStage:
        return fmt::format("{} goes on: {}", name, stagePlace(way, step.stage, kitchen, units));
    case Task::pull:
        return way.row.instruction.byProbe
                   ? fmt::format("Take the {} off at {}, to a clean plate{}", name,
                                 printTemperature(Temperature::kelvin(way.row.instruction.pullK),
                                                  units.temperature()),
                                 until)
                   : fmt::format("Take the {} off, to a clean plate{}", name, until);
    case Task::serve:
        return fmt::format("Serve the {}", name);
    }
    return name;
}

} // namespace

std::string dishName(const MenuProblem& menu, std::size_t dish) {
    return menu.dishes[dish].prepared->request.recipe.name;
}

std::string heatSource(const plan::HeatUp& heats) {
    return heats.rated ? "as rated" : "usual for its kind";
}

std::string planStepWords(const MenuProblem& menu, const plan::Plan& plan,
                          const plan::PlanStep& step, const kitchen::Kitchen& kitchen,
                          Units units) {
    const plan::DishWay& way = wayOf(menu, plan, step.dish);
    const std::string name = dishName(menu, step.dish);
    switch (step.kind) {
    case StepKind::heat:
        return heatWords(menu, step, kitchen, units);
    case StepKind::hands:
        return handsWords(menu, plan, step, kitchen, units);
    case StepKind::rest:
        return fmt::format("{} rests {}", name, printDuration(60.0 * (step.untilMin - step.atMin)));
    case StepKind::waitWarm:
        return fmt::format("{} waits {} {}", name,
                           printDuration(60.0 * (step.untilMin - step.atMin)),
                           way.waitsIn ? "in " + placeWords(kitchen, *way.waitsIn, units)
                                       : std::string("under foil, on a board"));
    }
    return name;
}

std::string chanceWords(const MenuProblem& menu, const plan::MenuPlan& plan) {
    const auto hundred = [](double share) { return std::lround(100 * share); };
    std::string out =
        fmt::format("{} of 100 such services have every dish on time.", hundred(plan.chance.all));
    const auto least = std::min_element(plan.chance.dishes.begin(), plan.chance.dishes.end());
    if (least != plan.chance.dishes.end() && *least < 0.97)
        out += fmt::format(
            " Least sure: {} ({}).",
            dishName(menu, static_cast<std::size_t>(least - plan.chance.dishes.begin())),
            hundred(*least));
    if (plan.slack < 1)
        out += plan.slack > 0 ? " There is room for little slack." : " There is no room for slack.";
    return out;
}

std::vector<std::string> clockLines(const MenuProblem& menu, const plan::MenuPlan& plan,
                                    Units units) {
    std::vector<std::string> out;
    const plan::SafetyLimits& limits = menu.menu.limits;
    const auto t = [&](double k) {
        return printTemperature(Temperature::kelvin(k), units.temperature());
    };
    for (std::size_t d = 0; d < plan.clocks.size(); ++d)
        if (plan.clocks[d].warn)
            out.push_back(fmt::format(
                "! {} is between {} and {} for {} ({} of it waiting): {} {}. Local codes decide.",
                dishName(menu, d), t(limits.coldK), t(limits.hotK),
                printDuration(plan.clocks[d].exposedS), printDuration(plan.clocks[d].ofWaitS),
                plan.clocks[d].over ? "over the limit of" : "over",
                printDuration(plan.clocks[d].over ? limits.mostS : limits.warnS)));
    for (std::size_t d = 0; plan.found.plan && d < plan.found.plan->dishes.size(); ++d)
        if (wayOf(menu, *plan.found.plan, d).reheats)
            out.push_back(fmt::format(
                "! {} was cooked before: chilled below {} soon after it was cooked, and reheated "
                "to {} inside. Local codes decide.",
                dishName(menu, d), t(limits.coldK), t(plan::kReheatedK)));
    std::string below;
    for (std::size_t d = 0; plan.found.plan && d < plan.found.plan->dishes.size(); ++d) {
        const recipe::FoodPiece& piece = menu.dishes[d].prepared->request.recipe.piece;
        const auto minimum = food::officialMinimum(piece.food.foodClass, piece.form);
        const auto& row = wayOf(menu, *plan.found.plan, d).row;
        if (!minimum || std::none_of(row.warnings.begin(), row.warnings.end(),
                                     [](const auto& one) { return one.code == "below_minimum"; }))
            continue;
        below += fmt::format("{}{} ({}, official {})", below.empty() ? "" : ", ", dishName(menu, d),
                             t(row.outcome.peakK), t(minimum->kelvin));
    }
    if (!below.empty())
        out.push_back(
            fmt::format("! Below the official minimum inside: {}. Local codes decide.", below));
    return out;
}

std::vector<std::string> panLines(const MenuProblem& menu, const plan::MenuPlan& plan,
                                  const kitchen::Kitchen& kitchen) {
    std::vector<std::string> out;
    for (std::size_t v = 0; plan.found.plan && v < menu.vessels.size(); ++v) {
        std::vector<std::pair<int, std::string>> in; // from when, which dish
        for (std::size_t d = 0; d < plan.found.plan->dishes.size(); ++d)
            for (const plan::Holding& one : wayOf(menu, *plan.found.plan, d).way.holdings)
                if (one.vessel == static_cast<int>(v))
                    in.emplace_back(spanOf(one, plan.found.plan->dishes[d]).from,
                                    dishName(menu, d));
        const auto* vessel = findVessel(kitchen, menu.vessels[v]);
        if (!vessel || static_cast<int>(in.size()) <= vessel->count)
            continue;
        std::sort(in.begin(), in.end());
        std::string order;
        for (const auto& [from, name] : in)
            order += (order.empty() ? "" : ", then ") + name;
        out.push_back(fmt::format(
            "{} {} for {}: empty and wipe in between. Have more like it? Say how many in Kitchen.",
            vessel->count == 1 ? "One" : std::to_string(vessel->count), vessel->name, order));
    }
    return out;
}

std::string conflictWords(const plan::Menu& menu, const plan::Conflict& conflict,
                          const std::vector<std::string>& names, const kitchen::Kitchen& kitchen,
                          Units units) {
    std::string who;
    for (std::size_t i = 0; i < conflict.dishes.size(); ++i)
        who += (i == 0                            ? ""
                : i + 1 == conflict.dishes.size() ? " and "
                                                  : ", ") +
               names[conflict.dishes[i]];
    const std::string cannot = conflict.proved ? "cannot" : "could not be made to";
    const std::string at = plan::clockText(menu.serveMin);
    if (conflict.dishes.empty())
        return "No plan was found.";
    if (conflict.dishes.size() == 1)
        return menu.dishes[conflict.dishes.front()].beginsS
                   ? fmt::format("{} {} be ready at {} where it is pinned.", who, cannot, at)
                   : fmt::format("{} {} be ready at {}: there is not enough time before.", who,
                                 cannot, at);
    if (conflict.hands)
        return fmt::format("{} {} all be ready at {}: they want the same hands at once.", who,
                           cannot, at);
    if (const auto* pan = findVessel(kitchen, conflict.vesselId))
        return fmt::format("{} need the {} at once. They {} all be ready at {}.",
                           conflict.dishes.size() == 2 ? "Both" : "All", pan->name, cannot, at);
    const auto* on = findAppliance(kitchen, conflict.applianceId);
    if (!on)
        return fmt::format("{} {} all be ready at {}.", who, cannot, at);
    std::string needs;
    for (std::size_t i = 0; i < conflict.dishes.size(); ++i)
        needs += fmt::format("{}{} at {}", i ? ", " : "", names[conflict.dishes[i]],
                             settingLabel(on->controls, conflict.settings[i], units));
    return fmt::format("{} need the {}: {}. They {} all be ready at {}.",
                       conflict.dishes.size() == 2 ? "Both" : "All", on->name, needs, cannot, at);
}

std::string concessionWords(const plan::Concession& one, const std::vector<std::string>& names,
                            const kitchen::Kitchen& kitchen) {
    using plan::GiveUp;
    const std::string name = one.dish < names.size() ? names[one.dish] : "";
    switch (one.what) {
    case GiveUp::later:
        return fmt::format("{} {} later", name, printDuration(60.0 * one.minutes));
    case GiveUp::elsewhere:
        return fmt::format("{} on the {}", name, applianceName(kitchen, one.applianceId));
    case GiveUp::unpinned:
        return fmt::format("{} unpinned", name);
    case GiveUp::anyCook:
        return fmt::format("{} by any cook", name);
    case GiveUp::allLater:
        return fmt::format("Everything {} later", printDuration(60.0 * one.minutes));
    case GiveUp::earlier:
        return fmt::format("Begin {} earlier", printDuration(60.0 * one.minutes));
    case GiveUp::without:
        return fmt::format("Without {}", name);
    }
    return name;
}

Sheet planSheet(const MenuProblem& menu, const plan::MenuPlan& plan,
                const kitchen::Kitchen& kitchen, Units units) {
    Sheet out;
    out.title =
        fmt::format("{}, served at {}", menu.menu.name, plan::clockText(menu.menu.serveMin));
    if (!plan.found.plan)
        return out;
    out.lead.push_back(chanceWords(menu, plan));
    for (std::string& line : clockLines(menu, plan, units))
        out.lead.push_back(std::move(line));
    for (std::string& line : panLines(menu, plan, kitchen))
        out.lead.push_back(std::move(line));
    const bool several = menu.menu.cooks.size() > 1;
    out.headers = several ? std::vector<std::string>{"When", "Who", "What", "Done"}
                          : std::vector<std::string>{"When", "What", "Done"};
    for (const plan::PlanStep& step : stepsOf(menu, *plan.found.plan)) {
        std::vector<std::string> row{plan::clockText(step.atMin)};
        const bool needsHands = step.kind == StepKind::hands || step.kind == StepKind::heat;
        if (several)
            row.push_back(needsHands ? menu.menu.cooks[static_cast<std::size_t>(step.cook)] : "");
        row.push_back(planStepWords(menu, *plan.found.plan, step, kitchen, units));
        row.emplace_back("");
        out.rows.push_back(std::move(row));
    }
    out.notes.push_back(
        "Times count on each dish's expected time and some slack; a thermometer and the "
        "look at it decide. Raw and cooked food never share a plate or a probe. Local "
        "codes and a licensed authority decide on holding.");
    return out;
}

std::string impossibleWords(const plan::DishWays& dish, const std::string& name) {
    if (dish.failed)
        return fmt::format("{}: {}", name, dish.failed->message);
    std::string why;
    for (std::size_t i = 0; i < std::min<std::size_t>(2, dish.without.size()); ++i)
        why += (i ? "; " : "") + dish.without[i];
    return fmt::format("{} cannot be made in any place of this menu{}", name,
                       why.empty() ? "." : ": " + why + ".");
}

} // namespace dynamet::words
