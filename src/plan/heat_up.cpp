// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/heat_up.h"

#include <algorithm>
#include <cmath>

namespace dynamet::plan {
namespace {

using kitchen::ApplianceKind;

/// What a kind usually takes, from memory: from cold to its usual heat, K above the room; how it
/// cools; hands to get it going. Common practice, no source.
struct Usual {
    HeatWay way = HeatWay::heat;
    double heatsS = 900, riseK = 180, coolsS = 1500, handsS = 60;
};

Usual usualOf(ApplianceKind kind) {
    switch (kind) {
    case ApplianceKind::gasHob:
    case ApplianceKind::inductionHob:
    case ApplianceKind::portableBurner:
        return {HeatWay::heat, 240, 180, 240, 60};
    case ApplianceKind::radiantHob:
        return {HeatWay::heat, 360, 180, 500, 60};
    case ApplianceKind::solidPlateHob:
        return {HeatWay::heat, 540, 180, 900, 60};
    case ApplianceKind::griddle:
        return {HeatWay::heat, 1200, 190, 1200, 60};
    case ApplianceKind::stillOven:
        return {HeatWay::heat, 1200, 180, 1800, 60};
    case ApplianceKind::fanOven:
        return {HeatWay::heat, 900, 180, 1200, 60};
    case ApplianceKind::combiOven:
        return {HeatWay::heat, 600, 180, 900, 60};
    case ApplianceKind::countertopOven:
        return {HeatWay::heat, 600, 180, 900, 60};
    case ApplianceKind::airFryer:
        return {HeatWay::heat, 240, 180, 400, 60};
    case ApplianceKind::woodOven:
        return {HeatWay::lightFire, 5400, 280, 14400, 480};
    case ApplianceKind::ironOven:
        return {HeatWay::lightCoals, 2100, 160, 2400, 300};
    case ApplianceKind::gasGrill:
        return {HeatWay::heat, 900, 200, 700, 60};
    case ApplianceKind::charcoalKettle:
        return {HeatWay::lightCoals, 2100, 200, 2400, 300};
    case ApplianceKind::coveredCeramicGrill:
        return {HeatWay::lightCoals, 2400, 150, 4800, 300};
    case ApplianceKind::pelletGrill:
        return {HeatWay::heat, 1200, 180, 1500, 120};
    case ApplianceKind::coalChimney:
        return {HeatWay::lightCoals, 1200, 600, 1800, 300};
    case ApplianceKind::waterBath:
        return {HeatWay::heatWater, 2400, 35, 36000, 180};
    case ApplianceKind::deepFryer:
        return {HeatWay::heatOil, 900, 155, 7200, 120};
    }
    return {};
}

/// An 18 litre bath, from memory; it warms with what its heater gives.
constexpr double kBathJ_K = 18 * 4186;
/// Nearer than this is there: no dial tells it.
constexpr double kThereK = 4;
/// An own time constant of cooling at least so far above the room, K.
constexpr double kCoolsToK = 8;
constexpr double kShortestS = 60;

double kelvinOf(const kitchen::Kitchen& kitchen, const kitchen::Appliance& on,
                const kitchen::Setting& setting, double ambientK) {
    double out = ambientK;
    for (const kitchen::Zone& zone : on.zones)
        if (const auto field = fieldAt(kitchen, on.id, setting, zone.name))
            out = std::max(out, representative(*field, ambientK).kelvin);
    return out;
}

/// A wood oven's own slow time constant: its burn-down curve falls as slowly as the last of it
/// does.
std::optional<double> measuredCooling(const kitchen::Kitchen& kitchen, const std::string& id) {
    const auto rated = kitchen.rated.find(id);
    if (rated == kitchen.rated.end())
        return std::nullopt;
    for (const kitchen::RatedNumber& number : rated->second)
        if (number.curve && number.curve->timeS.size() > 2) {
            const auto& t = number.curve->timeS;
            const auto& change = number.curve->change;
            const double fallen = change.front() - change.back(),
                         above = number.number.value - 293.15;
            if (fallen > 10 && above > fallen)
                return (t.back() - t.front()) / std::log(above / (above - fallen));
        }
    return std::nullopt;
}

} // namespace

const char* enumName(HeatWay way) {
    switch (way) {
    case HeatWay::heat:
        return "heat";
    case HeatWay::lightCoals:
        return "light_coals";
    case HeatWay::lightFire:
        return "light_fire";
    case HeatWay::heatWater:
        return "heat_water";
    case HeatWay::heatOil:
        return "heat_oil";
    case HeatWay::coolDown:
        return "cool_down";
    case HeatWay::burnDown:
        return "burn_down";
    }
    return "heat";
}

Result<HeatUp> heatUp(const kitchen::Kitchen& kitchen, const RatedTimes& rated,
                      const std::string& applianceId, const std::optional<kitchen::Setting>& from,
                      const kitchen::Setting& to) {
    const auto* on = findAppliance(kitchen, applianceId);
    if (!on)
        return fail(Errc::notFound, "no appliance " + applianceId);
    const auto* site = findSite(kitchen, on->siteId);
    const double ambientK = site ? site->ambient.kelvin() : 293.15;
    const Usual usual = usualOf(on->kind);
    const double toK = kelvinOf(kitchen, *on, to, ambientK);
    const double fromK = from ? kelvinOf(kitchen, *on, *from, ambientK) : ambientK;
    HeatUp out{usual.way, 0, false, from ? kShortestS : usual.handsS};
    if (fromK - toK > kThereK) {
        const bool fire = usual.way == HeatWay::lightFire || usual.way == HeatWay::lightCoals;
        out.way = fire ? HeatWay::burnDown : HeatWay::coolDown;
        const auto own = measuredCooling(kitchen, on->id);
        const double above = std::max(toK - ambientK, kCoolsToK);
        out.rated = own.has_value();
        out.seconds =
            own.value_or(usual.coolsS) * std::log(std::max(fromK - ambientK, above) / above);
        return out;
    }
    const double rise = std::max(0.0, toK - fromK);
    if (rise < kThereK && from)
        return out;
    if (!from && (usual.way == HeatWay::lightFire || usual.way == HeatWay::lightCoals)) {
        // Fuel takes its own time to light through; less heat than that is waited for.
        const auto own = measuredCooling(kitchen, on->id);
        out.seconds = usual.heatsS;
        if (rise > kCoolsToK && rise < usual.riseK && usual.way == HeatWay::lightFire)
            out.seconds += own.value_or(usual.coolsS) * std::log(usual.riseK / rise);
        return out;
    }
    double perK = usual.heatsS / usual.riseK;
    if (on->kind == ApplianceKind::waterBath && on->ratedInputW > 0)
        perK = kBathJ_K / on->ratedInputW;
    double nearest = 1e9;
    if (const auto own = rated.find(applianceId); own != rated.end())
        for (const RatedTime& one : own->second) {
            const double risen = kelvinOf(kitchen, *on, one.setting, ambientK) - ambientK;
            if (risen < 20 || one.seconds <= 0 || std::abs(risen - (toK - ambientK)) >= nearest)
                continue;
            nearest = std::abs(risen - (toK - ambientK));
            perK = one.seconds / risen;
            out.rated = true;
        }
    else if (on->settlingTimeS > 0 && !from) {
        out.seconds = on->settlingTimeS;
        return out;
    }
    out.seconds = std::max(kShortestS, perK * rise);
    if (!from && !out.rated && usual.way != HeatWay::heatWater)
        out.seconds = std::max(out.seconds, 0.6 * usual.heatsS);
    return out;
}

} // namespace dynamet::plan
