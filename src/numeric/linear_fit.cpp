// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/linear_fit.h"

#include <Eigen/Dense>

namespace dynamet {

Result<std::vector<double>> solveLinear(std::span<const LinearRow> rows) {
    if (rows.empty() || rows.size() < rows.front().coefficients.size())
        return fail(Errc::refused, Finding{"fewer_equations"});
    const auto n = static_cast<Eigen::Index>(rows.size());
    const auto m = static_cast<Eigen::Index>(rows.front().coefficients.size());
    Eigen::MatrixXd a(n, m);
    Eigen::VectorXd b(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const LinearRow& row = rows[static_cast<std::size_t>(i)];
        for (Eigen::Index j = 0; j < m; ++j)
            a(i, j) = row.weight * row.coefficients[static_cast<std::size_t>(j)];
        b(i) = row.weight * row.right;
    }
    const Eigen::VectorXd size = a.colwise().norm();
    if ((size.array() <= 0).any() || !a.allFinite() || !b.allFinite())
        return fail(Errc::refused, Finding{"unknown_free"});
    const Eigen::MatrixXd scaled = a * size.cwiseInverse().asDiagonal();
    Eigen::ColPivHouseholderQR<Eigen::MatrixXd> qr(scaled);
    qr.setThreshold(1e-6);
    if (qr.rank() < m)
        return fail(Errc::refused, Finding{"not_told_apart"});
    const Eigen::VectorXd x = qr.solve(b).cwiseQuotient(size);
    return std::vector<double>(x.data(), x.data() + x.size());
}

} // namespace dynamet
