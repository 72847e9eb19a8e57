// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/schedule.h"

namespace dynamet::plan {

/// What no plan can cost less than: the dishes in small groups that share places, each planned as
/// if it had the kitchen to itself, and the cost of all groups added up. Of `plan`, dishes that
/// cost something go into a group with those that crowd them.
int lowerBound(const Problem& problem, const Plan& plan, const Effort& effort,
               std::stop_token stop);

/// Depth first until all is seen or `proofFailures`; `proved` says which.
Found solveAlone(const Problem& problem, const Effort& effort, std::stop_token stop);

/// Groups of at most four: the dish that costs most in the plan, with those that want its places.
std::vector<std::vector<std::size_t>> groupsOf(const Problem& problem, const Plan& plan);

} // namespace dynamet::plan
