// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

#include <map>

namespace dynamet::plan {

/// How long an appliance took from cold until it had settled at a setting: of a preheat test.
struct RatedTime {
    kitchen::Setting setting;
    double seconds = 0;
    bool operator==(const RatedTime&) const = default;
};
using RatedTimes = std::map<std::string, std::vector<RatedTime>>; ///< by appliance

/// What makes an appliance ready.
enum class HeatWay { heat, lightCoals, lightFire, heatWater, heatOil, coolDown, burnDown };
const char* enumName(HeatWay way);

/// From one state to another: how long, whether a test of this appliance says so, and how long it
/// takes hands.
struct HeatUp {
    HeatWay way = HeatWay::heat;
    double seconds = 0;
    bool rated = false;
    double handsS = 60;
};

/// From the room's air, or from the setting it is at, to a setting. Where a test timed one setting,
/// time goes with the rise; else what its kind usually takes (from memory), and a bath by its
/// rated input. Cooling is exponential, with its kind's time constant or that of its burn-down
/// test. notFound for an unknown appliance.
Result<HeatUp> heatUp(const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                      const std::string& applianceId, const std::optional<kitchen::Setting>& from,
                      const kitchen::Setting& to);

} // namespace dynamet::plan
