// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <functional>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace dynamet {

/// What is known of a parameter beforehand: a normal distribution (a Type B input).
struct Prior {
    double mean = 0;
    double sd = 1;
};

/// A parameter of a fit: where to start, its bounds, and what is known of it.
struct FitParameter {
    std::string name;
    double start = 0;
    double low = 0;
    double high = 0;
    std::optional<Prior> prior = std::nullopt;
};

/// Fills `residuals`, each divided by its standard deviation; false = not computable there.
using Residuals =
    std::function<bool(std::span<const double> parameters, std::span<double> residuals)>;

/// The optimum. `covariance` is row-major n × n for unit residuals (scale it where the residuals'
/// size is estimated from the fit itself).
struct Fit {
    std::vector<double> parameters;
    std::vector<double> covariance;
    std::vector<double> residuals; ///< of the data only, at the optimum
    double sumOfSquares = 0;       ///< of `residuals`
    int iterations = 0;
    double cov(std::size_t i, std::size_t j) const { return covariance[i * parameters.size() + j]; }
};

/// Bounded nonlinear least squares (Ceres, trust region, central differences). Priors count as
/// further residuals. notConverged when the limit of iterations is hit or the normal matrix is
/// singular (the data do not fix all parameters).
Result<Fit> fitLeastSquares(std::span<const FitParameter> parameters, std::size_t residualCount,
                            const Residuals& residuals);

} // namespace dynamet
