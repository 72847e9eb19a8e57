// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <span>
#include <vector>

namespace dynamet::translate {

/// ln(time) over the inputs' deviations: a constant, each deviation and its square, and the spread
/// of what these leave over.
struct TimeSurface {
    std::vector<double> coefficients; ///< constant, linear, squares
    double leftOver = 0;              ///< standard deviation of ln(time)
    double at(std::span<const double> deviations) const;
};

/// Fitted to some cooks, `deviations` [cook × input] and times [s]. Nothing where a time is
/// infinite, or where more than `mostLeft` of the spread is left over.
std::optional<TimeSurface> timeSurface(std::span<const double> deviations,
                                       std::span<const double> times, double mostLeft = 0.3);

} // namespace dynamet::translate
