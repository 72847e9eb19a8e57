// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical_iron_oven.h"

#include "coals/oven_heat.h"

#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kCountK = 10; ///< coals are not all of a size

coals::Air airOf(const Site& site) {
    return {pressurePa(site), site.ambient.kelvin(), site.windMPerS};
}

/// A 12 in oven: outside, which its loss is spread over, floor and lid, m².
constexpr double kOutsideM2 = 0.25, kFloorM2 = 0.055, kLidM2 = 0.075;
constexpr double kLidInsideW_m2K = 15; ///< from the lid to what is below it, radiation mostly
constexpr double kRimW_K = 0.5;        ///< through the rim

double wattsOf(Spread captured, int coals, const Site& site) {
    const coals::Air air = airOf(site);
    return coals * coals::risePerCoalK({captured.value}, coals::Fuel{}, air) *
           coals::ovenLossW_K(air);
}

void number(HeatField& field, FieldKey key, Spread s) {
    put(field, {key, s.value, s.u, Provenance::assumed, "", "typical for its kind"});
}

/// The food lies on the iron, which gets the heat of the coals under it.
void addFloor(HeatField& field, Spread captured, int under, Spread inside, const Site& site) {
    constexpr Spread kHeat{16000, 3000}, kContact{200, 70}; // 4 to 5 mm
    constexpr double kLossU = 0.25;
    const double loss = coals::ovenLossW_K(airOf(site)) / kOutsideM2;
    const double flux = wattsOf(captured, under, site) / kFloorM2;
    const auto floor = [&](Term term, Spread s) { number(field, {Face::bottom, term}, s); };
    floor(Term::hAir, {0, 0});
    floor(Term::view, {0, 0});
    floor(Term::plate, inside);
    floor(Term::contact, kContact);
    floor(Term::plateHeatCapacity, kHeat);
    floor(Term::plateLoss, {loss, kLossU * loss});
    floor(Term::plateFlux, {flux, flux * captured.u / captured.value});
}

/// The lid under its coals, between the room and the inside.
Spread lidOf(Spread captured, int lid, Spread inside, const Site& site) {
    const double out = coals::ovenLossW_K(airOf(site)) * kLidM2 / kOutsideM2;
    const double in = kLidInsideW_m2K * kLidM2 + kRimW_K;
    const double above =
        (wattsOf(captured, lid, site) - out * (inside.value - site.ambient.kelvin())) / (out + in);
    return {inside.value + above, std::hypot(inside.u, above * captured.u / captured.value)};
}

/// The inside of an iron oven over two hours, while its coals burn down.
void addAgeing(HeatField& field, Spread captured, const Site& site,
               const std::vector<FieldKey>& keys) {
    constexpr double kUntilS = 7200, kEveryS = 300;
    for (const FieldKey key : keys) {
        FieldCurve curve{key, {}, {}, ""};
        const double riseK = find(field, key)->value - site.ambient.kelvin();
        for (double t = 0; t <= kUntilS; t += kEveryS) {
            curve.timeS.push_back(t);
            curve.change.push_back(
                riseK * (coals::risenShare({captured.value}, coals::Fuel{}, airOf(site), t) - 1));
        }
        field.curves.push_back(std::move(curve));
    }
}

} // namespace

Spread ironOvenInside(Spread captured, int coals, const Site& site) {
    const double rise = coals * coals::risePerCoalK({captured.value}, coals::Fuel{}, airOf(site));
    return {site.ambient.kelvin() + rise, std::hypot(kCountK, rise * captured.u / captured.value)};
}

void addIronOven(HeatField& field, Spread captured, CoalCount coals, Spread inside,
                 const Site& site, std::vector<FieldKey>& keys) {
    const FieldKey lid{Face::top, Term::radiant};
    number(field, lid, lidOf(captured, coals.lid, inside, site));
    keys.push_back(lid);
    addAgeing(field, captured, site, keys);
    addFloor(field, captured, coals.under, inside, site);
    keys.push_back({Face::bottom, Term::plate});
}

} // namespace dynamet::kitchen
