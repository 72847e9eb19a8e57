// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/seasoning.h"

#include "quantity/temperature.h"

#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view seasonings;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

using nlohmann::json;

template <class T>
std::optional<T> byId(const std::vector<T>& all, const std::string& id) {
    for (const T& one : all)
        if (one.id == id)
            return one;
    return std::nullopt;
}

} // namespace

const std::vector<Seasoning>& shippedSeasonings() {
    static const std::vector<Seasoning> all = [] {
        std::vector<Seasoning> out;
        const json table = json::parse(data::seasonings);
        for (const json& row : table.at("seasonings"))
            out.push_back({row.at("id").get<std::string>(), row.at("name").get<std::string>(),
                           row.at("factor").get<double>(), row.at("raised").get<bool>()});
        return out;
    }();
    return all;
}

std::optional<Seasoning> findSeasoning(const std::string& id) {
    return byId(shippedSeasonings(), id);
}

const std::vector<CookingFat>& shippedFats() {
    static const std::vector<CookingFat> all = [] {
        std::vector<CookingFat> out;
        const json table = json::parse(data::seasonings);
        for (const json& row : table.at("fats"))
            out.push_back({row.at("id").get<std::string>(), row.at("name").get<std::string>(),
                           row.at("smoke_C").get<double>() + kZeroCelsiusK,
                           row.at("u_K").get<double>()});
        return out;
    }();
    return all;
}

std::optional<CookingFat> findFat(const std::string& id) {
    return byId(shippedFats(), id);
}

} // namespace dynamet::food
