// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/temperature.h"
#include "rating/inputs/inputs.h"
#include "rating/protocols/block.h"
#include "rating/protocols/block_pair.h"
#include "rating/protocols/cavity_map.h"
#include "rating/protocols/one_face_block.h"
#include "rating/protocols/preheat.h"
#include "rating/protocols/wet_bulb.h"

namespace dynamet::rating {
namespace {

BlockTest blockOf(const TestInput& test, TestValues& values, const Series& log) {
    BlockTest t;
    t.block = log;
    if (const Series* air = channelOf(test, "air"))
        t.air = *air;
    t.massKg = values.read("mass_kg", t.massKg);
    t.areaM2 = values.read("area_m2", t.areaM2);
    t.specificHeat20 = values.read("c_J_kgK", t.specificHeat20);
    t.airProbeLagS = values.read("air_lag_s", t.airProbeLagS);
    t.uBiasK = values.read("u_bias_K", t.uBiasK);
    t.forcedFlow = test.forcedFlow;
    t.limitK = values.kelvinIfGiven("limit_C");
    return t;
}

} // namespace

Result<Reduction> preheatFrom(const TestInput& test, TestValues& values) {
    const Series* air = channelOf(test, "air");
    const Series* plate = channelOf(test, "plate");
    const Series* wet = channelOf(test, "wet");
    if (!air && !plate)
        return missingRole(test, "air");
    Preheat t;
    t.air = plate ? *plate : *air;
    t.plate = plate != nullptr;
    t.rule.slopeLimitPerS = (t.plate ? 1.0 : 0.3) / 60;
    t.setK = values.kelvinIfGiven("set_C");
    t.limitK = values.kelvinIfGiven("limit_C");
    t.liquid = values.read("liquid", 0) != 0;
    t.uBiasK = values.read("u_bias_K", t.liquid ? 0.3 : t.uBiasK);
    const double pressure = values.pressurePa();
    if (const auto ok = values.checkAllUsed(); !ok)
        return tl::unexpected(ok.error());
    auto found = reducePreheat(t);
    if (found && wet)
        addVapour(*found, *wet, found->quantities.front().value, pressure);
    return found;
}

Result<Reduction> blockFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "block");
    if (!log)
        return missingRole(test, "block");
    BlockTest t = blockOf(test, values, *log);
    t.emissivity = values.read("emissivity", t.emissivity);
    t.inLiquid = values.read("liquid", 0) != 0;
    return reduced(values, t, reduceBlock);
}

Result<Reduction> blockPairFrom(const TestInput& test, TestValues& values) {
    const Series *bright = channelOf(test, "bright"), *black = channelOf(test, "black");
    if (!bright)
        return missingRole(test, "bright");
    if (!black)
        return missingRole(test, "black");
    BlockPair t;
    t.bright = blockOf(test, values, *bright);
    t.black = blockOf(test, values, *black);
    t.bright.emissivity = values.read("emissivity_bright", 0.08);
    t.black.emissivity = values.read("emissivity_black", 0.95);
    return reduced(values, t, reduceBlockPair);
}

Result<Reduction> oneFaceBlockFrom(const TestInput& test, TestValues& values) {
    const Series* log = channelOf(test, "block");
    if (!log)
        return missingRole(test, "block");
    OneFaceBlock t;
    t.block = *log;
    t.massKg = values.read("mass_kg", t.massKg);
    t.areaM2 = values.read("area_m2", t.areaM2);
    t.specificHeat20 = values.read("c_J_kgK", t.specificHeat20);
    t.emissivity = values.read("emissivity", t.emissivity);
    t.airK = values.kelvin("air_C", 100);
    t.fromBelow = values.read("from_below", 1) != 0;
    if (const auto known = values.ifGiven("h_known_W_m2K")) {
        t.coefficientKnown = true;
        t.knownW_m2K = *known;
    }
    t.limitK = values.kelvinIfGiven("limit_C");
    return reduced(values, t, reduceOneFaceBlock);
}

Result<Reduction> cavityMapFrom(const TestInput& test, TestValues& values) {
    CavityMap t;
    t.spots = test.channels;
    t.limitK = values.kelvinIfGiven("limit_C");
    t.liquid = values.read("liquid", 0) != 0;
    return reduced(values, t, reduceCavityMap);
}

} // namespace dynamet::rating
