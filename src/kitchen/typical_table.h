// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "kitchen/heat_field.h"

namespace dynamet::kitchen {

// What appliances of a kind usually give: data/typical_fields.json, read once into these.

/// A usual value and its standard uncertainty, SI.
struct Spread {
    double value = 0;
    double u = 0;
};

/// How a setting becomes a temperature: a dial's number, a pan's preheat, burners (grill_box.h) and
/// coals as a rise above the room, a label's usual °C, or always the same.
struct TemperatureRule {
    enum class By { dial, preheat, burners, coals, label, fixed };
    By by = By::fixed;
    double uK = 0;
    double fixedC = 200; ///< also where the setting has no such control
    double directK = 0;  ///< more of it over the fire itself
    Spread captured;     ///< of a coal's heat, by an iron oven (coals/oven_heat.h)
};

/// One number of the usual field.
struct TypicalNumber {
    enum class From { table, setting, ambient }; ///< as it stands, the setting's, or above the room
    Face face = Face::all;
    Term term = Term::air;
    From from = From::table;
    Spread value;
};

struct TypicalKind {
    std::vector<Control> controls;
    std::vector<Zone> zones;
    double ratedInputW = 0;
    double capacityM2 = 0.1;
    TemperatureRule temperature;
    std::vector<TypicalNumber> numbers;
    std::vector<TypicalNumber> overTheFire; ///< instead, in a zone that sees flame or coals
    Spread efficiency;                      ///< of a hob, into cold water
    double hotPlateShare = 1;               ///< of that, into a hot base
};
const TypicalKind& typicalKind(ApplianceKind kind);

/// Puts a number as what appliances of its kind usually give.
void putTypical(HeatField& field, FieldKey key, Spread s);

} // namespace dynamet::kitchen
