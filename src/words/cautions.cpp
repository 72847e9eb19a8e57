// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/cautions.h"

#include "kitchen/dial.h"
#include "quantity/temperature.h"

#include <algorithm>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view cautions;
} // namespace dynamet::data

namespace dynamet::words {
namespace {

using Facts = std::set<std::string>;
using kitchen::ApplianceKind;

constexpr double kSearsK = 483.15, kLowK = 383.15; ///< 210 °C and above; 110 °C and below
constexpr double kLongS = 2 * 3600;
constexpr double kFatty = 0.12;

void addHeat(Facts& out, ApplianceKind kind) {
    switch (kind) {
    case ApplianceKind::gasHob:
    case ApplianceKind::portableBurner:
        out.insert({"gas", "hob"});
        break;
    case ApplianceKind::radiantHob:
    case ApplianceKind::solidPlateHob:
    case ApplianceKind::inductionHob:
        out.insert("hob");
        break;
    case ApplianceKind::griddle:
        out.insert("griddle");
        break;
    case ApplianceKind::stillOven:
    case ApplianceKind::fanOven:
    case ApplianceKind::combiOven:
    case ApplianceKind::countertopOven:
    case ApplianceKind::airFryer:
        out.insert("oven");
        break;
    case ApplianceKind::woodOven:
        out.insert({"wood", "oven"});
        break;
    case ApplianceKind::ironOven:
        out.insert({"coals", "iron_oven", "own_lid"});
        break;
    case ApplianceKind::gasGrill:
        out.insert({"gas", "grill", "own_lid"});
        break;
    case ApplianceKind::charcoalKettle:
        out.insert({"coals", "kettle", "own_lid"});
        break;
    case ApplianceKind::coveredCeramicGrill:
        out.insert({"coals", "ceramic", "own_lid"});
        break;
    case ApplianceKind::pelletGrill:
        out.insert({"wood", "grill", "own_lid"});
        break;
    case ApplianceKind::coalChimney:
        out.insert({"coals", "chimney"});
        break;
    case ApplianceKind::waterBath:
        out.insert("bath");
        break;
    case ApplianceKind::deepFryer:
        out.insert("fryer");
        break;
    }
}

void addVessel(Facts& out, const kitchen::Vessel& vessel) {
    if (vessel.material == "cast-iron" || vessel.material == "steel")
        out.insert("iron");
    if (vessel.material == "glass")
        out.insert("glass");
    if (vessel.material == "non-stick")
        out.insert("non_stick");
    if (vessel.kind == kitchen::VesselKind::pan || vessel.kind == kitchen::VesselKind::ridgedPan)
        out.insert("pan");
}

void addFood(Facts& out, const recipe::FoodPiece& piece) {
    const food::Food& food = piece.food;
    if (officialMinimum(food.foodClass, piece.form) && food.foodClass != "casserole")
        out.insert("raw");
    if (food.foodClass == "poultry")
        out.insert("poultry");
    if (piece.form == food::Form::minced)
        out.insert("ground");
    if (piece.form == food::Form::bladed || piece.form == food::Form::rolled)
        out.insert("bladed");
    if (food.composition.fat > kFatty)
        out.insert("fatty");
    if (piece.startK < kZeroCelsiusK + food.freezingC)
        out.insert("frozen");
    if (piece.surface == recipe::SurfaceState::wet)
        out.insert("wet");
    if (piece.temperedS > 0)
        out.insert("tempered");
}

void addSetting(Facts& out, const kitchen::Appliance& appliance, const recipe::Stage& stage) {
    for (std::size_t i = 0; i < appliance.controls.size() && i < stage.place.setting.values.size();
         ++i) {
        const kitchen::Control& control = appliance.controls[i];
        const auto* value = std::get_if<double>(&stage.place.setting.values[i]);
        if (!value || !kitchen::isTemperatureDial(control))
            continue;
        const double kelvin = kitchen::dialTemperature(control, *value).kelvin();
        const bool plate = isHob(appliance.kind) || appliance.kind == ApplianceKind::griddle;
        if (plate && kelvin >= kSearsK)
            out.insert("searing");
        if (kelvin <= kLowK)
            out.insert("long_low");
    }
    if (stage.end.afterS >= kLongS && appliance.kind != ApplianceKind::deepFryer)
        out.insert("long_low");
}

} // namespace

const std::vector<Caution>& allCautions() {
    static const std::vector<Caution> cautions = [] {
        std::vector<Caution> out;
        const auto table = nlohmann::json::parse(data::cautions);
        for (const auto& row : table.at("cautions"))
            out.push_back({row.at("id").get<std::string>(), row.at("text").get<std::string>(),
                           row.at("when").get<std::vector<std::vector<std::string>>>()});
        return out;
    }();
    return cautions;
}

std::set<std::string> cautionFacts(const recipe::Stage& stage, const recipe::FoodPiece& piece,
                                   const kitchen::Kitchen& kitchen) {
    Facts out;
    const auto* appliance = findAppliance(kitchen, stage.place.applianceId);
    if (!appliance)
        return out;
    addHeat(out, appliance->kind);
    if (stage.place.lidOpen)
        out.erase("own_lid");
    if (const auto* vessel = findVessel(kitchen, stage.place.vesselId))
        addVessel(out, *vessel);
    addFood(out, piece);
    addSetting(out, *appliance, stage);
    if (!piece.fat.empty() && (out.contains("hob") || out.contains("griddle")))
        out.insert("fried");
    if (stage.handling.cover != recipe::Cover::none)
        out.insert("cover");
    if (stage.handling.waterAdded)
        out.insert("water_added");
    if (stage.waitS > 0)
        out.insert("wait");
    if (stage.handling.turning.when != recipe::TurnWhen::never)
        out.insert("handled");
    for (const recipe::Step& step : stage.handling.steps) {
        if (step.move == recipe::Move::cover)
            out.insert("cover");
        if (step.move == recipe::Move::setTo && step.setting && out.contains("coals"))
            out.insert("refuel");
    }
    return out;
}

std::vector<Caution> cautionsFor(const std::set<std::string>& facts) {
    std::vector<Caution> out;
    for (const Caution& caution : allCautions())
        if (std::any_of(caution.when.begin(), caution.when.end(), [&](const auto& all) {
                return std::all_of(all.begin(), all.end(),
                                   [&](const std::string& fact) { return facts.contains(fact); });
            }))
            out.push_back(caution);
    return out;
}

std::vector<std::vector<Caution>> cautionsOf(const std::vector<recipe::Stage>& stages,
                                             const recipe::FoodPiece& piece,
                                             const kitchen::Kitchen& kitchen) {
    std::vector<std::vector<Caution>> out;
    std::set<std::string> told;
    for (const recipe::Stage& stage : stages) {
        auto now = cautionsFor(cautionFacts(stage, piece, kitchen));
        std::erase_if(now, [&](const Caution& c) { return !told.insert(c.id).second; });
        out.push_back(std::move(now));
    }
    return out;
}

} // namespace dynamet::words
