// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical_iron_oven.h"

#include "coals/oven_heat.h"
#include "kitchen/air_at.h"

#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kCountK = 10; ///< coals are not all of a size

/// A 12 in oven: outside, which its loss is spread over, floor and lid, m².
constexpr double kOutsideM2 = 0.25, kFloorM2 = 0.055, kLidM2 = 0.075;
constexpr double kInsideW_m2K = 15; ///< to what lies or hangs inside, radiation mostly
constexpr double kRimW_K = 0.5;     ///< through the rim

double wattsOf(Spread captured, int coals, const Site& site) {
    const coals::Air air = airAt(site);
    return coals * coals::risePerCoalK({captured.value}, coals::Fuel{}, air) *
           coals::ovenLossW_K(air);
}

/// Iron under or over its coals, between the room and the inside.
Spread ironBy(Spread captured, int coals, double areaM2, Spread inside, const Site& site) {
    const double out = coals::ovenLossW_K(airAt(site)) * areaM2 / kOutsideM2;
    const double in = kInsideW_m2K * areaM2 + kRimW_K;
    const double above =
        (wattsOf(captured, coals, site) - out * (inside.value - site.ambient.kelvin())) /
        (out + in);
    return {inside.value + above, std::hypot(inside.u, above * captured.u / captured.value)};
}

/// The food lies on the floor, which keeps its heat with nothing cold on it; half of it sees the
/// inside.
void addFloor(HeatField& field, Spread floorK, const Site& site) {
    constexpr Spread kHeat{16000, 3000}, kContact{200, 70}; // 4 to 5 mm
    constexpr double kLossU = 0.25;
    const double loss = coals::ovenLossW_K(airAt(site)) / kOutsideM2 + kInsideW_m2K / 2;
    const auto floor = [&](Term term, Spread s) { putTypical(field, {Face::bottom, term}, s); };
    floor(Term::hAir, {0, 0});
    floor(Term::view, {0, 0});
    floor(Term::plate, floorK);
    floor(Term::contact, kContact);
    floor(Term::plateHeatCapacity, kHeat);
    floor(Term::plateLoss, {loss, kLossU * loss});
    floor(Term::plateFlux, {loss * (floorK.value - site.ambient.kelvin()), loss * floorK.u});
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
                riseK * (coals::risenShare({captured.value}, coals::Fuel{}, airAt(site), t) - 1));
        }
        field.curves.push_back(std::move(curve));
    }
}

} // namespace

Spread ironOvenInside(Spread captured, int coals, const Site& site) {
    const double rise = coals * coals::risePerCoalK({captured.value}, coals::Fuel{}, airAt(site));
    return {site.ambient.kelvin() + rise, std::hypot(kCountK, rise * captured.u / captured.value)};
}

void addIronOven(HeatField& field, Spread captured, CoalCount coals, Spread inside,
                 const Site& site, std::vector<FieldKey>& keys) {
    const FieldKey lid{Face::top, Term::radiant};
    putTypical(field, lid, ironBy(captured, coals.lid, kLidM2, inside, site));
    keys.push_back(lid);
    addAgeing(field, captured, site, keys);
    addFloor(field, ironBy(captured, coals.under, kFloorM2, inside, site), site);
    keys.push_back({Face::bottom, Term::plate});
}

} // namespace dynamet::kitchen
