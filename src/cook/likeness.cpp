// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/likeness.h"

#include "cook/stage_cooking.h"
#include "numeric/nearest_point.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

using food::Quality;

constexpr double kShortestS = 5;
constexpr double kNearTime = 0.004, kNearQuick = 0.01; ///< of the logarithm of the time
constexpr int kMostCooks = 16, kMostQuick = 9;
/// Noticed differences of the core per logarithm of the time: below it a core that is off by one is
/// a fifth of the time off, as on the plateau of a braise.
constexpr double kCoreTells = 5;
constexpr double kFarCoreK = 6; ///< a core so far off is another dish

/// As `food::crustDistance`, with its sign.
double darkerBy(double is, double wanted) {
    constexpr double kPale = 0.05;
    return std::log((is + kPale) / (wanted + kPale));
}

std::vector<double> noticedOf(const std::vector<Difference>& differences) {
    std::vector<double> out;
    for (const Difference& d : differences)
        out.push_back(d.noticed);
    return out;
}

std::vector<Say> saysOf(const std::vector<Difference>& differences,
                        const std::vector<double>& slopes) {
    std::vector<Say> out;
    double all = 0;
    for (std::size_t i = 0; i < differences.size(); ++i) {
        const double part = slopes[i] * slopes[i];
        all += part;
        const auto known = std::find_if(out.begin(), out.end(), [&](const Say& say) {
            return say.quality == differences[i].quality;
        });
        if (known != out.end())
            known->share += part;
        else
            out.push_back({differences[i].quality, part});
    }
    for (Say& say : out)
        say.share = all > 0 ? say.share / all : 0;
    std::stable_sort(out.begin(), out.end(),
                     [](const Say& a, const Say& b) { return a.share > b.share; });
    return out;
}

} // namespace

std::vector<Difference> differences(const Outcome& is, const Outcome& wanted,
                                    std::span<const food::Tolerance> judged) {
    std::vector<Difference> out;
    for (const auto& [quality, justNoticed] : judged) {
        const auto add = [&, q = quality, size = justNoticed](double off) {
            out.push_back({q, off / size});
        };
        switch (quality) {
        case Quality::core:
            add(is.peakK - wanted.peakK);
            break;
        case Quality::mean:
            add(is.meanAtPullK - wanted.meanAtPullK);
            break;
        case Quality::crust:
            add(darkerBy(is.darker(), wanted.darker()));
            add(darkerBy(is.paler(), wanted.paler()));
            break;
        case Quality::weight:
            add(is.weightLossShare - wanted.weightLossShare);
            break;
        case Quality::softness:
            add(is.softened - wanted.softened);
            break;
        case Quality::fat:
            add(is.rendered - wanted.rendered);
            break;
        }
    }
    return out;
}

double distanceOf(std::span<const Difference> differences) {
    double sum = 0;
    for (const Difference& d : differences)
        sum += d.noticed * d.noticed;
    return std::sqrt(sum);
}

bool Likeness::coreLeads() const {
    double share = 0, coreSlope = 0;
    for (const Say& say : says)
        if (say.quality == Quality::core || say.quality == Quality::mean)
            share += say.share;
    for (std::size_t i = 0; i < slopes.size(); ++i)
        if (differences[i].quality == Quality::core)
            coreSlope = slopes[i];
    return share >= 0.5 && coreSlope >= kCoreTells;
}

Result<LikeCook> cookLike(const recipe::FoodPiece& piece, const Programme& programme,
                          const LikeGoal& goal, double guessS, const Effort& effort,
                          const Tables& tables) {
    LikeCook out;
    std::vector<Difference> best;
    double bestDistance = std::numeric_limits<double>::infinity();
    const auto at = [&](double lnTime) -> Result<std::vector<double>> {
        auto outcome = cookLastFor(piece, programme, std::exp(lnTime), effort, tables);
        ++out.solves;
        if (!outcome)
            return tl::unexpected(outcome.error());
        const auto found = differences(*outcome, *goal.wanted, goal.judged);
        if (const double distance = distanceOf(found); distance < bestDistance) {
            bestDistance = distance;
            best = found;
            out.outcome = std::move(*outcome);
        }
        return noticedOf(found);
    };
    const double start = std::max(kShortestS, guessS > 0 ? guessS : firstGuessS(piece));
    const bool quick = effort.cells < kFull.cells;
    const auto nearest =
        nearestPoint(at, {std::log(start), std::log(kShortestS), std::log(programme.longestS),
                          quick ? kNearQuick : kNearTime, quick ? kMostQuick : kMostCooks,
                          goal.enough, goal.slopes});
    if (!nearest)
        return tl::unexpected(nearest.error());
    out.likeness = {bestDistance, best, nearest->slopes, saysOf(best, nearest->slopes)};
    if (std::abs(out.outcome.peakK - goal.wanted->peakK) > kFarCoreK)
        return fail(Errc::refused, {"unlike_inside",
                                    {Temperature::kelvin(out.outcome.peakK),
                                     Temperature::kelvin(goal.wanted->peakK)}});
    return out;
}

} // namespace dynamet::cook
