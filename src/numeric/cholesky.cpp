// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/cholesky.h"

#include <Eigen/Cholesky>

namespace dynamet {

std::vector<double> choleskyFactor(const std::vector<double>& correlations, std::size_t n) {
    using Matrix = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;
    const auto size = static_cast<Eigen::Index>(n);
    const Matrix given = Eigen::Map<const Matrix>(correlations.data(), size, size);
    Eigen::LLT<Matrix> factor;
    for (double lift = 1e-12; lift < 1; lift *= 100) {
        factor.compute(given + lift * Matrix::Identity(size, size));
        if (factor.info() == Eigen::Success)
            break;
    }
    std::vector<double> out(n * n);
    Eigen::Map<Matrix>(out.data(), size, size) = Matrix(factor.matrixL());
    return out;
}

} // namespace dynamet
