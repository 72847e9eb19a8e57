// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/series.h"

#include <optional>

namespace dynamet {

/// How a thermostat's switching shows in a log.
struct Cycling {
    double periodS = 0;   ///< mean distance of upward crossings of the mean; 0 = no cycling seen
    double halfSwing = 0; ///< half of (mean of maxima − mean of minima)
    int cycles = 0;       ///< whole cycles seen
};
/// Cycling of a series about its own straight line; a swing below `noise` does not count.
Cycling findCycling(const Series& series, double noise);

/// When a log has settled: over the last `windowS` and at least two whole cycles the slope of the
/// cycle mean stays under the limit (air 0.3 K/min, plates 1, coals 2).
struct SettledRule {
    double slopeLimitPerS = 0.3 / 60;
    double windowS = 600;
    double noise = 0.5;
};
struct Settled {
    double atS = 0;   ///< first time at which the rule is fulfilled, looking back
    double fromS = 0; ///< start of the stretch it rests on
    Cycling cycling;  ///< of everything from `fromS` on
};
std::optional<Settled> findSettled(const Series& series, const SettledRule& rule);
/// Where to begin averaging: the moment it had settled where the log goes on for a window or two
/// cycles after it, else the start of the stretch that showed it.
double steadyFrom(const Series& series, const Settled& settled, const SettledRule& rule);
/// Means over whole stretches of `batchS` from a time on; an incomplete last one is left out.
std::vector<double> stretchMeans(const Series& series, double fromS, double batchS);

} // namespace dynamet
