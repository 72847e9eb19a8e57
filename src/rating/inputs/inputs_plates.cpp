// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/temperature.h"
#include "rating/inputs/inputs.h"
#include "rating/protocols/boil_off.h"
#include "rating/protocols/dry_preheat.h"
#include "rating/protocols/load_dip.h"
#include "rating/protocols/surface_map.h"
#include "rating/protocols/water_heat_up.h"

#include <algorithm>

namespace dynamet::rating {

Result<Reduction> waterHeatUpFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "water");
    if (!log)
        return missingRole(test, "water");
    WaterHeatUp t;
    t.water = *log;
    t.waterKg = values.read("water_kg", 0);
    t.potKg = values.read("pot_kg", 0);
    t.potSpecificHeat = values.read("pot_c_J_kgK", t.potSpecificHeat);
    t.evaporatedKg = values.read("evaporated_kg", 0);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.pressurePa = values.pressurePa();
    t.inputW = values.ifGiven("input_W");
    // An electricity meter is read over the window; gas and fuel over the whole time on the fire.
    const bool electric = values.ifGiven("energy_J").has_value();
    const auto energy = values.inputEnergyJ();
    if (electric)
        t.energyJ = energy;
    else if (energy && log->size() > 1)
        t.inputW = *energy / (log->timeS.back() - log->timeS.front());
    t.lossW_K = values.read("loss_W_K", t.lossW_K);
    t.fromK = values.kelvin("from_C", 30);
    t.toK = values.kelvin("to_C", 80);
    t.lid = test.lid;
    return reduced(values, t, reduceWaterHeatUp);
}

Result<Reduction> boilOffFrom(const TestInput&, TestValues& values) {
    BoilOff t;
    t.startKg = values.read("start_kg", 0);
    t.endKg = values.read("end_kg", 0);
    t.seconds = values.read("boiled_s", 0);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.pressurePa = values.pressurePa();
    t.lossW_K = values.read("loss_W_K", t.lossW_K);
    t.energyJ = values.inputEnergyJ();
    return reduced(values, t, reduceBoilOff);
}

Result<Reduction> dryPreheatFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "plate");
    if (!log)
        return missingRole(test, "plate");
    DryPreheat t;
    t.plate = *log;
    t.offS = values.ifGiven("off_s");
    if (t.offS)
        *t.offS += log->empty() ? 0 : log->timeS.front();
    t.massKg = values.read("plate_kg", 0);
    t.specificHeat = values.read("plate_c_J_kgK", t.specificHeat);
    t.areaM2 = values.read("area_m2", t.areaM2);
    t.ambientK = values.kelvin("ambient_C", 22);
    return reduced(values, t, reduceDryPreheat);
}

SurfaceMap surfaceMapOf(const TestInput& test, TestValues& values) {
    SurfaceMap t;
    t.shownK = keyedOf(test, "spot");
    t.perRow = static_cast<int>(values.read("per_row", 0));
    t.view.surfaceEmissivity = values.read("emissivity", 0.95);
    t.view.gunEmissivity = values.read("gun_emissivity", 0.95);
    t.view.backgroundK = values.kelvin("background_C", 25);
    t.view.bandLowUm = values.read("band_low_um", 8);
    t.view.bandHighUm = values.read("band_high_um", 14);
    t.surface = static_cast<MappedSurface>(std::clamp(values.read("surface", 0), 0.0, 3.0));
    t.limitK = values.kelvinIfGiven("limit_C");
    return t;
}

Result<Reduction> surfaceMapFrom(const TestInput& test, TestValues& values) {
    const SurfaceMap t = surfaceMapOf(test, values);
    if (t.shownK.empty())
        return missingRole(test, "spot");
    return reduced(values, t, reduceSurfaceMap);
}

Result<Reduction> loadDipFrom(const TestInput& test, TestValues& values) {
    const Series *plate = channelOf(test, "plate"), *load = channelOf(test, "load");
    if (!plate)
        return missingRole(test, "plate");
    if (!load)
        return missingRole(test, "load");
    LoadDip t;
    t.plate = *plate;
    t.load = *load;
    t.loadKg = values.read("load_kg", t.loadKg);
    t.specificHeat20 = values.read("load_c_J_kgK", t.specificHeat20);
    if (t.specificHeat20 < 700)
        t.specificHeatSlope = 0; // steel; aluminium's heat grows by 0.46 J/kgK for each kelvin
    t.loadAreaM2 = values.read("area_m2", t.loadAreaM2);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.stone = values.read("stone", 0) != 0;
    return reduced(values, t, reduceLoadDip);
}

} // namespace dynamet::rating
