// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/temperature.h"
#include "rating/inputs/inputs.h"
#include "rating/protocols/bath_loss.h"
#include "rating/protocols/instrument_check.h"
#include "rating/protocols/oil_heat_up.h"

namespace dynamet::rating {

Result<Reduction> bathLossFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "water");
    if (!log)
        return missingRole(test, "water");
    BathLoss t;
    t.water = *log;
    t.waterKg = values.read("water_kg", 0);
    t.bodyJ_K = values.read("body_J_K", t.bodyJ_K);
    t.heaterOffS = values.read("off_s", 0);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.evaporatedKg = values.read("evaporated_kg", 0);
    t.lid = test.lid;
    t.energyJ = values.ifGiven("energy_J");
    return reduced(values, t, reduceBathLoss);
}

Result<Reduction> oilHeatUpFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "oil");
    if (!log)
        return missingRole(test, "oil");
    OilHeatUp t;
    t.oil = *log;
    t.oilKg = values.read("oil_kg", 0);
    t.potJ_K = values.read("body_J_K", t.potJ_K);
    t.lossW_K = values.read("loss_W_K", t.lossW_K);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.fromK = values.kelvin("from_C", 60);
    t.toK = values.kelvin("to_C", 160);
    t.energyJ = values.ifGiven("energy_J");
    return reduced(values, t, reduceOilHeatUp);
}

Result<Reduction> instrumentCheckFrom(const TestInput& test, TestValues& values) {
    InstrumentCheck t;
    t.iceK = keyedOf(test, "ice");
    t.boilK = keyedOf(test, "boil");
    if (t.iceK.empty())
        return missingRole(test, "ice");
    if (t.boilK.empty())
        return missingRole(test, "boil");
    t.pressurePa = values.pressurePa();
    t.resolutionK = values.read("resolution_K", t.resolutionK);
    if (const Series* step = channelOf(test, "step"))
        t.step = *step;
    return reduced(values, t, reduceInstrumentCheck);
}

} // namespace dynamet::rating
