// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/least_squares.h"

#include <Eigen/Dense>
#include <algorithm>
#include <ceres/dynamic_numeric_diff_cost_function.h>
#include <ceres/problem.h>
#include <ceres/solver.h>
#include <cmath>
#include <fmt/format.h>

namespace dynamet {
namespace {

struct Functor {
    std::span<const FitParameter> parameters;
    std::size_t count;
    const Residuals* residuals;
    bool operator()(double const* const* blocks, double* out) const {
        const std::span<const double> p(blocks[0], parameters.size());
        if (!(*residuals)(p, std::span<double>(out, count)))
            return false;
        std::size_t at = count;
        for (std::size_t i = 0; i < parameters.size(); ++i)
            if (parameters[i].prior)
                out[at++] = (p[i] - parameters[i].prior->mean) / parameters[i].prior->sd;
        return true;
    }
};

Result<std::vector<double>> covarianceFrom(const Eigen::MatrixXd& jacobian,
                                           std::span<const FitParameter> parameters) {
    const auto n = static_cast<Eigen::Index>(parameters.size());
    // Columns are scaled so that the test for rank does not depend on the units.
    Eigen::VectorXd scale = jacobian.colwise().norm().transpose();
    for (Eigen::Index i = 0; i < n; ++i)
        if (!(scale[i] > 0))
            return fail(Errc::notConverged,
                        Finding{"says_nothing_about",
                                {Name{parameters[static_cast<std::size_t>(i)].name}}});
    const Eigen::MatrixXd scaled = jacobian * scale.cwiseInverse().asDiagonal();
    const Eigen::MatrixXd normal = scaled.transpose() * scaled;
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(normal);
    if (eigen.eigenvalues()[0] < 1e-12 * eigen.eigenvalues()[n - 1])
        return fail(Errc::notConverged, Finding{"not_fixed"});
    const Eigen::MatrixXd inverse =
        scale.cwiseInverse().asDiagonal() * normal.inverse() * scale.cwiseInverse().asDiagonal();
    std::vector<double> out(parameters.size() * parameters.size());
    for (Eigen::Index i = 0; i < n; ++i)
        for (Eigen::Index j = 0; j < n; ++j)
            out[static_cast<std::size_t>(i * n + j)] = inverse(i, j);
    return out;
}

Eigen::MatrixXd jacobianAt(const Functor& functor, std::vector<double> p, std::size_t rows) {
    Eigen::MatrixXd jacobian(rows, p.size());
    std::vector<double> up(rows), down(rows);
    for (std::size_t i = 0; i < p.size(); ++i) {
        const FitParameter& about = functor.parameters[i];
        const double step = 1e-5 * std::max(std::abs(p[i]), 1e-3 * (about.high - about.low));
        const double centre = p[i];
        const double* block = p.data();
        p[i] = centre + step;
        functor(&block, up.data());
        p[i] = centre - step;
        functor(&block, down.data());
        p[i] = centre;
        for (std::size_t r = 0; r < rows; ++r)
            jacobian(static_cast<Eigen::Index>(r), static_cast<Eigen::Index>(i)) =
                (up[r] - down[r]) / (2 * step);
    }
    return jacobian;
}

} // namespace

Result<Fit> fitLeastSquares(std::span<const FitParameter> parameters, std::size_t residualCount,
                            const Residuals& residuals) {
    std::size_t rows = residualCount;
    std::vector<double> p;
    for (const FitParameter& parameter : parameters) {
        rows += parameter.prior ? 1 : 0;
        p.push_back(std::clamp(parameter.start, parameter.low, parameter.high));
    }
    const Functor functor{parameters, residualCount, &residuals};
    auto* cost = new ceres::DynamicNumericDiffCostFunction<Functor, ceres::CENTRAL>(
        new Functor(functor)); // the problem takes ownership
    cost->AddParameterBlock(static_cast<int>(p.size()));
    cost->SetNumResiduals(static_cast<int>(rows));
    ceres::Problem problem;
    problem.AddResidualBlock(cost, nullptr, p.data());
    for (std::size_t i = 0; i < p.size(); ++i) {
        problem.SetParameterLowerBound(p.data(), static_cast<int>(i), parameters[i].low);
        problem.SetParameterUpperBound(p.data(), static_cast<int>(i), parameters[i].high);
    }
    ceres::Solver::Options options;
    options.linear_solver_type = ceres::DENSE_QR;
    options.logging_type = ceres::SILENT;
    options.max_num_iterations = 100;
    options.function_tolerance = 1e-10;
    options.parameter_tolerance = 1e-10;
    ceres::Solver::Summary summary;
    ceres::Solve(options, &problem, &summary);
    if (!summary.IsSolutionUsable() || summary.termination_type == ceres::NO_CONVERGENCE)
        return fail(Errc::notConverged, Finding{"fit_diverged", {Name{summary.message}}});
    Fit fit;
    fit.iterations = static_cast<int>(summary.iterations.size());
    std::vector<double> all(rows);
    const double* block = p.data();
    functor(&block, all.data());
    fit.residuals.assign(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(residualCount));
    for (double r : fit.residuals)
        fit.sumOfSquares += r * r;
    auto covariance = covarianceFrom(jacobianAt(functor, p, rows), parameters);
    if (!covariance)
        return tl::unexpected(covariance.error());
    fit.covariance = std::move(*covariance);
    fit.parameters = std::move(p);
    return fit;
}

} // namespace dynamet
