// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/inputs.h"
#include "rating/protocols/dry_preheat.h"
#include "rating/protocols/load_dip.h"
#include "rating/protocols/surface_map.h"

namespace dynamet::rating {

Result<Reduction> dryPreheatFrom(const TestInput& test) {
    TestReader in(test);
    DryPreheat t;
    in.log("plate", t.plate);
    in.value("off_s", t.offS);
    if (t.offS && !t.plate.empty())
        *t.offS += t.plate.timeS.front();
    in.value("plate_kg", t.massKg);
    in.value("plate_c_J_kgK", t.specificHeat);
    in.value("area_m2", t.areaM2);
    in.value("ambient_C", t.ambientK);
    return in.reduced(t, reduceDryPreheat);
}

Result<Reduction> surfaceMapFrom(const TestInput& test) {
    constexpr std::array kSurfaces{
        std::pair{"plate", MappedSurface::plate}, std::pair{"floor", MappedSurface::floor},
        std::pair{"lid", MappedSurface::lid}, std::pair{"deflector", MappedSurface::deflector}};
    TestReader in(test);
    SurfaceMap t;
    in.readings("spot", t.shownK);
    in.value("per_row", t.perRow);
    in.value("emissivity", t.view.surfaceEmissivity);
    in.value("gun_emissivity", t.view.gunEmissivity);
    in.value("background_C", t.view.backgroundK);
    in.value("band_low_um", t.view.bandLowUm);
    in.value("band_high_um", t.view.bandHighUm);
    in.choice("surface", t.surface, kSurfaces);
    in.value("limit_C", t.limitK);
    return in.reduced(t, reduceSurfaceMap);
}

Result<Reduction> loadDipFrom(const TestInput& test) {
    TestReader in(test);
    LoadDip t;
    in.log("plate", t.plate);
    in.log("load", t.load);
    in.value("load_kg", t.loadKg);
    in.value("load_c_J_kgK", t.specificHeat20);
    if (t.specificHeat20 < 700)
        t.specificHeatSlope = 0; // steel; aluminium's heat grows by 0.46 J/kgK for each kelvin
    in.value("area_m2", t.loadAreaM2);
    in.value("ambient_C", t.ambientK);
    t.stone = in.isSecond("material");
    return in.reduced(t, reduceLoadDip);
}

} // namespace dynamet::rating
