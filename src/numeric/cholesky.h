// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

namespace dynamet {

/// Lower-triangular L with L Lᵀ = a correlation matrix (row-major n × n); full correlations are
/// allowed: a matrix that is only semi-definite is lifted by 1e-12 on its diagonal, or by as much
/// more as it needs.
std::vector<double> choleskyFactor(const std::vector<double>& correlations, std::size_t n);

} // namespace dynamet
