// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/organism.h"

#include "quantity/temperature.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view organisms;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

std::vector<Organism> readOrganisms() {
    std::vector<Organism> out;
    const auto table = nlohmann::json::parse(data::organisms);
    for (const auto& row : table.at("organisms")) {
        Organism o;
        o.id = row.at("id").get<std::string>();
        o.name = row.at("name").get<std::string>();
        o.foodClasses = row.at("classes").get<std::vector<std::string>>();
        o.dSeconds = row.at("D_s").get<double>();
        o.atK = row.at("at_C").get<double>() + kZeroCelsiusK;
        o.zK = row.at("z_K").get<double>();
        o.fromK = row.at("from_C").get<double>() + kZeroCelsiusK;
        o.targetLogs = row.at("target_logs").get<double>();
        o.source = row.at("source").get<std::string>();
        out.push_back(o);
    }
    return out;
}

} // namespace

const std::vector<Organism>& shippedOrganisms() {
    static const std::vector<Organism> organisms = readOrganisms();
    return organisms;
}

std::vector<std::size_t> organismsOf(const std::string& foodClass) {
    std::vector<std::size_t> out;
    const auto& all = shippedOrganisms();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (std::find(all[i].foodClasses.begin(), all[i].foodClasses.end(), foodClass) !=
            all[i].foodClasses.end())
            out.push_back(i);
    return out;
}

double killRate(const Organism& organism, double kelvin) {
    if (kelvin < organism.fromK)
        return 0;
    return std::exp(2.302585092994046 * (kelvin - organism.atK) / organism.zK) / organism.dSeconds;
}

double holdTimeS(const Organism& organism, double kelvin, double logs) {
    const double rate = killRate(organism, kelvin);
    return rate > 0 ? logs / rate : std::numeric_limits<double>::infinity();
}

} // namespace dynamet::food
