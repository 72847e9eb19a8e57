// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/crowded.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

/// Of the air's and the glow's coefficient at a side, at full cover; of the air's below.
constexpr double kHiddenSide = 0.7, kHiddenBelow = 0.5;
constexpr double kSteamPa = 12000; ///< about wet food that lies wall to wall, beyond the air's
constexpr double kDoubt = 0.3;     ///< of a change, standard uncertainty

void change(HeatField& field, Face face, Term term, double factor, double more) {
    const FieldNumber* seen = seenBy(field, face, term);
    if (!seen)
        return;
    FieldNumber own = *seen;
    own.key.face = face;
    own.value = factor * seen->value + more;
    const double changed = own.value - seen->value;
    own.u = std::sqrt(factor * seen->u * factor * seen->u + kDoubt * changed * kDoubt * changed);
    own.provenance = Provenance::assumed;
    own.from = "typical for crowded food";
    put(field, own);
}

} // namespace

HeatField crowded(HeatField field, double covered) {
    if (!(covered > 0) || seenBy(field, Face::bottom, Term::liquid))
        return field;
    const double share = std::min(covered, 1.0);
    for (const Term term : {Term::hAir, Term::view, Term::view2})
        change(field, Face::side, term, 1 - kHiddenSide * share, 0);
    if (!seenBy(field, Face::bottom, Term::contact))
        change(field, Face::bottom, Term::hAir, 1 - kHiddenBelow * share, 0);
    for (const Face face : {Face::side, Face::top, Face::bottom})
        change(field, face, Term::vapour, 1, kSteamPa * share * share);
    return field;
}

} // namespace dynamet::kitchen
