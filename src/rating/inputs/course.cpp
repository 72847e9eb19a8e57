// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/course.h"

#include "quantity/temperature.h"

#include <nlohmann/json.hpp>
#include <stdexcept>
#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
} // namespace dynamet::data

namespace dynamet::rating {
namespace {

using nlohmann::json;
using What = Until::What;

Until untilOf(const json& entry) {
    const std::string word =
        entry.is_array() ? entry.at(0).get<std::string>() : entry.get<std::string>();
    const double value = entry.is_array() ? entry.at(1).get<double>() : 0;
    if (word == "start")
        return {What::start, 0};
    if (word == "minutes")
        return {What::seconds, 60 * value};
    if (word == "settled")
        return {What::settled, 0};
    if (word == "above_C")
        return {What::above, Temperature::celsius(value).kelvin()};
    if (word == "rises_K")
        return {What::rises, value};
    if (word == "as_long")
        return {What::asLong, 0};
    if (word == "stop")
        return {What::stop, 0};
    if (word == "hand")
        return {};
    throw std::invalid_argument("protocols.json: no step lasts until " + word);
}

std::map<std::string, std::vector<Until>> readCourses() {
    std::map<std::string, std::vector<Until>> out;
    const json table = json::parse(data::protocols);
    for (const json& row : table.at("protocols"))
        if (row.contains("course"))
            for (const json& entry : row.at("course"))
                out[row.at("id").get<std::string>()].push_back(untilOf(entry));
    return out;
}

} // namespace

std::vector<Until> courseOf(const Protocol& protocol) {
    static const auto courses = readCourses();
    const auto known = courses.find(protocol.id);
    std::vector<Until> out = known == courses.end() ? std::vector<Until>{} : known->second;
    out.resize(protocol.steps.size());
    return out;
}

bool isOver(const Until& until, const CourseNow& now) {
    const double inStep = now.nowS - now.stepBeganS;
    switch (until.what) {
    case What::hand:
    case What::stop:
        return false;
    case What::start:
        return now.started;
    case What::seconds:
        return now.started && inStep >= until.value;
    case What::settled:
        return now.started && now.settled;
    case What::above:
        return now.started && now.leading >= until.value;
    case What::rises:
        return now.started && now.leading - now.leadingAtFirst >= until.value;
    case What::asLong:
        return now.started && inStep >= now.stepBeganS;
    }
    return false;
}

} // namespace dynamet::rating
