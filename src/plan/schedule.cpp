// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/schedule.h"

#include "plan/bound.h"
#include "plan/model.h"
#include "plan/recreate.h"

#include <algorithm>
#include <memory>

namespace dynamet::plan {
namespace {

using namespace Gecode;

/// Counts and the user's wish, never the clock.
class Limits : public Search::Stop {
  public:
    Limits(unsigned long failures, std::stop_token stop) : failures_(failures), stop_(stop) {}
    bool stop(const Search::Statistics& seen, const Search::Options&) override {
        return stop_.stop_requested() || seen.fail > failures_ || seen.node > 20 * failures_;
    }

  private:
    unsigned long failures_;
    std::stop_token stop_;
};

void count(Found& out, const Search::Statistics& seen) {
    out.failures += seen.fail;
    out.nodes += seen.node;
}

/// Goes on from plan to plan, each better than the last. Whether it came to the end of all.
template <class Engine>
bool run(Engine& engine, Found& out, const std::function<void(const Plan&)>& better) {
    while (const std::unique_ptr<Model> next{engine.next()}) {
        const Plan plan = next->plan();
        if (out.plan && plan.cost >= out.plan->cost)
            continue;
        out.plan = plan;
        if (better)
            better(plan);
    }
    const bool whole = !engine.stopped();
    count(out, engine.statistics());
    return whole;
}

/// Depth first, better and better, until the end or the limit. Whether it came to the end.
bool searchAll(const Problem& problem, Look look, unsigned seed, unsigned long failures, Found& out,
               std::stop_token stop, const std::function<void(const Plan&)>& better,
               bool firstOnly) {
    const auto root = std::make_unique<Model>(problem, look, seed);
    if (out.plan)
        rel(*root, root->total < out.plan->cost);
    Limits limits(failures, stop);
    Search::Options options;
    options.stop = &limits;
    if (firstOnly) {
        DFS<Model> engine(root.get(), options);
        if (const std::unique_ptr<Model> one{engine.next()}) {
            out.plan = one->plan();
            if (better)
                better(*out.plan);
        }
        const bool whole = !engine.stopped();
        count(out, engine.statistics());
        return whole;
    }
    BAB<Model> engine(root.get(), options);
    return run(engine, out, better);
}

/// A few dishes are placed anew, again and again; a plan to begin from is needed.
void improve(const Problem& problem, Look look, unsigned seed, unsigned long failures, Found& out,
             std::stop_token stop, const std::function<void(const Plan&)>& better) {
    constexpr unsigned long kEach = 150;
    const auto root = std::make_unique<Model>(problem, look, seed);
    if (root->status() == SS_FAILED)
        return;
    const unsigned long until = out.failures + failures;
    for (unsigned round = 0; out.failures < until && round < failures && !stop.stop_requested();
         ++round) {
        auto* near = static_cast<Model*>(root->clone()); // the engine lets go of it
        rel(*near, near->total < out.plan->cost);
        near->keepMost(*out.plan, seed * 7919U + round);
        Limits limits(kEach, stop);
        Search::Options options;
        options.stop = &limits;
        options.clone = false;
        BAB<Model> engine(near, options);
        run(engine, out, better);
    }
}

/// Group after group, each as good as it gets beside those before it: what has little to do with
/// each other is not searched together.
void searchGroups(const Problem& problem, const Effort& effort, Look look, bool lastFirst,
                  Found& out, std::stop_token stop,
                  const std::function<void(const Plan&)>& better) {
    auto groups = groupsOf(problem, *out.plan);
    if (lastFirst)
        std::reverse(groups.begin(), groups.end());
    std::vector<std::size_t> order;
    Plan plan;
    for (const auto& group : groups) {
        order.insert(order.end(), group.begin(), group.end());
        const Problem part = partOf(problem, order);
        const auto root = std::make_unique<Model>(part, look, effort.seed);
        root->keepFirst(plan);
        Limits limits(effort.groupFailures, stop);
        Search::Options options;
        options.stop = &limits;
        BAB<Model> engine(root.get(), options);
        Found found;
        run(engine, found, {});
        out.failures += found.failures;
        out.nodes += found.nodes;
        if (!found.plan || stop.stop_requested())
            return;
        plan = std::move(*found.plan);
    }
    Plan whole = *out.plan;
    for (std::size_t i = 0; i < order.size(); ++i)
        whole.dishes[order[i]] = plan.dishes[i];
    whole.cost = costOf(problem, whole);
    if (whole.cost >= out.plan->cost)
        return;
    out.plan = whole;
    if (better)
        better(whole);
}

/// A first plan: latest beginnings first, then by what comes before what, then both again with
/// other draws. Without one, `proved` says whether all was seen.
bool searchFirst(const Problem& problem, const Effort& effort, Found& out, std::stop_token stop,
                 const std::function<void(const Plan&)>& better) {
    constexpr unsigned long kEach = 250;
    const unsigned long first = effort.firstFailures / 8;
    const auto rounds = static_cast<unsigned>(2 + effort.firstFailures / kEach);
    for (unsigned round = 0; round < rounds && !stop.stop_requested(); ++round) {
        const Look look = round % 2 == 0 ? Look::backward : Look::orders;
        const unsigned seed = effort.seed + (round < 2 ? 0 : round - 1);
        const bool whole =
            searchAll(problem, look, seed, round < 2 ? first : kEach, out, stop, better, true);
        if (out.plan)
            return true;
        out.proved = whole && !stop.stop_requested();
        if (out.proved)
            return false;
    }
    return false;
}

} // namespace

Found firstPlan(const Problem& problem, const Effort& effort, std::stop_token stop) {
    Found out;
    searchFirst(problem, effort, out, stop, {});
    out.stopped = stop.stop_requested();
    return out;
}

Found solve(const Problem& problem, const Effort& effort, std::stop_token stop,
            const std::function<void(const Plan&)>& better) {
    Found out;
    if (problem.dishes.empty())
        return out;
    if (searchFirst(problem, effort, out, stop, better)) {
        constexpr std::size_t kFew = 5; // so few can mostly be seen through
        const unsigned long proof = effort.proofFailures * (problem.dishes.size() <= kFew ? 4 : 1);
        for (const Look look : {Look::backward, Look::waits})
            out.proved = out.proved ||
                         (searchAll(problem, look, effort.seed, proof, out, stop, better, false) &&
                          !stop.stop_requested());
        if (!out.proved && problem.dishes.size() > kFew)
            for (const bool lastFirst : {false, true})
                searchGroups(problem, effort, Look::backward, lastFirst, out, stop, better);
        if (!out.proved && problem.dishes.size() > 1)
            recreate(problem, effort, out, stop, better);
        if (!out.proved && problem.dishes.size() > 1) {
            improve(problem, Look::backward, effort.seed, effort.betterFailures / 2, out, stop,
                    better);
            improve(problem, Look::orders, effort.seed + 1, effort.betterFailures / 2, out, stop,
                    better);
        }
        out.bound = out.proved
                        ? out.plan->cost
                        : std::min(out.plan->cost, lowerBound(problem, *out.plan, effort, stop));
        out.proved = out.proved || out.bound == out.plan->cost;
    }
    out.stopped = stop.stop_requested();
    return out;
}

Found solveAlone(const Problem& problem, const Effort& effort, std::stop_token stop) {
    Found out;
    const bool whole =
        searchAll(problem, Look::waits, effort.seed, effort.proofFailures, out, stop, {}, false);
    out.proved = whole && !stop.stop_requested();
    out.stopped = stop.stop_requested();
    return out;
}

} // namespace dynamet::plan
