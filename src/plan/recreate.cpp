// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/recreate.h"

#include "plan/arrangement.h"

#include <algorithm>
#include <climits>
#include <cmath>
#include <numeric>
#include <random>

namespace dynamet::plan {
namespace {

/// A place that a dish might have, with what it costs beside nothing.
struct Choice {
    int cost;
    Placed placed;
};

/// All of a dish's places, the cheapest first.
std::vector<Choice> choicesOf(const Problem& problem, const Dish& dish) {
    std::vector<Choice> out;
    for (int w = 0; w < static_cast<int>(dish.ways.size()); ++w) {
        if (dish.way && *dish.way != w)
            continue;
        const Way& way = dish.ways[static_cast<std::size_t>(w)];
        const bool warm =
            std::any_of(way.uses.begin(), way.uses.end(), [](const Use& use) { return use.waits; });
        for (int served = dish.earliest; served <= dish.latest + dish.late; ++served)
            for (int waits = 0; waits < static_cast<int>(way.waitCost.size()); ++waits) {
                const int start = served - waits - way.shortestRest - way.readyAt;
                if (start < 0 || start > problem.horizon() || (dish.start && *dish.start != start))
                    continue;
                Placed placed{w, dish.cook.value_or(0), start, served, {}};
                if (warm && std::any_of(way.uses.begin(), way.uses.end(), [&](const Use& use) {
                        const Span span = spanOf(use, placed);
                        return use.waits && span.to - span.from < kLeastWarmMin;
                    }))
                    continue;
                out.push_back({costOf(dish, placed), std::move(placed)});
            }
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Choice& a, const Choice& b) { return a.cost < b.cost; });
    return out;
}

class Search {
  public:
    Search(const Problem& problem, unsigned seed)
        : problem_(problem), random_(seed), now_(problem) {
        for (const Dish& dish : problem.dishes) {
            choices_.push_back(choicesOf(problem, dish));
            wants_.push_back(wantsOf(problem, dish));
        }
    }
    /// False where the plan does not stand as it is.
    bool begin(const Plan& plan) {
        for (std::size_t d = 0; d < plan.dishes.size(); ++d)
            now_.put(d, plan.dishes[d]);
        const auto cost = now_.cost();
        cost_ = cost.value_or(0);
        return cost.has_value();
    }
    int cost() const { return cost_; }
    Plan plan() const { return now_.plan(); }

    /// One round; whether the arrangement is another one now.
    bool step(double heat) {
        const std::vector<std::size_t> out = some();
        std::vector<Placed> were;
        for (const std::size_t d : out) {
            were.push_back(now_.at(d));
            now_.take(d);
        }
        std::size_t in = 0;
        std::optional<int> cost;
        for (; in < out.size(); ++in) {
            cost = putBack(out[in]);
            if (!cost)
                break;
        }
        constexpr unsigned kParts = 1U << 20;
        const double drawn = (static_cast<unsigned>(random_() % kParts) + 1.0) / kParts;
        const double dearer = -heat * std::log(drawn);
        if (cost && in == out.size() && *cost <= cost_ + dearer) {
            cost_ = *cost;
            return true;
        }
        for (std::size_t i = 0; i < in; ++i)
            now_.take(out[i]);
        for (std::size_t i = 0; i < out.size(); ++i)
            now_.put(out[i], were[i]);
        return false;
    }

  private:
    std::size_t draw(std::size_t below) { return static_cast<std::size_t>(random_() % below); }

    /// One dish and a few that are near it: by place, by time, or any.
    std::vector<std::size_t> some() {
        constexpr std::size_t kMost = 5;
        std::vector<std::size_t> all(problem_.dishes.size());
        std::iota(all.begin(), all.end(), std::size_t{0});
        for (std::size_t i = all.size() - 1; i > 0; --i)
            std::swap(all[i], all[draw(i + 1)]);
        const std::size_t seed = all.front(), kind = draw(4);
        const auto share = [&](std::size_t a, std::size_t b) {
            return std::any_of(wants_[a].begin(), wants_[a].end(),
                               [&](int one) { return wants_[b].contains(one); });
        };
        const auto far = [&](std::size_t d) {
            if (d == seed)
                return -1;
            if (kind < 2) // by place, or by the cook's hands
                return share(seed, d) ? 0 : now_.at(d).cook == now_.at(seed).cook ? 1 : 2;
            return kind == 2 ? std::abs(now_.at(d).start - now_.at(seed).start) : 0;
        };
        std::stable_sort(all.begin(), all.end(),
                         [&](std::size_t a, std::size_t b) { return far(a) < far(b); });
        all.resize(std::min(all.size(), 1 + draw(kMost)));
        for (std::size_t i = all.size() - 1; i > 0; --i)
            std::swap(all[i], all[draw(i + 1)]);
        return all;
    }

    /// Where it costs least now; a place is overlooked now and then, which leads elsewhere. What
    /// all cost with it; none where it cannot stand anywhere.
    std::optional<int> putBack(std::size_t dish) {
        constexpr std::size_t kBlink = 30, kMostTries = 1500;
        const int others = now_.cost().value_or(0);
        const auto& wanted = problem_.dishes[dish].cook;
        std::optional<int> best;
        Placed place;
        std::size_t tries = 0;
        for (const Choice& choice : choices_[dish]) {
            if ((best && others + choice.cost >= *best) || ++tries > kMostTries)
                break;
            if (draw(kBlink) == 0)
                continue;
            Placed one = choice.placed;
            for (int cook = wanted.value_or(0); cook <= wanted.value_or(problem_.cooks - 1);
                 ++cook) {
                one.cook = cook;
                const auto cost = now_.costWith(dish, one);
                if (cost && (!best || *cost < *best)) {
                    best = cost;
                    place = one;
                }
            }
        }
        if (best)
            now_.put(dish, place);
        return best;
    }

    const Problem& problem_;
    std::mt19937 random_;
    Arrangement now_;
    std::vector<std::vector<Choice>> choices_;
    std::vector<std::set<int>> wants_;
    int cost_ = 0;
};

} // namespace

void recreate(const Problem& problem, const Effort& effort, Found& out, std::stop_token stop,
              const std::function<void(const Plan&)>& better) {
    constexpr double kHot = 0.05, kCold = 0.001; // shares of what the plan costs
    Search search(problem, effort.seed);
    if (!search.begin(*out.plan))
        return;
    const double whole = std::max(1, out.plan->cost);
    const unsigned long rounds = effort.recreateRounds;
    for (unsigned long round = 0; round < rounds && !stop.stop_requested(); ++round) {
        const double done = static_cast<double>(round) / static_cast<double>(rounds);
        if (!search.step(whole * kHot * std::pow(kCold / kHot, done)) ||
            search.cost() >= out.plan->cost)
            continue;
        Plan plan = search.plan();
        if (plan.cost != search.cost() || !broken(problem, plan).empty())
            continue;
        out.plan = std::move(plan);
        if (better)
            better(*out.plan);
    }
}

} // namespace dynamet::plan
