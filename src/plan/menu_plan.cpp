// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/menu_plan.h"

#include <algorithm>
#include <cmath>

namespace dynamet::plan {
namespace {

/// Plans may reach back so far.
constexpr int kMostBefore = 4 * 24 * 60;

template <class Value>
int indexIn(std::vector<Value>& all, const Value& one) {
    const auto at = std::find(all.begin(), all.end(), one);
    if (at != all.end())
        return static_cast<int>(at - all.begin());
    all.push_back(one);
    return static_cast<int>(all.size()) - 1;
}

/// Gives a use its resource, setting and zone, new where they were not met before.
void placeUse(Use& use, const recipe::Place& place, std::vector<PlannedPlace>& places) {
    auto at = std::find_if(places.begin(), places.end(),
                           [&](const auto& one) { return one.applianceId == place.applianceId; });
    if (at == places.end()) {
        places.push_back({place.applianceId, {}, {}, {}, {}});
        at = places.end() - 1;
    }
    use.resource = static_cast<int>(at - places.begin());
    use.setting = indexIn(at->settings, place.setting);
    use.zone = indexIn(at->zones, place.zone);
}

void addHeating(PlannedPlace& place, Resource& out, const MenuProblem& menu,
                const kitchen::Kitchen& kitchen, const RatedTimes& rated) {
    std::optional<kitchen::Setting> now;
    for (const OnAlready& one : menu.menu.on)
        if (one.applianceId == place.applianceId)
            now = one.setting;
    out.settings = static_cast<int>(place.settings.size());
    const auto ask = [&](const std::optional<kitchen::Setting>& from, const kitchen::Setting& to) {
        return heatUp(kitchen, rated, place.applianceId, from, to).value_or(HeatUp{});
    };
    for (const kitchen::Setting& to : place.settings) {
        place.fromNow.push_back(ask(now, to));
        out.fromNow.push_back(minutesUp(place.fromNow.back().seconds));
        out.hands.push_back(std::max(1, minutesUp(now ? 60 : place.fromNow.back().handsS)));
    }
    for (const kitchen::Setting& from : place.settings)
        for (const kitchen::Setting& to : place.settings) {
            place.change.push_back(from == to ? HeatUp{HeatWay::heat, 0, true, 0} : ask(from, to));
            out.change.push_back(from == to ? 0 : minutesUp(place.change.back().seconds));
        }
}

/// A pan is heated on its burner: it is wanted from then on.
void heatPans(MenuProblem& menu, const kitchen::Kitchen& kitchen) {
    for (std::size_t d = 0; d < menu.dishes.size(); ++d)
        for (std::size_t w = 0; w < menu.dishes[d].ways.size(); ++w) {
            DishWay& way = menu.dishes[d].ways[w];
            for (std::size_t v = 0; v < way.vessels.size(); ++v) {
                std::size_t s = 0; // the stage that it comes in first
                while (way.stages[s].place.vesselId != way.vessels[v])
                    ++s;
                const auto* on = findAppliance(kitchen, way.stages[s].place.applianceId);
                if (!on || !isHob(on->kind))
                    continue;
                const Use& use = way.way.uses[s];
                way.heatsBefore[v] = menu.problem.resources[static_cast<std::size_t>(use.resource)]
                                         .fromNow[static_cast<std::size_t>(use.setting)];
                way.way.holdings[v].from -= way.heatsBefore[v];
            }
            menu.problem.dishes[d].ways[w] = way.way;
        }
}

/// When the first work may begin at the earliest, minutes before the serving.
int reachOf(const MenuProblem& menu) {
    int sum = 24 * 60;
    for (const DishWays& dish : menu.dishes) {
        int longest = 0;
        for (const DishWay& way : dish.ways)
            longest = std::max(longest, way.way.readyAt + way.way.longestRest());
        sum += longest;
    }
    return std::min(sum, kMostBefore);
}

} // namespace

MenuProblem problemOf(const Menu& menu, const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                      std::vector<DishWays> dishes) {
    MenuProblem out;
    out.menu = menu;
    for (std::size_t d = 0; d < dishes.size(); ++d) {
        if (dishes[d].ways.empty()) {
            out.impossible.push_back(std::move(dishes[d]));
            continue;
        }
        out.ofMenu.push_back(d);
        out.dishes.push_back(std::move(dishes[d]));
    }
    const int before =
        menu.notBeforeMin ? std::max(1, menu.serveMin - *menu.notBeforeMin) : reachOf(out);
    out.baseMin = menu.serveMin - before;
    out.problem.cooks = std::max(1, static_cast<int>(menu.cooks.size()));
    for (std::size_t d = 0; d < out.dishes.size(); ++d) {
        const MenuDish& said = menu.dishes[out.ofMenu[d]];
        Dish dish;
        dish.target = before;
        dish.earliest = std::max(0, before - minutesUp(said.earlyS));
        dish.latest = before + minutesUp(said.lateS);
        const auto cook = std::find(menu.cooks.begin(), menu.cooks.end(), said.cook);
        if (cook != menu.cooks.end())
            dish.cook = static_cast<int>(cook - menu.cooks.begin());
        if (said.beginsS)
            dish.start = std::max(0, before - static_cast<int>(std::lround(*said.beginsS / 60)));
        for (DishWay& way : out.dishes[d].ways) {
            std::size_t stage = 0;
            for (Use& use : way.way.uses)
                placeUse(use, use.waits ? *way.waitsIn : way.stages[stage++].place, out.places);
            for (std::size_t v = 0; v < way.vessels.size(); ++v)
                way.way.holdings[v].vessel = indexIn(out.vessels, way.vessels[v]);
            dish.ways.push_back(way.way);
        }
        out.problem.dishes.push_back(std::move(dish));
    }
    for (const std::string& id : out.vessels) {
        const auto* vessel = findVessel(kitchen, id);
        out.problem.vessels.push_back(vessel ? vessel->count : 1);
    }
    for (PlannedPlace& place : out.places) {
        Resource resource;
        addHeating(place, resource, out, kitchen, rated);
        out.problem.resources.push_back(std::move(resource));
    }
    heatPans(out, kitchen);
    return out;
}

void setSlack(MenuProblem& menu, double share) {
    for (std::size_t d = 0; d < menu.dishes.size(); ++d)
        for (std::size_t w = 0; w < menu.dishes[d].ways.size(); ++w) {
            setSlack(menu.dishes[d].ways[w], share);
            menu.problem.dishes[d].ways[w] = menu.dishes[d].ways[w].way;
        }
}

std::vector<DishClock> clocksOf(const MenuProblem& menu, const Plan& plan) {
    std::vector<DishClock> out;
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const DishWay& way = menu.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const double waitS = 60.0 * waitsFor(way.way, placed);
        DishClock one;
        const int slack = way.way.readyAt - way.straight.back().to;
        one.ofWaitS = way.exposure.ofWait(waitS + 60.0 * slack);
        one.exposedS = way.exposure.cookS + one.ofWaitS;
        one.warn = one.exposedS > menu.menu.limits.warnS;
        one.over = one.exposedS > menu.menu.limits.mostS;
        out.push_back(one);
    }
    return out;
}

MenuPlan planMenu(MenuProblem& menu, const Effort& effort, std::stop_token stop,
                  const std::function<void(const Plan&)>& better) {
    MenuPlan out;
    for (const double slack : {1.0, 0.5, 0.0}) {
        setSlack(menu, slack);
        out.slack = slack;
        out.found = solve(menu.problem, effort, stop, better);
        if (out.found.plan || stop.stop_requested())
            break;
    }
    if (out.found.plan) {
        out.chance = chanceOf(menu, *out.found.plan, effort.seed);
        out.clocks = clocksOf(menu, *out.found.plan);
    }
    return out;
}

} // namespace dynamet::plan
