// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical_table.h"

#include <map>
#include <string_view>

namespace dynamet::data {
extern const std::string_view typical_fields;
}

namespace dynamet::kitchen {
namespace {

using nlohmann::json;

json filled(const json& kinds, const std::string& kind) {
    const json& own = kinds.at(kind);
    if (!own.contains("like"))
        return own;
    json row = filled(kinds, own.at("like").get<std::string>());
    for (const auto& [key, value] : own.items())
        if (key != "like")
            row[key] = value;
    return row;
}

std::map<std::string, json> readAll() {
    const json table = json::parse(data::typical_fields);
    std::map<std::string, json> rows;
    for (const auto& [kind, row] : table.at("kinds").items())
        rows[kind] = filled(table.at("kinds"), kind);
    return rows;
}

} // namespace

const json& typicalRow(const std::string& kind) {
    static const std::map<std::string, json> rows = readAll();
    return rows.at(kind);
}

} // namespace dynamet::kitchen
