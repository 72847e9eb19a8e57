// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/random.h"
#include "plan/menu_plan.h"

#include <Eigen/Cholesky>
#include <algorithm>
#include <cmath>

namespace dynamet::plan {
namespace {

const DishWay& wayOf(const MenuProblem& menu, const Plan& plan, std::size_t d) {
    return menu.dishes[d].ways[static_cast<std::size_t>(plan.dishes[d].way)];
}

/// Factor of the covariance of all dishes' ln(time): each as wide as its window, correlated as far
/// as the same unknowns are behind them.
Eigen::MatrixXd factorOf(const MenuProblem& menu, const Plan& plan) {
    const auto n = static_cast<Eigen::Index>(plan.dishes.size());
    Eigen::MatrixXd covariance = Eigen::MatrixXd::Zero(n, n);
    for (Eigen::Index a = 0; a < n; ++a)
        for (Eigen::Index b = 0; b <= a; ++b) {
            const DishWay& one = wayOf(menu, plan, static_cast<std::size_t>(a));
            const DishWay& other = wayOf(menu, plan, static_cast<std::size_t>(b));
            double correlation = a == b ? 1 : 0;
            if (a != b && one.row.window && other.row.window) {
                const auto &x = one.row.window->effects, &y = other.row.window->effects;
                const auto& belief = one.row.window->belief;
                const double own = belief.priorCovariance(x, x),
                             others = belief.priorCovariance(y, y);
                if (own > 0 && others > 0)
                    correlation = std::clamp(belief.priorCovariance(x, y) / std::sqrt(own * others),
                                             -0.95, 0.95);
            }
            covariance(a, b) = covariance(b, a) = correlation * one.lnSd * other.lnSd;
        }
    covariance.diagonal().array() += 1e-12;
    const Eigen::LDLT<Eigen::MatrixXd> ldlt(covariance);
    const Eigen::MatrixXd lower = ldlt.matrixL();
    return ldlt.transpositionsP().transpose() *
           (lower * ldlt.vectorD().cwiseMax(0).cwiseSqrt().asDiagonal()).eval();
}

/// What ends in the plan before something else can begin, and the minutes between the two that may
/// be lost.
struct Before {
    std::size_t dish = 0;
    int spare = 0;
};
/// Two uses that cannot be at once, the first before the second in the plan.
struct Follows {
    Before first;
    std::size_t second = 0;
};

std::vector<Follows> followersIn(const MenuProblem& menu, const Plan& plan) {
    std::vector<Follows> out;
    for (std::size_t a = 0; a < plan.dishes.size(); ++a)
        for (std::size_t b = 0; b < plan.dishes.size(); ++b) {
            const Way &one = wayOf(menu, plan, a).way, &other = wayOf(menu, plan, b).way;
            for (const Use& use : one.uses)
                for (const Use& next : other.uses) {
                    if (a == b || use.waits || next.waits || use.resource != next.resource)
                        continue;
                    const Resource& on =
                        menu.problem.resources[static_cast<std::size_t>(use.resource)];
                    const bool alike = use.setting == next.setting;
                    if (alike && (use.zone != next.zone || use.demand + next.demand <= on.room))
                        continue;
                    const int between =
                        spanOf(next, plan.dishes[b]).from - spanOf(use, plan.dishes[a]).to;
                    if (between >= 0) {
                        const int change = on.changeBetween(use.setting, next.setting);
                        out.push_back({{a, std::max(0, between - change)}, b});
                    }
                }
        }
    return out;
}

/// A dish that takes one of several pans alike: of the dishes that are emptied from them before,
/// all but so many must be.
struct TakesPan {
    std::vector<Before> after;
    std::size_t mayStillHold = 0;
};

/// [dish] by the plan.
std::vector<std::vector<TakesPan>> pansIn(const MenuProblem& menu, const Plan& plan) {
    std::vector<std::vector<TakesPan>> out(plan.dishes.size());
    for (std::size_t d = 0; d < plan.dishes.size(); ++d)
        for (const Holding& pan : wayOf(menu, plan, d).way.holdings) {
            const int taken = spanOf(pan, plan.dishes[d]).from;
            TakesPan takes;
            int free = menu.problem.vessels[static_cast<std::size_t>(pan.vessel)] - 1;
            for (std::size_t other = 0; other < plan.dishes.size(); ++other)
                for (const Holding& held : wayOf(menu, plan, other).way.holdings) {
                    if (other == d || held.vessel != pan.vessel)
                        continue;
                    const Span span = spanOf(held, plan.dishes[other]);
                    if (span.to <= taken)
                        takes.after.push_back({other, taken - span.to});
                    else if (span.from <= taken)
                        --free;
                }
            takes.mayStillHold = static_cast<std::size_t>(std::max(0, free));
            if (takes.after.size() > takes.mayStillHold)
                out[d].push_back(std::move(takes));
        }
    return out;
}

/// How much later than planned a pan is free, from how much later each dish is emptied.
double freeLater(const TakesPan& takes, const std::vector<double>& later) {
    std::vector<double> all;
    for (const Before& one : takes.after)
        all.push_back(later[one.dish] - one.spare);
    const auto nth = all.begin() + static_cast<std::ptrdiff_t>(takes.mayStillHold);
    std::nth_element(all.begin(), nth, all.end(), std::greater<>());
    return *nth;
}

} // namespace

Chance chanceOf(const MenuProblem& menu, const Plan& plan, unsigned seed, int draws) {
    const std::size_t n = plan.dishes.size();
    const Eigen::MatrixXd factor = factorOf(menu, plan);
    const auto follows = followersIn(menu, plan);
    const auto pans = pansIn(menu, plan);
    std::vector<std::size_t> order(n);
    for (std::size_t d = 0; d < n; ++d)
        order[d] = d;
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return plan.dishes[a].start < plan.dishes[b].start;
    });
    Random random(seed);
    std::vector<int> held(n);
    int all = 0;
    for (int draw = 0; draw < draws; ++draw) {
        Eigen::VectorXd standard(static_cast<Eigen::Index>(n));
        for (double& one : standard)
            one = random.normal();
        const Eigen::VectorXd ln = factor * standard;
        std::vector<double> later(n); // than planned it is ready
        bool every = true;
        for (const std::size_t d : order) {
            const DishWay& way = wayOf(menu, plan, d);
            const Placed& placed = plan.dishes[d];
            double delay = 0;
            for (const Follows& one : follows)
                if (one.second == d)
                    delay = std::max(delay, later[one.first.dish] - one.first.spare);
            for (const TakesPan& one : pans[d])
                delay = std::max(delay, freeLater(one, later));
            // What ends before its last stage is to begin waits for that.
            const double longer = std::exp(ln[static_cast<Eigen::Index>(d)]);
            const Span first{way.foodInAt, way.straight.back().from};
            const double begun = placed.start + delay;
            const double lastAt =
                std::max<double>(placed.start + way.stageSpans.back().from,
                                 begun + first.from + longer * (first.to - first.from));
            const double lasts = way.straight.back().to - way.straight.back().from;
            const double ready =
                (way.straight.size() > 1 ? lastAt : begun + first.to) + lasts * longer;
            later[d] = ready - (placed.start + way.way.readyAt);
            const bool never = random.uniform() < way.neverShare;
            const bool onTime =
                !never && ready + way.way.shortestRest <=
                              std::max(menu.problem.dishes[d].latest, placed.served) + 0.5;
            held[d] += onTime;
            every = every && onTime;
        }
        all += every;
    }
    Chance out;
    out.draws = draws;
    out.all = static_cast<double>(all) / draws;
    for (const int one : held)
        out.dishes.push_back(static_cast<double>(one) / draws);
    return out;
}

} // namespace dynamet::plan
