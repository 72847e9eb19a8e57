// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/protocol_table.h"

#include "rating/inputs/guide_text.h"

#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
} // namespace dynamet::data

namespace dynamet::rating {
namespace {

using nlohmann::json;

// The shipped table is ours: what is wrong in it throws, at the first look, in every test.

KeyedKind keyedKind(const std::string& word) {
    return word == "count"     ? KeyedKind::count
           : word == "minutes" ? KeyedKind::minutes
                               : KeyedKind::temperature;
}

Protocol readProtocol(const json& row) {
    Protocol p;
    p.id = row.at("id").get<std::string>();
    p.shortName = row.at("short").get<std::string>();
    const GuideText page = readGuide(guidePage(p.id));
    p.title = page.title;
    p.finds = page.finds;
    p.needs = page.paragraph("You need");
    p.steps = page.items("Steps");
    p.cautions = page.items("What can hurt you");
    p.howLong = page.paragraph("How long");
    p.spoils = page.paragraph("What spoils it");
    p.workedOut = page.paragraph("How it is worked out");
    p.fromLog = row.at("from_log").get<bool>();
    p.needsAltitude = row.value("altitude", false);
    p.firstColumnOnly = row.value("first_column_only", false);
    p.roles = row.at("roles").get<std::vector<std::string>>();
    if (row.contains("keyed"))
        for (const json& k : row.at("keyed"))
            p.keyed.push_back({k.at(0).get<std::string>(), k.at(1).get<std::string>(),
                               keyedKind(k.at(2).get<std::string>()), k.at(3).get<std::string>(),
                               k.at(4).get<bool>()});
    for (const json& v : row.at("values"))
        p.values.push_back({v.at(0).get<std::string>(), v.at(1).get<std::string>(),
                            v.at(2).get<std::string>(), v.at(3).get<double>(), v.at(4).get<bool>(),
                            v.at(5).get<std::string>()});
    return p;
}

ProtocolTable readTable() {
    const json table = json::parse(data::protocols);
    ProtocolTable out;
    for (const json& row : table.at("protocols"))
        out.protocols.push_back(readProtocol(row));
    for (const kitchen::ApplianceKind kind : kitchen::allKinds())
        out.forKind[kind] = table.at("order").at(word(kind)).get<std::vector<std::string>>();
    out.quantityWords = table.at("quantities").get<std::map<std::string, std::string>>();
    out.points = table.at("points").get<std::set<std::string>>();
    return out;
}

} // namespace

const ProtocolTable& protocolTable() {
    static const ProtocolTable table = readTable();
    return table;
}

} // namespace dynamet::rating
