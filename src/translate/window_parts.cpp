// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/window_parts.h"

#include "quantity/print.h"

#include <algorithm>

namespace dynamet::translate {
namespace {

bool freezes(const recipe::FoodPiece& piece) {
    return piece.startK < piece.food.freezingC + kZeroCelsiusK + 5;
}

/// What each cause has of the variance that is left.
std::vector<Cause> causesOf(const evidence::Effects& effects, const evidence::Belief& belief,
                            double variance) {
    std::vector<Cause> causes;
    for (const evidence::Effect& effect : effects) {
        const double part = belief.covariance({effect}, effects);
        const auto known = std::find_if(causes.begin(), causes.end(),
                                        [&](const Cause& c) { return c.name == effect.says; });
        if (known != causes.end())
            known->share += part;
        else
            causes.push_back({effect.says, part});
    }
    for (Cause& cause : causes)
        cause.share = variance > 0 ? std::max(0.0, cause.share / variance) : 0;
    std::sort(causes.begin(), causes.end(),
              [](const Cause& a, const Cause& b) { return a.share > b.share; });
    return causes;
}

/// What was seen has told something where it moves a time by more than this, or narrows it.
constexpr double kToldLn = 0.005;

} // namespace

std::pair<Deviated, cook::Tables> Timer::offBy(std::span<const double> deviations) const {
    Deviated s = deviated(*input->piece, *input->programme, inputs, deviations);
    cook::Tables tables = input->tables;
    if (s.composition)
        tables.material = std::make_shared<heat::Material>(s.piece.food, freezes(s.piece));
    return {std::move(s), std::move(tables)};
}

double Timer::at(std::span<const double> deviations, const cook::Effort& effort) const {
    const auto [s, tables] = offBy(deviations);
    ++*solves;
    const auto t = cook::timeToReach(s.piece, s.programme, input->pullK, effort, tables);
    return t.value_or(std::numeric_limits<double>::infinity());
}

Result<std::vector<cook::Difference>> Timer::differencesAt(std::span<const double> deviations,
                                                           double lastS,
                                                           const cook::Outcome& wanted) const {
    const auto [s, tables] = offBy(deviations);
    ++*solves;
    const auto outcome = cook::cookLastFor(s.piece, s.programme, lastS, cook::kQuick, tables);
    if (!outcome)
        return tl::unexpected(outcome.error());
    return cook::differences(*outcome, wanted, input->like->judged);
}

void byEffects(Window& window, double nominalS, evidence::Effects effects,
               const evidence::Belief& belief) {
    const double variance = belief.variance(effects), mean = belief.mean(effects),
                 before = belief.priorCovariance(effects, effects);
    window.lnSd = std::sqrt(std::max(0.0, variance));
    window.expectS = nominalS * std::exp(mean);
    window.earlyS = window.lookS =
        roundedDownTime(window.expectS * std::exp(-kTwoSided * window.lnSd));
    window.latestS = roundedUpTime(window.expectS * std::exp(kTwoSided * window.lnSd));
    window.causes = causesOf(effects, belief, variance);
    const double sd = std::sqrt(before);
    if (std::abs(mean) > kToldLn || sd - window.lnSd > kToldLn)
        window.without = {roundedDownTime(nominalS * std::exp(-kTwoSided * sd)), nominalS,
                          roundedUpTime(nominalS * std::exp(kTwoSided * sd))};
    window.effects = std::move(effects);
    window.belief = belief;
}

} // namespace dynamet::translate
