// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "trace/settled.h"

#include <map>

namespace dynamet::rating {

/// Several probes of one logger spread over a space. SI.
struct CavityMap {
    std::map<std::string, Series> spots; ///< by place, K, one clock
    SettledRule rule;
    std::optional<double> setK;
    bool liquid = false;   ///< a bath: the number is the liquid's
    double uCommonK = 0.6; ///< of all probes alike (logger)
    double uEachK = 0.5;   ///< of each probe against the others
    std::optional<double> limitK;
};

/// Mean of all places, spread (hottest − coldest) and each place against the mean, K. Refused:
/// fewer than two probes, never settled, a probe at its limit.
Result<Reduction> reduceCavityMap(const CavityMap& test);

} // namespace dynamet::rating
