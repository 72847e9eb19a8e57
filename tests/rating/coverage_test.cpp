// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coverage of every protocol as docs/definitions of the design ask: 500 fixed seeds, each redraws
// every Type B input and the noise; z = (estimate − truth)/u must be centred, of sd near 1, and the
// 95 % interval must hold 461–489 of 500. The logs come from demo-kitchen/generator, which knows
// nothing of src/rating.
#include "rating/block.h"
#include "rating/preheat.h"
#include "rating/series_of.h"
#include "rating/water_heat_up.h"
#include "rating/zone_sweep.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

constexpr int kSeeds = 500;

struct Coverage {
    double sum = 0, squares = 0;
    int inside = 0, n = 0;
    void add(const Quantity& q, double truth) {
        const double z = (q.value - truth) / q.u;
        sum += z;
        squares += z * z;
        inside += std::abs(q.value - truth) <= halfWidth95(q);
        ++n;
    }
    void expectHonest(const char* what) const {
        const double mean = sum / n, sd = std::sqrt(squares / n - mean * mean);
        std::printf("%-22s n %d  mean z %+.3f  sd %.3f  inside %d\n", what, n, mean, sd, inside);
        EXPECT_EQ(n, kSeeds) << what;
        EXPECT_LT(std::abs(mean), 0.15) << what;
        EXPECT_GT(sd, 0.88) << what;
        EXPECT_LT(sd, 1.13) << what;
        EXPECT_GE(inside, 461) << what;
        EXPECT_LE(inside, 489) << what;
    }
};

struct Draw {
    std::mt19937_64 random;
    std::normal_distribution<double> normal;
    explicit Draw(int seed) : random(static_cast<std::uint64_t>(seed) * 7919) {}
    double operator()(double mean, double sd) { return mean + sd * normal(random); }
};

TEST(Coverage, WaterHeatUp) {
    Coverage power;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        WaterHeatUp test;
        test.waterKg = 1.5;
        test.potKg = 1.2;
        test.ambientK = 295.15;
        generator::Pot pot;
        pot.waterKg = draw(1.5, 0.009 * 1.5);
        pot.potCJ_kgK = draw(500, 25);
        pot.toRoomW_K = draw(0.8, 0.35);
        pot.netW = 900 + 1.6 * seed;
        generator::Sensor sensor;
        sensor.gain = draw(1, 0.013);
        sensor.biasC = draw(0, 0.3);
        const auto run = generator::heatPot(pot, 88, 2, sensor, static_cast<std::uint64_t>(seed));
        test.water = seriesOf(run.water);
        const auto found = reduceWaterHeatUp(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities.front(), run.trueNetW);
    }
    power.expectHonest("net power");
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
            generator::preheat(cavity, 180, 4200, 5, sensor, static_cast<std::uint64_t>(seed));
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
