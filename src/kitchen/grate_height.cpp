// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/grate_height.h"

#include "coals/placement.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kPieceM = 0.06, kBedM = 0.17; ///< radii; a chimney of coals, one layer deep
constexpr double kDoubt = 0.3;                 ///< of ln(change): nobody's bed is a disk

} // namespace

bool hasGrateOverCoals(const Appliance& appliance, const Zone& zone) {
    const bool coals = appliance.kind == ApplianceKind::charcoalKettle ||
                       appliance.kind == ApplianceKind::coveredCeramicGrill ||
                       appliance.kind == ApplianceKind::woodOven;
    return coals && zone.direct &&
           std::none_of(appliance.controls.begin(), appliance.controls.end(),
                        [](const Control& c) { return c.kind == ControlKind::height; });
}

HeatField atGrateHeight(HeatField field, double heightM) {
    if (!(heightM > 0))
        return field;
    const double at = std::clamp(heightM, kLowestGrateM, kHighestGrateM);
    const double factor =
        coals::coaxialDisks(kPieceM, kBedM, at) / coals::coaxialDisks(kPieceM, kBedM, kUsualGrateM);
    for (const Term term : {Term::view, Term::view2}) {
        const FieldNumber* seen = seenBy(field, Face::bottom, term);
        if (!seen || seen->value <= 0)
            continue;
        FieldNumber own = *seen;
        own.key.face = Face::bottom;
        own.value = std::min(0.95, factor * seen->value);
        own.u = own.value * std::hypot(seen->u / seen->value, kDoubt * std::log(factor));
        own.provenance = Provenance::assumed;
        own.from = "typical for a grate at this height";
        put(field, own);
    }
    return field;
}

} // namespace dynamet::kitchen
