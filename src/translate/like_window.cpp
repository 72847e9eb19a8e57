// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/window_parts.h"

#include <algorithm>
#include <numeric>

namespace dynamet::translate {
namespace {

/// Is a shifted input of the recipe's own cook this one of the target's?
bool sameUnknown(const Input& a, const Input& b) {
    return a.what == b.what &&
           (a.what != Input::What::fieldNumber || fieldUnknown(a) == fieldUnknown(b));
}

/// What is private to either of two cooks of the same piece: the cook, and the ways of heating
/// where they differ.
evidence::Effects likeRest(const WindowInput& input) {
    const evidence::Priors& p = input.spread.priors;
    const CookNames& names = input.names;
    evidence::Effects out{{"cook:" + names.cook, p.cookLn, "one cook and another"}};
    if (!input.reference || input.reference->way != names.way) {
        const char* model = "the model itself";
        out.push_back({"model:" + names.way, p.wayLn, model});
        out.push_back({"way:" + names.food + ":" + names.way, p.foodWayLn, model});
        if (input.reference) {
            out.push_back({"model:" + input.reference->way, -p.wayLn, model});
            out.push_back({"way:" + names.food + ":" + input.reference->way, -p.foodWayLn, model});
        }
    }
    return out;
}

} // namespace

/// Where time and looks lead: the time moves by −J·Δr/J² when an input moves the differences by Δr
/// and the time by J, so that one cook on either side tells; t·exp(±1.96 s) whatever s. The goal is
/// what the recipe's time gives *there* with the same piece, so that what both share cancels.
Result<Window> likeWindow(const Timer& timer, std::stop_token stop) {
    const WindowInput& input = *timer.input;
    const auto nominal = cook::cookLike(*input.piece, *input.programme, *input.like, input.guessS,
                                        cook::kQuick, input.tables);
    if (!nominal)
        return tl::unexpected(nominal.error());
    *timer.solves += nominal->solves;
    const std::vector<double>& slopes = nominal->likeness.slopes;
    const double steep = std::inner_product(slopes.begin(), slopes.end(), slopes.begin(), 0.0);
    if (!(steep > 0))
        return fail(Errc::refused, Finding{"time_says_nothing"});
    const double lastS = nominal->outcome.pullS - nominal->outcome.lastStartS;
    const std::vector<ShiftedReference> none;
    const auto& shifted = input.reference ? input.reference->byInput : none;
    const auto along = [&](const std::vector<cook::Difference>& off) {
        double out = 0;
        for (std::size_t k = 0; k < slopes.size(); ++k)
            out += slopes[k] * off[k].noticed;
        return out;
    };
    const double atRest = along(nominal->likeness.differences);
    std::vector<Input> inputs = timer.inputs;
    std::vector<double> g, z(timer.inputs.size(), 0.0);
    for (std::size_t i = 0; i < z.size() && !stop.stop_requested(); ++i) {
        const auto there = std::find_if(shifted.begin(), shifted.end(), [&](const auto& s) {
            return sameUnknown(s.input, timer.inputs[i]);
        });
        const auto movedBy = [&](double side) -> Result<double> {
            z[i] = side;
            const cook::Outcome* wanted = there == shifted.end() ? input.like->wanted
                                          : side > 0             ? &there->up
                                                                 : &there->down;
            return timer.differencesAt(z, lastS, *wanted).map(along);
        };
        const auto up = movedBy(1);
        if (!up)
            return tl::unexpected(up.error());
        double moved = *up - atRest;
        if (std::abs(moved / steep) >= kStraight) {
            const auto down = movedBy(-1);
            if (!down)
                return tl::unexpected(down.error());
            moved = (*up - *down) / 2;
        }
        z[i] = 0;
        g.push_back(-moved / steep);
    }
    g.resize(z.size(), 0.0);
    for (const ShiftedReference& there : shifted) {
        if (std::any_of(timer.inputs.begin(), timer.inputs.end(),
                        [&](const Input& i) { return sameUnknown(i, there.input); }))
            continue;
        const auto goal = [&](const cook::Outcome& wanted) {
            return along(cook::differences(nominal->outcome, wanted, input.like->judged));
        };
        inputs.push_back(there.input);
        g.push_back(-(goal(there.up) - goal(there.down)) / 2 / steep);
    }
    evidence::Effects effects = likeRest(input);
    const auto forms = deviationsOf(inputs, input.spread, input.names);
    for (std::size_t i = 0; i < inputs.size(); ++i)
        for (evidence::Effect one : forms[i]) {
            one.lnTime *= g[i];
            effects.push_back(std::move(one));
        }
    auto blocks = blocksOf(timer.inputs, correlationsOf(timer.inputs, *input.programme));
    if (input.reference)
        blocks.insert(blocks.end(), input.reference->blocks.begin(), input.reference->blocks.end());
    const evidence::Belief belief =
        (input.belief ? *input.belief : evidence::Belief()).withBlocks(blocks);
    Window window;
    byEffects(window, input.guessS + nominal->outcome.lastStartS, std::move(effects), belief);
    return window;
}

} // namespace dynamet::translate
