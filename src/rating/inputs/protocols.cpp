// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/protocols.h"

#include "rating/inputs/protocol_table.h"

namespace dynamet::rating {
namespace {

/// What is there to aim at: a plate, an oven's or a fire's floor, an iron oven's lid, a deflector.
const char* surfaceOf(kitchen::ApplianceKind kind) {
    using enum kitchen::ApplianceKind;
    if (kind == ironOven)
        return "lid";
    if (kind == charcoalKettle || kind == coveredCeramicGrill || kind == pelletGrill)
        return "deflector";
    return groupOf(kind) == kitchen::HeatGroup::plates ? "plate" : "floor";
}

bool isLiquid(kitchen::ApplianceKind kind) {
    return groupOf(kind) == kitchen::HeatGroup::waterAndOil;
}

} // namespace

const ValueSpec* Protocol::value(const std::string& name) const {
    for (const ValueSpec& spec : values)
        if (spec.name == name)
            return &spec;
    return nullptr;
}

const std::vector<Protocol>& allProtocols() {
    return protocolTable().protocols;
}

const Protocol* findProtocol(const std::string& id) {
    for (const Protocol& p : allProtocols())
        if (p.id == id)
            return &p;
    return nullptr;
}

std::vector<const Protocol*> protocolsFor(kitchen::ApplianceKind kind) {
    std::vector<const Protocol*> out;
    for (const std::string& id : protocolTable().forKind.at(kind))
        out.push_back(findProtocol(id));
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

std::map<std::string, std::string> choicesOfKind(const std::string& protocol,
                                                 kitchen::ApplianceKind kind) {
    const Protocol* known = findProtocol(protocol);
    if (isLiquid(kind) && known && known->value("medium"))
        return {{"medium", "liquid"}};
    if (known && known->value("surface"))
        return {{"surface", surfaceOf(kind)}};
    return {};
}

} // namespace dynamet::rating
