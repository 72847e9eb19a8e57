// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/protocols.h"

#include "rating/inputs/protocol_table.h"
#include "rating/protocols/surface_map.h"

namespace dynamet::rating {
namespace {

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
