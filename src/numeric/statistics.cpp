// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/statistics.h"

#include <algorithm>
#include <boost/math/distributions/normal.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <limits>
#include <numeric>

namespace dynamet {

double mean(std::span<const double> values) {
    return values.empty() ? std::numeric_limits<double>::quiet_NaN()
                          : std::accumulate(values.begin(), values.end(), 0.0) /
                                static_cast<double>(values.size());
}

double standardDeviation(std::span<const double> values) {
    if (values.size() < 2)
        return 0;
    const double centre = mean(values);
    double sum = 0;
    for (double v : values)
        sum += (v - centre) * (v - centre);
    return std::sqrt(sum / static_cast<double>(values.size() - 1));
}

double quantile(std::vector<double> values, double share) {
    if (values.empty())
        return std::numeric_limits<double>::quiet_NaN();
    std::sort(values.begin(), values.end());
    const double at = std::clamp(share, 0.0, 1.0) * static_cast<double>(values.size() - 1);
    const auto low = static_cast<std::size_t>(at);
    const std::size_t high = std::min(low + 1, values.size() - 1);
    const double part = at - static_cast<double>(low);
    if (part == 0 || values[low] == values[high])
        return values[low];
    return std::lerp(values[low], values[high], part);
}

double normalCdf(double z) {
    return 0.5 * std::erfc(-z / std::sqrt(2.0));
}

double normalQuantile(double probability) {
    return boost::math::quantile(boost::math::normal(), probability);
}

double coverageFactor95(double dof) {
    if (!(dof < 1e6))
        return 1.959963985;
    return boost::math::quantile(boost::math::students_t(std::max(dof, 1.0)), 0.975);
}

UncertaintyPart combine(std::span<const UncertaintyPart> parts) {
    double squares = 0, fourths = 0;
    for (const UncertaintyPart& part : parts) {
        squares += part.u * part.u;
        fourths += std::pow(part.u, 4) / part.dof;
    }
    if (squares == 0)
        return {};
    return {std::sqrt(squares), std::clamp(squares * squares / fourths, 1.0, 1e9)};
}

Line fitLine(std::span<const double> x, std::span<const double> y) {
    const double mx = mean(x), my = mean(y);
    double sxx = 0, sxy = 0;
    for (std::size_t i = 0; i < x.size(); ++i) {
        sxx += (x[i] - mx) * (x[i] - mx);
        sxy += (x[i] - mx) * (y[i] - my);
    }
    const double slope = sxx > 0 ? sxy / sxx : 0;
    return {my - slope * mx, slope};
}

} // namespace dynamet
