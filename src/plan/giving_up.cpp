// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/giving_up.h"

#include <algorithm>

namespace dynamet::plan {
namespace {

constexpr int kMostLater = 180;
constexpr std::size_t kMostOffered = 6;
constexpr int kAllLater[] = {15, 30, 45, 60, 90, 120, 180};

template <class Needs>
bool everyWay(const MenuProblem& menu, const std::vector<std::size_t>& dishes, Needs needs) {
    return std::all_of(dishes.begin(), dishes.end(), [&](std::size_t d) {
        const auto& ways = menu.problem.dishes[d].ways;
        return std::all_of(ways.begin(), ways.end(), needs);
    });
}

/// An appliance that every way of every one of them needs, with the setting of each one's first.
void nameThePlace(const MenuProblem& menu, const std::vector<std::size_t>& dishes, Conflict& out) {
    for (std::size_t r = 0; r < menu.places.size(); ++r) {
        const auto needs = [&](const Way& way) {
            return std::find_if(way.uses.begin(), way.uses.end(), [&](const Use& use) {
                return !use.waits && use.resource == static_cast<int>(r);
            });
        };
        if (!everyWay(menu, dishes, [&](const Way& way) { return needs(way) != way.uses.end(); }))
            continue;
        out.applianceId = menu.places[r].applianceId;
        for (const std::size_t d : dishes)
            out.settings.push_back(menu.places[r].settings[static_cast<std::size_t>(
                needs(menu.problem.dishes[d].ways.front())->setting)]);
        return;
    }
}

/// A pan that every way of every one of them needs; whether there is one.
bool nameThePan(const MenuProblem& menu, const std::vector<std::size_t>& dishes, Conflict& out) {
    for (std::size_t v = 0; v < menu.vessels.size(); ++v) {
        if (!everyWay(menu, dishes, [&](const Way& way) {
                return std::any_of(way.holdings.begin(), way.holdings.end(), [&](const auto& one) {
                    return one.vessel == static_cast<int>(v);
                });
            }))
            continue;
        out.vesselId = menu.vessels[v];
        return true;
    }
    return false;
}

/// What is tried: a changed menu, and the ways it is made with.
struct Trial {
    const kitchen::Kitchen& kitchen;
    const RatedTimes& rated;
    const Effort& effort;
    const std::stop_token& stop;
    MenuProblem problemOf_(const Menu& menu, std::vector<DishWays> ways) const {
        MenuProblem out = problemOf(menu, kitchen, rated, std::move(ways));
        setSlack(out, 0);
        return out;
    }
    bool has(const Menu& menu, std::vector<DishWays> ways) const {
        return firstPlan(problemOf_(menu, std::move(ways)).problem, effort, stop).plan.has_value();
    }
};

} // namespace

const char* enumName(GiveUp what) {
    static constexpr const char* kNames[] = {"later",     "elsewhere", "unpinned", "any_cook",
                                             "all_later", "earlier",   "without"};
    return kNames[static_cast<std::size_t>(what)];
}

Conflict conflictOf(const MenuProblem& menu, const Effort& effort, std::stop_token stop) {
    Conflict out;
    std::vector<std::size_t> left(menu.problem.dishes.size());
    for (std::size_t d = 0; d < left.size(); ++d)
        left[d] = d;
    const Found whole = firstPlan(menu.problem, effort, stop);
    if (whole.plan)
        return out;
    out.proved = whole.proved;
    for (std::size_t i = 0; i < left.size() && left.size() > 1 && !stop.stop_requested();) {
        auto fewer = left;
        fewer.erase(fewer.begin() + static_cast<std::ptrdiff_t>(i));
        const Found found = firstPlan(partOf(menu.problem, fewer), effort, stop);
        if (found.plan)
            ++i;
        else {
            left = std::move(fewer);
            out.proved = found.proved;
        }
    }
    Problem handsFree = partOf(menu.problem, left);
    handsFree.cooks = static_cast<int>(left.size());
    for (Dish& dish : handsFree.dishes)
        dish.cook.reset();
    out.hands = left.size() > 1 && firstPlan(handsFree, effort, stop).plan.has_value();
    if (left.size() > 1 && !out.hands) {
        Problem pansEnough = partOf(menu.problem, left);
        pansEnough.vessels.assign(pansEnough.vessels.size(), static_cast<int>(left.size()));
        const bool ofPans = firstPlan(pansEnough, effort, stop).plan.has_value();
        if (!ofPans || !nameThePan(menu, left, out))
            nameThePlace(menu, left, out);
    }
    for (const std::size_t d : left)
        out.dishes.push_back(menu.ofMenu[d]);
    return out;
}

std::vector<DishWays> openWaysOf(const Menu& menu, const Conflict& conflict,
                                 const std::vector<Result<translate::Request>>& requests,
                                 std::stop_token stop) {
    std::vector<DishWays> out(menu.dishes.size());
    for (const std::size_t d : conflict.dishes)
        if (menu.dishes[d].place) {
            MenuDish free = menu.dishes[d];
            free.place.reset();
            out[d] = waysOf(free, menu, requests[d], stop);
        }
    return out;
}

std::vector<Concession> concessionsOf(const MenuProblem& menu, const Conflict& conflict,
                                      const std::vector<DishWays>& openWays,
                                      const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                                      const Effort& effort, std::stop_token stop) {
    const Trial trial{kitchen, rated, effort, stop};
    std::vector<DishWays> ways(menu.menu.dishes.size());
    for (std::size_t d = 0; d < menu.dishes.size(); ++d)
        ways[menu.ofMenu[d]] = menu.dishes[d];
    std::vector<Concession> out;
    const auto offer = [&](GiveUp what, std::size_t dish, int minutes, const std::string& on,
                           const Menu& changed) {
        out.push_back({what, dish, minutes, on, changed});
    };
    const auto enough = [&] { return out.size() >= kMostOffered || stop.stop_requested(); };
    for (const std::size_t d : conflict.dishes) {
        const auto at = static_cast<std::size_t>(
            std::find(menu.ofMenu.begin(), menu.ofMenu.end(), d) - menu.ofMenu.begin());
        Problem later = menu.problem;
        later.dishes[at].late = kMostLater;
        Found found = solve(later, {effort.seed, effort.firstFailures, 400, 300}, stop);
        if (!found.plan)
            continue;
        const int minutes = found.plan->dishes[at].served - later.dishes[at].latest;
        Menu changed = menu.menu;
        changed.dishes[d].lateS += 60.0 * minutes;
        offer(GiveUp::later, d, minutes, "", changed);
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return a.minutes < b.minutes; });
    for (const std::size_t d : conflict.dishes) {
        Menu changed = menu.menu;
        MenuDish& dish = changed.dishes[d];
        if (dish.beginsS) {
            dish.beginsS.reset();
            if (trial.has(changed, ways))
                offer(GiveUp::unpinned, d, 0, "", changed);
        }
        if (!menu.menu.dishes[d].cook.empty() && menu.menu.cooks.size() > 1) {
            changed = menu.menu;
            changed.dishes[d].cook.clear();
            if (trial.has(changed, ways))
                offer(GiveUp::anyCook, d, 0, "", changed);
        }
        if (d < openWays.size() && !openWays[d].ways.empty() && menu.menu.dishes[d].place) {
            changed = menu.menu;
            changed.dishes[d].place.reset();
            auto open = ways;
            open[d] = openWays[d];
            const MenuProblem opened = trial.problemOf_(changed, open);
            const Found found = firstPlan(opened.problem, effort, stop);
            if (found.plan) {
                const auto at = static_cast<std::size_t>(
                    std::find(opened.ofMenu.begin(), opened.ofMenu.end(), d) -
                    opened.ofMenu.begin());
                const auto& target = opened.dishes[at]
                                         .ways[static_cast<std::size_t>(found.plan->dishes[at].way)]
                                         .row.target;
                changed.dishes[d].place = target;
                changed.dishes[d].setting.reset();
                offer(GiveUp::elsewhere, d, 0, target.applianceId, changed);
            }
        }
    }
    if (menu.menu.notBeforeMin && !enough()) {
        Menu changed = menu.menu;
        for (const int minutes : kAllLater) {
            changed.notBeforeMin = *menu.menu.notBeforeMin - minutes;
            if (trial.has(changed, ways)) {
                offer(GiveUp::earlier, 0, minutes, "", changed);
                break;
            }
        }
        changed = menu.menu;
        for (const int minutes : kAllLater) {
            changed.serveMin = menu.menu.serveMin + minutes;
            if (changed.serveMin < 24 * 60 && trial.has(changed, ways)) {
                offer(GiveUp::allLater, 0, minutes, "", changed);
                break;
            }
        }
    }
    for (const std::size_t d : conflict.dishes) {
        if (enough())
            break;
        Menu changed = menu.menu;
        changed.dishes.erase(changed.dishes.begin() + static_cast<std::ptrdiff_t>(d));
        auto fewer = ways;
        fewer.erase(fewer.begin() + static_cast<std::ptrdiff_t>(d));
        if (changed.dishes.empty() || trial.has(changed, fewer))
            offer(GiveUp::without, d, 0, "", changed);
    }
    return out;
}

} // namespace dynamet::plan
