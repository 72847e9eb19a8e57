// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/plan_steps.h"

#include <algorithm>

namespace dynamet::plan {
namespace {

/// What the appliance is heated from: the last other setting on it before, or as it was found.
HeatUp heatingOf(const MenuProblem& menu, const Plan& plan, const Use& use, int at) {
    const PlannedPlace& place = menu.places[static_cast<std::size_t>(use.resource)];
    int lastEnd = -1, from = -1;
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Way& way = menu.problem.dishes[d].ways[static_cast<std::size_t>(plan.dishes[d].way)];
        for (const Use& other : way.uses) {
            const Span span = spanOf(other, plan.dishes[d]);
            if (other.resource == use.resource && other.setting != use.setting && span.to <= at &&
                span.to > lastEnd) {
                lastEnd = span.to;
                from = other.setting;
            }
        }
    }
    if (from < 0)
        return place.fromNow[static_cast<std::size_t>(use.setting)];
    return place.change[static_cast<std::size_t>(from) * place.settings.size() +
                        static_cast<std::size_t>(use.setting)];
}

} // namespace

std::vector<PlanStep> stepsOf(const MenuProblem& menu, const Plan& plan) {
    std::vector<PlanStep> out;
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const DishWay& way = menu.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const auto add = [&](StepKind kind, Span span) -> PlanStep& {
            PlanStep step;
            step.kind = kind;
            step.atMin = menu.baseMin + span.from;
            step.untilMin = menu.baseMin + span.to;
            step.dish = d;
            step.cook = placed.cook;
            out.push_back(step);
            return out.back();
        };
        for (std::size_t u = 0; u < way.way.uses.size(); ++u) {
            if (!placed.heats[u])
                continue;
            const Use& use = way.way.uses[u];
            PlanStep& step = add(StepKind::heat, {*placed.heats[u], spanOf(use, placed).from});
            step.place = use.resource;
            step.setting = use.setting;
            step.heats = heatingOf(menu, plan, use, *placed.heats[u]);
        }
        for (const Work& work : way.work) {
            PlanStep& step = add(StepKind::hands, spanOf(work.hands, placed));
            step.task = work.task;
            step.stage = work.stage;
        }
        const int rests = placed.start + way.expectedAt;
        if (way.way.shortestRest > 0)
            add(StepKind::rest, {rests, rests + way.way.shortestRest});
        int serving = placed.served;
        for (const Work& work : way.work)
            if (work.task == Task::serve)
                serving = spanOf(work.hands, placed).from;
        if (serving > rests + way.way.shortestRest)
            add(StepKind::waitWarm, {rests + way.way.shortestRest, serving});
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const PlanStep& a, const PlanStep& b) { return a.atMin < b.atMin; });
    return out;
}

} // namespace dynamet::plan
