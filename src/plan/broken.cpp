// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A plan looked through minute by minute, apart from the search that made it.
#include "plan/problem.h"

#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace dynamet::plan {
namespace {

/// A use as it stands in the plan.
struct Placing {
    std::size_t dish = 0, use = 0;
    const Use* what = nullptr;
    Span span;
    std::optional<int> heats;
};

std::vector<Placing> placingsOn(const Problem& problem, const Plan& plan, int resource) {
    std::vector<Placing> out;
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const Way& way = problem.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        for (std::size_t u = 0; u < way.uses.size(); ++u)
            if (way.uses[u].resource == resource)
                out.push_back({d, u, &way.uses[u], spanOf(way.uses[u], placed), placed.heats[u]});
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Placing& a, const Placing& b) { return a.span.from < b.span.from; });
    return out;
}

/// Room, one setting at a time, and the way from one to the next.
void checkResource(const Problem& problem, const Plan& plan, int r, std::vector<std::string>& out) {
    const Resource& resource = problem.resources[static_cast<std::size_t>(r)];
    const auto all = placingsOn(problem, plan, r);
    for (int minute = 0; minute <= problem.horizon(); ++minute) {
        std::map<int, int> demand; // by zone
        for (const Placing& one : all)
            demand[one.what->zone] +=
                one.span.from <= minute && minute < one.span.to ? one.what->demand : 0;
        for (const auto& [zone, taken] : demand)
            if (taken > resource.room)
                out.push_back(
                    fmt::format("resource {}, zone {} holds {} % at {}", r, zone, taken, minute));
    }
    for (std::size_t j = 0; j < all.size(); ++j) {
        const Placing& use = all[j];
        const Placing* before = nullptr; // the last other dish on it that began earlier
        for (std::size_t i = 0; i < j; ++i)
            if (all[i].dish != use.dish)
                before = &all[i];
        for (std::size_t i = 0; i < j; ++i) {
            const Placing& other = all[i];
            if (other.dish == use.dish || other.what->setting == use.what->setting)
                continue;
            if (other.span.to + resource.changeBetween(other.what->setting, use.what->setting) >
                use.span.from)
                out.push_back(fmt::format("resource {}: dishes {} and {} at two settings at {}", r,
                                          other.dish, use.dish, use.span.from));
        }
        if (use.heats) {
            int needs = 0;
            for (std::size_t i = 0; i < j; ++i)
                if (all[i].dish != use.dish && all[i].what->setting != use.what->setting) {
                    needs = std::max(
                        needs, resource.changeBetween(all[i].what->setting, use.what->setting));
                    if (*use.heats < all[i].span.to)
                        out.push_back(
                            fmt::format("resource {} changes under dish {}", r, all[i].dish));
                }
            if (!before)
                needs = resource.fromNow[static_cast<std::size_t>(use.what->setting)];
            if (*use.heats < 0 || *use.heats + needs > use.span.from)
                out.push_back(fmt::format("resource {} is not hot for dish {}", r, use.dish));
        } else {
            // It joins: the use before it, of any other dish or an earlier one of its own, has it
            // hot.
            const Placing* last = j > 0 ? &all[j - 1] : nullptr;
            if (!last || last->what->setting != use.what->setting)
                if (std::none_of(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(j),
                                 [&](const Placing& one) { return one.dish == use.dish; }))
                    out.push_back(
                        fmt::format("resource {} is not heated for dish {}", r, use.dish));
        }
    }
}

void checkHands(const Problem& problem, const Plan& plan, std::vector<std::string>& out) {
    std::vector<std::vector<std::size_t>> busy(static_cast<std::size_t>(problem.cooks));
    const auto size = static_cast<std::size_t>(problem.horizon()) + 1;
    for (auto& one : busy)
        one.assign(size, 0);
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const Way& way = problem.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const auto take = [&](const Span& span) {
            for (int m = std::max(0, span.from); m < span.to && m < static_cast<int>(size); ++m)
                if (++busy[static_cast<std::size_t>(placed.cook)][static_cast<std::size_t>(m)] == 2)
                    out.push_back(
                        fmt::format("cook {} has two things to do at {}", placed.cook, m));
        };
        for (const Hands& hands : way.hands)
            take(spanOf(hands, placed));
        for (std::size_t u = 0; u < way.uses.size(); ++u)
            if (placed.heats[u]) {
                const Resource& on =
                    problem.resources[static_cast<std::size_t>(way.uses[u].resource)];
                const int lasts = on.hands[static_cast<std::size_t>(way.uses[u].setting)];
                take({*placed.heats[u], *placed.heats[u] + lasts});
            }
    }
}

void checkVessels(const Problem& problem, const Plan& plan, std::vector<std::string>& out) {
    for (int minute = 0; minute <= problem.horizon(); ++minute) {
        std::vector<int> taken(problem.vessels.size());
        for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
            const Placed& placed = plan.dishes[d];
            for (const Holding& holding :
                 problem.dishes[d].ways[static_cast<std::size_t>(placed.way)].holdings)
                if (const Span span = spanOf(holding, placed);
                    span.from <= minute && minute < span.to)
                    ++taken[static_cast<std::size_t>(holding.vessel)];
        }
        for (std::size_t v = 0; v < taken.size(); ++v)
            if (taken[v] > problem.vessels[v])
                out.push_back(
                    fmt::format("vessel {} is wanted {} times at {}", v, taken[v], minute));
    }
}

} // namespace

std::vector<std::string> broken(const Problem& problem, const Plan& plan) {
    std::vector<std::string> out;
    if (plan.dishes.size() != problem.dishes.size())
        return {"a dish is missing"};
    for (std::size_t d = 0; d < plan.dishes.size(); ++d) {
        const Placed& placed = plan.dishes[d];
        const Dish& dish = problem.dishes[d];
        if (placed.way < 0 || placed.way >= static_cast<int>(dish.ways.size()) || placed.cook < 0 ||
            placed.cook >= problem.cooks)
            return {fmt::format("dish {} is made in no way, or by nobody", d)};
        const Way& way = dish.ways[static_cast<std::size_t>(placed.way)];
        if (placed.heats.size() != way.uses.size())
            return {fmt::format("dish {} leaves a place out", d)};
        const int waits = waitsFor(way, placed);
        if (waits < 0 || waits >= static_cast<int>(way.waitCost.size()))
            return {fmt::format("dish {} waits {} min", d, waits)};
        for (const Use& use : way.uses)
            if (const Span span = spanOf(use, placed);
                use.waits && span.to - span.from < kLeastWarmMin)
                out.push_back(
                    fmt::format("dish {} is kept warm for {} min", d, span.to - span.from));
        if (placed.start < 0)
            out.push_back(fmt::format("dish {} begins before now", d));
        if (placed.served < dish.earliest || placed.served > dish.latest + dish.late)
            out.push_back(fmt::format("dish {} is served at {}", d, placed.served));
        if ((dish.way && *dish.way != placed.way) || (dish.start && *dish.start != placed.start) ||
            (dish.cook && *dish.cook != placed.cook))
            out.push_back(fmt::format("dish {} is not where it was pinned", d));
    }
    checkHands(problem, plan, out);
    checkVessels(problem, plan, out);
    for (int r = 0; r < static_cast<int>(problem.resources.size()); ++r)
        checkResource(problem, plan, r, out);
    return out;
}

} // namespace dynamet::plan
