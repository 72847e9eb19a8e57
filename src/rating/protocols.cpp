// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols.h"

#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
}

namespace dynamet::rating {
namespace {

using nlohmann::json;

const json& table() {
    static const json parsed = json::parse(data::protocols);
    return parsed;
}

Protocol readProtocol(const json& row) {
    Protocol p;
    const auto text = [&row](const char* key) { return row.at(key).get<std::string>(); };
    p.id = text("id");
    p.title = text("title");
    p.finds = text("finds");
    p.needs = text("needs");
    p.howLong = text("how_long");
    p.spoils = text("spoils");
    p.fromLog = row.at("from_log").get<bool>();
    p.steps = row.at("steps").get<std::vector<std::string>>();
    p.cautions = row.at("cautions").get<std::vector<std::string>>();
    for (const json& v : row.at("values"))
        p.values.push_back({v.at(0).get<std::string>(), v.at(1).get<std::string>(),
                            v.at(2).get<std::string>(), v.at(3).get<double>(), v.at(4).get<bool>(),
                            v.at(5).get<std::string>()});
    return p;
}

const char* orderKey(kitchen::ApplianceKind kind) {
    if (kind == kitchen::ApplianceKind::griddle)
        return "griddle";
    switch (groupOf(kind)) {
    case kitchen::HeatGroup::plates:
        return "plates";
    case kitchen::HeatGroup::air:
        return "air";
    case kitchen::HeatGroup::coalsAndFlame:
        return "coals";
    case kitchen::HeatGroup::waterAndOil:
        return "water";
    }
    return "air";
}

} // namespace

const std::vector<Protocol>& allProtocols() {
    static const std::vector<Protocol> protocols = [] {
        std::vector<Protocol> out;
        for (const json& row : table().at("protocols"))
            out.push_back(readProtocol(row));
        return out;
    }();
    return protocols;
}

const Protocol* findProtocol(const std::string& id) {
    for (const Protocol& p : allProtocols())
        if (p.id == id)
            return &p;
    return nullptr;
}

std::vector<const Protocol*> protocolsFor(kitchen::ApplianceKind kind) {
    std::vector<const Protocol*> out;
    for (const json& id : table().at("order").at(orderKey(kind)))
        out.push_back(findProtocol(id.get<std::string>()));
    return out;
}

} // namespace dynamet::rating
