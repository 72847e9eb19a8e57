// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <span>
#include <vector>

namespace dynamet {

double mean(std::span<const double> values);
/// Standard deviation with n − 1; 0 for fewer than two values.
double standardDeviation(std::span<const double> values);
/// Value at a share 0…1 of the sorted values, linear between them; NaN when empty.
double quantile(std::vector<double> values, double share);

double normalCdf(double z);
double normalQuantile(double probability);
/// Half-width factor of a 95 % interval: Student's t with `dof` (≥ 1; infinite = 1.96).
double coverageFactor95(double dof);

/// One part of an uncertainty: standard uncertainty and its degrees of freedom (infinite for
/// Type B).
struct UncertaintyPart {
    double u = 0;
    double dof = 1e9;
};
/// Root sum of squares, and effective degrees of freedom by Welch–Satterthwaite (JCGM 100, G.4).
UncertaintyPart combine(std::span<const UncertaintyPart> parts);

/// Straight line y = a + b x by least squares; b = 0 when all x are equal.
struct Line {
    double intercept = 0;
    double slope = 0;
};
Line fitLine(std::span<const double> x, std::span<const double> y);

} // namespace dynamet
