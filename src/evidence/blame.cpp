// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "evidence/blame.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>

namespace dynamet::evidence {
namespace {

/// ln of the chance of what was seen under a covariance, up to a constant.
double lnLikelihood(const Eigen::MatrixXd& covariance, const Eigen::VectorXd& seen) {
    const Eigen::LDLT<Eigen::MatrixXd> factor(covariance);
    double lnDeterminant = 0;
    for (Eigen::Index i = 0; i < covariance.rows(); ++i)
        lnDeterminant += std::log(std::max(1e-300, factor.vectorD()(i)));
    return -0.5 * (seen.dot(factor.solve(seen)) + lnDeterminant);
}

double jumpLn(const Suspect& suspect, const std::string& id) {
    for (std::size_t k = 0; k < suspect.observations.size(); ++k)
        if (suspect.observations[k] == id)
            return suspect.lnTime[k];
    return 0;
}

} // namespace

std::vector<double> oddsOf(const Belief& belief, const std::vector<Suspect>& suspects) {
    std::vector<const Observation*> in;
    for (const Observation& one : belief.observations())
        if (!one.setAside)
            in.push_back(&one);
    const auto n = static_cast<Eigen::Index>(in.size());
    Eigen::MatrixXd plain(n, n);
    Eigen::VectorXd seen(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const Observation& a = *in[static_cast<std::size_t>(i)];
        for (Eigen::Index j = 0; j <= i; ++j)
            plain(i, j) = plain(j, i) =
                belief.priorCovariance(a.effects, in[static_cast<std::size_t>(j)]->effects);
        plain(i, i) += a.u * a.u + 1e-18;
        seen(i) = a.lnDifference;
    }
    std::vector<double> ln;
    double left = 1;
    for (const Suspect& suspect : suspects) {
        Eigen::VectorXd jump = Eigen::VectorXd::Zero(n);
        for (Eigen::Index i = 0; i < n; ++i)
            jump(i) = jumpLn(suspect, in[static_cast<std::size_t>(i)]->id);
        ln.push_back(std::log(suspect.prior) + lnLikelihood(plain + jump * jump.transpose(), seen));
        left -= suspect.prior;
    }
    ln.push_back(std::log(std::max(1e-9, left)) + lnLikelihood(plain, seen));
    const double most = *std::max_element(ln.begin(), ln.end());
    double sum = 0;
    for (double& one : ln)
        sum += one = std::exp(one - most);
    for (double& one : ln)
        one /= sum;
    return ln;
}

std::string jumpOf(const Suspect& suspect) {
    return "jump:" + suspect.says;
}

Belief withJump(const Belief& belief, const Suspect& suspect) {
    std::vector<Observation> all = belief.observations();
    for (Observation& one : all)
        if (const double ln = jumpLn(suspect, one.id); ln != 0)
            one.effects.push_back({jumpOf(suspect), ln, suspect.says});
    return {belief.blocks(), std::move(all)};
}

double movedSince(double months) {
    constexpr double kStays = 0.98;
    return 1 - std::pow(kStays, std::max(1.0, months));
}

} // namespace dynamet::evidence
