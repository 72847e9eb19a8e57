// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/underway.h"

#include <algorithm>

namespace dynamet::plan {
namespace {

/// The way that is cooked on an appliance; else the best one.
std::size_t wayOn(const DishWays& dish, const std::string& applianceId) {
    for (std::size_t w = 0; w < dish.ways.size(); ++w)
        if (dish.ways[w].stages.back().place.applianceId == applianceId)
            return w;
    return 0;
}

/// What is still to come of a way.
Way restOf(const DishWay& dish, const Underway& now, const std::vector<Resource>& resources) {
    const Way& whole = dish.way;
    Way out = whole;
    const int gone = dish.expectedAt - minutesUp(now.leftS);
    out.readyAt = std::max(0, (now.leftS > 0 ? whole.readyAt : dish.expectedAt) - gone);
    out.shortestRest = std::max(0, whole.shortestRest - minutesUp(now.restedS));
    // It is cooked: if all else fails it waits for the others for longer than anyone would plan.
    constexpr std::size_t kLongestMin = 4 * 60;
    const std::size_t known = out.waitCost.size();
    const int aMinute =
        known > 1 ? std::max(1, out.waitCost[known - 1] - out.waitCost[known - 2]) : 1;
    while (out.waitCost.size() < kLongestMin)
        out.waitCost.push_back(out.waitCost.back() + aMinute);
    out.uses.clear();
    out.hands.clear();
    out.holdings.clear();
    for (Use use : whole.uses) {
        use.from = std::max(0, use.from - gone);
        use.to -= gone;
        if (!use.waits && use.to <= 0)
            continue;
        // A later stage's heat that is not up yet comes as soon as it can.
        const Resource& on = resources[static_cast<std::size_t>(use.resource)];
        use.from = std::max(use.from, on.fromNow[static_cast<std::size_t>(use.setting)]);
        if (!use.waits)
            use.to = std::max(use.to, use.from + 1);
        out.uses.push_back(use);
    }
    for (Holding one : whole.holdings) {
        one.from = std::max(0, one.from - gone);
        one.to -= gone;
        if (one.untilServed || one.to > one.from)
            out.holdings.push_back(one);
    }
    for (Hands hands : whole.hands) {
        if (!hands.beforeServed)
            hands.at -= gone;
        if (hands.beforeServed || hands.at >= 0)
            out.hands.push_back(hands);
    }
    return out;
}

/// Two that are on the fire are not in one pan, whatever their recipes say: the later one has
/// another, which the plan does not know.
void letGoOfPans(Problem& problem, const std::vector<Underway>& underway) {
    std::vector<int> left = problem.vessels;
    for (std::size_t d = 0; d < underway.size(); ++d)
        if (underway[d].begun)
            std::erase_if(problem.dishes[d].ways.front().holdings, [&](const Holding& one) {
                return one.from == 0 && left[static_cast<std::size_t>(one.vessel)]-- <= 0;
            });
}

} // namespace

MenuPlan planFrom(MenuProblem& menu, const std::vector<Underway>& underway, const Effort& effort,
                  std::stop_token stop) {
    MenuPlan out;
    for (const double slack : {1.0, 0.5, 0.0}) {
        setSlack(menu, slack);
        out.slack = slack;
        std::vector<std::size_t> on(menu.dishes.size());
        for (std::size_t d = 0; d < menu.dishes.size(); ++d) {
            if (!underway[d].begun)
                continue;
            on[d] = wayOn(menu.dishes[d], underway[d].applianceId);
            Dish& dish = menu.problem.dishes[d];
            dish.ways = {restOf(menu.dishes[d].ways[on[d]], underway[d], menu.problem.resources)};
            dish.way = dish.start = 0;
        }
        letGoOfPans(menu.problem, underway);
        out.found = solve(menu.problem, effort, stop);
        if (out.found.plan)
            for (std::size_t d = 0; d < menu.dishes.size(); ++d)
                if (underway[d].begun)
                    out.found.plan->dishes[d].way = static_cast<int>(on[d]);
        if (out.found.plan || stop.stop_requested())
            break;
    }
    return out;
}

Replanned planAround(Menu menu, const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                     const std::vector<DishWays>& ways, const std::vector<Underway>& underway,
                     std::stop_token stop) {
    constexpr int kLaterMin[] = {0, 5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240};
    const int asked = menu.serveMin;
    Replanned out;
    for (const int later : kLaterMin) {
        menu.serveMin = asked + later;
        out.menu = problemOf(menu, kitchen, rated, ways);
        std::vector<Underway> made; // of what can be made
        for (const std::size_t of : out.menu.ofMenu)
            made.push_back(underway[of]);
        out.made = planFrom(out.menu, made, {}, stop);
        if (out.made.found.plan || stop.stop_requested())
            break;
    }
    return out;
}

} // namespace dynamet::plan
