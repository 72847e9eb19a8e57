// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/own_time.h"

#include "numeric/roots.h"
#include "translate/cook_row.h"
#include "translate/linear_again.h"
#include "translate/translate.h"
#include "translate/window_parts.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

constexpr const char* kAuthor = "author";

/// The programme up to where a core is watched, and that core.
struct Watched {
    cook::Programme programme;
    double pullK = 0;
};

std::optional<Watched> watchedOf(const Prepared& prepared) {
    const auto at = watchedStage(prepared.programme);
    if (!at)
        return std::nullopt;
    const auto& stages = prepared.outcome.stages;
    return Watched{upTo(cook::withFixedTurn(prepared.programme, prepared.outcome), *at),
                   *at < stages.size() ? stages[*at].leaveK : prepared.outcome.pullK};
}

/// What is private to the author's own cook stands in a range that its author gives.
void dropPrivate(evidence::Effects& effects) {
    std::erase_if(effects, [](const evidence::Effect& e) {
        return e.unknown.ends_with(std::string(":") + kAuthor);
    });
}

evidence::Observation observed(const recipe::WrittenTime& time, const Window& forecast,
                               double lastS, const std::string& recipeId) {
    evidence::Observation out;
    out.id = "time:" + recipeId;
    out.effects = forecast.effects;
    out.setAside = time.setAside;
    const double written = std::sqrt(time.lowS * time.highS);
    // Effects are on the whole time; what is written is the last stage's.
    const double share = lastS / forecast.expectS;
    out.lnDifference = share * std::log(written / lastS);
    if (time.highS > time.lowS) {
        out.u = share * std::log(time.highS / time.lowS) / (2 * kTwoSided);
        dropPrivate(out.effects);
    } else {
        out.u = share * std::hypot(evidence::kSingleFigureLn, roundingSd(written) / written);
    }
    return out;
}

/// Where a function of one input meets the written time; none where it does not between the ends.
std::optional<double> meets(const std::function<double(double)>& lnOff, double low, double high) {
    if (!(lnOff(low) * lnOff(high) < 0))
        return std::nullopt;
    const auto root = solveBracketed(lnOff, low, high, (high - low) / 400, 16);
    return root ? std::optional(*root) : std::nullopt;
}

std::vector<Explanation> explanationsOf(const Prepared& prepared, double totalS) {
    const recipe::FoodPiece& piece = prepared.request.recipe.piece;
    cook::Programme programme = prepared.programme;
    programme.longestS = std::min(programme.longestS, 4 * totalS);
    const auto lnOff = [&](const recipe::FoodPiece& p, const cook::Programme& heat) {
        const auto out =
            cook::cookProgramme(p, heat, targetOf(prepared.request), cook::kQuick, prepared.tables);
        return std::log(out ? out->pullS / totalS : 4.0);
    };
    std::vector<Explanation> out;
    const auto add = [&](Explanation::What what, std::optional<double> value) {
        if (value)
            out.push_back({what, *value});
    };
    add(Explanation::What::thickness, meets(
                                          [&](double m) {
                                              recipe::FoodPiece p = piece;
                                              p.thicknessM = m;
                                              return lnOff(p, programme);
                                          },
                                          0.35 * piece.thicknessM, 3 * piece.thicknessM));
    const kitchen::Site site = programme.last().site;
    const double nominalK =
        kitchen::representative(programme.last().field, site.ambient.kelvin()).kelvin;
    const auto by = [&](double offK) {
        cook::Programme p = programme;
        for (kitchen::FieldNumber n : programme.last().field.numbers)
            if (isTemperature(n.key.term) && n.key.term != kitchen::Term::plateAmbient) {
                n.value += offK;
                put(p.stages.back().field, n);
            }
        return p;
    };
    if (const auto off =
            meets([&](double k) { return lnOff(piece, by(k)); }, -0.6 * (nominalK - 273.15), 150))
        add(Explanation::What::heat,
            kitchen::representative(by(*off).last().field, site.ambient.kelvin()).kelvin);
    add(Explanation::What::start,
        meets(
            [&](double k) {
                recipe::FoodPiece p = piece;
                p.startK = k;
                return lnOff(p, programme);
            },
            255, std::min(prepared.request.recipe.goal.bandLowK - 2, 320.0)));
    return out;
}

/// A what-if has another piece than the author had: what the time told of that one holds.
void useItAsWritten(Prepared& prepared, const std::stop_token& stop) {
    std::shared_ptr<const Believed> believed = prepared.request.believed;
    if (!believed || believed->recipeId != prepared.request.recipe.id) {
        Request asWritten = prepared.request;
        asWritten.recipe.piece = *prepared.request.writtenPiece;
        asWritten.writtenPiece.reset();
        const auto there = prepare(asWritten, stop);
        if (!there)
            return;
        believed = std::make_shared<const Believed>(
            Believed{asWritten.recipe.id, there->ofOthers, there->belief, there->ownTime});
    }
    prepared.belief = believed->belief;
    prepared.ownTime = believed->ownTime;
}

/// Each of them is cooked where it was written, by itself; what its time says of food and model
/// holds here.
evidence::Belief beliefOfOthers(const Request& request, const std::stop_token& stop) {
    if (request.believed && request.believed->recipeId == request.recipe.id)
        return request.believed->ofOthers;
    std::vector<evidence::Block> blocks;
    std::vector<evidence::Observation> seen;
    for (const recipe::Recipe& other : request.others) {
        if (!bearsOn(other, request.recipe))
            continue;
        Request there = request;
        there.recipe = other;
        there.others.clear();
        there.belief = {};
        there.believed.reset();
        there.writtenPiece.reset();
        there.moved.reset();
        const auto prepared = prepare(there, stop);
        if (!prepared || !prepared->ownTime || !prepared->ownTime->absorbed)
            continue;
        for (const evidence::Observation& one : prepared->belief.observations()) {
            seen.push_back(one);
            for (evidence::Effect& effect : seen.back().effects)
                if (effect.unknown.ends_with(std::string(":") + kAuthor))
                    effect.unknown += " of " + other.id; // each author's cook is its own
        }
        blocks.insert(blocks.end(), prepared->belief.blocks().begin(),
                      prepared->belief.blocks().end());
    }
    return seen.empty() ? request.belief : request.belief.with(blocks, seen);
}

} // namespace

bool bearsOn(const recipe::Recipe& other, const recipe::Recipe& recipe) {
    return other.id != recipe.id && other.piece.food.id == recipe.piece.food.id &&
           other.time.said() && !other.time.setAside && !other.endsByClock() &&
           other.stages.size() == 1;
}

double roundingSd(double seconds) {
    const double step = seconds >= 900 && std::fmod(seconds, 300) < 1 ? 300 : 60;
    return step / std::sqrt(12.0);
}

void useOwnTime(Prepared& prepared, const std::stop_token& stop) {
    const recipe::Recipe& recipe = prepared.request.recipe;
    prepared.belief = prepared.ofOthers = beliefOfOthers(prepared.request, stop);
    if (!recipe.time.said() || recipe.endsByClock() || prepared.request.moved)
        return;
    if (prepared.request.writtenPiece && !(*prepared.request.writtenPiece == recipe.piece))
        return useItAsWritten(prepared, stop);
    const auto watched = watchedOf(prepared);
    if (!watched || *watchedStage(prepared.programme) + 1 != prepared.programme.stages.size())
        return;
    const FoodSpread spread{prepared.request.priors, evidence::kByRuler, evidence::kStartByHandK};
    WindowInput input{&recipe.piece, &watched->programme, watched->pullK, std::nullopt,
                      spread,        prepared.tables};
    input.tables.stop = stop;
    input.samples = 0;
    input.effort = prepared.effort;
    input.names = namesOf(prepared.request, watched->programme, kAuthor);
    input.belief = &prepared.ofOthers;
    long solves = 0;
    const auto forecast = windowOf(input, solves, stop);
    OwnTime own;
    own.written = recipe.time;
    if (!forecast || forecast->effects.empty()) {
        own.unused =
            forecast ? Error{Errc::refused, "", 0, Finding{"own_time_unused"}} : forecast.error();
        prepared.ownTime = own;
        return;
    }
    const double beforeS = prepared.outcome.lastStartS;
    const double lastS = forecast->expectS - beforeS;
    own.forecastS = lastS;
    own.forecastLowS = std::max(0.0, forecast->earlyS - beforeS);
    own.forecastHighS = forecast->latestS.value_or(forecast->expectS) - beforeS;
    const Timer timer{&input, inputsOf(watched->programme, spread, recipe.piece), &solves};
    const auto seen =
        linearAgain(observed(recipe.time, *forecast, lastS, recipe.id), forecast->belief, timer);
    prepared.belief = forecast->belief.with({}, {seen});
    for (const evidence::Agreement& one : prepared.belief.agreements())
        if (one.id == seen.id) {
            own.z = one.z;
            own.absorbed = one.absorbed;
        }
    if (!own.absorbed && !recipe.time.setAside)
        own.explanations =
            explanationsOf(prepared, beforeS + std::sqrt(recipe.time.lowS * recipe.time.highS));
    prepared.ownTime = own;
}

Shifted shiftedReference(const Prepared& prepared, const std::stop_token& stop) {
    const recipe::FoodPiece& piece = prepared.request.recipe.piece;
    const FoodSpread spread = spreadOf(prepared.request.priors, piece);
    const auto inputs = inputsOf(prepared.programme, spread, piece);
    Shifted out;
    out.way = namesOf(prepared.request, prepared.programme, "").way;
    out.blocks = blocksOf(inputs, correlationsOf(inputs, prepared.programme));
    cook::Tables tables = prepared.tables;
    tables.stop = stop;
    std::vector<double> z(inputs.size(), 0.0);
    const double lastS = prepared.request.recipe.last().end.afterS;
    for (std::size_t i = 0; i < inputs.size() && !stop.stop_requested(); ++i) {
        const auto cooked = [&](double side) {
            z[i] = side;
            const Deviated off = deviated(piece, prepared.programme, inputs, z);
            z[i] = 0;
            cook::Tables its = tables;
            if (off.composition)
                its.material = std::make_shared<heat::Material>(
                    off.piece.food, off.piece.startK < piece.food.freezingC + kZeroCelsiusK + 5);
            return cook::cookLastFor(off.piece, off.programme, lastS, kDraw, its);
        };
        auto up = cooked(1), down = cooked(-1);
        if (up && down)
            out.byInput.push_back({inputs[i], std::move(*up), std::move(*down)});
    }
    return out;
}

} // namespace dynamet::translate
