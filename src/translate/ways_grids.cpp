// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What methods an appliance can do, and at which settings.
#include "kitchen/dial.h"
#include "kitchen/hob_use.h"
#include "translate/cook_row.h"
#include "translate/holding.h"

#include <algorithm>
#include <map>
#include <span>

namespace dynamet::translate {
namespace {

using kitchen::ApplianceKind;
using kitchen::Setting;

constexpr std::size_t kMostSettings = 7; ///< of a stage, evenly by their heat
constexpr double kSearsK = 453.15;       ///< a plate cooler than 180 °C does not sear
constexpr double kSearMinutes[]{1, 2, 3, 5, 8, 12};
constexpr double kGentleMinutes[]{5, 10, 20, 40};
constexpr double kBelowGoalK[]{2, 4, 7, 11, 16, 24};

recipe::StageEnd afterMinutes(double minutes) {
    recipe::StageEnd out;
    out.afterS = 60 * minutes;
    return out;
}
recipe::StageEnd atCore(double kelvin) {
    recipe::StageEnd out;
    out.coreK = kelvin;
    return out;
}

/// How hot a place is at a setting: a pan as hot as the cook holds it, else what it is shown by.
double heatOf(const kitchen::Kitchen& kitchen, const kitchen::Appliance& appliance,
              const recipe::Place& place) {
    for (std::size_t i = 0; i < appliance.controls.size(); ++i)
        if (appliance.controls[i].kind == kitchen::ControlKind::preheat)
            if (const auto* held = std::get_if<double>(&place.setting.values[i]))
                return kitchen::dialTemperature(appliance.controls[i], *held).kelvin();
    const auto field =
        fieldAt(kitchen, place.applianceId, place.setting, place.zone, place.vesselId);
    return field ? representative(*field, 293.15).kelvin : 0;
}

/// A place at some of its settings from a heat on, cooler ones first; of those alike in heat the
/// one with the strongest burner.
std::vector<recipe::Stage> settingsAt(const kitchen::Kitchen& kitchen, recipe::Place place,
                                      double fromK = 0) {
    const auto* appliance = findAppliance(kitchen, place.applianceId);
    std::map<double, Setting> byHeat;
    for (const Setting& setting : possibleSettings(kitchen::settable(*appliance), 9, 120)) {
        place.setting = setting;
        const double heat = heatOf(kitchen, *appliance, place);
        if (heat < fromK)
            continue;
        const auto [at, fresh] = byHeat.emplace(heat, setting);
        if (!fresh &&
            kitchen::inputOf(*appliance, setting) > kitchen::inputOf(*appliance, at->second))
            at->second = setting;
    }
    std::vector<Setting> all;
    for (const auto& [heat, setting] : byHeat)
        all.push_back(setting);
    std::vector<recipe::Stage> out;
    const std::size_t count = std::min(kMostSettings, all.size());
    for (std::size_t i = 0; i < count; ++i) {
        place.setting = all[count > 1 ? i * (all.size() - 1) / (count - 1) : 0];
        recipe::Stage stage;
        stage.place = place;
        out.push_back(stage);
    }
    return out;
}

std::vector<recipe::StageEnd> minutes(std::span<const double> list) {
    std::vector<recipe::StageEnd> out;
    for (const double one : list)
        out.push_back(afterMinutes(one));
    return out;
}

/// Cores below the goal at which a gentle first stage is left.
std::vector<recipe::StageEnd> coresBelow(const Prepared& prepared) {
    const recipe::Recipe& recipe = prepared.request.recipe;
    std::vector<recipe::StageEnd> out;
    for (const double below : kBelowGoalK)
        if (const double at = recipe.goal.coreK - below; at > recipe.piece.startK + 3)
            out.push_back(atCore(at));
    return out;
}

bool isSearing(const kitchen::Appliance& appliance) {
    return isHob(appliance.kind) || appliance.kind == ApplianceKind::griddle ||
           appliance.kind == ApplianceKind::coalChimney;
}

/// The first place of the kitchen, other than the target's appliance, that sears what it can hold.
std::optional<recipe::Place> searingPlace(const Prepared& prepared, const Target& target) {
    const Request& request = prepared.request;
    for (const kitchen::Appliance& appliance : request.kitchen.appliances) {
        if (!isSearing(appliance) || appliance.id == target.applianceId)
            continue;
        const kitchen::Zone& zone = appliance.zones.front();
        const Target there{appliance.id, zone.name,
                           isHob(appliance.kind) ? appliance.standardVesselId : ""};
        if (isHob(appliance.kind) && there.vesselId.empty())
            continue;
        recipe::Place place;
        place.applianceId = there.applianceId;
        place.zone = there.zone;
        place.vesselId = there.vesselId;
        return place;
    }
    return std::nullopt;
}

bool holds(const Request& request, const kitchen::Appliance& appliance, const Target& target) {
    const auto* zone = findZone(appliance, target.zone);
    return zone &&
           whyNotHeld(request.recipe.piece, request.recipe.goal.coreK, appliance, *zone).empty();
}

bool canBeColoured(const food::Food& food) {
    return food.body == food::Body::solid;
}

recipe::Place placeOf(const Target& target) {
    recipe::Place out;
    out.applianceId = target.applianceId;
    out.zone = target.zone;
    out.vesselId = target.vesselId;
    return out;
}

} // namespace

std::vector<recipe::Stage> WayGrid::stagesAt(std::size_t firstAt, std::size_t lastAt,
                                             std::size_t over) const {
    std::vector<recipe::Stage> out{first[firstAt], last[lastAt]};
    out.front().end = changeOver[over];
    return out;
}

std::vector<WayGrid> waysGrids(const Prepared& prepared, const Target& target) {
    const Request& request = prepared.request;
    const kitchen::Kitchen& kitchen = request.kitchen;
    const auto* appliance = findAppliance(kitchen, target.applianceId);
    std::vector<WayGrid> out;
    if (!appliance || !holds(request, *appliance, target))
        return out;
    const food::Food& food = request.recipe.piece.food;
    const auto here = settingsAt(kitchen, placeOf(target));
    const auto sears = minutes(kSearMinutes);
    const auto below = coresBelow(prepared);
    const bool fryer = appliance->kind == ApplianceKind::deepFryer;
    const bool bath = appliance->kind == ApplianceKind::waterBath;
    if (fryer)
        out.push_back({Method::coolThenHotOil, here, here, sears, -1});
    if (!fryer && !bath && here.size() > 1) {
        out.push_back({Method::hotThenSlow, here, here, sears, 1});
        out.push_back({Method::slowThenHot, here, here, below, -1});
    }
    for (const kitchen::Zone& zone : appliance->zones) { // over the fire and beside it
        const auto* own = findZone(*appliance, target.zone);
        if (!own || zone.direct == own->direct || own->direct)
            continue;
        Target over = target;
        over.zone = zone.name;
        const auto fire = settingsAt(kitchen, placeOf(over));
        out.push_back({Method::twoZones, fire, here, sears});
        out.push_back({Method::zonesBack, here, fire, below});
        break;
    }
    if (const auto sear = searingPlace(prepared, target);
        sear && canBeColoured(food) && !isSearing(*appliance) && !fryer) {
        const auto hot = settingsAt(kitchen, *sear, kSearsK);
        if (!bath)
            out.push_back({Method::searThenHere, hot, here, sears});
        out.push_back({Method::hereThenSear, here, hot, below});
    }
    const bool plate = isSearing(*appliance) && appliance->kind != ApplianceKind::coalChimney;
    if (plate || food::seenFromAbove(food)) {
        auto covered = here;
        for (recipe::Stage& stage : covered)
            stage.handling.cover =
                food::seenFromAbove(food) ? recipe::Cover::foil : recipe::Cover::lid;
        if (!fryer && !bath)
            out.push_back(
                {Method::coveredThenOpen, covered, here, plate ? sears : minutes(kGentleMinutes)});
    }
    return out;
}

} // namespace dynamet::translate
