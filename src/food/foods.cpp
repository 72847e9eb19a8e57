// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/foods.h"

#include "quantity/temperature.h"

#include <array>
#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view foods;
extern const std::string_view doneness;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

using nlohmann::json;

constexpr std::array<const char*, 4> kForms{"intact", "bladed", "rolled", "minced"};
constexpr std::array<const char*, 4> kReadAt{"pull", "peak", "bath", "plate"};

const json& foodTable() {
    static const json table = json::parse(data::foods);
    return table;
}

std::vector<Food> readFoods() {
    std::vector<Food> out;
    for (const json& row : foodTable().at("foods")) {
        Food food;
        food.id = row.at("id").get<std::string>();
        food.name = row.at("name").get<std::string>();
        food.foodClass = row.at("class").get<std::string>();
        const auto share = [&row](const char* key) { return row.at(key).get<double>(); };
        const Composition raw{share("water"),        share("protein"), share("fat"),
                              share("carbohydrate"), share("fibre"),   share("ash")};
        food.composition = normalised(raw).value_or(Composition{});
        food.waterU = share("u_water");
        food.greyingK = share("greying_C") + kZeroCelsiusK;
        food.source = row.at("source").get<std::string>();
        out.push_back(food);
    }
    return out;
}

std::vector<DonenessScale> readScales() {
    const json table = json::parse(data::doneness);
    std::vector<DonenessScale> out;
    for (const json& row : table.at("scales")) {
        DonenessScale scale;
        scale.id = row.at("id").get<std::string>();
        scale.name = row.at("name").get<std::string>();
        scale.source = row.at("source").get<std::string>();
        const std::string at = row.at("read_at").get<std::string>();
        for (std::size_t i = 0; i < kReadAt.size(); ++i)
            if (at == kReadAt[i])
                scale.readAt = static_cast<ReadAt>(i);
        for (const auto& [foodClass, levels] : row.at("levels").items()) {
            std::vector<DonenessLevel> list;
            for (const json& level : levels)
                list.push_back({level.at(0).get<std::string>(),
                                level.at(1).get<double>() + kZeroCelsiusK,
                                level.at(2).get<double>() + kZeroCelsiusK});
            scale.levels.emplace_back(foodClass, list);
        }
        out.push_back(scale);
    }
    return out;
}

} // namespace

const char* word(Form form) {
    return kForms[static_cast<std::size_t>(form)];
}
const char* word(ReadAt at) {
    return kReadAt[static_cast<std::size_t>(at)];
}

std::optional<Form> formOf(const std::string& text) {
    for (std::size_t i = 0; i < kForms.size(); ++i)
        if (text == kForms[i])
            return static_cast<Form>(i);
    return std::nullopt;
}

const std::vector<Food>& shippedFoods() {
    static const std::vector<Food> foods = readFoods();
    return foods;
}

Result<Food> findFood(const std::string& id) {
    for (const Food& food : shippedFoods())
        if (food.id == id)
            return food;
    return fail(Errc::notFound, fmt::format("no food \"{}\"", id));
}

std::optional<SafeMinimum> officialMinimum(const std::string& foodClass, Form form) {
    const json& minimums = foodTable().at("minimums");
    if (!minimums.contains(foodClass))
        return std::nullopt;
    const json& row = minimums.at(foodClass).at(word(form));
    return SafeMinimum{row.at(0).get<double>() + kZeroCelsiusK, row.at(1).get<double>()};
}

const std::vector<DonenessScale>& shippedScales() {
    static const std::vector<DonenessScale> scales = readScales();
    return scales;
}

Result<DonenessLevel> findLevel(const std::string& scaleId, const std::string& foodClass,
                                const std::string& levelName) {
    for (const DonenessScale& scale : shippedScales()) {
        if (scale.id != scaleId)
            continue;
        for (const auto& [known, levels] : scale.levels)
            for (const DonenessLevel& level : levels)
                if (known == foodClass && level.name == levelName)
                    return level;
        return fail(Errc::notFound, fmt::format("the {} has no level \"{}\" for {}", scale.name,
                                                levelName, foodClass));
    }
    return fail(Errc::notFound, fmt::format("no doneness scale \"{}\"", scaleId));
}

} // namespace dynamet::food
