// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/appliance.h"

#include <array>

namespace dynamet::kitchen {
namespace {

struct KindRow {
    ApplianceKind kind;
    const char* word;
    const char* name;
    HeatGroup group;
};
using enum ApplianceKind;
using enum HeatGroup;
constexpr std::array<KindRow, 20> kKinds{
    {{gasHob, "gas_hob", "Gas burner", plates},
     {radiantHob, "radiant_hob", "Radiant hob", plates},
     {solidPlateHob, "solid_plate_hob", "Solid-plate hob", plates},
     {inductionHob, "induction_hob", "Induction hob", plates},
     {portableBurner, "portable_burner", "Portable burner", plates},
     {griddle, "griddle", "Griddle", plates},
     {stillOven, "still_oven", "Still oven", air},
     {fanOven, "fan_oven", "Fan oven", air},
     {combiOven, "combi_oven", "Combi oven", air},
     {countertopOven, "countertop_oven", "Countertop oven", air},
     {woodOven, "wood_oven", "Wood oven", coalsAndFlame},
     {ironOven, "iron_oven", "Dutch oven over coals", coalsAndFlame},
     {airFryer, "air_fryer", "Air fryer", air},
     {gasGrill, "gas_grill", "Gas grill", coalsAndFlame},
     {charcoalKettle, "charcoal_kettle", "Charcoal kettle", coalsAndFlame},
     {coveredCeramicGrill, "covered_ceramic_grill", "Covered ceramic grill", coalsAndFlame},
     {pelletGrill, "pellet_grill", "Pellet grill", coalsAndFlame},
     {coalChimney, "coal_chimney", "Chimney of coals", coalsAndFlame},
     {waterBath, "water_bath", "Water bath", waterAndOil},
     {deepFryer, "deep_fryer", "Deep fryer", waterAndOil}}};

const KindRow& row(ApplianceKind kind) {
    return kKinds[static_cast<std::size_t>(kind)];
}

} // namespace

const char* enumName(ApplianceKind kind) {
    return row(kind).word;
}
const char* kindName(ApplianceKind kind) {
    return row(kind).name;
}
HeatGroup groupOf(ApplianceKind kind) {
    return row(kind).group;
}

std::optional<ApplianceKind> applianceKind(const std::string& text) {
    for (const KindRow& r : kKinds)
        if (text == r.word)
            return r.kind;
    return std::nullopt;
}

const std::vector<ApplianceKind>& allKinds() {
    static const std::vector<ApplianceKind> kinds = [] {
        std::vector<ApplianceKind> out;
        for (const KindRow& r : kKinds)
            out.push_back(r.kind);
        return out;
    }();
    return kinds;
}

const char* groupName(HeatGroup group) {
    switch (group) {
    case plates:
        return "Plates";
    case air:
        return "Air";
    case coalsAndFlame:
        return "Coals and flame";
    case waterAndOil:
        return "Water and oil";
    }
    return "";
}

bool isHob(ApplianceKind kind) {
    return kind == gasHob || kind == radiantHob || kind == solidPlateHob || kind == inductionHob ||
           kind == portableBurner;
}

const Zone* findZone(const Appliance& appliance, const std::string& name) {
    for (const Zone& zone : appliance.zones)
        if (zone.name == name)
            return &zone;
    return nullptr;
}

} // namespace dynamet::kitchen
