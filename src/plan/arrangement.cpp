// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/arrangement.h"

#include <algorithm>

namespace dynamet::plan {

Arrangement::Arrangement(const Problem& problem)
    : problem_(problem), placed_(problem.dishes.size()), there_(problem.dishes.size(), false),
      busy_(static_cast<std::size_t>(problem.cooks),
            std::vector<std::uint8_t>(static_cast<std::size_t>(problem.horizon()) + 1, 0)),
      held_(problem.vessels.size(),
            std::vector<std::uint8_t>(static_cast<std::size_t>(problem.horizon()) + 1, 0)) {}

/// The minutes of each of a dish's own works, or of its pans, until `each` says no.
template <class Things, class Each>
bool Arrangement::eachMinute(Things Way::*things, std::size_t dish, const Placed& placed,
                             Each each) const {
    const int end = problem_.horizon() + 1;
    for (const auto& one :
         problem_.dishes[dish].ways[static_cast<std::size_t>(placed.way)].*things) {
        const Span span = spanOf(one, placed);
        for (int m = std::max(0, span.from); m < std::min(span.to, end); ++m)
            if (!each(one, static_cast<std::size_t>(m)))
                return false;
    }
    return true;
}

template <class Each>
bool Arrangement::eachHands(std::size_t dish, const Placed& placed, Each each) const {
    return eachMinute(&Way::hands, dish, placed,
                      [&](const Hands&, std::size_t m) { return each(m); });
}

template <class Each>
bool Arrangement::eachPan(std::size_t dish, const Placed& placed, Each each) const {
    return eachMinute(&Way::holdings, dish, placed, [&](const Holding& one, std::size_t m) {
        return each(static_cast<std::size_t>(one.vessel), m);
    });
}

bool Arrangement::pansAreFree(std::size_t dish, const Placed& placed) const {
    return eachPan(dish, placed, [&](std::size_t vessel, std::size_t m) {
        return held_[vessel][m] < problem_.vessels[vessel];
    });
}

void Arrangement::take(std::size_t dish) {
    eachPan(dish, placed_[dish], [&](std::size_t vessel, std::size_t m) {
        over_ -= held_[vessel][m]-- > problem_.vessels[vessel];
        return true;
    });
    auto& busy = busy_[static_cast<std::size_t>(placed_[dish].cook)];
    eachHands(dish, placed_[dish], [&](std::size_t m) {
        --busy[m];
        return true;
    });
    there_[dish] = false;
}

void Arrangement::put(std::size_t dish, const Placed& placed) {
    placed_[dish] = placed;
    placed_[dish].heats.assign(
        problem_.dishes[dish].ways[static_cast<std::size_t>(placed.way)].uses.size(), {});
    auto& busy = busy_[static_cast<std::size_t>(placed.cook)];
    eachHands(dish, placed, [&](std::size_t m) {
        ++busy[m];
        return true;
    });
    eachPan(dish, placed, [&](std::size_t vessel, std::size_t m) {
        over_ += ++held_[vessel][m] > problem_.vessels[vessel];
        return true;
    });
    there_[dish] = true;
}

bool Arrangement::handsAreFree(std::size_t dish, const Placed& placed) {
    auto& busy = busy_[static_cast<std::size_t>(placed.cook)];
    std::size_t taken = 0;
    const bool free = eachHands(dish, placed, [&](std::size_t m) {
        ++taken;
        return ++busy[m] == 1; // its own works do not overlap either
    });
    eachHands(dish, placed, [&](std::size_t m) {
        --busy[m];
        return --taken > 0;
    });
    return free;
}

void Arrangement::list(int resource) {
    row_.clear();
    for (std::size_t d = 0; d < placed_.size(); ++d) {
        if (!there_[d])
            continue;
        const auto& uses = problem_.dishes[d].ways[static_cast<std::size_t>(placed_[d].way)].uses;
        for (std::size_t u = 0; u < uses.size(); ++u)
            if (uses[u].resource == resource)
                row_.push_back({d, u, &uses[u], spanOf(uses[u], placed_[d])});
    }
    std::stable_sort(row_.begin(), row_.end(), [](const Standing& a, const Standing& b) {
        return a.span.from < b.span.from;
    });
}

/// Room, one setting at a time, and nothing else between two stretches of one dish.
bool Arrangement::holds(const Resource& on) const {
    for (std::size_t j = 0; j < row_.size(); ++j) {
        const Standing& use = row_[j];
        int demand = use.what->demand;
        for (std::size_t i = 0; i < j; ++i) {
            const Standing& other = row_[i];
            if (other.what->zone == use.what->zone && other.span.to > use.span.from)
                demand += other.what->demand;
            if (other.dish != use.dish && other.what->setting != use.what->setting &&
                other.span.to + on.changeBetween(other.what->setting, use.what->setting) >
                    use.span.from)
                return false;
            for (std::size_t m = 0; m < i; ++m) // m and j of one dish, i of another between them
                if (row_[m].dish == use.dish && other.dish != use.dish &&
                    other.what->setting != use.what->setting &&
                    other.what->setting != row_[m].what->setting)
                    return false;
        }
        if (demand > on.room)
            return false;
    }
    return true;
}

/// When heating up for the j-th begins, −1 where it needs none; none where it cannot.
std::optional<int> Arrangement::heatingOf(const Resource& on, std::size_t j) {
    const Standing& use = row_[j];
    int earliest = 0, needs = 0;
    bool others = false;
    for (std::size_t i = 0; i < j; ++i) {
        if (row_[i].dish == use.dish)
            return -1;
        others = true;
        if (row_[i].what->setting != use.what->setting) {
            earliest = std::max(earliest, row_[i].span.to);
            needs = std::max(needs, on.changeBetween(row_[i].what->setting, use.what->setting));
        }
    }
    if (j > 0 && row_[j - 1].what->setting == use.what->setting)
        return -1;
    if (!others)
        needs = on.fromNow[static_cast<std::size_t>(use.what->setting)];
    const int minutes = on.hands[static_cast<std::size_t>(use.what->setting)];
    auto& busy = free_[static_cast<std::size_t>(placed_[use.dish].cook)];
    const int end = static_cast<int>(busy.size());
    for (int at = use.span.from - needs; at >= earliest; --at) {
        int m = at;
        while (m < std::min(at + minutes, end) && busy[static_cast<std::size_t>(m)] == 0)
            ++m;
        if (m < std::min(at + minutes, end)) {
            continue;
        }
        for (m = at; m < std::min(at + minutes, end); ++m)
            ++busy[static_cast<std::size_t>(m)];
        return at;
    }
    return std::nullopt;
}

bool Arrangement::heatUp(const Resource& on, int& cost, int& first) {
    for (std::size_t j = 0; j < row_.size(); ++j) {
        const auto at = heatingOf(on, j);
        if (!at)
            return false;
        auto& heats = placed_[row_[j].dish].heats[row_[j].use];
        heats = *at < 0 ? std::nullopt : at;
        if (!heats)
            continue;
        first = std::min(first, *heats);
        cost += kHeatHandsCost * on.hands[static_cast<std::size_t>(row_[j].what->setting)];
    }
    return true;
}

std::optional<int> Arrangement::cost() {
    if (over_ > 0)
        return std::nullopt;
    int cost = 0, first = problem_.horizon();
    for (std::size_t d = 0; d < placed_.size(); ++d)
        if (there_[d]) {
            const Dish& dish = problem_.dishes[d];
            cost += costOf(dish, placed_[d]);
            first = std::min(first, placed_[d].start);
        }
    free_ = busy_;
    for (std::size_t r = 0; r < problem_.resources.size(); ++r) {
        list(static_cast<int>(r));
        const Resource& on = problem_.resources[r];
        if (!holds(on) || !heatUp(on, cost, first))
            return std::nullopt;
    }
    const int latest = problem_.latest();
    return cost + problem_.leadWeight * (latest - std::min(first, latest));
}

std::optional<int> Arrangement::costWith(std::size_t dish, const Placed& placed) {
    if (!pansAreFree(dish, placed) || !handsAreFree(dish, placed))
        return std::nullopt;
    put(dish, placed);
    const auto out = cost();
    take(dish);
    return out;
}

Plan Arrangement::plan() const {
    Plan out;
    out.dishes = placed_;
    out.cost = costOf(problem_, out);
    return out;
}

} // namespace dynamet::plan
