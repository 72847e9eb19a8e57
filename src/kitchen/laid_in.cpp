// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/laid_in.h"

#include "kitchen/field_change.h"
#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kFoodEmissivity = 0.9;
/// Metal on metal, W/m²K, per area of the base (from memory, a factor of two).
constexpr double kStandsOn = 120;
/// Of the food's half of a base, the other half sees the inside as well.
constexpr double kBothSides = 1.5;

/// Share of a face that a ridged pan's ridges and a grate's bars touch (from memory).
constexpr double kRidges = 0.4, kBars = 0.2;

struct Contact {
    double value, u;
};
/// Food on what it lies in, docs/physics.md "Typical fields".
Contact contactOf(VesselKind kind) {
    switch (kind) {
    case VesselKind::ridgedPan:
        return {110, 35};
    case VesselKind::dish:
        return {220, 80};
    default:
        return {300, 100};
    }
}

/// A number of the bottom face, unless it was measured there.
void assume(HeatField& field, Term term, double value, double u, const char* from) {
    const FieldKey key{Face::bottom, term};
    if (const FieldNumber* known = find(field, key);
        known && known->provenance == Provenance::measured)
        return;
    FieldNumber out{key, value, u};
    out.from = from;
    put(field, out);
}

void forget(HeatField& field, Term term) {
    const FieldKey key{Face::bottom, term};
    if (const FieldNumber* known = find(field, key);
        !known || known->provenance == Provenance::measured)
        return;
    forgetWhere(field, [&](const FieldKey& other) { return other == key; });
}

/// The air's own number for the bottom face, which is known as well as the air is.
void movesWithAir(HeatField& field, Term term) {
    const FieldNumber* own = find(field, {Face::bottom, term});
    const FieldNumber* air = seenBy(field, Face::bottom, Term::air);
    if (!own || !air || own->provenance == Provenance::measured)
        return;
    for (const FieldCovariance& c : std::vector<FieldCovariance>(field.covariances)) {
        if (c.a != air->key && c.b != air->key)
            continue;
        const FieldKey other = c.a == air->key ? c.b : c.a;
        if (other != own->key && air->u > 0)
            field.covariances.push_back({other, own->key, c.covariance * own->u / air->u});
    }
    field.covariances.push_back({air->key, own->key, air->u * own->u});
    for (const FieldCurve& curve : std::vector<FieldCurve>(field.curves))
        if (curve.key == air->key) { // a fire that dies under the air dies under the pan
            FieldCurve same = curve;
            same.key = own->key;
            field.curves.push_back(std::move(same));
        }
}

/// The bottom no longer sees the place: something lies between.
void hideBelow(HeatField& field) {
    for (const auto& [term, nothing] : {std::pair{Term::hAir, 0.0}, {Term::view, 0.0}})
        assume(field, term, nothing, 0, "hidden by what it lies on");
    if (seenBy(field, Face::bottom, Term::view2))
        assume(field, Term::view2, 0, 0, "hidden by what it lies on");
}

bool isLiquid(const HeatField& field) {
    return seenBy(field, Face::bottom, Term::liquid) != nullptr;
}

} // namespace

Settles settlesIn(const HeatField& field, double emissivity) {
    const auto valueOf = [&](Term term, double none) {
        const FieldNumber* n = seenBy(field, Face::bottom, term);
        return n ? n->value : none;
    };
    const FieldNumber* air = seenBy(field, Face::bottom, Term::air);
    const double h = air ? valueOf(Term::hAir, 0) : 0;
    const FieldNumber* plate = seenBy(field, Face::bottom, Term::plate);
    // A grate only carries it; a floor or a plate with heat of its own warms it.
    const bool standsHot = plate && seenBy(field, Face::bottom, Term::plateHeatCapacity);
    Settles out;
    out.kelvin = air ? air->value : plate ? plate->value : 293.15;
    out.u = air ? air->u : plate ? plate->u : 0;
    constexpr int kRounds = 30;
    for (int round = 0; round < kRounds; ++round) {
        double gain = h, source = air ? h * air->value : 0;
        for (const auto& [kelvin, view] :
             {std::pair{Term::radiant, Term::view}, {Term::radiant2, Term::view2}}) {
            const double glow = valueOf(kelvin, 0);
            const double sees = valueOf(view, 0) * emissivity / kFoodEmissivity;
            if (glow <= 0 || sees <= 0)
                continue;
            const double radiates = sees * kStefanBoltzmann *
                                    (glow * glow + out.kelvin * out.kelvin) * (glow + out.kelvin);
            gain += radiates;
            source += radiates * glow;
        }
        if (standsHot) {
            gain += kStandsOn;
            source += kStandsOn * plate->value;
        }
        if (gain <= 0)
            return out;
        out.kelvin = (out.kelvin + source / gain) / 2;
        out.coefficient = gain;
    }
    return out;
}

HeatField laidIn(HeatField field, const Vessel& vessel, double startK) {
    if (vessel.kind == VesselKind::rack || vessel.kind == VesselKind::basket || isLiquid(field))
        return field;
    constexpr const char* kFrom = "typical for what it lies in";
    const Settles at = settlesIn(field, vessel.emissivity);
    const Contact contact = contactOf(vessel.kind);
    const double heat = heatCapacityPerArea(vessel), loss = kBothSides * at.coefficient;
    for (const Term term : {Term::plateSet, Term::plateFlux, Term::effusivity})
        forget(field, term);
    assume(field, Term::plate, startK, 3, kFrom);
    assume(field, Term::contact, contact.value, contact.u, kFrom);
    if (vessel.kind == VesselKind::ridgedPan)
        assume(field, Term::touchedShare, kRidges, 0.1, kFrom);
    assume(field, Term::plateHeatCapacity, heat, 0.1 * heat, kFrom);
    assume(field, Term::plateLoss, loss, 0.25 * loss, kFrom);
    assume(field, Term::plateAmbient, at.kelvin, std::max(at.u, 5.0), kFrom);
    movesWithAir(field, Term::plateAmbient);
    hideBelow(field);
    return field;
}

HeatField withInsert(HeatField field, InsertKind insert) {
    if (isLiquid(field))
        return field;
    constexpr const char* kFrom = "typical for what is put in";
    constexpr double kIron = 0.9, kStone = 0.93;
    switch (insert) {
    case InsertKind::none:
        break;
    case InsertKind::plate: {
        constexpr double kHeat = 40000; // 10 mm of iron, J/m²K
        const Settles at = settlesIn(field, kIron);
        for (const Term term : {Term::plateSet, Term::plateFlux, Term::effusivity})
            forget(field, term);
        assume(field, Term::plate, at.kelvin, std::max(at.u, 12.0), kFrom);
        assume(field, Term::contact, 350, 110, kFrom);
        assume(field, Term::plateHeatCapacity, kHeat, 0.25 * kHeat, kFrom);
        assume(field, Term::plateLoss, kBothSides * at.coefficient,
               0.25 * kBothSides * at.coefficient, kFrom);
        assume(field, Term::plateAmbient, at.kelvin, std::max(at.u, 12.0), kFrom);
        movesWithAir(field, Term::plateAmbient);
        movesWithAir(field, Term::plate);
        hideBelow(field);
        break;
    }
    case InsertKind::raisedGrate: {
        const Settles at = settlesIn(field, kIron);
        assume(field, Term::plate, at.kelvin, std::max(at.u, 20.0), kFrom);
        assume(field, Term::contact, 65, 22, kFrom);
        assume(field, Term::touchedShare, kBars, 0.06, kFrom);
        break;
    }
    case InsertKind::deflector:
        for (const Term term :
             {Term::radiant, Term::view, Term::radiant2, Term::view2, Term::plate, Term::contact})
            forget(field, term);
        break;
    case InsertKind::waterTrough: {
        constexpr double kMoist = 15000, kMoistU = 6000;
        FieldNumber vapour{{Face::all, Term::vapour}, kMoist, kMoistU};
        vapour.from = kFrom;
        const FieldNumber* known = find(field, vapour.key);
        if (!known || known->provenance != Provenance::measured)
            put(field, vapour);
        break;
    }
    case InsertKind::stone: {
        const Settles at = settlesIn(field, kStone);
        for (const Term term :
             {Term::plateSet, Term::plateFlux, Term::plateHeatCapacity, Term::plateLoss})
            forget(field, term);
        assume(field, Term::plate, at.kelvin, std::max(at.u, 15.0), kFrom);
        assume(field, Term::contact, 220, 70, kFrom);
        assume(field, Term::effusivity, 1500, 250, kFrom);
        movesWithAir(field, Term::plate);
        hideBelow(field);
        break;
    }
    }
    return field;
}

} // namespace dynamet::kitchen
