// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/foods.h"

#include "quantity/enum_words.h"
#include "quantity/temperature.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view foods;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

using nlohmann::json;

constexpr std::array<const char*, 4> kForms{"intact", "bladed", "rolled", "minced"};

constexpr std::array<const char*, 7> kBodies{"solid",  "dough", "batter", "runny",
                                             "liquid", "baked", "potted"};
constexpr double kRefrigeratorC = 5;

const json& foodTable() {
    static const json table = json::parse(data::foods);
    return table;
}

std::optional<SlowChange> slowChange(const json& row, const char* key) {
    if (!row.contains(key))
        return std::nullopt;
    const json& change = foodTable().at("slow_changes").at(row.at(key).get<std::string>());
    return SlowChange{change.at("time_min").get<double>() * 60,
                      change.at("at_C").get<double>() + kZeroCelsiusK,
                      change.at("activation_kJ_mol").get<double>() * 1000};
}

Composition compositionOf(const json& row) {
    const auto share = [&row](const char* key) { return row.at(key).get<double>(); };
    const Composition raw{share("water"),        share("protein"), share("fat"),
                          share("carbohydrate"), share("fibre"),   share("ash")};
    return normalised(raw).value_or(Composition{});
}

std::vector<Food> readFoods() {
    std::vector<Food> out;
    for (const json& row : foodTable().at("foods")) {
        Food food;
        food.id = row.at("id").get<std::string>();
        food.name = row.at("name").get<std::string>();
        food.foodClass = row.at("class").get<std::string>();
        const auto share = [&row](const char* key) { return row.at(key).get<double>(); };
        food.composition = compositionOf(row);
        if (row.contains("lid")) {
            const json& lid = row.at("lid");
            food.lid = Lid{compositionOf(lid), lid.at("thickness_mm").get<double>() / 1000,
                           lid.value("porosity", 0.0)};
        }
        food.waterU = share("u_water");
        food.greyingK = share("greying_C") + kZeroCelsiusK;
        food.freezingC = share("freezing_C");
        food.browning = share("browning");
        food.porosity = row.value("porosity", 0.0);
        food.losesJuice = row.at("juices").get<bool>();
        food.crisp = row.value("crisp", false);
        food.softening = slowChange(row, "softens");
        food.rendering = slowChange(row, "renders");
        if (row.contains("mixes")) {
            food.mixing.times = row.at("mixes").at(0).get<double>();
            if (!row.at("mixes").at(1).is_null())
                food.mixing.setsK = row.at("mixes").at(1).get<double>() + kZeroCelsiusK;
        }
        food.shape = row.at("shape").get<std::string>();
        food.thicknessM = share("thickness_mm") / 1000;
        food.widthM = share("width_mm") / 1000;
        food.body = enumOf<Body>(kBodies, row.value("body", "solid")).value_or(Body::solid);
        food.mixing.carriesWater = food.body == Body::liquid;
        food.usualForm = formOf(row.value("form", "intact")).value_or(Form::intact);
        food.usualStartK = row.value("start_C", kRefrigeratorC) + kZeroCelsiusK;
        food.source = row.at("source").get<std::string>();
        out.push_back(food);
    }
    return out;
}

} // namespace

double SlowChange::rate(double kelvin) const {
    constexpr double kGas = 8.314;
    return std::exp(-activation / kGas * (1 / kelvin - 1 / atK)) / timeS;
}

const char* enumName(Form form) {
    return kForms[static_cast<std::size_t>(form)];
}

std::optional<Form> formOf(const std::string& text) {
    return enumOf<Form>(kForms, text);
}

bool standsInDish(const Food& food) {
    return seenFromAbove(food) || food.body == Body::batter;
}

bool seenFromAbove(const Food& food) {
    return food.body == Body::baked || food.body == Body::potted || food.body == Body::liquid;
}

bool isPoured(const Food& food) {
    return food.body == Body::runny;
}

double waterShareOf(const Food& food, double thicknessM) {
    if (!food.lid)
        return food.composition.water;
    const double lidM = std::min(food.lid->thicknessM, thicknessM);
    const double lidWater = lidM * (1 - food.lid->porosity) * waterPerVolume(food.lid->composition);
    const double below = (thicknessM - lidM) * waterPerVolume(food.composition);
    const double mass = below / food.composition.water + lidWater / food.lid->composition.water;
    return (below + lidWater) / mass;
}

const std::vector<Food>& shippedFoods() {
    static const std::vector<Food> foods = readFoods();
    return foods;
}

Result<Food> findFood(const std::string& id) {
    for (const Food& food : shippedFoods())
        if (food.id == id)
            return food;
    return fail(Errc::notFound, Finding{"no_such_food", {Name{id}}});
}

std::optional<SafeMinimum> officialMinimum(const std::string& foodClass, Form form) {
    const json& minimums = foodTable().at("minimums");
    if (!minimums.contains(foodClass))
        return std::nullopt;
    const json& row = minimums.at(foodClass).at(enumName(form));
    return SafeMinimum{row.at(0).get<double>() + kZeroCelsiusK, row.at(1).get<double>()};
}

} // namespace dynamet::food
