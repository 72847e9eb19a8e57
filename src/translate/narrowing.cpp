// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/narrowing.h"

#include "quantity/parse_duration.h"
#include "translate/effects.h"
#include "translate/translate.h"
#include "translate/window_parts.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace dynamet::translate {
namespace {

using kitchen::Term;

/// How long each takes, s; common practice, no source.
constexpr double kRulerS = 30, kCalipersS = 60, kProbeS = 60, kLogS = 180, kRatingS = 2700;
/// A cook's time is read off its log to a hundredth.
constexpr double kLoggedLn = 0.01;
/// What is not a twentieth narrower is not worth saying.
constexpr double kWorthSaying = 0.05;

/// What a test usually leaves open of a number: K, or the logarithm. The contact of food is told by
/// none (definitions §3).
std::optional<double> usualU(const kitchen::FieldNumber& n) {
    switch (n.key.term) {
    case Term::air:
    case Term::plate:
    case Term::plateSet:
        return 3;
    case Term::radiant:
    case Term::radiant2:
        return 6;
    case Term::liquid:
        return 0.3;
    case Term::hAir:
        return 0.08;
    case Term::view:
    case Term::view2:
        return 0.08;
    case Term::plateFlux:
    case Term::power:
        return 0.03;
    case Term::plateLoss:
    case Term::plateHeatCapacity:
    case Term::hLiquid:
        return 0.10;
    default:
        return std::nullopt;
    }
}

/// Effects with some unknowns known better: each times its factor.
evidence::Effects scaled(evidence::Effects effects, const std::map<std::string, double>& by) {
    for (evidence::Effect& effect : effects)
        if (const auto at = by.find(effect.unknown); at != by.end())
            effect.lnTime *= at->second;
    return effects;
}

double varianceWith(const Window& window, const std::map<std::string, double>& by) {
    std::vector<evidence::Observation> all = window.belief.observations();
    for (evidence::Observation& one : all)
        one.effects = scaled(std::move(one.effects), by);
    const evidence::Belief belief(window.belief.blocks(), std::move(all));
    return belief.variance(scaled(window.effects, by));
}

/// One more cook here, of another piece known as well as this one.
double varianceAfterCook(const Window& window) {
    evidence::Observation logged{"a cook here", "", window.effects, 0, kLoggedLn};
    for (evidence::Effect& effect : logged.effects)
        if (effect.unknown.ends_with(":this"))
            effect.unknown += " before";
    logged.lnDifference = window.belief.mean(window.effects);
    return window.belief.with({}, {logged}).variance(window.effects);
}

struct Rating {
    std::map<std::string, double> by;
    bool any = false;
};

Rating ratingOf(const cook::Programme& programme) {
    Rating out;
    const cook::Stage& stage = programme.stages.back();
    for (const kitchen::FieldNumber& n : stage.field.numbers) {
        const auto usual = usualU(n);
        if (!usual || n.provenance == kitchen::Provenance::measured || !(n.u > 0) || n.value == 0)
            continue;
        const double sd = isTemperature(n.key.term) ? n.u : n.u / n.value;
        if (*usual >= sd)
            continue;
        Input input;
        input.key = n.key;
        input.heatId = stage.heatId;
        out.by[fieldUnknown(input)] = *usual / sd;
        out.any = true;
    }
    return out;
}

} // namespace

const char* enumName(Narrowing::Way way) {
    constexpr const char* kWords[]{"ruler", "calipers", "probe_start", "rate", "log_cook"};
    return kWords[static_cast<std::size_t>(way)];
}

std::string usualProtocol(kitchen::ApplianceKind kind) {
    using enum kitchen::ApplianceKind;
    switch (kind) {
    case griddle:
        return "surface-map";
    case waterBath:
        return "preheat";
    case deepFryer:
        return "oil-heat-up";
    case gasGrill:
    case charcoalKettle:
    case coveredCeramicGrill:
    case pelletGrill:
        return "zone-sweep";
    case coalChimney:
    case woodOven:
        return "one-face-block";
    case ironOven:
        return "coal-count";
    default:
        return isHob(kind) ? "water-heat-up" : "block-pair";
    }
}

std::vector<Narrowing> narrowingsOf(const Prepared& prepared, const Row& row) {
    std::vector<Narrowing> out;
    if (!row.window || row.window->effects.empty() || !row.window->latestS)
        return out;
    const Window& window = *row.window;
    const auto programme = programmeOf(prepared.request, row);
    if (!programme)
        return out;
    const recipe::FoodPiece& piece = prepared.request.recipe.piece;
    const FoodSpread now = spreadOf(prepared.request.priors, piece);
    const CookNames names = namesOf(prepared.request, *programme, "this");
    const double before = window.belief.variance(window.effects);
    const auto widthS = [&](double variance) {
        const double s = std::sqrt(std::max(0.0, variance));
        return window.expectS * (std::exp(kTwoSided * s) - std::exp(-kTwoSided * s));
    };
    const auto add = [&](Narrowing one, double variance) {
        const double s = std::sqrt(std::max(0.0, variance));
        one.narrowerS = widthS(before) - widthS(variance);
        one.lookS = roundedDownTime(window.expectS * std::exp(-kTwoSided * s));
        one.latestS = roundedUpTime(window.expectS * std::exp(kTwoSided * s));
        if (one.narrowerS > kWorthSaying * widthS(before))
            out.push_back(one);
    };
    const auto known = [&](Narrowing::Way way, const recipe::FoodPiece& better, double workS) {
        const FoodSpread then = spreadOf(prepared.request.priors, better);
        Narrowing one;
        one.way = way;
        one.workS = workS;
        add(one,
            varianceWith(window, {{thicknessUnknown(names), then.thicknessLn / now.thicknessLn},
                                  {startUnknown(names), then.startK / now.startK}}));
    };
    recipe::FoodPiece better = piece;
    if (piece.thicknessBy == recipe::KnownBy::eye) {
        better.thicknessBy = recipe::KnownBy::ruler;
        known(Narrowing::Way::ruler, better, kRulerS);
    }
    better = piece;
    better.thicknessBy = recipe::KnownBy::calipers;
    known(Narrowing::Way::calipers, better, kCalipersS);
    better = piece;
    better.startProbed = true;
    known(Narrowing::Way::probeStart, better, kProbeS);
    if (const Rating rating = ratingOf(*programme); rating.any) {
        Narrowing one;
        one.way = Narrowing::Way::rate;
        one.applianceId = row.target.applianceId;
        one.setting = row.instruction.setting;
        one.zone = row.target.zone;
        if (const auto* on = findAppliance(prepared.request.kitchen, one.applianceId))
            one.protocol = usualProtocol(on->kind);
        one.workS = kRatingS;
        add(one, varianceWith(window, rating.by));
    }
    Narrowing logged;
    logged.way = Narrowing::Way::logCook;
    logged.workS = kLogS;
    add(logged, varianceAfterCook(window));
    std::stable_sort(out.begin(), out.end(), [](const Narrowing& a, const Narrowing& b) {
        return a.perWork() > b.perWork();
    });
    return out;
}

} // namespace dynamet::translate
