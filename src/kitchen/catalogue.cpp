// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/catalogue.h"

#include "quantity/temperature.h"

#include <cmath>
#include <limits>
#include <nlohmann/json.hpp>
#include <numbers>
#include <string_view>

namespace dynamet::data {
extern const std::string_view vessels;
} // namespace dynamet::data

namespace dynamet::kitchen {
namespace {

using nlohmann::json;

const json& table() {
    static const json out = json::parse(data::vessels);
    return out;
}

std::optional<double> celsiusAt(const json& row, const char* key) {
    if (!row.contains(key))
        return std::nullopt;
    return row.at(key).get<double>() + kZeroCelsiusK;
}

VesselKind vesselKind(const std::string& text) {
    for (const VesselKind kind :
         {VesselKind::pot, VesselKind::pan, VesselKind::tray, VesselKind::rack, VesselKind::lid,
          VesselKind::basket, VesselKind::dish, VesselKind::ridgedPan})
        if (text == enumName(kind))
            return kind;
    return VesselKind::pan;
}

InstrumentKind instrumentKind(const std::string& text) {
    using enum InstrumentKind;
    static const std::vector<std::pair<std::string, InstrumentKind>> kKinds{
        {"probe", probe}, {"infrared", infrared},       {"builtInDial", builtInDial},
        {"scale", scale}, {"energyMeter", energyMeter}, {"gasMeter", gasMeter},
        {"clock", clock}};
    for (const auto& [known, kind] : kKinds)
        if (known == text)
            return kind;
    return probe;
}

const VesselForm& formOf(const std::string& id) {
    for (const VesselForm& form : vesselForms())
        if (form.id == id)
            return form;
    return vesselForms().front();
}

Instrument readInstrument(const json& row) {
    Instrument out;
    out.name = row.at("name").get<std::string>();
    out.kind = instrumentKind(row.at("kind").get<std::string>());
    out.accuracy = row.at("accuracy_K").get<double>();
    out.resolution = row.at("resolution_K").get<double>();
    out.lowLimit = celsiusAt(row, "low_C");
    out.highLimit = celsiusAt(row, "high_C");
    out.damageLimit = celsiusAt(row, "damage_C");
    out.diameterM = row.value("diameter_mm", out.diameterM * 1000) / 1000;
    out.responseInAirS = row.value("air_s", out.responseInAirS);
    out.responseInFoodS = row.value("food_s", out.responseInFoodS);
    out.emissivitySet = row.value("emissivity", out.emissivitySet);
    return out;
}

} // namespace

const std::vector<Material>& materials() {
    static const std::vector<Material> out = [] {
        std::vector<Material> all;
        for (const json& row : table().at("materials"))
            all.push_back({row.at("id").get<std::string>(), row.at("name").get<std::string>(),
                           row.at("rho").get<double>(), row.at("c").get<double>(),
                           row.at("emissivity").get<double>(), celsiusAt(row, "highest_C")});
        return all;
    }();
    return out;
}

const Material& materialOf(const std::string& idOrName) {
    const Material* steel = &materials().front();
    for (const Material& material : materials()) {
        if (material.id == idOrName || material.name == idOrName)
            return material;
        if (material.id == "steel")
            steel = &material;
    }
    return *steel;
}

const std::vector<VesselForm>& vesselForms() {
    static const std::vector<VesselForm> out = [] {
        std::vector<VesselForm> all;
        for (const json& row : table().at("forms"))
            all.push_back({row.at("id").get<std::string>(), row.at("name").get<std::string>(),
                           vesselKind(row.at("kind").get<std::string>()),
                           row.at("wall_by_diameter").get<double>(),
                           row.at("wall_by_base").get<double>()});
        return all;
    }();
    return out;
}

double usualMassKg(const VesselForm& form, const Material& material, double diameterM,
                   double thicknessM) {
    const double base = std::numbers::pi / 4 * diameterM * diameterM * thicknessM;
    const double wall = std::numbers::pi * diameterM * form.wallPerDiameter * diameterM *
                        form.wallPerBase * thicknessM;
    return material.densityKgM3 * (base + wall);
}

Vessel vesselMade(const VesselForm& form, const Material& material, double diameterM,
                  double thicknessM) {
    Vessel out;
    out.kind = form.kind;
    out.material = material.id;
    out.massKg = usualMassKg(form, material, diameterM, thicknessM);
    out.specificHeatJPerKgK = material.specificHeatJPerKgK;
    out.baseDiameterM = diameterM;
    out.baseThicknessM = thicknessM;
    out.emissivity = material.emissivity;
    out.highestTemperatureK = material.highestTemperatureK;
    return out;
}

std::size_t likelyForm(const Vessel& vessel) {
    std::size_t best = 0;
    double nearest = std::numeric_limits<double>::infinity();
    for (std::size_t i = 0; i < vesselForms().size(); ++i) {
        const VesselForm& form = vesselForms()[i];
        const double usual = usualMassKg(form, materialOf(vessel.material), vessel.baseDiameterM,
                                         vessel.baseThicknessM);
        const double off = std::abs(std::log(vessel.massKg / usual));
        if (form.kind == vessel.kind && off < nearest) {
            nearest = off;
            best = i;
        }
    }
    return best;
}

const std::vector<Vessel>& commonVessels() {
    static const std::vector<Vessel> out = [] {
        std::vector<Vessel> all;
        for (const json& row : table().at("common")) {
            all.push_back(vesselMade(formOf(row.at("form").get<std::string>()),
                                     materialOf(row.at("material").get<std::string>()),
                                     row.at("diameter_mm").get<double>() / 1000,
                                     row.at("base_mm").get<double>() / 1000));
            all.back().name = row.at("name").get<std::string>();
        }
        return all;
    }();
    return out;
}

const std::vector<Instrument>& commonInstruments() {
    static const std::vector<Instrument> out = [] {
        std::vector<Instrument> all;
        for (const json& row : table().at("instruments"))
            all.push_back(readInstrument(row));
        return all;
    }();
    return out;
}

} // namespace dynamet::kitchen
