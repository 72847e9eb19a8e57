// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/programmes.h"

#include "kitchen/open_lid.h"
#include "translate/handled.h"
#include "translate/room.h"
#include "translate/school_effects.h"

#include <fmt/format.h>

namespace dynamet::translate {
namespace {

/// Food that meets the same heat from below and above needs no turning.
bool facesDiffer(const kitchen::HeatField& field, const kitchen::Site& site) {
    return cook::boundaryOf(field, kitchen::Face::bottom, site) !=
           cook::boundaryOf(field, kitchen::Face::top, site);
}

/// Batter and what stands in a dish are never turned; dough only where it lies on what heats it.
bool staysPut(const food::Food& food, const kitchen::Appliance& on, const kitchen::Zone* zone) {
    switch (food.body) {
    case food::Body::solid:
        return false;
    case food::Body::dough:
        return !isHob(on.kind) && on.kind != kitchen::ApplianceKind::griddle &&
               !(zone && zone->direct);
    default:
        return true;
    }
}

Result<cook::Stage> stageOf(const Request& request, const recipe::Stage& written) {
    const recipe::Place& at = written.place;
    const auto* appliance = findAppliance(request.kitchen, at.applianceId);
    if (!appliance)
        return fail(Errc::notFound, Finding{"appliance_gone"});
    cook::Stage out;
    out.written = written;
    if (const auto* site = findSite(request.kitchen, appliance->siteId))
        out.site = *site;
    auto heat = handled(request, written, out.site);
    if (!heat)
        return tl::unexpected(heat.error());
    out.field = std::move(heat->field);
    out.changes = std::move(heat->changes);
    if (const auto room = roomAt(request.kitchen, request.recipe.piece, at))
        out.covered = room->covered;
    const auto* zone = findZone(*appliance, at.zone);
    if (!written.edgesDown && facesDiffer(out.field, out.site) &&
        !staysPut(request.recipe.piece.food, *appliance, zone))
        out.turning = hasTwoFaces(request.recipe.piece.shape) ? turningOf(request.schools)
                                                              : cook::Turning::rolled;
    if (!staysPut(request.recipe.piece.food, *appliance, zone))
        turnAs(out, written.handling.turning);
    out.heatId = appliance->name;
    if (appliance->zones.size() > 1)
        out.heatId += ", " + at.zone;
    return out;
}

/// All stages on their places, which the caller may have changed.
Result<cook::Programme> programmeOf(const Request& request,
                                    const std::vector<recipe::Stage>& stages) {
    cook::Programme out;
    out.stages.clear();
    for (const recipe::Stage& written : stages) {
        auto stage = stageOf(request, written);
        if (!stage)
            return tl::unexpected(
                stages.size() > 1 ? stage.error().in(fmt::format("stage {}", out.stages.size() + 1))
                                  : stage.error());
        out.stages.push_back(std::move(*stage));
    }
    out.rest = request.recipe.rest;
    return out;
}

} // namespace

Result<cook::Programme> programmeOfStages(const Request& request,
                                          const std::vector<recipe::Stage>& stages) {
    return programmeOf(request, stages);
}

Result<cook::Programme> writtenProgramme(const Request& request) {
    return programmeOf(request, request.recipe.stages);
}

std::vector<recipe::Stage> stagesFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting, double stageS,
                                     const Tried& tried) {
    const recipe::Place at = placeOn(request, target, setting);
    const auto* from = findAppliance(request.kitchen, movedFrom(request).applianceId);
    const auto* to = findAppliance(request.kitchen, target.applianceId);
    const bool known = from && to;
    std::vector<recipe::Stage> stages;
    if (request.moved) {
        stages = request.recipe.stages;
        if (stageS > 0)
            stages[*request.moved].end.afterS = stageS;
    } else { // of several stages nothing but the goal is left
        stages.resize(1);
        if (request.recipe.stages.size() == 1)
            stages.front().handling = request.recipe.last().handling;
    }
    recipe::Stage& moved = stages[request.moved.value_or(0)];
    moved.place = at;
    if (known)
        moved.handling = carriedOver(moved.handling, *from, *to);
    if (to)
        moved = withTried(std::move(moved), tried, to->kind);
    if (tried.lastS)
        stages.back().end = {*tried.lastS, std::nullopt};
    return stages;
}

Result<cook::Programme> programmeFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting, double stageS,
                                     const Tried& tried) {
    return programmeOf(request, stagesFor(request, target, setting, stageS, tried));
}

recipe::Place placeOn(const Request& request, const Target& target,
                      const kitchen::Setting& setting) {
    const auto* appliance = findAppliance(request.kitchen, target.applianceId);
    const recipe::Place& from = movedFrom(request);
    const bool own = target.applianceId == from.applianceId;
    return {target.applianceId,
            setting,
            target.zone,
            target.vesselId,
            from.lidOpen && appliance && kitchen::hasLid(appliance->kind),
            own ? from.insertId : "",
            own ? from.heightM : 0};
}

double writtenStageS(const Request& request) {
    return request.moved ? movedStage(request).end.afterS : 0;
}

std::optional<std::size_t> watchedStage(const cook::Programme& programme) {
    const auto& stages = programme.stages;
    if (!programme.endsByClock())
        return stages.size() - 1;
    for (std::size_t i = stages.size() - 1; i-- > 0;)
        if (stages[i].written.end.coreK && stages[i].written.end.afterS <= 0)
            return i;
    return std::nullopt;
}

cook::Programme upTo(cook::Programme programme, std::size_t stage) {
    if (stage + 1 >= programme.stages.size())
        return programme;
    programme.stages.resize(stage + 1);
    programme.last().written.end = {};
    return programme;
}

const kitchen::HeatField& movedField(const Request& request, const cook::Programme& programme) {
    const std::size_t last = programme.stages.size() - 1;
    return programme.stages[std::min(request.moved.value_or(last), last)].field;
}

const recipe::Stage& movedStage(const Request& request) {
    return request.moved ? request.recipe.stages[*request.moved] : request.recipe.last();
}

const recipe::Place& movedFrom(const Request& request) {
    return movedStage(request).place;
}

bool lastMoves(const Request& request) {
    return !request.moved || *request.moved + 1 == request.recipe.stages.size();
}

const kitchen::Site* lastSite(const Request& request, const Target& target) {
    const auto* appliance = findAppliance(
        request.kitchen,
        lastMoves(request) ? target.applianceId : request.recipe.last().place.applianceId);
    return appliance ? findSite(request.kitchen, appliance->siteId) : nullptr;
}

std::vector<Target> allTargets(const Request& request) {
    const recipe::Place& from = movedFrom(request);
    const auto* fromAppliance = findAppliance(request.kitchen, from.applianceId);
    const bool fromHob = fromAppliance && isHob(fromAppliance->kind);
    std::vector<Target> out;
    for (const kitchen::Appliance& appliance : request.kitchen.appliances)
        for (const kitchen::Zone& zone : appliance.zones) {
            const bool own = appliance.id == from.applianceId;
            Target target{appliance.id, zone.name, ""};
            if (!isHob(appliance.kind) && !fromHob &&
                groupOf(appliance.kind) != kitchen::HeatGroup::waterAndOil)
                target.vesselId = from.vesselId; // what it lies in goes with it
            if (isHob(appliance.kind))
                target.vesselId =
                    own && !from.vesselId.empty() ? from.vesselId : appliance.standardVesselId;
            if (own && zone.name == from.zone)
                out.insert(out.begin(), target);
            else
                out.push_back(target);
        }
    return out;
}

} // namespace dynamet::translate
