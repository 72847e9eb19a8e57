// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical_table.h"

#include "quantity/enum_words.h"

#include <map>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view typical_fields;
}

namespace dynamet::kitchen {
namespace {

using nlohmann::json;

// The shipped table is ours: what is wrong in it throws, at the first look, in every test.

/// A kind's row with that of its "like" filled in.
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

Spread spreadOf(const json& pair) {
    return {pair.at(0).get<double>(), pair.at(1).get<double>()};
}

std::vector<Label> labelsOf(const json& labels) {
    std::vector<Label> out;
    for (const json& label : labels)
        out.push_back(
            {label.at(0).get<std::string>(),
             label.at(1).is_null() ? std::nullopt : std::optional(label.at(1).get<double>())});
    return out;
}

Control controlOf(const json& row) {
    Control out;
    out.key = row.at("key").get<std::string>();
    out.kind = controlKind(row.at("kind").get<std::string>()).value();
    out.low = row.value("low", 0.0);
    out.high = row.value("high", 0.0);
    out.step = row.value("step", 1.0);
    out.unit = row.value("unit", "");
    if (row.contains("labels"))
        out.labels = labelsOf(row.at("labels"));
    if (row.contains("burners"))
        out.burners = row.at("burners").get<std::vector<std::string>>();
    return out;
}

TemperatureRule ruleOf(const json& row) {
    constexpr std::array<const char*, 6> kBy{"dial",  "preheat", "burners",
                                             "coals", "label",   "fixed"};
    TemperatureRule out;
    out.by = enumOf<TemperatureRule::By>(kBy, row.at("rule").get<std::string>()).value();
    out.uK = row.at("u_K").get<double>();
    out.fixedC = row.value("C", out.fixedC);
    out.directK = row.value("direct_K", out.directK);
    if (row.contains("captured"))
        out.captured = spreadOf(row.at("captured"));
    return out;
}

Term termOf(const std::string& name) {
    static const std::map<std::string, Term> kNames{
        {"air", Term::air},
        {"h_air", Term::hAir},
        {"vapour_Pa", Term::vapour},
        {"radiant", Term::radiant},
        {"view", Term::view},
        {"plate", Term::plate},
        {"contact", Term::contact},
        {"plate_heat_capacity", Term::plateHeatCapacity},
        {"plate_flux", Term::plateFlux},
        {"plate_loss", Term::plateLoss},
        {"plate_set", Term::plateSet},
        {"liquid", Term::liquid},
        {"h_liquid", Term::hLiquid}};
    return kNames.at(name);
}

void addNumbers(std::vector<TypicalNumber>& out, Face face, const json& row) {
    using From = TypicalNumber::From;
    for (const auto& [name, value] : row.items()) {
        if (name == "air_above_ambient_K") {
            for (const Term term : {Term::air, Term::radiant})
                out.push_back({face, term, From::ambient, spreadOf(value)});
        } else if (value.is_string()) {
            out.push_back({face, termOf(name), From::setting, {}});
        } else {
            out.push_back({face, termOf(name), From::table, spreadOf(value)});
        }
    }
}

std::vector<TypicalNumber> numbersOf(const json& faces) {
    constexpr std::array kFaces{std::pair{"all", Face::all}, std::pair{"top", Face::top},
                                std::pair{"bottom", Face::bottom}, std::pair{"side", Face::side}};
    std::vector<TypicalNumber> out;
    for (const auto& [name, face] : kFaces)
        if (faces.contains(name))
            addNumbers(out, face, faces.at(name));
    return out;
}

TypicalKind kindOf(const json& row) {
    TypicalKind out;
    for (const json& control : row.at("controls"))
        out.controls.push_back(controlOf(control));
    for (const json& zone : row.at("zones"))
        out.zones.push_back({zone.at(0).get<std::string>(), zone.at(1).get<bool>()});
    out.ratedInputW = row.value("rated_input_W", 0.0);
    out.capacityM2 = row.at("capacity_m2").get<double>();
    out.temperature = ruleOf(row.at("temperature"));
    out.numbers = numbersOf(row.at("faces"));
    if (row.contains("direct_faces"))
        out.overTheFire = numbersOf(row.at("direct_faces"));
    if (row.contains("efficiency"))
        out.efficiency = spreadOf(row.at("efficiency"));
    out.hotPlateShare = row.value("hot_plate_share", 1.0);
    return out;
}

std::map<ApplianceKind, TypicalKind> readAll() {
    const json table = json::parse(data::typical_fields);
    std::map<ApplianceKind, TypicalKind> out;
    for (const ApplianceKind kind : allKinds())
        out[kind] = kindOf(filled(table.at("kinds"), enumName(kind)));
    return out;
}

} // namespace

const TypicalKind& typicalKind(ApplianceKind kind) {
    static const std::map<ApplianceKind, TypicalKind> kinds = readAll();
    return kinds.at(kind);
}

void putTypical(HeatField& field, FieldKey key, Spread s) {
    put(field, {key, s.value, s.u, Provenance::assumed, "", "typical for its kind"});
}

} // namespace dynamet::kitchen
