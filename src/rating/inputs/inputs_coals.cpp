// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/inputs.h"
#include "rating/protocols/burn_down.h"
#include "rating/protocols/coal_count.h"
#include "rating/protocols/zone_sweep.h"

namespace dynamet::rating {

Result<Reduction> zoneSweepFrom(const TestInput& test) {
    TestReader in(test);
    ZoneSweep t;
    const bool logged = test.channels.contains("probe");
    if (logged) {
        for (const char* role : {"probe", "probe 2", "probe 3", "probe 4"})
            if (test.channels.contains(role))
                in.log(role, t.logs.emplace_back());
        in.log("dial", t.dialLog);
        in.log("thick", t.thickLog);
        t.settledForS = 0; // the log tells, where nothing longer was typed
    } else {
        in.readings("probe", t.readingsK);
        in.readingsIfAny("dial", t.dialK);
        in.readingsIfAny("thick", t.thickK);
    }
    in.value("limit_C", t.limitK);
    if (!logged || test.values.contains("waited_s"))
        in.value("waited_s", t.settledForS);
    in.value("u_bias_K", t.accuracyK);
    in.value("thin_m", t.thinM);
    in.value("thick_m", t.thickM);
    return in.reduced(t, reduceZoneSweep);
}

Result<Reduction> burnDownFrom(const TestInput& test) {
    TestReader in(test);
    BurnDown t;
    t.floor = in.eitherLog("air", "floor", t.log);
    in.value("ambient_C", t.ambientK);
    in.value("target_C", t.targetK);
    in.value("band_K", t.bandK);
    in.value("limit_C", t.limitK);
    return in.reduced(t, reduceBurnDown);
}

Result<Reduction> coalCountFrom(const TestInput& test) {
    TestReader in(test);
    CoalCount t;
    in.readings("inside", t.insideK);
    in.readingsIfAny("under", t.under);
    in.readingsIfAny("lid", t.lid);
    in.readingsIfAny("age", t.ageS);
    in.value("ambient_C", t.ambientK);
    double wind = 0;
    in.value("wind_m_s", wind);
    t.air = {in.pressurePa(), t.ambientK, wind};
    in.value("coal_kg", t.fuel.pieceKg);
    in.value("heating_J_kg", t.fuel.heatingJ_kg);
    in.value("iron_kg", t.ironKg);
    in.value("half_s", t.halfS);
    in.value("coals_under", t.fieldUnder);
    in.value("coals_lid", t.fieldLid);
    return in.reduced(t, reduceCoalCount);
}

} // namespace dynamet::rating
