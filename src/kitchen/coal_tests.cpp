// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/coal_tests.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {

CoalTests coalTestsIn(const Appliance& oven, const Place& place,
                      std::span<const RatedNumber> rated) {
    constexpr FieldKey kInside{Face::all, Term::air};
    const double ambientK = place.site.ambient.kelvin();
    CoalTests out;
    double weights = 0, sum = 0;
    for (const RatedNumber& r : rated) {
        if (r.number.key != kInside || r.zone != place.zone || r.insertId != place.insertId)
            continue;
        const auto typical = typicalField(oven, r.setting, place);
        const FieldNumber* usual = typical ? find(*typical, kInside) : nullptr;
        const double rise = r.number.value - ambientK;
        if (!usual || usual->value <= ambientK || rise <= 0)
            continue;
        const double u = std::hypot(r.number.u / rise, kCoalDayU);
        sum += std::log(rise / (usual->value - ambientK)) / (u * u);
        weights += 1 / (u * u);
        ++out.count;
    }
    if (out.count == 0)
        return {};
    out.factor = std::exp(sum / weights);
    out.uLn = std::max(std::sqrt(1 / weights), kCoalDayU);
    return out;
}

std::optional<FieldNumber> fromOtherCounts(const FieldNumber& typical, const Appliance& oven,
                                           const Place& place, std::span<const RatedNumber> rated) {
    const CoalTests tests = coalTestsIn(oven, place, rated);
    if (tests.count == 0)
        return std::nullopt;
    FieldNumber out = typical;
    const double ambientK = place.site.ambient.kelvin();
    const double rise = tests.factor * (typical.value - ambientK);
    out.value = ambientK + rise;
    out.u = std::min(typical.u, rise * std::hypot(tests.uLn, kCoalDayU));
    out.provenance = Provenance::interpolated;
    out.from = "from tests with other counts";
    return out;
}

} // namespace dynamet::kitchen
