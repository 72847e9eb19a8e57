// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/settle_forecast.h"

#include <algorithm>
#include <cmath>

namespace dynamet {
namespace {

constexpr std::size_t kEnough = 8;

/// Mean of a stretch, with its standard uncertainty from one reading to the next.
struct Mean {
    double value = 0, u = 0;
};
std::optional<Mean> meanOf(const Series& all, double fromS, double toS) {
    const Series s = between(all, fromS, toS);
    if (s.size() < kEnough)
        return std::nullopt;
    const auto n = static_cast<double>(s.size());
    double sum = 0, steps = 0;
    for (std::size_t i = 0; i < s.size(); ++i)
        sum += s.value[i];
    for (std::size_t i = 2; i < s.size(); ++i) // second differences: no slope in them
        steps += std::pow(s.value[i] - 2 * s.value[i - 1] + s.value[i - 2], 2) / 6;
    return Mean{sum / n, std::sqrt(steps / (n - 2) / n)};
}

} // namespace

std::optional<SettleForecast> forecastSettling(const Series& series, const SettledRule& rule) {
    if (series.size() < 2 * kEnough || findSettled(series, rule))
        return std::nullopt;
    const double endS = series.timeS.back();
    const Cycling cycling = findCycling(between(series, endS - 4 * rule.windowS, endS), rule.noise);
    double stretch = rule.windowS / 2;
    if (cycling.periodS > 0)
        stretch = cycling.periodS * std::max(1.0, std::ceil(stretch / cycling.periodS));
    const auto first = meanOf(series, endS - 3 * stretch, endS - 2 * stretch),
               middle = meanOf(series, endS - 2 * stretch, endS - stretch),
               last = meanOf(series, endS - stretch, endS);
    if (!first || !middle || !last)
        return std::nullopt;
    const double early = middle->value - first->value, late = last->value - middle->value;
    if (early * late <= 0)
        return std::nullopt;
    const double ratio = early / late;
    const double uEarly = std::hypot(first->u, middle->u), uLate = std::hypot(middle->u, last->u);
    const double uRatio = std::hypot(uEarly / early, uLate / late); // relative
    if (ratio <= 1 || std::log(ratio) < 2 * uRatio) // no slowing down that noise could not make
        return std::nullopt;
    const double tau = stretch / std::log(ratio);
    // The difference stands for the time a stretch ago; now it is slower.
    const double perS = std::abs(late) / stretch * std::exp(-stretch / tau);
    const double above = perS / rule.slopeLimitPerS;
    // The rule looks back over its window: the slope must have been below for so long.
    const double inS = std::max(0.0, tau * std::log(above)) + rule.windowS / 2;
    const double uTau = tau * uRatio / std::log(ratio);
    return SettleForecast{
        inS, std::hypot(uTau * std::log(std::max(above, 1.0)), tau * uLate / std::abs(late))};
}

} // namespace dynamet
