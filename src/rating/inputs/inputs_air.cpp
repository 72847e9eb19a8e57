// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/inputs.h"
#include "rating/protocols/block.h"
#include "rating/protocols/block_pair.h"
#include "rating/protocols/cavity_map.h"
#include "rating/protocols/one_face_block.h"
#include "rating/protocols/preheat.h"
#include "rating/protocols/wet_bulb.h"

namespace dynamet::rating {
namespace {

BlockTest blockOf(const TestInput& test, TestReader& in, const char* role) {
    BlockTest t;
    in.log(role, t.block);
    in.value("mass_kg", t.massKg);
    in.value("area_m2", t.areaM2);
    in.value("c_J_kgK", t.specificHeat20);
    in.value("air_lag_s", t.airProbeLagS);
    in.value("u_bias_K", t.uBiasK);
    t.forcedFlow = test.forcedFlow;
    in.value("limit_C", t.limitK);
    return t;
}

} // namespace

Result<Reduction> preheatFrom(const TestInput& test) {
    TestReader in(test);
    Preheat t;
    std::optional<Series> wet;
    t.plate = in.eitherLog("air", "plate", t.air);
    in.log("wet", wet);
    t.rule.slopeLimitPerS = (t.plate ? 1.0 : 0.3) / 60;
    in.value("set_C", t.setK);
    in.value("limit_C", t.limitK);
    t.liquid = in.isSecond("medium");
    if (t.liquid)
        t.uBiasK = 0.3;
    in.value("u_bias_K", t.uBiasK);
    const double pressure = in.pressurePa();
    auto found = in.reduced(t, reducePreheat);
    if (found && wet)
        addVapour(*found, *wet, found->quantities.front().value, pressure);
    return found;
}

Result<Reduction> blockFrom(const TestInput& test) {
    TestReader in(test);
    BlockTest t = blockOf(test, in, "block");
    in.log("air", t.air);
    in.value("emissivity", t.emissivity);
    t.inLiquid = in.isSecond("medium");
    return in.reduced(t, reduceBlock);
}

Result<Reduction> blockPairFrom(const TestInput& test) {
    TestReader in(test);
    BlockPair t;
    t.bright = blockOf(test, in, "bright");
    t.black = blockOf(test, in, "black");
    in.log("air", t.black.air); // one log beside both
    t.bright.air = t.black.air;
    in.value("emissivity_bright", t.bright.emissivity);
    in.value("emissivity_black", t.black.emissivity);
    return in.reduced(t, reduceBlockPair);
}

Result<Reduction> oneFaceBlockFrom(const TestInput& test) {
    TestReader in(test);
    OneFaceBlock t;
    std::optional<double> known;
    in.log("block", t.block);
    in.value("mass_kg", t.massKg);
    in.value("area_m2", t.areaM2);
    in.value("c_J_kgK", t.specificHeat20);
    in.value("emissivity", t.emissivity);
    in.value("air_C", t.airK);
    t.fromBelow = !in.isSecond("heat_from");
    in.value("h_known_W_m2K", known);
    t.coefficientKnown = known.has_value();
    t.knownW_m2K = known.value_or(t.knownW_m2K);
    in.value("limit_C", t.limitK);
    return in.reduced(t, reduceOneFaceBlock);
}

Result<Reduction> cavityMapFrom(const TestInput& test) {
    TestReader in(test);
    CavityMap t;
    for (const auto& [place, log] : test.channels)
        in.log(place.c_str(), t.spots[place]);
    in.value("limit_C", t.limitK);
    t.liquid = in.isSecond("medium");
    return in.reduced(t, reduceCavityMap);
}

} // namespace dynamet::rating
