// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <functional>
#include <span>

namespace dynamet {

/// Root of f between low and high, which must differ in sign there (TOMS 748). Stops when the
/// bracket is narrower than `tolerance`; notConverged after `maxEvaluations`.
Result<double> solveBracketed(const std::function<double(double)>& f, double low, double high,
                              double tolerance, int maxEvaluations = 60);

/// Linear between points (x ascending), held outside. Both spans non-empty and equally long.
double interpolate(std::span<const double> x, std::span<const double> y, double at);

} // namespace dynamet
