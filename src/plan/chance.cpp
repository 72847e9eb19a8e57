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

/// Two uses that cannot be at once, the first before the second in the plan.
struct Follows {
    std::size_t first = 0, second = 0;
    int apart = 0;
};

std::vector<Follows> followersIn(const MenuProblem& menu, const Plan& plan) {
    std::vector<Follows> out;
    for (std::size_t a = 0; a < plan.dishes.size(); ++a)
        for (std::size_t b = 0; b < plan.dishes.size(); ++b) {
            const Way &one = wayOf(menu, plan, a).way, &other = wayOf(menu, plan, b).way;
            for (const Holding& pan : one.holdings)
                for (const Holding& next : other.holdings)
                    if (a != b && pan.vessel == next.vessel && !pan.untilServed &&
                        menu.problem.vessels[static_cast<std::size_t>(pan.vessel)] == 1 &&
                        spanOf(pan, plan.dishes[a]).to <= spanOf(next, plan.dishes[b]).from)
                        out.push_back({a, b, 0});
            for (const Use& use : one.uses)
                for (const Use& next : other.uses) {
                    if (a == b || use.waits || next.waits || use.resource != next.resource)
                        continue;
                    const Resource& on =
                        menu.problem.resources[static_cast<std::size_t>(use.resource)];
                    const bool alike = use.setting == next.setting;
                    if (alike && (use.zone != next.zone || use.demand + next.demand <= on.room))
                        continue;
                    if (spanOf(use, plan.dishes[a]).to <= spanOf(next, plan.dishes[b]).from)
                        out.push_back({a, b, on.changeBetween(use.setting, next.setting)});
                }
        }
    return out;
}

} // namespace

Chance chanceOf(const MenuProblem& menu, const Plan& plan, unsigned seed, int draws) {
    const std::size_t n = plan.dishes.size();
    const Eigen::MatrixXd factor = factorOf(menu, plan);
    const auto follows = followersIn(menu, plan);
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
        std::vector<double> delay(n), ready(n);
        bool every = true;
        for (const std::size_t d : order) {
            const DishWay& way = wayOf(menu, plan, d);
            const Placed& placed = plan.dishes[d];
            for (const Follows& one : follows)
                if (one.second == d)
                    delay[d] = std::max(delay[d], ready[one.first] -
                                                      (plan.dishes[one.first].start +
                                                       wayOf(menu, plan, one.first).way.readyAt));
            // What ends before its last stage is to begin waits for that.
            const double longer = std::exp(ln[static_cast<Eigen::Index>(d)]);
            const Span first{way.foodInAt, way.straight.back().from};
            const double begun = placed.start + delay[d];
            const double lastAt =
                std::max<double>(placed.start + way.stageSpans.back().from,
                                 begun + first.from + longer * (first.to - first.from));
            const double lasts = way.straight.back().to - way.straight.back().from;
            ready[d] = (way.straight.size() > 1 ? lastAt : begun + first.to) + lasts * longer;
            const bool never = random.uniform() < way.neverShare;
            const bool onTime =
                !never && ready[d] + way.way.shortestRest <=
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
