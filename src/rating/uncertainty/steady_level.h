// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "trace/settled.h"

namespace dynamet::rating {

/// Where a heated space came to rest: the mean over whole cycles of what was logged after it had
/// settled, and what that mean cannot know. K and s.
struct SteadyLevel {
    Settled settled;
    double fromS = 0;            ///< where averaging begins
    Series part;                 ///< what was averaged
    std::vector<double> batches; ///< its means over whole cycles (or even stretches)
    double centreK = 0;
    double typeA = 0, dof = 1;
    double creepK = 0;  ///< 1 σ of what it may still climb or fall
    double missedK = 0; ///< 1 σ of a thermostat's swing that too slow a log cannot see
    std::vector<Finding> warnings;
};

/// Is there a thermostat that switches, so that a slow log may always meet it in the same state?
enum class Swings { yes, no };

/// Refused: it never settled.
Result<SteadyLevel> steadyLevel(const Series& log, const SettledRule& rule, Swings swings);

/// 1 σ of the distance between a level and where the log is heading, K: an exponential approach
/// through the means of its last three stretches, its speed told by them where they can.
double creepUncertainty(const Series& log, double centreK, double stretchS);

} // namespace dynamet::rating
