// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/cook_day.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kDoubt = 0.4; ///< of how far a number moves: walls and lids differ

bool movesWithWeather(Term term) {
    return term == Term::air || term == Term::radiant || term == Term::plate;
}

/// A rated temperature on another day, by how a typical one of its kind rises over the air there.
void move(RatedNumber& rated, const Appliance& appliance, const Site& then, const Site& now) {
    if (!movesWithWeather(rated.number.key.term))
        return;
    const auto was = typicalField(appliance, rated.setting, {rated.zone, then, {}, rated.insertId});
    const auto is = typicalField(appliance, rated.setting, {rated.zone, now, {}, rated.insertId});
    if (!was || !is)
        return;
    const FieldNumber* before = seenBy(*was, rated.number.key.face, rated.number.key.term);
    const FieldNumber* after = seenBy(*is, rated.number.key.face, rated.number.key.term);
    if (!before || !after)
        return;
    const double rise = before->value - then.ambient.kelvin();
    if (rise < 5)
        return;
    const double factor = (after->value - now.ambient.kelvin()) / rise;
    const double moved =
        now.ambient.kelvin() + factor * (rated.number.value - then.ambient.kelvin());
    rated.number.u = std::hypot(factor * rated.number.u, kDoubt * (moved - rated.number.value));
    rated.number.value = moved;
}

} // namespace

bool standsOutside(ApplianceKind kind) {
    switch (kind) {
    case ApplianceKind::gasGrill:
    case ApplianceKind::charcoalKettle:
    case ApplianceKind::coveredCeramicGrill:
    case ApplianceKind::pelletGrill:
    case ApplianceKind::coalChimney:
    case ApplianceKind::ironOven:
        return true;
    default:
        return false;
    }
}

Kitchen onDay(Kitchen kitchen, const CookDay& day) {
    const auto site = std::find_if(kitchen.sites.begin(), kitchen.sites.end(),
                                   [&](const Site& s) { return s.id == day.siteId; });
    if (site == kitchen.sites.end())
        return kitchen;
    const Site then = *site;
    site->ambient = day.air;
    site->windMPerS = day.windMPerS;
    if (day.altitudeM && *day.altitudeM != site->altitudeM) {
        site->altitudeM = *day.altitudeM;
        site->measuredPressurePa.reset(); // it was read elsewhere
    }
    for (const Appliance& appliance : kitchen.appliances) {
        const auto rated = kitchen.rated.find(appliance.id);
        if (appliance.siteId != day.siteId || !standsOutside(appliance.kind) ||
            rated == kitchen.rated.end())
            continue;
        for (RatedNumber& number : rated->second)
            move(number, appliance, then, *site);
    }
    return kitchen;
}

} // namespace dynamet::kitchen
