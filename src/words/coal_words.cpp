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

constexpr double kInch = 0.0254, kCentimetre = 0.01;

/// Nobody lays coals to the millimetre.
std::string aboutLength(double metres, bool inches) {
    return inches ? printFixed(metres / kInch, 0) + " in"
                  : printFixed(metres / kCentimetre, 0) + " cm";
}

int aboutCoals(int coals) {
    constexpr int kFives = 5, kFew = 20;
    return coals <= kFew ? coals : (coals + kFives / 2) / kFives * kFives;
}

std::string stackWords(const std::vector<int>& layers) {
    std::string out = fmt::format("Stacked, from the ground up: {} under the lowest", layers[0]);
    for (std::size_t i = 1; i + 1 < layers.size(); ++i)
        out += fmt::format(", {} on lid {}", layers[i], i);
    return out + fmt::format(" and {} on the top one. Those between heat the oven below and the "
                             "one above; what needs its lid lifted most goes on top.",
                             layers.back());
}

std::string heatWords(kitchen::CoalHeat is) {
    switch (is) {
    case kitchen::CoalHeat::sears:
        return "sears";
    case kitchen::CoalHeat::grills:
        return "grills";
    case kitchen::CoalHeat::slow:
        return "slow";
    case kitchen::CoalHeat::hardly:
        return "keeps warm";
    }
    return "grills";
}

std::string layoutWords(coals::Layout layout) {
    switch (layout) {
    case coals::Layout::even:
        return "spread one layer deep";
    case coals::Layout::banked:
        return "banked two layers deep on one side";
    case coals::Layout::half:
        return "one layer deep on one side, the other bare";
    }
    return "spread";
}

} // namespace

std::vector<double> grateHeights(bool inches) {
    if (!inches)
        return {0.05, 0.10, 0.15, 0.20, 0.30};
    std::vector<double> out;
    for (const double inch : {2, 4, 6, 8, 12})
        out.push_back(kInch * inch);
    return out;
}

std::string grateWords(const kitchen::AtGrate& at, bool inches) {
    return fmt::format("{}: {} ± {} kW/m², {}", aboutLength(at.heightM, inches),
                       printFixed(at.fluxW_m2 / 1000, 0),
                       printFixed(kitchen::kTwoSided95 * at.u / 1000, 0), heatWords(at.is));
}

std::vector<std::string> openCoalLines(const kitchen::OpenCoalsPlan& plan,
                                       const kitchen::OpenCoalsWish& wish, Units units) {
    constexpr double kWhole = 60; // s
    const auto minutes = [](double s) { return printDuration(std::round(s / kWhole) * kWhole); };
    std::vector<std::string> out;
    out.push_back(fmt::format("Light about {} coals, {}: a bed about {} across.",
                              aboutCoals(plan.coals), layoutWords(wish.layout),
                              aboutLength(plan.bedDiameterM, units.inches)));
    std::string at;
    for (const kitchen::AtGrate& grate : plan.heights)
        at += (at.empty() ? "" : "; ") + grateWords(grate, units.inches);
    out.push_back("Over them a grate gets from below at " + at + ".");
    out.push_back(fmt::format("{} over them gets half of what {} does.",
                              aboutLength(plan.halfHeatFromM, units.inches),
                              aboutLength(plan.heights[1].heightM, units.inches)));
    if (plan.toAdd > 0)
        out.push_back(fmt::format("Half of the heat is gone after {}: after {} add {}, already "
                                  "lit, and again as often.",
                                  minutes(plan.halfS), minutes(plan.firstAddS),
                                  aboutCoals(plan.toAdd)));
    else
        out.push_back(fmt::format("Half of the heat is gone after {}: it lasts for {}.",
                                  minutes(plan.halfS), printDuration(wish.lastsS)));
    out.push_back("A test at two heights over your own bed narrows all of it.");
    return out;
}

std::vector<std::string> openCoalCautions() {
    std::vector<std::string> out;
    for (const Caution& caution : cautionsFor({"coals", "refuel", "fat_over_flame"}))
        out.push_back(caution.text);
    return out;
}

std::vector<std::string> coalLines(const kitchen::CoalPlan& plan, const kitchen::CoalWish& wish,
                                   Units units) {
    constexpr double kTold = 0.04; // of a factor
    std::vector<std::string> out;
    out.push_back(
        fmt::format("Lay {}: the inside comes to {}.", layWords(plan.first),
                    printTemperature(Temperature::kelvin(plan.insideK), units.temperature(),
                                     kitchen::kTwoSided95 * plan.u)));
    if (!plan.layers.empty())
        out.push_back(stackWords(plan.layers));
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
