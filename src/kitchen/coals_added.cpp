// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/coals_added.h"

#include "kitchen/air_at.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

/// The control that counts coals; none on most appliances.
std::optional<std::size_t> coalsOf(const Appliance& oven, const Setting& setting) {
    for (std::size_t c = 0; c < oven.controls.size() && c < setting.values.size(); ++c)
        if (std::holds_alternative<CoalCount>(setting.values[c]))
            return c;
    return std::nullopt;
}

double leftOf(double ageS, const Site& site) {
    return coals::leftAt(coals::Fuel{}, std::max(0.0, ageS), airAt(site));
}

} // namespace

Setting withCoalsAdded(const Appliance& oven, const Setting& setting, double ageS, int more,
                       const Site& site) {
    const auto at = coalsOf(oven, setting);
    if (!at)
        return setting;
    Setting out = setting;
    auto& coals = std::get<CoalCount>(out.values[*at]);
    const double before = coals.under + coals.lid;
    const double lidShare = before > 0 ? coals.lid / before : 0.5;
    const double left = leftOf(ageS, site);
    // Old ones are taken away, fresh ones laid.
    const double now = std::max(0.0, before * left + more * (more < 0 ? left : 1));
    const double most = oven.controls[*at].high;
    const auto whole = [&](double n) { return static_cast<int>(std::lround(std::min(n, most))); };
    coals.lid = whole(now * lidShare);
    coals.under = whole(now - coals.lid);
    return out;
}

int coalsBurnt(const Appliance& oven, const Setting& setting, double ageS, const Site& site) {
    return static_cast<int>(std::lround(coalsIn(oven, setting) * (1 - leftOf(ageS, site))));
}

int coalsIn(const Appliance& oven, const Setting& setting) {
    const auto at = coalsOf(oven, setting);
    if (!at)
        return 0;
    const auto& coals = std::get<CoalCount>(setting.values[*at]);
    return coals.under + coals.lid;
}

} // namespace dynamet::kitchen
