// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/steady_level.h"

#include "numeric/statistics.h"
#include "trace/finite.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>
#include <span>

namespace dynamet::rating {
namespace {

/// Walls and stones need this long at the slowest, where a log does not tell (from memory).
constexpr double kSlowestS = 7200;
constexpr double kSureOfHeading = 1.5;
/// Less than this over three stretches is no creep, but noise.
constexpr double kCreepSeenK = 0.6;
/// Above this a cook would rather log on, K (1 σ).
constexpr double kCreepWorthSaying = 2;
/// A thermostat switches every minute or more; seen less than four times a cycle, or not at all,
/// it may have been met in one state always. A usual swing of 20 K either way (common practice, no
/// source).
constexpr double kSlowLogS = 25, kReadingsPerCycle = 4, kSwingK = 20;

double medianStep(const Series& log) {
    std::vector<double> steps;
    for (std::size_t i = 1; i < log.size(); ++i)
        steps.push_back(log.timeS[i] - log.timeS[i - 1]);
    if (steps.empty())
        return 0;
    std::nth_element(steps.begin(), steps.begin() + static_cast<std::ptrdiff_t>(steps.size() / 2),
                     steps.end());
    return steps[steps.size() / 2];
}

tl::unexpected<Error> neverSettled(const Series& log, const SettledRule& rule) {
    constexpr double kHourS = 3600;
    return fail(Errc::refused, {"never_settled",
                                {Number{(log.timeS.back() - log.timeS.front()) / 60, 0, "min"},
                                 KelvinDelta(rule.slopeLimitPerS * kHourS)}});
}

struct Change {
    std::size_t at = 0; ///< the first batch of the new level
    double fromK = 0, toK = 0;
};

/// Two levels instead of one: far apart beside the scatter within each.
std::optional<Change> findChange(const std::vector<double>& batches) {
    constexpr double kLeastK = 3, kTimes = 4;
    std::optional<Change> out;
    double best = kTimes;
    for (std::size_t k = 2; k + 2 <= batches.size(); ++k) {
        const std::span all(batches);
        const auto before = all.first(k), after = all.subspan(k);
        const double apart = std::abs(mean(before) - mean(after));
        const double scatter =
            std::max(0.2, std::hypot(standardDeviation(before), standardDeviation(after)));
        if (apart < kLeastK || apart / scatter < best)
            continue;
        best = apart / scatter;
        out = Change{k, mean(before), mean(after)};
    }
    return out;
}

} // namespace

double creepUncertainty(const Series& log, double centreK, double stretchS) {
    const double end = log.timeS.back();
    std::array<double, 3> m{};
    for (int i = 0; i < 3; ++i) {
        const double from = end - (3 - i) * stretchS;
        const Series part = between(log, from, from + stretchS);
        if (part.empty() || from < log.timeS.front())
            return 0;
        m[static_cast<std::size_t>(i)] = mean(part.value);
    }
    const double early = m[1] - m[0], late = m[2] - m[1];
    // As long again as was watched, evenly: what any slow drift may still do.
    const double least = std::abs(m[2] - m[0]) * 1.5 / std::sqrt(12.0);
    if (std::abs(m[2] - m[0]) < kCreepSeenK)
        return least;
    const double slowest = std::exp(-stretchS / kSlowestS);
    const double ratio = early * late > 0 ? std::clamp(late / early, 0.0, slowest) : slowest;
    const double heading = m[2] + late * ratio / (1 - ratio);
    // Evenly spread between here and there it would be a √3rd; the speed itself is told roughly
    // only.
    return std::max(least, std::abs(heading - centreK) / kSureOfHeading);
}

Result<SteadyLevel> steadyLevel(const Series& log, const SettledRule& rule, Swings swings) {
    Series spare;
    const Series& all = finite(log, spare);
    const auto settled = findSettled(all, rule);
    if (!settled)
        return neverSettled(all, rule);
    SteadyLevel out;
    out.settled = *settled;
    // The stretch that shows that it has settled may still creep a little: leave it out where the
    // log goes on for long enough after it.
    out.fromS = steadyFrom(all, *settled, rule);
    out.part = between(all, out.fromS, 1e300);
    const double from = out.part.timeS.front(), span = out.part.timeS.back() - from;
    const double batchS = settled->cycling.periodS > 0 ? settled->cycling.periodS : span / 6;
    out.batches = stretchMeans(out.part, from, batchS);
    const std::size_t n = out.batches.size();
    out.centreK = n == 0 ? mean(out.part.value) : mean(out.batches);
    out.typeA = n > 1 ? standardDeviation(out.batches) / std::sqrt(static_cast<double>(n))
                      : standardDeviation(out.part.value);
    out.dof = std::max(1.0, static_cast<double>(n) - 1);
    const double cycle = settled->cycling.periodS;
    out.creepK = creepUncertainty(all, out.centreK,
                                  cycle > 0 ? cycle * std::ceil(rule.windowS / 2 / cycle)
                                            : rule.windowS / 2);
    if (const auto change = findChange(out.batches))
        out.warnings.push_back(
            {"level_changed",
             {Temperature::kelvin(change->fromK), Temperature::kelvin(change->toK),
              Seconds{from + static_cast<double>(change->at) * batchS - all.timeS.front()}}});
    if (out.creepK > kCreepWorthSaying)
        out.warnings.push_back({"creeping", {KelvinDelta(2 * out.creepK)}});
    const double step = medianStep(all);
    const bool seen = settled->cycling.periodS > kReadingsPerCycle * step;
    if (swings == Swings::yes && step > kSlowLogS && !seen) {
        out.missedK = kSwingK / std::sqrt(3.0);
        out.warnings.push_back({"slow_log", {Seconds{step}, KelvinDelta(kSwingK)}});
    }
    return out;
}

} // namespace dynamet::rating
