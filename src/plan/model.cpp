// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/model.h"

#include "plan/model_builder.h"

#include <algorithm>
#include <climits>
#include <random>
#include <set>

namespace dynamet::plan {

using namespace Gecode;

namespace {

/// In an order that is drawn: of equals the first is taken.
IntVarArgs drawn(const IntVarArray& all, unsigned seed) {
    std::mt19937 random(seed);
    IntVarArgs out(all);
    for (int i = out.size() - 1; i > 0; --i)
        std::swap(out[i], out[static_cast<int>(random() % static_cast<unsigned>(i + 1))]);
    return out;
}

} // namespace

Model::Model(const Problem& problem, Look look, unsigned seed) : problem_(&problem) {
    const int dishes = static_cast<int>(problem.dishes.size());
    const int horizon = problem.horizon();
    way = IntVarArray(*this, dishes);
    for (int d = 0; d < dishes; ++d)
        way[d] =
            IntVar(*this, 0,
                   static_cast<int>(problem.dishes[static_cast<std::size_t>(d)].ways.size()) - 1);
    cook = IntVarArray(*this, dishes, 0, problem.cooks - 1);
    start = IntVarArray(*this, dishes, 0, horizon);
    served = IntVarArray(*this, dishes, 0, horizon);
    waits = IntVarArray(*this, dishes, 0, horizon);
    const int uses = ModelBuilder::countUses(problem);
    heat = IntVarArray(*this, uses, 0, horizon);
    needs = BoolVarArray(*this, uses, 0, 1);
    total = IntVar(*this, 0, Int::Limits::max / 2);
    ModelBuilder(*this, problem).build();

    if (look == Look::waits)
        branch(*this, waits, INT_VAR_SIZE_MAX(), INT_VAL_SPLIT_MIN());
    if (look != Look::backward)
        branch(*this, orders, BOOL_VAR_AFC_MAX(), BOOL_VAL_MAX());
    branch(*this, way, INT_VAR_SIZE_MIN(), INT_VAL_MIN());
    branch(*this, drawn(start, seed), INT_VAR_MAX_MAX(), INT_VAL_MAX());
    branch(*this, served, INT_VAR_SIZE_MIN(), INT_VAL_MIN());
    branch(*this, cook, INT_VAR_SIZE_MIN(), INT_VAL_MIN());
    branch(*this, needs, BOOL_VAR_NONE(), BOOL_VAL_MIN());
    branch(*this, orders, BOOL_VAR_NONE(), BOOL_VAL_MAX());
    branch(*this, heat, INT_VAR_MAX_MAX(), INT_VAL_MAX());
    branch(*this, total, INT_VAL_MIN());
}

Model::Model(Model& other) : IntMinimizeSpace(other), problem_(other.problem_) {
    way.update(*this, other.way);
    cook.update(*this, other.cook);
    start.update(*this, other.start);
    served.update(*this, other.served);
    waits.update(*this, other.waits);
    heat.update(*this, other.heat);
    needs.update(*this, other.needs);
    orders.update(*this, other.orders);
    total.update(*this, other.total);
}

void Model::keepFirst(const Plan& plan) {
    for (std::size_t i = 0; i < plan.dishes.size(); ++i) {
        const int d = static_cast<int>(i);
        rel(*this, way[d], IRT_EQ, plan.dishes[i].way);
        rel(*this, start[d], IRT_EQ, plan.dishes[i].start);
        rel(*this, served[d], IRT_EQ, plan.dishes[i].served);
        rel(*this, cook[d], IRT_EQ, plan.dishes[i].cook);
    }
}

void Model::keepMost(const Plan& from, unsigned draw) {
    std::mt19937 random(draw);
    const auto below = [&](std::size_t n) { return static_cast<std::size_t>(random() % n); };
    std::vector<std::size_t> all(from.dishes.size());
    for (std::size_t d = 0; d < all.size(); ++d)
        all[d] = d;
    for (std::size_t i = all.size() - 1; i > 0; --i)
        std::swap(all[i], all[below(i + 1)]);
    const auto kind = below(3);
    if (kind == 1) { // those that want the same places
        const auto placesOf = [&](std::size_t d) {
            std::set<int> out;
            for (const Way& one : problem_->dishes[d].ways)
                for (const Use& use : one.uses)
                    out.insert(use.resource);
            return out;
        };
        const std::set<int> wanted = placesOf(all.front());
        std::vector<int> apart(all.size());
        for (const std::size_t d : all)
            for (const int place : placesOf(d))
                apart[d] -= wanted.contains(place);
        apart[all.front()] = INT_MIN;
        std::stable_sort(all.begin(), all.end(),
                         [&](std::size_t a, std::size_t b) { return apart[a] < apart[b]; });
    }
    if (kind == 0) { // those that begin about the same time
        const int about = from.dishes[all.front()].start;
        std::stable_sort(all.begin(), all.end(), [&](std::size_t a, std::size_t b) {
            return std::abs(from.dishes[a].start - about) < std::abs(from.dishes[b].start - about);
        });
    }
    for (std::size_t i = std::min(all.size(), 2 + below(4)); i < all.size(); ++i) {
        const Placed& stays = from.dishes[all[i]];
        const int d = static_cast<int>(all[i]);
        rel(*this, way[d], IRT_EQ, stays.way);
        rel(*this, start[d], IRT_EQ, stays.start);
        rel(*this, cook[d], IRT_EQ, stays.cook);
    }
}

Plan Model::plan() const {
    Plan out;
    int use = 0;
    for (int d = 0; d < way.size(); ++d) {
        const Dish& dish = problem_->dishes[static_cast<std::size_t>(d)];
        Placed placed{way[d].val(), cook[d].val(), start[d].val(), served[d].val(), {}};
        for (int w = 0; w < static_cast<int>(dish.ways.size()); ++w)
            for (std::size_t u = 0; u < dish.ways[static_cast<std::size_t>(w)].uses.size();
                 ++u, ++use)
                if (w == placed.way)
                    placed.heats.push_back(needs[use].val() ? std::optional(heat[use].val())
                                                            : std::nullopt);
        out.dishes.push_back(std::move(placed));
    }
    out.cost = costOf(*problem_, out);
    return out;
}

} // namespace dynamet::plan
