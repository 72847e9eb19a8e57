// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/signs.h"

#include "quantity/temperature.h"

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view signs;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

std::vector<Sign> readSigns() {
    std::vector<Sign> out;
    const auto table = nlohmann::json::parse(data::signs);
    for (const auto& row : table.at("signs")) {
        Sign one;
        const auto at = row.at("at").get<std::string>();
        one.at = at == "core" ? Sign::At::core : at == "face" ? Sign::At::face : Sign::At::fat;
        one.foodClasses = row.at("classes").get<std::vector<std::string>>();
        one.says = row.at("says").get<std::string>();
        one.lowK = row.at("low_C").get<double>() + kZeroCelsiusK;
        one.highK = row.at("high_C").get<double>() + kZeroCelsiusK;
        out.push_back(std::move(one));
    }
    return out;
}

} // namespace

const std::vector<Sign>& shippedSigns() {
    static const std::vector<Sign> list = readSigns();
    return list;
}

std::vector<Sign> signsAt(const std::string& foodClass, Sign::At at, double kelvin,
                          std::size_t most) {
    std::vector<Sign> out;
    for (const Sign& one : shippedSigns()) {
        const bool fits =
            std::any_of(one.foodClasses.begin(), one.foodClasses.end(),
                        [&](const std::string& c) { return c == "*" || c == foodClass; });
        if (fits && one.at == at && one.lowK <= kelvin && kelvin <= one.highK)
            out.push_back(one);
    }
    std::stable_sort(out.begin(), out.end(), [kelvin](const Sign& a, const Sign& b) {
        return std::abs((a.lowK + a.highK) / 2 - kelvin) <
               std::abs((b.lowK + b.highK) / 2 - kelvin);
    });
    if (out.size() > most)
        out.resize(most);
    return out;
}

} // namespace dynamet::food
