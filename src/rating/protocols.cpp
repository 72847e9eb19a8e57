// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols.h"

#include "rating/guide_text.h"
#include "rating/protocol_table.h"
#include "rating/surface_map.h"

namespace dynamet::rating {
namespace {

using nlohmann::json;

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

/// What is there to aim at: a plate, an oven's or a fire's floor, an iron oven's lid, a deflector.
MappedSurface surfaceOf(kitchen::ApplianceKind kind) {
    using enum kitchen::ApplianceKind;
    if (kind == ironOven)
        return MappedSurface::lid;
    if (kind == charcoalKettle || kind == coveredCeramicGrill || kind == pelletGrill)
        return MappedSurface::deflector;
    return groupOf(kind) == kitchen::HeatGroup::plates ? MappedSurface::plate
                                                       : MappedSurface::floor;
}

bool isLiquid(kitchen::ApplianceKind kind) {
    return groupOf(kind) == kitchen::HeatGroup::waterAndOil;
}

} // namespace

const std::vector<Protocol>& allProtocols() {
    static const std::vector<Protocol> protocols = [] {
        std::vector<Protocol> out;
        for (const json& row : protocolTable().at("protocols"))
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
    for (const json& id : protocolTable().at("order").at(word(kind)))
        out.push_back(findProtocol(id.get<std::string>()));
    return out;
}

std::vector<std::string> rolesOf(const std::string& protocol) {
    const Protocol* p = findProtocol(protocol);
    return p ? p->roles : std::vector<std::string>{};
}

std::vector<std::string> rolesFor(const Protocol& protocol, kitchen::ApplianceKind kind) {
    if (protocol.id == "preheat") {
        if (kind == kitchen::ApplianceKind::griddle)
            return {"plate"};
        if (isLiquid(kind))
            return {"air"};
        return {"air", "wet"};
    }
    return protocol.roles;
}

bool isTemperature(const Protocol& protocol, const std::string& role) {
    for (const KeyedRole& keyed : protocol.keyed)
        if (keyed.role == role)
            return keyed.kind == KeyedKind::temperature;
    return true;
}

std::map<std::string, double> valuesOfKind(const std::string& protocol,
                                           kitchen::ApplianceKind kind) {
    if (isLiquid(kind) &&
        (protocol == "preheat" || protocol == "block" || protocol == "cavity-map"))
        return {{"liquid", 1}};
    if (protocol == "surface-map")
        return {{"surface", static_cast<double>(surfaceOf(kind))}};
    return {};
}

} // namespace dynamet::rating
