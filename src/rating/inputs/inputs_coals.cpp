// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/temperature.h"
#include "rating/inputs/inputs.h"
#include "rating/protocols/burn_down.h"
#include "rating/protocols/coal_count.h"
#include "rating/protocols/zone_sweep.h"

namespace dynamet::rating {

Result<Reduction> zoneSweepFrom(const TestInput& test, TestValues& values) {
    ZoneSweep t;
    t.readingsK = keyedOf(test, "probe");
    if (t.readingsK.empty())
        return missingRole(test, "probe");
    t.dialK = keyedOf(test, "dial");
    t.thickK = keyedOf(test, "thick");
    t.limitK = values.kelvin("limit_C", 350);
    t.settledForS = values.read("waited_s", t.settledForS);
    t.accuracyK = values.read("u_bias_K", t.accuracyK);
    t.thinM = values.read("thin_m", t.thinM);
    t.thickM = values.read("thick_m", t.thickM);
    return reduced(values, t, reduceZoneSweep);
}

Result<Reduction> burnDownFrom(const TestInput& test, TestValues& values) {
    const Series *air = channelOf(test, "air"), *floor = channelOf(test, "floor");
    if (!air && !floor)
        return missingRole(test, "air");
    BurnDown t;
    t.log = floor ? *floor : *air;
    t.floor = floor != nullptr;
    t.ambientK = values.kelvin("ambient_C", 15);
    t.targetK = values.kelvinIfGiven("target_C").value_or(0);
    t.bandK = values.read("band_K", t.bandK);
    t.limitK = values.kelvinIfGiven("limit_C");
    values.read("fuel_kg", 0);
    return reduced(values, t, reduceBurnDown);
}

Result<Reduction> coalCountFrom(const TestInput& test, TestValues& values) {
    CoalCount t;
    t.under = keyedOf(test, "under");
    t.lid = keyedOf(test, "lid");
    t.insideK = keyedOf(test, "inside");
    if (t.insideK.empty())
        return missingRole(test, "inside");
    t.ageS = keyedOf(test, "age");
    t.ambientK = values.kelvin("ambient_C", 15);
    t.air = {values.pressurePa(), t.ambientK, values.read("wind_m_s", 0)};
    t.fuel.pieceKg = values.read("coal_kg", t.fuel.pieceKg);
    t.fuel.heatingJ_kg = values.read("heating_J_kg", t.fuel.heatingJ_kg);
    t.ironKg = values.read("iron_kg", 0);
    t.halfS = values.read("half_s", 0);
    t.fieldUnder = static_cast<int>(values.read("coals_under", 0));
    t.fieldLid = static_cast<int>(values.read("coals_lid", 0));
    return reduced(values, t, reduceCoalCount);
}

} // namespace dynamet::rating
