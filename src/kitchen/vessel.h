// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>

namespace dynamet::kitchen {

/// Words are kept in books: only ever append.
enum class VesselKind { pot, pan, tray, rack, lid, basket, board, dish, ridgedPan };
const char* enumName(VesselKind kind);

/// At most so many of one vessel.
inline constexpr int kMostAlike = 12;

/// What holds the food. SI; part of the test, the field and the recipe.
struct Vessel {
    std::string id;
    std::string name;
    VesselKind kind = VesselKind::pan;
    std::string material = "steel"; ///< key of the materials table
    double massKg = 1.5;
    double specificHeatJPerKgK = 475;
    double baseDiameterM = 0.24;
    double baseThicknessM = 0.003;
    double emissivity = 0.8;
    std::optional<double> highestTemperatureK; ///< non-stick, plastic, glass
    int count = 1;                             ///< how many like it there are
    bool operator==(const Vessel&) const = default;
};

double baseAreaM2(const Vessel& vessel);
/// Heat capacity of the vessel per area of its base, J/m²K.
double heatCapacityPerArea(const Vessel& vessel);

enum class InsertKind { none, plate, raisedGrate, deflector, waterTrough, stone };
const char* enumName(InsertKind kind);

/// A part that is put in or taken out and makes a different heat of it.
struct Insert {
    std::string id;
    std::string name;
    InsertKind kind = InsertKind::none;
    bool operator==(const Insert&) const = default;
};

} // namespace dynamet::kitchen
