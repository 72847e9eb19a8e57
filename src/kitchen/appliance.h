// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/setting.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::kitchen {

/// Kinds of appliance; their words are kept in books: only ever append.
enum class ApplianceKind {
    gasHob,
    radiantHob,
    solidPlateHob,
    inductionHob,
    portableBurner,
    griddle,
    stillOven,
    fanOven,
    combiOven,
    countertopOven,
    woodOven,
    ironOven,
    airFryer,
    gasGrill,
    charcoalKettle,
    coveredCeramicGrill,
    pelletGrill,
    coalChimney,
    waterBath,
    deepFryer
};
const char* enumName(ApplianceKind kind);
std::optional<ApplianceKind> applianceKind(const std::string& word);
/// "Still oven": how a cook names the kind.
const char* kindName(ApplianceKind kind);
const std::vector<ApplianceKind>& allKinds();

/// How heat gets in; the groups of the line-up.
enum class HeatGroup { plates, air, coalsAndFlame, waterAndOil };
HeatGroup groupOf(ApplianceKind kind);
const char* groupName(HeatGroup group);
/// Hobs are rated in watts into a vessel; their food sees the vessel's base.
bool isHob(ApplianceKind kind);

/// A place for food: over the flame or beside it, a shelf, a spot of a plate.
struct Zone {
    std::string name;
    bool direct = false; ///< sees flame, coals or a lit burner from below
    bool operator==(const Zone&) const = default;
};

/// What a hob's own electronics do to it. SI; 0 = nothing.
struct HobLimits {
    double boostS = 0;       ///< its highest mark lasts so long, then the one before it
    double panLimitK = 0;    ///< it gives nothing to a pan hotter than this
    double sharedInputW = 0; ///< what it and the zone beside it have together
    bool operator==(const HobLimits&) const = default;
};

/// One appliance of the kitchen. SI. `standardVesselId` is the vessel hobs are shown with.
struct Appliance {
    std::string id;
    std::string name;
    ApplianceKind kind = ApplianceKind::stillOven;
    std::string siteId;
    std::vector<Control> controls;
    std::vector<Zone> zones;
    double ratedInputW = 0;
    double capacityM2 = 0.1; ///< area that food can take
    std::string standardVesselId;
    std::string assetNumber;
    std::string notes;
    double settlingTimeS = 0; ///< 0 = not known
    HobLimits hob;
    bool operator==(const Appliance&) const = default;
};

/// The zone of that name; nullptr when there is none.
const Zone* findZone(const Appliance& appliance, const std::string& name);

} // namespace dynamet::kitchen
