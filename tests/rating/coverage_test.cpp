// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coverage of the logs of air, water and blocks: see coverage.h.
#include "rating/coverage.h"
#include "rating/protocols/block.h"
#include "rating/protocols/preheat.h"
#include "rating/protocols/water_heat_up.h"
#include "rating/protocols/zone_sweep.h"

namespace {

using namespace coverage;

/// A pot as it is (drawn about what the cook weighed and looked up) and what the cook says of it.
struct PotOfWater {
    generator::PotRun run;
    WaterHeatUp test;
};

PotOfWater potOfWater(int seed, Draw& draw, double everyS) {
    PotOfWater out;
    out.test.waterKg = 1.5;
    out.test.potKg = 1.2;
    out.test.ambientK = 295.15;
    generator::Pot pot;
    pot.waterKg = draw(1.5, 0.009 * 1.5);
    pot.potCJ_kgK = draw(500, 25);
    pot.toRoomW_K = draw(0.8, 0.35);
    pot.netW = 900 + 1.6 * seed;
    generator::Sensor sensor;
    sensor.gain = draw(1, 0.013);
    sensor.biasC = draw(0, 0.3);
    out.run = generator::heatPot(pot, 88, everyS, sensor, static_cast<std::uint64_t>(seed));
    return out;
}

TEST(Coverage, WaterHeatUp) {
    Coverage power;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        auto [run, test] = potOfWater(seed, draw, 2);
        test.water = seriesOf(run.water);
        const auto found = reduceWaterHeatUp(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities.front(), run.trueNetW);
    }
    power.expectHonest("net power");
}

// Read by eye once a minute, the clock by hand.
TEST(Coverage, WaterReadByHand) {
    Coverage power;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        auto [run, test] = potOfWater(seed, draw, 1);
        const Series all = seriesOf(run.water);
        for (double minute = 60; minute < all.timeS.back() - 10; minute += 60) {
            test.water.timeS.push_back(minute);
            test.water.value.push_back(valueAt(all, draw(minute, 2)) + draw(0, 0.5));
        }
        const auto found = reduceWaterHeatUp(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities.front(), run.trueNetW);
    }
    power.expectHonest("net power by hand");
}

TEST(Coverage, Preheat) {
    Coverage mean;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Cavity cavity;
        cavity.dialErrorC = draw(0, 8);
        cavity.hysteresisC = 3 + 0.01 * seed;
        cavity.heaterW = draw(2400, 150);
        generator::Sensor sensor{60, draw(0, 0.8), 1, 0.15, 0.1};
        const auto run =
            generator::preheat(cavity, 180, 5400, 5, sensor, static_cast<std::uint64_t>(seed));
        Preheat test;
        test.air = seriesOf(run.air);
        test.setK = 453.15;
        const auto found = reducePreheat(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        mean.add(found->quantities.front(), run.trueMeanC + 273.15);
    }
    mean.expectHonest("mean of the air");
}

TEST(Coverage, BlockWithAnAirLogBesideIt) {
    Coverage effective, total;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Cavity cavity;
        generator::Block block;
        block.airW_m2K = 9 + 0.02 * seed;
        block.emissivity = draw(0.9, 0.03);
        block.massKg = draw(0.045, 0.01 * 0.045);
        block.cJ_kgK = 896;
        block.wallsAboveAirC = draw(0, 15);
        generator::Sensor blockSensor{2, draw(0, 0.6), 1, 0.15, 0.1};
        generator::Sensor airSensor{draw(100, 30), draw(0, 1.0), 1, 0.2, 0.1};
        const auto run = generator::blockInCavity(cavity, 180, block, 1500, 5, blockSensor,
                                                  airSensor, static_cast<std::uint64_t>(seed));
        BlockTest test;
        test.block = seriesOf(run.block);
        test.air = seriesOf(run.air);
        const auto found = reduceBlock(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        effective.add(found->quantities[0], run.trueEffectiveC + 273.15);
        total.add(found->quantities[1], run.trueTotalW_m2K);
    }
    effective.expectHonest("effective temperature");
    total.expectHonest("total coefficient");
}

TEST(Coverage, ZoneSweep) {
    Coverage operative;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Zone zone;
        zone.operativeC = 120 + 0.2 * seed;
        generator::Sensor sensor{1, draw(0, 1.5), 1, 0.5, 1};
        const auto run = generator::readZone(zone, 3, sensor, static_cast<std::uint64_t>(seed));
        ZoneSweep test;
        for (double c : run.probe)
            test.readingsK.push_back(c + 273.15);
        const auto found = reduceZoneSweep(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        operative.add(found->quantities.front(), zone.operativeC + 273.15);
    }
    operative.expectHonest("zone");
}

} // namespace
