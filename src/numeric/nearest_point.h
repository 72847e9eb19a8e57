// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <functional>
#include <limits>
#include <vector>

namespace dynamet {

/// Where along a parameter a vector of residuals is shortest, and how each changes there.
struct NearestPoint {
    double at = 0;
    std::vector<double> residuals;
    std::vector<double> slopes; ///< per unit of the parameter
    double distance() const;
};

struct NearestSearch {
    double start = 0, low = 0, high = 0;
    double tolerance = 1e-3; ///< of the parameter
    int mostCalls = 16;
    /// Nothing nearer than this is of use: the search ends where the slopes promise no better.
    double enough = std::numeric_limits<double>::infinity();
    /// As known from a coarser search near `start`; empty = not known.
    std::vector<double> slopes = {};
};

/// Gauss–Newton in one dimension with slopes between neighbouring points, steps bounded, the best
/// point kept; where that goes to and fro (the nearest point is far), the parabola through the
/// best point and its neighbours. The first error of `residualsAt` ends it. The curve is taken as
/// smooth: of several minima it finds one near the start.
Result<NearestPoint>
nearestPoint(const std::function<Result<std::vector<double>>(double)>& residualsAt,
             const NearestSearch& search);

} // namespace dynamet
