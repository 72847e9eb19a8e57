// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/window_draws.h"

#include "numeric/statistics.h"
#include "quantity/print.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

constexpr double kOneSided5 = 1.644853627;

/// d ln(time) per standard deviation of each input; infinite when one side never gets there.
/// Central, where the time answers by enough for its bend to matter.
std::vector<double> sensitivities(const Timer& timer, double quickS, std::stop_token stop) {
    std::vector<double> out, z(timer.inputs.size(), 0.0);
    for (std::size_t i = 0; i < z.size() && !stop.stop_requested(); ++i) {
        z[i] = 1;
        const double up = std::log(timer.at(z, kDraw));
        double slope = up - std::log(quickS);
        if (!(std::abs(slope) < kStraight)) {
            z[i] = -1;
            slope = (up - std::log(timer.at(z, kDraw))) / 2;
        }
        z[i] = 0;
        out.push_back(slope);
    }
    out.resize(z.size(), 0.0);
    return out;
}

void fromSamples(Window& window, const std::vector<double>& drawn) {
    std::vector<double> finite;
    for (double t : drawn)
        if (std::isfinite(t))
            finite.push_back(t);
    window.sampled = true;
    window.neverShare = 1 - static_cast<double>(finite.size()) /
                                static_cast<double>(std::max<std::size_t>(1, drawn.size()));
    // Never counts as later than everything; between two infinities quantile() stays infinite.
    const double late = quantile(drawn, 0.975);
    window.earlyS = window.lookS = roundedDownTime(quantile(drawn, 0.025));
    window.expectS = quantile(drawn, 0.5);
    if (window.neverShare <= 0.025 && std::isfinite(late))
        window.latestS = roundedUpTime(late);
    std::vector<double> logs;
    for (double t : finite)
        logs.push_back(std::log(t));
    window.lnSd = standardDeviation(logs);
}

/// Draws instead of sensitivities: what was seen bears on what is drawn.
void bySamples(Window& window, const Timer& timer, const std::vector<double>& g, double nominal,
               double quick, bool allReach, const evidence::Belief& belief,
               const std::stop_token& stop) {
    const WindowInput& input = *timer.input;
    const auto forms = deviationsOf(timer.inputs, input.spread, input.names);
    const auto rest = restOf(timer.inputs, g, input.spread, input.names, *input.piece, nominal);
    Draws draws(timer, jointOf(belief, forms, rest), nominal / quick);
    fromSamples(window, draws.draw(stop));
    if (!allReach)
        window.causes.clear();
    const bool told = window.without || (!allReach && !belief.observations().empty());
    window.without.reset();
    if (!told)
        return;
    const evidence::Belief before(belief.blocks(), {});
    if (const auto without = draws.drawWith(jointOf(before, forms, rest)))
        window.without = {roundedDownTime(quantile(*without, 0.025)), quantile(*without, 0.5),
                          roundedUpTime(quantile(*without, 0.975))};
}

} // namespace

Result<Window> windowOf(const WindowInput& input, long& solves, std::stop_token stop) {
    Timer timer{&input, inputsOf(*input.programme, input.spread, *input.piece), &solves};
    if (input.like)
        return likeWindow(timer, stop);
    const std::vector<double> none(timer.inputs.size(), 0.0);
    const double nominal = timer.at(none, input.effort);
    if (!std::isfinite(nominal))
        return fail(Errc::refused, Finding{"pull_not_reached"});
    // What takes eight times as long as expected counts as never: nobody would wait for it.
    cook::Programme bounded = *input.programme;
    bounded.longestS = std::min(bounded.longestS, 8 * nominal);
    WindowInput within = input;
    within.programme = &bounded;
    timer.input = &within;
    const double quick = timer.at(none, kDraw);
    const auto g = sensitivities(timer, quick, stop);
    const bool allReach =
        std::all_of(g.begin(), g.end(), [](double x) { return std::isfinite(x); });
    const evidence::Belief belief =
        (input.belief ? *input.belief : evidence::Belief())
            .withBlocks(blocksOf(timer.inputs, correlationsOf(timer.inputs, *input.programme)));
    Window window;
    if (allReach)
        byEffects(window, nominal,
                  effectsOf(timer.inputs, g, input.spread, input.names, *input.piece, nominal),
                  belief);
    if (input.samples > 0 && (!allReach || window.lnSd >= kSensitivityLimit))
        bySamples(window, timer, g, nominal, quick, allReach, belief, stop);
    if (!input.bandHighK)
        return window;
    const auto over =
        cook::cookTo(*input.piece, *input.programme, {*input.bandHighK, food::GoalMoment::peak},
                     cook::kQuick, input.tables);
    ++solves;
    if (over) {
        const double moved = window.expectS / nominal;
        window.overshootS =
            roundedDownTime(over->pullS * moved * std::exp(-kOneSided5 * window.lnSd));
        window.lookS = std::min(window.lookS, *window.overshootS);
    }
    return window;
}

} // namespace dynamet::translate
