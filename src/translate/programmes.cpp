// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/programmes.h"

#include "kitchen/open_lid.h"
#include "translate/school_effects.h"

#include <fmt/format.h>

namespace dynamet::translate {
namespace {

/// Food that meets the same heat from below and above needs no turning.
bool facesDiffer(const kitchen::HeatField& field, const kitchen::Site& site) {
    return cook::boundaryOf(field, kitchen::Face::bottom, site) !=
           cook::boundaryOf(field, kitchen::Face::top, site);
}

/// One place at a setting, with the book's schools.
struct Placed {
    kitchen::HeatField field;
    kitchen::Site site;
    cook::Turning turning = cook::Turning::never;
    std::string heat;
};

Result<Placed> placed(const Request& request, const Reference& at) {
    auto field = fieldAt(request.kitchen, at.applianceId, at.setting, at.zone, at.vesselId);
    if (!field)
        return tl::unexpected(field.error());
    Placed out;
    out.field = std::move(*field);
    const auto* appliance = findAppliance(request.kitchen, at.applianceId);
    if (const auto* site = findSite(request.kitchen, appliance->siteId))
        out.site = *site;
    const auto* zone = findZone(*appliance, at.zone);
    if (at.lidOpen && hasLid(appliance->kind))
        out.field =
            withLidOpen(std::move(out.field), zone && zone->direct, out.site.ambient.kelvin());
    const double touch = contactFactor(request.schools);
    for (kitchen::FieldNumber& number : out.field.numbers)
        if (number.key.term == kitchen::Term::contact) {
            number.value *= touch;
            number.u *= touch;
        }
    if (facesDiffer(out.field, out.site))
        out.turning =
            hasTwoFaces(request.piece.shape) ? turningOf(request.schools) : cook::Turning::rolled;
    out.heat = appliance->name;
    if (appliance->zones.size() > 1)
        out.heat += ", " + at.zone;
    return out;
}

Result<cook::Stage> stageOf(const Request& request, const WrittenStage& written) {
    auto here = placed(request, written.place);
    if (!here)
        return tl::unexpected(here.error());
    cook::Stage out;
    out.field = std::move(here->field);
    out.site = std::move(here->site);
    out.heat = std::move(here->heat);
    out.endsAfterS = written.endsAfterS;
    out.endsAtCoreK = written.endsAtCoreK;
    out.edgesDown = written.edgesDown;
    out.turning = written.edgesDown ? cook::Turning::never : here->turning;
    out.waitS = written.waitS;
    out.waitTented = written.waitTented;
    return out;
}

/// All stages on their places, which the caller may have changed.
Result<cook::Programme> staged(const Request& request, const std::vector<WrittenStage>& before,
                               const Reference& last, double lastForS) {
    cook::Programme out;
    for (std::size_t i = 0; i < before.size(); ++i) {
        auto stage = stageOf(request, before[i]);
        if (!stage)
            return tl::unexpected(stage.error().in(fmt::format("stage {}", i + 1)));
        out.before.push_back(std::move(*stage));
    }
    auto here = placed(request, last);
    if (!here)
        return tl::unexpected(here.error());
    out.field = std::move(here->field);
    out.site = std::move(here->site);
    out.turning = here->turning;
    out.heat = std::move(here->heat);
    out.rest = request.rest;
    out.lastForS = lastForS;
    return out;
}

} // namespace

Result<cook::Programme> writtenProgramme(const Request& request) {
    return staged(request, request.before, request.reference, request.lastForS);
}

Result<cook::Programme> programmeFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting, double stageS) {
    const Reference at = placeOn(request, target, setting);
    if (!request.moved)
        return staged(request, {}, at, 0);
    auto before = request.before;
    if (*request.moved >= before.size())
        return staged(request, before, at, stageS > 0 ? stageS : request.lastForS);
    WrittenStage& moved = before[*request.moved];
    moved.place = at;
    if (stageS > 0)
        moved.endsAfterS = stageS;
    return staged(request, before, request.reference, request.lastForS);
}

Reference placeOn(const Request& request, const Target& target, const kitchen::Setting& setting) {
    const auto* appliance = findAppliance(request.kitchen, target.applianceId);
    return {target.applianceId, setting, target.zone, target.vesselId,
            movedFrom(request).lidOpen && appliance && kitchen::hasLid(appliance->kind)};
}

double writtenStageS(const Request& request) {
    if (!request.moved)
        return 0;
    return *request.moved < request.before.size() ? request.before[*request.moved].endsAfterS
                                                  : request.lastForS;
}

std::optional<std::size_t> watchedStage(const cook::Programme& programme) {
    if (programme.lastForS <= 0)
        return programme.before.size();
    for (std::size_t i = programme.before.size(); i-- > 0;)
        if (programme.before[i].endsAtCoreK && programme.before[i].endsAfterS <= 0)
            return i;
    return std::nullopt;
}

cook::Programme upTo(cook::Programme programme, std::size_t stage) {
    if (stage >= programme.before.size())
        return programme;
    cook::Stage& last = programme.before[stage];
    programme.field = std::move(last.field);
    programme.site = std::move(last.site);
    programme.turning = last.turning;
    programme.turnAtS = last.turnAtS;
    programme.heat = std::move(last.heat);
    programme.lastForS = 0;
    programme.before.resize(stage);
    return programme;
}

const kitchen::HeatField& movedField(const Request& request, const cook::Programme& programme) {
    const bool early = request.moved && *request.moved < programme.before.size();
    return early ? programme.before[*request.moved].field : programme.field;
}

const Reference& movedFrom(const Request& request) {
    return request.moved && *request.moved < request.before.size()
               ? request.before[*request.moved].place
               : request.reference;
}

const kitchen::Site* lastSite(const Request& request, const Target& target) {
    const bool lastMoves = !request.moved || *request.moved >= request.before.size();
    const auto* appliance = findAppliance(
        request.kitchen, lastMoves ? target.applianceId : request.reference.applianceId);
    return appliance ? findSite(request.kitchen, appliance->siteId) : nullptr;
}

std::vector<Target> allTargets(const Request& request) {
    const Reference& from = movedFrom(request);
    std::vector<Target> out;
    for (const kitchen::Appliance& appliance : request.kitchen.appliances)
        for (const kitchen::Zone& zone : appliance.zones) {
            const bool own = appliance.id == from.applianceId;
            Target target{appliance.id, zone.name, ""};
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
