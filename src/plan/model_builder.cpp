// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/model_builder.h"

#include <algorithm>
#include <map>

namespace dynamet::plan {

using namespace Gecode;

int ModelBuilder::countUses(const Problem& problem) {
    std::size_t out = 0;
    for (const Dish& dish : problem.dishes)
        for (const Way& way : dish.ways)
            out += way.uses.size();
    return static_cast<int>(out);
}

ModelBuilder::ModelBuilder(Model& model, const Problem& problem)
    : model_(model), problem_(problem), horizon_(problem.horizon()) {
    for (const Dish& dish : problem.dishes)
        for (const Way& way : dish.ways) {
            for (const Use& use : way.uses)
                longest_ = std::max(longest_, std::max(use.from, use.to));
            for (const Hands& hands : way.hands)
                longest_ = std::max(longest_, hands.at + hands.lasts);
            for (const Holding& holding : way.holdings)
                longest_ = std::max({longest_, -holding.from, holding.from, holding.to});
        }
}

/// Also of a way that is not taken: it may end after the horizon, or begin before now.
IntVar ModelBuilder::shifted(const IntVar& by, int minutes) {
    // A variable may stand in a constraint once only.
    const IntVar out(model_, -longest_, horizon_ + longest_);
    rel(model_, out == by + minutes);
    return out;
}

void ModelBuilder::keepApart(const BoolVar& when, const IntVar& a, int apart, const IntVar& b) {
    const IntArgs coefficients({1, -1});
    IntVarArgs both;
    both << a << b;
    linear(model_, coefficients, both, IRT_LQ, -apart, Reify(when, RM_IMP));
}

void ModelBuilder::build() {
    addDishes();
    addUses();
    orders_.resize(uses_.size() * uses_.size());
    BoolVarArgs all;
    for (std::size_t r = 0; r < problem_.resources.size(); ++r) {
        std::vector<int> onIt;
        for (std::size_t u = 0; u < uses_.size(); ++u)
            if (uses_[u].what->resource == static_cast<int>(r))
                onIt.push_back(static_cast<int>(u));
        addOrders(onIt, problem_.resources[r]);
        addRoom(onIt, problem_.resources[r]);
        addHeats(onIt, problem_.resources[r]);
        for (int i : onIt)
            for (int j : onIt)
                if (order(i, j).varimp())
                    all << order(i, j);
    }
    model_.orders = BoolVarArray(model_, all);
    addVessels();
    addHands();
    addCost();
}

void ModelBuilder::addDishes() {
    for (std::size_t i = 0; i < problem_.dishes.size(); ++i) {
        const Dish& dish = problem_.dishes[i];
        const int d = static_cast<int>(i);
        std::vector<BoolVar> made;
        IntArgs ready, longest;
        for (std::size_t w = 0; w < dish.ways.size(); ++w) {
            made.push_back(expr(model_, model_.way[d] == static_cast<int>(w)));
            ready << dish.ways[w].readyAt + dish.ways[w].shortestRest;
            longest << static_cast<int>(dish.ways[w].waitCost.size()) - 1;
        }
        made_.push_back(made);
        const IntVar until(model_, 0, horizon_), most(model_, 0, horizon_ + 100000);
        element(model_, ready, model_.way[d], until);
        element(model_, longest, model_.way[d], most);
        const IntVar rested = expr(model_, model_.start[d] + until);
        rel(model_, model_.served[d] == rested + model_.waits[d]);
        rel(model_, model_.waits[d] <= most);
        dom(model_, model_.served[d], dish.earliest, dish.latest + dish.late);
        if (dish.way)
            rel(model_, model_.way[d] == *dish.way);
        if (dish.start)
            rel(model_, model_.start[d] == *dish.start);
        if (dish.cook)
            rel(model_, model_.cook[d] == *dish.cook);
    }
}

IntVar ModelBuilder::untilServed(int dish, const BoolVar& active) {
    const IntVar out(model_, 0, horizon_ + longest_);
    keepApart(active, out, 0, model_.served[dish]);
    keepApart(active, model_.served[dish], 0, out);
    return out;
}

void ModelBuilder::addUses() {
    for (std::size_t d = 0; d < problem_.dishes.size(); ++d)
        for (std::size_t w = 0; w < problem_.dishes[d].ways.size(); ++w) {
            const Way& way = problem_.dishes[d].ways[w];
            std::map<std::pair<int, int>, IntVar> at; // starts that several share
            for (const Use& use : way.uses) {
                UseVars one;
                one.dish = static_cast<int>(d);
                one.way = static_cast<int>(w);
                one.what = &use;
                one.active = made_[d][w];
                one.index = static_cast<int>(uses_.size());
                one.from = shifted(model_.start[one.dish], use.from);
                one.to = use.waits ? untilServed(one.dish, one.active)
                                   : shifted(model_.start[one.dish], use.to);
                one.later = std::any_of(uses_.begin(), uses_.end(), [&](const UseVars& other) {
                    return other.dish == one.dish && other.way == one.way &&
                           other.what->resource == use.resource;
                });
                if (use.waits)
                    keepApart(one.active, one.from, kLeastWarmMin, one.to);
                uses_.push_back(one);
            }
        }
}

void ModelBuilder::addOrders(const std::vector<int>& onIt, const Resource& on) {
    for (int i : onIt)
        for (int j : onIt) {
            const UseVars &a = uses_[static_cast<std::size_t>(i)],
                          &b = uses_[static_cast<std::size_t>(j)];
            if (a.dish == b.dish || a.what->setting == b.what->setting)
                continue;
            const BoolVar first = newBool();
            orders_[static_cast<std::size_t>(i) * uses_.size() + static_cast<std::size_t>(j)] =
                first;
            rel(model_, first <= a.active);
            rel(model_, first <= b.active);
            keepApart(first, a.to, on.changeBetween(a.what->setting, b.what->setting), b.from);
        }
    for (int i : onIt)
        for (int j : onIt) {
            if (i >= j || !order(i, j).varimp())
                continue;
            const UseVars &a = uses_[static_cast<std::size_t>(i)],
                          &b = uses_[static_cast<std::size_t>(j)];
            rel(model_, (a.active && b.active) == (order(i, j) || order(j, i)));
            rel(model_, !(order(i, j) && order(j, i)));
        }
    // Between two stretches of one dish nothing else changes the heat.
    for (int j : onIt)
        for (int m : onIt) {
            const UseVars &later = uses_[static_cast<std::size_t>(j)],
                          &sooner = uses_[static_cast<std::size_t>(m)];
            if (m >= j || later.dish != sooner.dish || later.way != sooner.way)
                continue;
            for (int i : onIt)
                if (order(i, j).varimp() && order(i, m).varimp())
                    rel(model_, order(i, j) <= order(i, m));
        }
}

void ModelBuilder::addRoom(const std::vector<int>& onIt, const Resource& on) {
    std::map<int, std::vector<int>> byZone;
    for (int u : onIt)
        byZone[uses_[static_cast<std::size_t>(u)].what->zone].push_back(u);
    for (const auto& [zone, inIt] : byZone)
        addRoomOfZone(inIt, on.room);
}

void ModelBuilder::addRoomOfZone(const std::vector<int>& onIt, int room) {
    std::vector<Stretch> all;
    for (int u : onIt) {
        const UseVars& use = uses_[static_cast<std::size_t>(u)];
        if (use.what->demand > room)
            rel(model_, use.active == 0);
        else
            all.push_back(
                {use.from, use.to,
                 use.what->waits ? std::nullopt : std::optional(use.what->to - use.what->from),
                 use.what->demand, use.active});
    }
    keepWithin(room, all);
}

void ModelBuilder::addVessels() {
    std::vector<std::vector<Stretch>> wanted(problem_.vessels.size());
    for (std::size_t i = 0; i < problem_.dishes.size(); ++i)
        for (std::size_t w = 0; w < problem_.dishes[i].ways.size(); ++w)
            for (const Holding& one : problem_.dishes[i].ways[w].holdings) {
                const int d = static_cast<int>(i);
                const IntVar &start = model_.start[d], from = shifted(start, one.from);
                wanted[static_cast<std::size_t>(one.vessel)].push_back(
                    {from, one.untilServed ? untilServed(d, made_[i][w]) : shifted(start, one.to),
                     one.untilServed ? std::nullopt : std::optional(one.to - one.from), 1,
                     made_[i][w]});
            }
    for (std::size_t v = 0; v < wanted.size(); ++v)
        keepWithin(problem_.vessels[v], wanted[v]);
}

void ModelBuilder::keepWithin(int room, const std::vector<Stretch>& all) {
    if (all.size() < 2)
        return;
    IntVarArgs from, lasts, to;
    IntArgs demand;
    BoolVarArgs active;
    for (const Stretch& one : all) {
        const IntVar length(model_, one.lasts.value_or(0),
                            one.lasts.value_or(horizon_ + 2 * longest_));
        rel(model_, one.from + length == one.to);
        from << one.from;
        lasts << length;
        to << one.to;
        demand << one.demand;
        active << one.active;
    }
    cumulative(model_, room, from, lasts, to, demand, active);
}

void ModelBuilder::addHeats(const std::vector<int>& onIt, const Resource& on) {
    for (int j : onIt) {
        const UseVars& use = uses_[static_cast<std::size_t>(j)];
        const BoolVar needs = model_.needs[use.index];
        const IntVar heat = model_.heat[use.index];
        if (use.later) {
            rel(model_, needs == 0);
            rel(model_, heat == horizon_);
            continue;
        }
        BoolVarArgs joins, sooner;
        for (int k : onIt) {
            const UseVars& hot = uses_[static_cast<std::size_t>(k)];
            if (hot.dish == use.dish)
                continue;
            if (hot.what->setting != use.what->setting) {
                sooner << order(k, j);
                const BoolVar both = expr(model_, needs && order(k, j));
                keepApart(both, hot.to, 0, heat);
                keepApart(both, heat, on.changeBetween(hot.what->setting, use.what->setting),
                          use.from);
                continue;
            }
            const BoolVar joined = newBool();
            rel(model_, joined <= hot.active);
            rel(model_, joined <= use.active);
            keepApart(joined, hot.from, k > j ? 1 : 0, use.from);
            for (int m : onIt) {
                if (!order(m, j).varimp())
                    continue;
                const UseVars& between = uses_[static_cast<std::size_t>(m)];
                if (order(k, m).varimp())
                    rel(model_, joined + order(k, m) + order(m, j) <= 2);
                else if (between.dish == hot.dish && between.way == hot.way && m > k)
                    rel(model_, joined + order(m, j) <= 1); // its own dish changed the setting
            }
            joins << joined;
        }
        const BoolVar joinsAny = newBool();
        if (joins.size() > 0)
            rel(model_, BOT_OR, joins, joinsAny);
        else
            rel(model_, joinsAny == 0);
        rel(model_, use.active == (needs || joinsAny));
        rel(model_, !(needs && joinsAny));
        rel(model_, (!needs) >> (heat == horizon_));
        const BoolVar coldStart = newBool();
        if (sooner.size() > 0) {
            const BoolVar any = newBool();
            rel(model_, BOT_OR, sooner, any);
            rel(model_, coldStart == (needs && !any));
        } else {
            rel(model_, coldStart == needs);
        }
        keepApart(coldStart, heat, on.fromNow[static_cast<std::size_t>(use.what->setting)],
                  use.from);
    }
}

void ModelBuilder::addHands() {
    for (int c = 0; c < problem_.cooks; ++c) {
        IntVarArgs from;
        IntArgs lasts;
        BoolVarArgs active;
        const auto add = [&](const IntVar& at, int minutes, const BoolVar& when) {
            from << at;
            lasts << minutes;
            active << when;
        };
        for (std::size_t i = 0; i < problem_.dishes.size(); ++i) {
            const Dish& dish = problem_.dishes[i];
            const int d = static_cast<int>(i);
            if (dish.cook && *dish.cook != c)
                continue;
            const auto by = [&](const BoolVar& when) {
                return dish.cook || problem_.cooks == 1 ? when
                                                        : expr(model_, when && model_.cook[d] == c);
            };
            std::map<std::tuple<int, int, bool>, BoolVarArgs> alike; // work that several ways share
            for (std::size_t w = 0; w < dish.ways.size(); ++w)
                for (const Hands& hands : dish.ways[w].hands)
                    alike[{hands.at, hands.lasts, hands.beforeServed}] << made_[i][w];
            for (const auto& [hands, ways] : alike) {
                const auto& [at, minutes, beforeServed] = hands;
                BoolVar when = newBool();
                rel(model_, BOT_OR, ways, when);
                add(beforeServed ? shifted(model_.served[d], -at) : shifted(model_.start[d], at),
                    minutes, by(when));
            }
            for (const UseVars& use : uses_)
                if (use.dish == d && !use.later) {
                    const Resource& on =
                        problem_.resources[static_cast<std::size_t>(use.what->resource)];
                    const int minutes = on.hands[static_cast<std::size_t>(use.what->setting)];
                    if (minutes > 0)
                        add(shifted(model_.heat[use.index], 0), minutes,
                            by(model_.needs[use.index]));
                }
        }
        if (from.size() > 1)
            unary(model_, from, lasts, active);
    }
}

void ModelBuilder::addCost() {
    LinIntExpr sum = 0;
    IntVarArgs begins;
    const int latest = problem_.latest();
    int dear = 0;
    for (std::size_t i = 0; i < problem_.dishes.size(); ++i) {
        const Dish& dish = problem_.dishes[i];
        const int d = static_cast<int>(i);
        std::size_t width = 1;
        for (const Way& way : dish.ways)
            width = std::max(width, way.waitCost.size());
        IntArgs table;
        for (const Way& way : dish.ways)
            for (std::size_t m = 0; m < width; ++m)
                table << kWaitWeight *
                             (way.cost + way.waitCost[std::min(m, way.waitCost.size() - 1)]);
        for (int value : table)
            dear = std::max(dear, value);
        const IntVar cost(model_, 0, dear);
        const IntVar waits(model_, 0, static_cast<int>(width) - 1);
        rel(model_, waits == model_.waits[d]);
        element(model_, table, waits, static_cast<int>(width), model_.way[d],
                static_cast<int>(dish.ways.size()), cost);
        sum = sum + cost;
        sum = sum + kOffCost * abs(model_.served[d] - dish.target);
        if (dish.late > 0)
            sum = sum + kLateCost * max(model_.served[d] - dish.latest, 0);
        begins << model_.start[d];
    }
    for (const UseVars& use : uses_) {
        begins << model_.heat[use.index];
        const Resource& on = problem_.resources[static_cast<std::size_t>(use.what->resource)];
        const int hands = on.hands[static_cast<std::size_t>(use.what->setting)];
        if (hands > 0 && !use.later)
            sum = sum + kHeatHandsCost * hands * model_.needs[use.index];
    }
    const IntVar first(model_, 0, horizon_);
    min(model_, begins, first);
    const IntVar soonest(model_, 0, latest);
    rel(model_, soonest == min(first, latest));
    rel(model_, model_.total == sum + problem_.leadWeight * (latest - soonest));
}

} // namespace dynamet::plan
