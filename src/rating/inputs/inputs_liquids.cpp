// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/inputs.h"
#include "rating/protocols/bath_loss.h"
#include "rating/protocols/boil_off.h"
#include "rating/protocols/instrument_check.h"
#include "rating/protocols/oil_heat_up.h"
#include "rating/protocols/water_heat_up.h"

namespace dynamet::rating {

Result<Reduction> waterHeatUpFrom(const TestInput& test) {
    TestReader in(test);
    WaterHeatUp t;
    in.log("water", t.water);
    in.value("water_kg", t.waterKg);
    in.value("pot_kg", t.potKg);
    in.value("pot_c_J_kgK", t.potSpecificHeat);
    in.value("evaporated_kg", t.evaporatedKg);
    in.value("ambient_C", t.ambientK);
    t.pressurePa = in.pressurePa();
    in.value("input_W", t.inputW);
    // An electricity meter is read over the window; gas and fuel over the whole time on the fire.
    std::optional<double> electric;
    in.value("energy_J", electric);
    t.energyJ = electric;
    if (const auto energy = in.inputEnergyJ(); energy && !electric && t.water.size() > 1)
        t.inputW = *energy / (t.water.timeS.back() - t.water.timeS.front());
    in.value("loss_W_K", t.lossW_K);
    in.value("from_C", t.fromK);
    in.value("to_C", t.toK);
    t.lid = test.lid;
    return in.reduced(t, reduceWaterHeatUp);
}

Result<Reduction> boilOffFrom(const TestInput& test) {
    TestReader in(test);
    BoilOff t;
    if (test.channels.contains("pot"))
        in.weights("pot", t.pot);
    in.value("start_kg", t.startKg);
    in.value("end_kg", t.endKg);
    in.value("boiled_s", t.seconds);
    in.value("ambient_C", t.ambientK);
    t.pressurePa = in.pressurePa();
    in.value("loss_W_K", t.lossW_K);
    t.energyJ = in.inputEnergyJ();
    return in.reduced(t, reduceBoilOff);
}

Result<Reduction> bathLossFrom(const TestInput& test) {
    TestReader in(test);
    BathLoss t;
    in.log("water", t.water);
    in.value("water_kg", t.waterKg);
    in.value("body_J_K", t.bodyJ_K);
    in.value("off_s", t.heaterOffS);
    in.value("ambient_C", t.ambientK);
    in.value("evaporated_kg", t.evaporatedKg);
    t.lid = test.lid;
    in.value("energy_J", t.energyJ);
    return in.reduced(t, reduceBathLoss);
}

Result<Reduction> oilHeatUpFrom(const TestInput& test) {
    TestReader in(test);
    OilHeatUp t;
    in.log("oil", t.oil);
    in.value("oil_kg", t.oilKg);
    in.value("body_J_K", t.potJ_K);
    in.value("loss_W_K", t.lossW_K);
    in.value("ambient_C", t.ambientK);
    in.value("from_C", t.fromK);
    in.value("to_C", t.toK);
    in.value("energy_J", t.energyJ);
    return in.reduced(t, reduceOilHeatUp);
}

Result<Reduction> instrumentCheckFrom(const TestInput& test) {
    TestReader in(test);
    InstrumentCheck t;
    in.readings("ice", t.iceK);
    in.readings("boil", t.boilK);
    t.pressurePa = in.pressurePa();
    in.value("resolution_K", t.resolutionK);
    in.log("step", t.step);
    return in.reduced(t, reduceInstrumentCheck);
}

} // namespace dynamet::rating
