// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/learned_words.h"

#include "evidence/blame.h"
#include "kitchen/ageing.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace dynamet::words {

std::string toldWords(const run::Told& told, Units units) {
    const long percent = std::lround(100 * (std::exp(told.observation.lnDifference) - 1));
    const std::string apart = percent == 0  ? "as expected"
                              : percent > 0 ? fmt::format("{} % longer", percent)
                                            : fmt::format("{} % shorter", -percent);
    return fmt::format("{} after {}; {} were expected ({}).",
                       printTemperature(Temperature::kelvin(told.coreK), units.temperature()),
                       printDuration(told.tookS), printDuration(told.expectedS), apart);
}

namespace {

/// The unknowns of a belief that several cooks can share, with how cooks read them.
std::map<std::string, evidence::Effects> sharedOf(const evidence::Belief& belief) {
    std::map<std::string, evidence::Effects> out;
    for (const evidence::Observation& one : belief.observations())
        for (const evidence::Effect& effect : one.effects) {
            const std::string& name = effect.unknown;
            if (name.starts_with("food:") || name.starts_with("field:"))
                out[name] = {effect};
        }
    return out;
}

std::string nameOf(const std::string& unknown) {
    if (unknown.starts_with("food:")) {
        const auto food = food::findFood(unknown.substr(5));
        return food ? food->name : unknown.substr(5);
    }
    const std::string rest = unknown.substr(unknown.find(':') + 1);
    return rest.substr(0, rest.rfind(':'));
}

} // namespace

std::vector<std::string> learnedLines(const evidence::Belief& belief) {
    constexpr double kWorthSaying = 0.01;
    std::vector<std::pair<double, std::string>> out;
    for (const auto& [unknown, effects] : sharedOf(belief)) {
        const double mean = belief.mean(effects);
        if (std::abs(mean) < kWorthSaying)
            continue;
        const double sd = std::sqrt(std::max(0.0, belief.variance(effects)));
        const bool food = unknown.starts_with("food:");
        out.emplace_back(-std::abs(mean),
                         fmt::format("{}{}: {:+.0f} % on the time (± {:.0f})", nameOf(unknown),
                                     food ? "" : ", " + effects.front().says,
                                     100 * (std::exp(mean) - 1), 196 * sd));
    }
    std::sort(out.begin(), out.end());
    std::vector<std::string> lines;
    for (const auto& [size, line] : out)
        if (lines.size() < 8)
            lines.push_back(line);
    return lines;
}

std::vector<std::string> changedLines(const evidence::Belief& belief, const std::string& cookId) {
    std::vector<evidence::Observation> others;
    bool there = false;
    for (const evidence::Observation& one : belief.observations()) {
        if (one.id == "cook:" + cookId)
            there = !one.setAside;
        else
            others.push_back(one);
    }
    if (!there)
        return {};
    const evidence::Belief without(belief.blocks(), others);
    constexpr double kWorthSaying = 0.005;
    std::vector<std::string> out;
    for (const auto& [unknown, effects] : sharedOf(belief)) {
        const double now = belief.mean(effects), before = without.mean(effects);
        if (std::abs(now - before) < kWorthSaying)
            continue;
        out.push_back(fmt::format("{}{} {:+.0f} % ({:+.0f} % without it)", nameOf(unknown),
                                  unknown.starts_with("food:") ? "" : ", " + effects.front().says,
                                  100 * (std::exp(now) - 1), 100 * (std::exp(before) - 1)));
    }
    return out;
}

namespace {

/// An appliance that was rated long ago is likelier to have moved.
double movedChance(const std::string& heat, const kitchen::Kitchen& kitchen, std::int64_t utcMs) {
    for (const kitchen::Appliance& one : kitchen.appliances)
        if (heat == one.name || heat.starts_with(one.name + ", "))
            return evidence::movedSince(
                kitchen::monthsSinceRated(kitchen, one.id, utcMs).value_or(0));
    return evidence::movedSince(0);
}

} // namespace

std::vector<std::string> blameLines(const evidence::Belief& belief, const kitchen::Kitchen& kitchen,
                                    std::int64_t utcMs) {
    std::map<std::string, evidence::Suspect> suspects;
    for (const evidence::Observation& one : belief.observations()) {
        if (one.setAside)
            continue;
        std::map<std::string, double> of; // an appliance's air tells what a jump of it does
        for (const evidence::Effect& effect : one.effects) {
            const std::string& name = effect.unknown;
            if (name.starts_with("field:") && effect.says.starts_with("air temperature")) {
                const std::string heat = nameOf(name), suspect = "appliance " + heat;
                of[suspect] = std::copysign(0.12, effect.lnTime);
                suspects[suspect].prior = movedChance(heat, kitchen, utcMs);
            }
            if (name.starts_with("food:"))
                of["food " + nameOf(name)] = 0.15;
        }
        for (const auto& [name, ln] : of) {
            evidence::Suspect& suspect = suspects[name];
            suspect.says = name;
            suspect.observations.push_back(one.id);
            suspect.lnTime.push_back(ln);
        }
    }
    std::vector<evidence::Suspect> all;
    for (auto& [name, suspect] : suspects)
        if (suspect.observations.size() >= 2)
            all.push_back(std::move(suspect));
    if (all.empty())
        return {};
    const auto odds = evidence::oddsOf(belief, all);
    constexpr double kLikely = 0.5;
    std::vector<std::string> out;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (odds[i] > kLikely)
            out.push_back(fmt::format(
                "{} is likely off by more than its ± ({} in 100): {}", all[i].says,
                std::lround(100 * odds[i]),
                all[i].says.starts_with("appliance")
                    ? "what else is cooked on it misses to the same side. Rate it again."
                    : "it misses to the same side wherever it is cooked."));
    return out;
}

} // namespace dynamet::words
