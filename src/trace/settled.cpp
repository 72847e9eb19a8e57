// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/settled.h"

#include "numeric/statistics.h"
#include "trace/finite.h"

#include <algorithm>
#include <cmath>

namespace dynamet {
namespace {

double meanBetween(const Series& s, double from, double to) {
    const auto low = std::lower_bound(s.timeS.begin(), s.timeS.end(), from) - s.timeS.begin();
    const auto high = std::upper_bound(s.timeS.begin(), s.timeS.end(), to) - s.timeS.begin();
    const std::span<const double> part(s.value.data() + low, static_cast<std::size_t>(high - low));
    return mean(part);
}

/// Slope of the running mean over `averageS` across [from, to]: means of the first and the last
/// average, over their distance. Whole cycles cancel out.
double slopeOfMean(const Series& s, double from, double to, double averageS) {
    const double width = std::min(averageS, (to - from) / 2);
    const double first = meanBetween(s, from, from + width);
    const double last = meanBetween(s, to - width, to);
    return (last - first) / (to - from - width);
}

} // namespace

Cycling findCycling(const Series& series, double noise) {
    Cycling out;
    if (series.size() < 8)
        return out;
    const Line trend = fitLine(series.timeS, series.value);
    std::vector<double> about(series.size());
    for (std::size_t i = 0; i < about.size(); ++i)
        about[i] = series.value[i] - trend.intercept - trend.slope * series.timeS[i];
    const auto [lowest, highest] = std::minmax_element(about.begin(), about.end());
    const double band = std::max(noise, 0.15 * (*highest - *lowest));
    if (*highest - *lowest < 2 * noise)
        return out;
    std::vector<double> crossings, maxima, minima;
    bool high = about.front() > 0;
    double extreme = about.front();
    for (std::size_t i = 1; i < about.size(); ++i) {
        extreme = high ? std::max(extreme, about[i]) : std::min(extreme, about[i]);
        if (high && about[i] < -band / 2) {
            maxima.push_back(extreme);
            high = false;
            extreme = about[i];
        } else if (!high && about[i] > band / 2) {
            minima.push_back(extreme);
            crossings.push_back(series.timeS[i]);
            high = true;
            extreme = about[i];
        }
    }
    if (crossings.size() < 2)
        return out;
    out.cycles = static_cast<int>(crossings.size()) - 1;
    out.periodS = (crossings.back() - crossings.front()) / out.cycles;
    // The first extreme of each kind belongs to a cycle that was cut off.
    if (maxima.size() > 1)
        maxima.erase(maxima.begin());
    if (minima.size() > 1)
        minima.erase(minima.begin());
    out.halfSwing = maxima.empty() || minima.empty() ? 0 : (mean(maxima) - mean(minima)) / 2;
    return out;
}

std::optional<Settled> findSettled(const Series& raw, const SettledRule& rule) {
    Series spare;
    const Series& series = finite(raw, spare);
    if (series.size() < 8)
        return std::nullopt;
    const double first = series.timeS.front(), last = series.timeS.back();
    const Cycling late = findCycling(between(series, (first + last) / 2, last), rule.noise);
    const double window = std::max(rule.windowS, 2 * late.periodS);
    const double average = late.periodS > 0 ? late.periodS : window / 4;
    const double step = std::max((last - first) / 2000, 5.0);
    for (double at = first + window; at <= last + 1e-9; at += step)
        if (std::abs(slopeOfMean(series, at - window, at, average)) < rule.slopeLimitPerS)
            return Settled{at, at - window,
                           findCycling(between(series, at - window, last), rule.noise)};
    return std::nullopt;
}

double steadyFrom(const Series& series, const Settled& settled, const SettledRule& rule) {
    const double enough = std::max(rule.windowS, 2 * settled.cycling.periodS);
    return series.timeS.back() - settled.atS >= enough ? settled.atS : settled.fromS;
}

std::vector<double> stretchMeans(const Series& series, double fromS, double batchS) {
    std::vector<double> out;
    for (double at = fromS; at + batchS <= series.timeS.back() + 1e-9; at += batchS) {
        const Series part = between(series, at, at + batchS);
        if (!part.empty())
            out.push_back(mean(part.value));
    }
    return out;
}

} // namespace dynamet
