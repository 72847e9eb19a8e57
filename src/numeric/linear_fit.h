// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <span>
#include <vector>

namespace dynamet {

/// One equation of an overdetermined linear system: Σ coefficients × unknowns = right, with its
/// weight.
struct LinearRow {
    std::vector<double> coefficients;
    double right = 0;
    double weight = 1;
};

/// Least squares of the rows (QR with column pivoting, columns scaled). refused when the rows do
/// not fix every unknown: their columns hang together within 1e-6.
Result<std::vector<double>> solveLinear(std::span<const LinearRow> rows);

} // namespace dynamet
