// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/roots.h"

#include <algorithm>
#include <boost/math/tools/toms748_solve.hpp>
#include <cmath>
#include <fmt/format.h>

namespace dynamet {

Result<double> solveBracketed(const std::function<double(double)>& f, double low, double high,
                              double tolerance, int maxEvaluations) {
    const double fLow = f(low), fHigh = f(high);
    if (fLow == 0)
        return low;
    if (fHigh == 0)
        return high;
    if (!(fLow * fHigh < 0))
        return fail(Errc::invalidArgument,
                    fmt::format("no change of sign between {} and {}", low, high));
    auto evaluations = static_cast<boost::uintmax_t>(maxEvaluations);
    const auto narrow = [tolerance](double a, double b) { return std::abs(b - a) <= tolerance; };
    const auto bracket =
        boost::math::tools::toms748_solve(f, low, high, fLow, fHigh, narrow, evaluations);
    if (!narrow(bracket.first, bracket.second))
        return fail(Errc::notConverged,
                    fmt::format("no root after {} evaluations", maxEvaluations));
    return (bracket.first + bracket.second) / 2;
}

double interpolate(std::span<const double> x, std::span<const double> y, double at) {
    if (!(at > x.front()))
        return y.front();
    if (at >= x.back())
        return y.back();
    const auto high =
        static_cast<std::size_t>(std::upper_bound(x.begin(), x.end(), at) - x.begin());
    const double part = (at - x[high - 1]) / (x[high] - x[high - 1]);
    return std::lerp(y[high - 1], y[high], part);
}

} // namespace dynamet
