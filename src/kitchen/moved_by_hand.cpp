// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/moved_by_hand.h"

#include "kitchen/field_change.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kCoolsS = 1200, kCoolsForS = 4 * 3600, kCurveS = 120; ///< an oven turned off
constexpr double kDoorAir = 0.6, kDoorAirU = 0.15, kDoorWalls = 0.95;
constexpr double kSpooned = 60, kSpoonedU = 25; ///< W/m²K over the time: it runs off again
constexpr double kHottestSpoonK = 473.15, kBelowBoilingK = 5;
constexpr double kRoomAir = 7, kRoomAirU = 2;

void forget(HeatField& field, Term term) {
    forgetWhere(field, [term](const FieldKey& key) { return key.term == term; });
}

bool hasBurner(const HeatField& field) {
    return seenBy(field, Face::bottom, Term::plateFlux) != nullptr;
}

bool isAirOrGlow(Term term) {
    return term == Term::air || term == Term::radiant || term == Term::radiant2 ||
           term == Term::plateAmbient || term == Term::liquid;
}

} // namespace

HeatField withHeatOff(HeatField field, const Site& site) {
    if (hasBurner(field)) {
        forget(field, Term::plateFlux);
        forget(field, Term::plateSet);
        return field;
    }
    const double ambientK = site.ambient.kelvin();
    for (const FieldNumber& number : field.numbers) {
        if (!isAirOrGlow(number.key.term) || number.value <= ambientK)
            continue;
        std::erase_if(field.curves, [&](const FieldCurve& c) { return c.key == number.key; });
        FieldCurve cooling{number.key, {}, {}, "turned off"};
        for (double t = 0; t <= kCoolsForS; t += kCurveS) {
            cooling.timeS.push_back(t);
            cooling.change.push_back((number.value - ambientK) * std::expm1(-t / kCoolsS));
        }
        field.curves.push_back(std::move(cooling));
    }
    return field;
}

HeatField withDoorOpen(HeatField field, const Site& site) {
    const double ambientK = site.ambient.kelvin();
    for (FieldNumber& number : field.numbers) {
        const double rise = number.value - ambientK;
        if (number.key.term == Term::air) {
            number.value = ambientK + kDoorAir * rise;
            number.u = std::hypot(number.u, kDoorAirU * rise);
        } else if (number.key.term == Term::radiant) {
            number.value = ambientK + kDoorWalls * rise;
        }
    }
    return field;
}

HeatField basted(HeatField field, const Site& site) {
    if (seenBy(field, Face::bottom, Term::liquid))
        return field;
    const FieldNumber* set = seenBy(field, Face::bottom, Term::plateSet);
    const FieldNumber* pan = set ? set : seenBy(field, Face::bottom, Term::plate);
    const double juiceK = boilingPointAt(site).kelvin() - kBelowBoilingK;
    FieldNumber spoon{{Face::top, Term::liquid},
                      pan ? std::min(pan->value, kHottestSpoonK) : juiceK,
                      pan ? 15.0 : 5.0};
    FieldNumber runs{{Face::top, Term::hLiquid}, kSpooned, kSpoonedU};
    spoon.from = runs.from = "typical while it is basted";
    put(field, spoon);
    put(field, runs);
    return field;
}

HeatField awayFromHeat(HeatField field, const Site& site) {
    const double ambientK = site.ambient.kelvin();
    const bool inVessel = seenBy(field, Face::bottom, Term::plateHeatCapacity) != nullptr;
    for (const Term term : {Term::plateFlux, Term::plateSet, Term::liquid, Term::hLiquid,
                            Term::radiant2, Term::view2, Term::plateAmbient})
        forget(field, term);
    if (!inVessel)
        for (const Term term : {Term::plate, Term::contact, Term::effusivity})
            forget(field, term);
    for (const Term term : {Term::air, Term::hAir, Term::radiant, Term::view, Term::vapour})
        forget(field, term);
    for (const auto& [term, value, u] : {std::tuple{Term::air, ambientK + 3, 3.0},
                                         {Term::hAir, kRoomAir, kRoomAirU},
                                         {Term::radiant, ambientK, 3.0},
                                         {Term::view, 0.85, 0.05},
                                         {Term::vapour, 1500.0, 500.0}}) {
        FieldNumber out{{Face::all, term}, value, u};
        out.from = "typical off the heat";
        put(field, out);
    }
    if (inVessel) { // its base lets nothing else through
        put(field, {{Face::bottom, Term::hAir}, 0, 0});
        put(field, {{Face::bottom, Term::view}, 0, 0});
    }
    return field;
}

} // namespace dynamet::kitchen
