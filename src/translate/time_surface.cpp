// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/time_surface.h"

#include "numeric/linear_fit.h"
#include "numeric/statistics.h"

#include <cmath>
#include <numeric>

namespace dynamet::translate {
namespace {

std::vector<double> termsOf(std::span<const double> z) {
    std::vector<double> out{1};
    out.insert(out.end(), z.begin(), z.end());
    for (double x : z)
        out.push_back(x * x);
    return out;
}

} // namespace

double TimeSurface::at(std::span<const double> deviations) const {
    const auto terms = termsOf(deviations);
    return std::inner_product(terms.begin(), terms.end(), coefficients.begin(), 0.0);
}

std::optional<TimeSurface> timeSurface(std::span<const double> deviations,
                                       std::span<const double> times, double mostLeft) {
    const std::size_t inputs = deviations.size() / times.size();
    const auto row = [&](std::size_t i) { return deviations.subspan(i * inputs, inputs); };
    std::vector<LinearRow> rows;
    std::vector<double> logs;
    for (std::size_t i = 0; i < times.size(); ++i) {
        logs.push_back(std::log(times[i]));
        if (!std::isfinite(logs.back()))
            return std::nullopt;
        rows.push_back({termsOf(row(i)), logs.back()});
    }
    const auto fit = solveLinear(rows);
    if (!fit || rows.size() <= fit->size())
        return std::nullopt;
    TimeSurface out{*fit};
    double left = 0;
    for (std::size_t i = 0; i < times.size(); ++i)
        left += std::pow(logs[i] - out.at(row(i)), 2);
    out.leftOver = std::sqrt(left / static_cast<double>(rows.size() - fit->size()));
    return out.leftOver <= mostLeft * standardDeviation(logs) ? std::optional(out) : std::nullopt;
}

} // namespace dynamet::translate
