// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/open_lid.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

/// Share of the closed grill's rise over the room that stays with the lid up, and its standard
/// uncertainty (from memory).
struct Kept {
    double share, u;
};
constexpr Kept kAirOverFire{0.6, 0.15}, kAirBeside{0.25, 0.1};
constexpr Kept kGlowOverFire{1, 0}, kGlowBeside{0.4, 0.15};

void scaleRise(HeatField& field, const FieldKey& key, Kept kept, double ambientK) {
    const FieldNumber* number = find(field, key);
    if (!number)
        return;
    const double rise = number->value - ambientK;
    FieldNumber out{key, ambientK + kept.share * rise,
                    std::hypot(kept.share * number->u, kept.u * rise)};
    out.from = "lid open, from memory";
    put(field, out);
    for (FieldCurve& curve : field.curves)
        if (curve.key == key)
            for (double& change : curve.change)
                change *= kept.share;
    std::erase_if(field.covariances,
                  [&](const FieldCovariance& c) { return c.a == key || c.b == key; });
}

void assume(HeatField& field, Face face, Term term, double value, double u) {
    FieldNumber out{{face, term}, value, u};
    out.from = "lid open, from memory";
    put(field, out);
}

} // namespace

bool hasLid(ApplianceKind kind) {
    using enum ApplianceKind;
    return kind == gasGrill || kind == charcoalKettle || kind == coveredCeramicGrill ||
           kind == pelletGrill;
}

HeatField withLidOpen(HeatField field, bool overFire, double ambientK) {
    // What glows reaches the food from below and from the sides, no longer from above.
    const FieldNumber* glow = seenBy(field, Face::bottom, Term::radiant);
    const FieldNumber* view = seenBy(field, Face::bottom, Term::view);
    if (glow && view) {
        FieldNumber below = *glow, seen = *view;
        below.key = {Face::bottom, Term::radiant};
        seen.key = {Face::bottom, Term::view};
        put(field, below);
        put(field, seen);
        scaleRise(field, below.key, overFire ? kGlowOverFire : kGlowBeside, ambientK);
    }
    scaleRise(field, {Face::all, Term::air}, overFire ? kAirOverFire : kAirBeside, ambientK);
    scaleRise(field, {Face::all, Term::radiant}, kGlowBeside, ambientK);
    assume(field, Face::top, Term::air, ambientK + 20, 10);
    assume(field, Face::top, Term::hAir, 9, 2.5);
    assume(field, Face::top, Term::radiant, ambientK, 5);
    assume(field, Face::top, Term::view, 0.9, 0.04);
    assume(field, Face::top, Term::vapour, 1500, 500);
    return field;
}

} // namespace dynamet::kitchen
