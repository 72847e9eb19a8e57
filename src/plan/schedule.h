// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/problem.h"

#include <functional>
#include <stop_token>

namespace dynamet::plan {

/// How much is searched: counts and not the clock, so that a seed gives the same plan everywhere.
struct Effort {
    unsigned seed = 1;
    unsigned long firstFailures = 3000; ///< until there is a first plan
    unsigned long betterFailures = 5000;
    unsigned long proofFailures = 600;   ///< of each of several tries
    unsigned long groupFailures = 1000;  ///< of each group of dishes
    unsigned long recreateRounds = 3000; ///< of taking some dishes out and putting them back
};

/// What a search came to.
struct Found {
    std::optional<Plan> plan;
    bool proved = false;  ///< none is better; without a plan: there is none
    bool stopped = false; ///< by its stop token
    int bound = 0;        ///< no plan costs less
    unsigned long failures = 0, nodes = 0;
};

/// The plan of least cost that is found: first any, latest beginnings first; then group after
/// group; then dishes are taken out and put back (`recreate`), and two to five of them placed anew,
/// which finds what that misses. `better` is told of each plan as it comes. Constraint solver:
/// Gecode.
Found solve(const Problem& problem, const Effort& effort = {}, std::stop_token stop = {},
            const std::function<void(const Plan&)>& better = {});

/// Is there any plan? The first one that is found, or the proof that there is none.
Found firstPlan(const Problem& problem, const Effort& effort = {}, std::stop_token stop = {});

} // namespace dynamet::plan
