// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/schools.h"

#include <cassert>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view schools;
} // namespace dynamet::data

namespace dynamet::food {

const std::vector<School>& shippedSchools() {
    static const std::vector<School> all = [] {
        std::vector<School> out;
        const auto table = nlohmann::json::parse(data::schools);
        for (const auto& row : table.at("schools")) {
            School school{
                row.at("id").get<std::string>(), row.at("question").get<std::string>(), {}};
            for (const auto& choice : row.at("choices"))
                school.choices.push_back({choice.at("id").get<std::string>(),
                                          choice.at("name").get<std::string>(),
                                          choice.at("why").get<std::string>()});
            out.push_back(school);
        }
        return out;
    }();
    return all;
}

const SchoolChoice& chosen(const School& school, const ChosenSchools& sides) {
    const auto side = sides.find(school.id);
    if (side != sides.end())
        for (const SchoolChoice& choice : school.choices)
            if (choice.id == side->second)
                return choice;
    return school.choices.front();
}

const SchoolChoice& chosen(const std::string& schoolId, const ChosenSchools& sides) {
    const School* found = nullptr;
    for (const School& school : shippedSchools())
        if (school.id == schoolId)
            found = &school;
    assert(found);
    return chosen(*found, sides);
}

} // namespace dynamet::food
