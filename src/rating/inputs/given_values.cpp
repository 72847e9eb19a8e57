// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/given_values.h"

#include "kitchen/dial.h"
#include "rating/inputs/protocols.h"

#include <algorithm>
#include <array>

namespace dynamet::rating {
namespace {

constexpr std::array<const char*, 5> kSettled{"set_C", "limit_C", "gun_emissivity", "pot_c_J_kgK",
                                              "plate_c_J_kgK"};

void addDial(std::map<std::string, double>& out, const TestPlace& place) {
    if (!place.appliance || !place.setting)
        return;
    const auto& controls = place.appliance->controls;
    for (std::size_t i = 0; i < controls.size(); ++i)
        if (controls[i].kind == kitchen::ControlKind::thermostat)
            if (const auto* dial = std::get_if<double>(&place.setting->values[i]))
                out["set_C"] = dialTemperature(controls[i], *dial).celsius();
}

void addInstrument(std::map<std::string, double>& out, const kitchen::Instrument& instrument) {
    if (instrument.highLimit)
        out["limit_C"] = *instrument.highLimit - kZeroCelsiusK;
    if (instrument.kind == kitchen::InstrumentKind::infrared)
        out["gun_emissivity"] = instrument.emissivitySet;
}

void addVessel(std::map<std::string, double>& out, const kitchen::Vessel& vessel) {
    out["pot_kg"] = out["plate_kg"] = vessel.massKg;
    out["pot_c_J_kgK"] = out["plate_c_J_kgK"] = vessel.specificHeatJPerKgK;
    out["area_m2"] = baseAreaM2(vessel);
}

} // namespace

std::map<std::string, double> givenValues(const std::string& protocol, const TestPlace& place) {
    std::map<std::string, double> out;
    addDial(out, place);
    if (place.instrument)
        addInstrument(out, *place.instrument);
    if (place.vessel)
        addVessel(out, *place.vessel);
    const Protocol* known = findProtocol(protocol);
    std::erase_if(out, [&](const auto& one) {
        // A load's or a block's face is not the pan's.
        if (one.first == "area_m2" && protocol != "dry-preheat")
            return true;
        return !known || !known->value(one.first);
    });
    return out;
}

bool isSettled(const std::string& name) {
    return std::find(kSettled.begin(), kSettled.end(), name) != kSettled.end();
}

} // namespace dynamet::rating
