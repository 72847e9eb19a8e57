// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/handled.h"

#include "kitchen/covered.h"
#include "kitchen/crowded.h"
#include "kitchen/grate_height.h"
#include "kitchen/hob_use.h"
#include "kitchen/laid_in.h"
#include "kitchen/moved_by_hand.h"
#include "kitchen/open_lid.h"
#include "translate/room.h"
#include "translate/school_effects.h"

#include <algorithm>

namespace dynamet::translate {
namespace {

using kitchen::HeatField;
using recipe::Move;

constexpr int kMostTimes = 720; ///< that a step happens again
constexpr double kLongestS = 12 * 3600;

/// What stands, lies and is set at a moment of a stage.
struct State {
    kitchen::Setting setting;
    std::string zone;
    recipe::Cover cover = recipe::Cover::none;
    bool lidOpen = false, heatOff = false, away = false, doorOpen = false;
    bool pressed = false, basted = false;
};

const kitchen::CoverHeat& heatOf(recipe::Cover cover) {
    return cover == recipe::Cover::lid    ? kitchen::kLid
           : cover == recipe::Cover::dome ? kitchen::kDome
                                          : kitchen::kFoil;
}

bool ratedWith(const Request& request, const recipe::Place& place, const std::string& zone) {
    const auto rated = request.kitchen.rated.find(place.applianceId);
    return rated != request.kitchen.rated.end() &&
           std::any_of(rated->second.begin(), rated->second.end(), [&](const auto& r) {
               return r.zone == zone && r.insertId == place.insertId;
           });
}

kitchen::InsertKind insertOf(const Request& request, const std::string& id) {
    for (const kitchen::Insert& insert : request.kitchen.inserts)
        if (insert.id == id)
            return insert.kind;
    return kitchen::InsertKind::none;
}

/// The hob's own ways with its pan.
HeatField onHob(HeatField field, const Request& request, const recipe::Place& at, const State& now,
                const kitchen::Appliance& hob) {
    if (const auto after = kitchen::afterBoost(hob, now.setting))
        if (const auto then = fieldAt(request.kitchen, hob.id, *after, now.zone, at.vesselId))
            field = kitchen::withBoostEnding(std::move(field), *then, hob.hob.boostS);
    field = kitchen::withHeldPan(std::move(field));
    if (hob.hob.panLimitK > 0)
        field = kitchen::withPanLimit(std::move(field), hob.hob.panLimitK);
    return field;
}

Result<HeatField> fieldIn(const Request& request, const recipe::Stage& written, const State& now,
                          const kitchen::Site& site) {
    const recipe::Place& at = written.place;
    const auto* appliance = findAppliance(request.kitchen, at.applianceId);
    const bool hob = appliance && isHob(appliance->kind);
    const bool withIt = !at.insertId.empty() && ratedWith(request, at, now.zone);
    auto field = fieldAt(request.kitchen, at.applianceId, now.setting, now.zone, at.vesselId,
                         withIt ? at.insertId : "");
    if (!field || !appliance)
        return field;
    const auto* zone = findZone(*appliance, now.zone);
    if (!at.insertId.empty())
        *field = kitchen::withInsert(std::move(*field), insertOf(request, at.insertId));
    if (now.lidOpen && hasLid(appliance->kind))
        *field =
            kitchen::withLidOpen(std::move(*field), zone && zone->direct, site.ambient.kelvin());
    if (hob)
        *field = onHob(std::move(*field), request, at, now, *appliance);
    else if (const auto* vessel = findVessel(request.kitchen, at.vesselId))
        *field = kitchen::laidIn(std::move(*field), *vessel, site.ambient.kelvin());
    if (zone && hasGrateOverCoals(*appliance, *zone))
        *field = kitchen::atGrateHeight(std::move(*field), at.heightM);
    if (const auto room = roomAt(request.kitchen, request.recipe.piece, at))
        *field = kitchen::crowded(std::move(*field), room->covered);
    const double touch = contactFactor(request.schools) * (now.pressed ? kitchen::kPressed : 1);
    for (kitchen::FieldNumber& number : field->numbers)
        if (number.key.term == kitchen::Term::contact) {
            number.value *= touch;
            number.u *= touch;
        }
    if (now.heatOff)
        *field = kitchen::withHeatOff(std::move(*field), site);
    if (now.doorOpen)
        *field = kitchen::withDoorOpen(std::move(*field), site);
    if (now.basted)
        *field = kitchen::basted(std::move(*field), site);
    if (now.cover != recipe::Cover::none) {
        kitchen::CoverHeat cover = heatOf(now.cover);
        cover.wet = written.handling.waterAdded;
        *field = kitchen::withCover(std::move(*field), cover, site);
    }
    if (now.away)
        *field = kitchen::awayFromHeat(std::move(*field), site);
    return field;
}

/// A step at its moment, or the end of one that lasts.
struct Moment {
    double atS;
    const recipe::Step* step;
    bool ends;
};

std::vector<Moment> momentsOf(const std::vector<recipe::Step>& steps) {
    std::vector<Moment> out;
    for (const recipe::Step& step : steps) {
        const int times = step.again && step.atS > 0 ? kMostTimes : 1;
        for (int i = 1; i <= times && i * step.atS <= kLongestS; ++i) {
            out.push_back({i * step.atS, &step, false});
            if (step.forS > 0)
                out.push_back({i * step.atS + step.forS, &step, true});
        }
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Moment& a, const Moment& b) { return a.atS < b.atS; });
    return out;
}

/// Takes the step into the state; false when no heat changes by it.
bool take(State& now, const Moment& moment, const recipe::Place& begun) {
    const recipe::Step& step = *moment.step;
    const bool on = !moment.ends;
    switch (step.move) {
    case Move::setTo:
        now.heatOff = on ? !step.setting : false;
        if (on && step.setting)
            now.setting = *step.setting;
        return true;
    case Move::toZone:
        now.zone = now.zone == step.zone && step.again ? begun.zone : step.zone;
        return true;
    case Move::press:
        now.pressed = on;
        return true;
    case Move::baste:
        now.basted = on;
        return true;
    case Move::offHeat:
        now.away = on;
        return true;
    case Move::cover:
        now.cover = step.cover;
        return true;
    case Move::uncover:
        now.cover = recipe::Cover::none;
        return true;
    case Move::openLid:
    case Move::closeLid:
        now.lidOpen = (step.move == Move::openLid) == on;
        return true;
    case Move::openDoor:
        now.doorOpen = on;
        return true;
    case Move::quarterTurn:
    case Move::shake:
    case Move::turnOver:
        return false;
    }
    return false;
}

} // namespace

Result<Handled> handled(const Request& request, const recipe::Stage& written,
                        const kitchen::Site& site) {
    State now{written.place.setting, written.place.zone, written.handling.cover,
              written.place.lidOpen};
    auto field = fieldIn(request, written, now, site);
    if (!field)
        return tl::unexpected(field.error());
    Handled out{std::move(*field), {}};
    for (const Moment& moment : momentsOf(written.handling.steps)) {
        cook::Change change;
        change.atS = moment.atS;
        if (take(now, moment, written.place)) {
            auto next = fieldIn(request, written, now, site);
            if (!next)
                return tl::unexpected(next.error());
            change.field = std::move(*next);
        }
        change.newCourse = moment.step->move == Move::setTo;
        change.quarterTurn = moment.step->move == Move::quarterTurn;
        change.turned = moment.step->move == Move::shake || moment.step->move == Move::turnOver;
        out.changes.push_back(std::move(change));
    }
    return out;
}

recipe::Handling carriedOver(const recipe::Handling& handling, const kitchen::Appliance& from,
                             const kitchen::Appliance& to) {
    if (from.id == to.id)
        return handling;
    recipe::Handling out = handling;
    const bool liquid = groupOf(to.kind) == kitchen::HeatGroup::waterAndOil;
    if (liquid)
        out.cover = recipe::Cover::none;
    if (out.turning.when == recipe::TurnWhen::after) // its minutes are the other heat's
        out.turning = {recipe::TurnWhen::half, 0, 0};
    std::erase_if(out.steps, [&](const recipe::Step& step) {
        const bool ofTheFood = step.move == Move::shake || step.move == Move::quarterTurn ||
                               (step.move == Move::baste && !liquid);
        return !step.again || !ofTheFood;
    });
    return out;
}

void turnAs(cook::Stage& stage, const recipe::Turning& turning) {
    using enum recipe::TurnWhen;
    if (turning.when == asUsual || stage.turning == cook::Turning::rolled)
        return;
    stage.turning = turning.when == every                              ? cook::Turning::often
                    : turning.when == never || turning.when == leaving ? cook::Turning::never
                                                                       : cook::Turning::once;
    if (turning.when == every)
        stage.everyS = turning.seconds;
    if (turning.when == after)
        stage.turnAtS = turning.seconds;
    if (turning.when == atCore)
        stage.turnAtCoreK = turning.coreK;
    stage.turnsAsItLeaves = turning.when == leaving;
}

} // namespace dynamet::translate
