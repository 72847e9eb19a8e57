// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/effects.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace dynamet::translate {
namespace {

/// Usual of foods, m²/s; handbook range 1.2 to 1.5e-7.
constexpr double kDiffusivity = 1.4e-7;
/// A probe is not further off the middle than this share of the half thickness.
constexpr double kFarthestOff = 0.3;

std::string shapeUnknown(const CookNames& names) {
    return "shape:" + names.recipe;
}
std::string moistureUnknown(const CookNames& names) {
    return "moisture:" + names.food;
}
std::string compositionUnknown(const CookNames& names) {
    return "composition:" + names.food;
}

/// ln(time) for a probe that is r off the middle: r² / (2 α t), from the first term of the series
/// for a slab (cosine across, exponential in time).
double probeLn(const FoodSpread& spread, const recipe::FoodPiece& piece, double seconds) {
    const double off = std::min(spread.priors.probeM, kFarthestOff * piece.thicknessM / 2);
    return seconds > 0 ? off * off / (2 * kDiffusivity * seconds) : 0;
}

} // namespace

CookNames namesOf(const Request& request, const cook::Programme& programme, std::string cook) {
    CookNames out{request.recipe.id, request.recipe.piece.food.id, "", std::move(cook)};
    const auto* on =
        findAppliance(request.kitchen, programme.stages.back().written.place.applianceId);
    if (on)
        out.way = groupName(groupOf(on->kind));
    return out;
}

std::string fieldUnknown(const Input& input) {
    return fmt::format("field:{}:{}.{}", input.heatId, static_cast<int>(input.key.face),
                       static_cast<int>(input.key.term));
}
std::string thicknessUnknown(const CookNames& names) {
    return "thickness:" + names.cook;
}
std::string startUnknown(const CookNames& names) {
    return "start:" + names.cook;
}

std::vector<evidence::Effects> deviationsOf(const std::vector<Input>& inputs,
                                            const FoodSpread& spread, const CookNames& names) {
    std::vector<evidence::Effects> out;
    for (const Input& input : inputs) {
        switch (input.what) {
        case Input::What::fieldNumber:
            out.push_back({{fieldUnknown(input), 1, input.name}});
            break;
        case Input::What::thickness: {
            const double whole = spread.wholeThicknessLn();
            out.push_back({{shapeUnknown(names), spread.priors.shape / whole, "its real shape"},
                           {thicknessUnknown(names), spread.thicknessLn / whole, input.name}});
            break;
        }
        case Input::What::start:
            out.push_back({{startUnknown(names), 1, input.name}});
            break;
        case Input::What::moisture:
            out.push_back({{moistureUnknown(names), 1, input.name}});
            break;
        case Input::What::composition:
            out.push_back({{compositionUnknown(names), 1, input.name}});
            break;
        }
    }
    return out;
}

evidence::Effects restOf(const std::vector<Input>& inputs, const std::vector<double>& lnPerSd,
                         const FoodSpread& spread, const CookNames& names,
                         const recipe::FoodPiece& piece, double seconds) {
    const evidence::Priors& p = spread.priors;
    // What composition does is part of what a food's time may be off by.
    double food = p.foodLn * p.foodLn;
    for (std::size_t i = 0; i < inputs.size(); ++i)
        if (inputs[i].what == Input::What::composition && std::isfinite(lnPerSd[i]))
            food -= lnPerSd[i] * lnPerSd[i];
    const char* model = "the model itself";
    evidence::Effects out{
        {"food:" + names.food, std::sqrt(std::max(0.0, food)), "how this food conducts"},
        {"way:" + names.food + ":" + names.way, p.foodWayLn, "how this food conducts"},
        {"model:" + names.way, p.wayLn, model},
        {"model", p.modelLn, model},
        {"cook:" + names.cook, p.cookLn, "one cook and another"},
        {"probe:" + names.cook, probeLn(spread, piece, seconds), "the probe's place"}};
    std::erase_if(out, [](const evidence::Effect& e) { return !(e.lnTime > 0); });
    return out;
}

evidence::Effects effectsOf(const std::vector<Input>& inputs, const std::vector<double>& lnPerSd,
                            const FoodSpread& spread, const CookNames& names,
                            const recipe::FoodPiece& piece, double seconds) {
    evidence::Effects out = restOf(inputs, lnPerSd, spread, names, piece, seconds);
    const auto forms = deviationsOf(inputs, spread, names);
    for (std::size_t i = 0; i < inputs.size(); ++i)
        for (evidence::Effect one : forms[i]) {
            one.lnTime *= lnPerSd[i];
            out.push_back(std::move(one));
        }
    return out;
}

std::vector<evidence::Block> blocksOf(const std::vector<Input>& inputs,
                                      const std::vector<double>& correlations) {
    std::map<std::string, std::vector<std::size_t>> heats;
    for (std::size_t i = 0; i < inputs.size(); ++i)
        if (inputs[i].what == Input::What::fieldNumber)
            heats[inputs[i].heatId].push_back(i);
    std::vector<evidence::Block> out;
    for (const auto& [heat, members] : heats) {
        evidence::Block block;
        for (const std::size_t i : members) {
            block.unknowns.push_back(fieldUnknown(inputs[i]));
            for (const std::size_t j : members)
                block.correlations.push_back(correlations[i * inputs.size() + j]);
        }
        out.push_back(std::move(block));
    }
    return out;
}

} // namespace dynamet::translate
