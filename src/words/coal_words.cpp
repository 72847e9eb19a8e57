// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/coal_words.h"

#include "kitchen/heat_field.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/cautions.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

std::string layWords(const kitchen::CoalsLaid& laid) {
    if (laid.lid == 0)
        return fmt::format("{} under it, none on the lid", laid.under);
    return fmt::format("{} under it and {} on the lid", laid.under, laid.lid);
}

std::string percentWords(double factor) {
    const double percent = 100 * (1 / factor - 1);
    return fmt::format("{} % {} coals", printFixed(std::abs(percent), 0),
                       percent > 0 ? "more" : "fewer");
}

} // namespace

std::vector<std::string> coalLines(const kitchen::CoalPlan& plan, const kitchen::CoalWish& wish,
                                   Units units) {
    constexpr double kTold = 0.04; // of a factor
    std::vector<std::string> out;
    out.push_back(
        fmt::format("Lay {}: the inside comes to {}.", layWords(plan.first),
                    printTemperature(Temperature::kelvin(plan.insideK), units.temperature(),
                                     kitchen::kTwoSided95 * plan.u)));
    for (const kitchen::CoalsLaid& laid : plan.added)
        out.push_back(
            fmt::format("After {} add {}, already lit.", printDuration(laid.atS), layWords(laid)));
    if (plan.added.empty())
        out.push_back(fmt::format("They last for {}; nothing needs to be added.",
                                  printDuration(wish.lastsS)));
    out.push_back(fmt::format("Look after {}; turn the oven and its lid a quarter, opposite ways, "
                              "every {}; keep it level.",
                              printDuration(plan.lookS), printDuration(plan.turnEveryS)));
    const auto slower = correctedByEye(plan, 0.12);
    out.push_back(fmt::format("Too slow: add {}. Too fast: take as many away.", layWords(slower)));
    const bool air = std::abs(plan.airFactor - 1) > kTold,
               tests = plan.tests > 0 && std::abs(plan.testsFactor - 1) > kTold;
    std::string why = fmt::format("The common rule is {} + {}", plan.commonUnder, plan.commonLid);
    if (air)
        why += fmt::format("; height, wind and cold here ask for {}", percentWords(plan.airFactor));
    if (tests)
        why += fmt::format("; {} of this kitchen {} for {}",
                           plan.tests == 1 ? "a test" : fmt::format("{} tests", plan.tests),
                           plan.tests == 1 ? "asks" : "ask", percentWords(plan.testsFactor));
    else if (plan.tests == 0)
        why += "; a coal-count test of this oven would narrow it";
    out.push_back(why + ".");
    return out;
}

std::vector<std::string> coalCautions() {
    std::vector<std::string> out;
    for (const Caution& caution :
         cautionsFor({"coals", "iron_oven", "own_lid", "refuel", "stacked"}))
        out.push_back(caution.text);
    return out;
}

} // namespace dynamet::words
