// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coverage of what is measured at fires and in hot air: see coverage.h.
#include "generator/fires.h"
#include "rating/coverage.h"
#include "rating/protocols/block_pair.h"
#include "rating/protocols/burn_down.h"
#include "rating/protocols/cavity_map.h"
#include "rating/protocols/coal_count.h"
#include "rating/protocols/one_face_block.h"
#include "rating/protocols/probe_split.h"

#include <algorithm>

namespace {

using namespace coverage;

generator::Block pairBlock(Draw& draw, double emissivity, double airW_m2K, double walls) {
    generator::Block b;
    b.airW_m2K = airW_m2K;
    b.wallsAboveAirC = walls;
    b.emissivity = draw(emissivity, 0.03);
    b.massKg = draw(0.045, 0.00045);
    b.cJ_kgK = 896;
    return b;
}

// Judged jointly: (value − truth)ᵀ C⁻¹ (value − truth) of radiant temperature and coefficient is
// χ² with two degrees of freedom; 95 % of it lie below 5.99 (tables of the χ² distribution).
TEST(Coverage, BlockPairJointly) {
    int inside = 0, n = 0;
    double sum = 0;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        const double walls = -10 + 0.12 * seed;
        generator::Cavity cavity;
        const auto bright = pairBlock(draw, 0.12, 11 + 0.015 * seed, walls);
        auto black = bright;
        const auto other = pairBlock(draw, 0.93, bright.airW_m2K, walls);
        black.emissivity = other.emissivity;
        black.massKg = other.massKg;
        const generator::Sensor airSensor{draw(100, 30), draw(0, 1), 1, 0.2, 0.1};
        const auto runOf = [&](const generator::Block& block, int salt) {
            const generator::Sensor sensor{2, draw(0, 0.6), 1, 0.15, 0.1};
            return generator::blockInCavity(cavity, 180, block, 1800, 5, sensor, airSensor,
                                            static_cast<std::uint64_t>(seed * 2 + salt));
        };
        const auto brightRun = runOf(bright, 0), blackRun = runOf(black, 1);
        BlockPair test;
        test.bright.block = seriesOf(brightRun.block);
        test.black.block = seriesOf(blackRun.block);
        test.black.air = seriesOf(blackRun.air);
        test.bright.air = test.black.air;
        test.bright.emissivity = 0.12;
        test.black.emissivity = 0.93;
        const auto found = reduceBlockPair(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        const double radiant =
            found->quantities[0].value - (blackRun.trueMeanAirC + walls + 273.15);
        const double h = found->quantities[1].value - bright.airW_m2K;
        const double a = found->covariance[0], b = found->covariance[1], c = found->covariance[6];
        const double chi =
            (c * radiant * radiant - 2 * b * radiant * h + a * h * h) / (a * c - b * b);
        sum += chi;
        inside += chi <= 5.991;
        ++n;
    }
    std::printf("block-pair: mean χ² %.2f (2 expected), inside %d of %d\n", sum / n, inside, n);
    EXPECT_GE(inside, 461);
    EXPECT_LE(inside, 489);
    EXPECT_NEAR(sum / n, 2, 0.45);
}

TEST(Coverage, OneFaceBlock) {
    Coverage flux, falling;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Face f;
        f.fallsInW_m2 = 9000 + 40.0 * seed;
        f.emissivity = std::min(0.999, draw(0.93, 0.03));
        f.kg = draw(0.12, 0.012 * 0.12);
        f.airC = draw(110, 15);
        f.leakW_m2K = std::max(0.0, draw(2, 1));
        f.airW_m2K = 18 + 0.01 * seed;
        const auto run = generator::face(f, 330, 1200, {1.5, draw(0, 1), 1, 0.2, 0.1},
                                         static_cast<std::uint64_t>(seed));
        OneFaceBlock test;
        test.block = seriesOf(run.block);
        test.emissivity = 0.93;
        test.airK = 383.15;
        const auto found = reduceOneFaceBlock(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        flux.add(found->quantities[0], run.trueColdW_m2);
        falling.add(found->quantities[1], f.fallsInW_m2);
    }
    flux.expectHonest("one-face flux");
    falling.expectHonest("one-face irradiation");
}

TEST(Coverage, ThinAndThickProbe) {
    Coverage air, radiant;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        const double trueAir = 140 + 0.2 * seed, trueRadiant = 230 + 0.4 * seed;
        const double level = std::exp(draw(0, 0.2)), ratio = draw(1, 0.06);
        const generator::RoundProbe thin{1.5, 44.7 * level * ratio}, thick{4, 44.7 * level};
        ProbePair pair;
        pair.thinK = draw(probeShows(trueAir, trueRadiant, thin), 2) + 273.15;
        pair.thickK = draw(probeShows(trueAir, trueRadiant, thick), 2) + 273.15;
        const auto split = splitProbes(pair);
        ASSERT_TRUE(split.has_value()) << split.error().message;
        air.add(makeQuantity("air", split->value[0], "K", 0, 1e9, std::sqrt(split->cov(0, 0))),
                trueAir + 273.15);
        radiant.add(
            makeQuantity("radiant", split->value[1], "K", 0, 1e9, std::sqrt(split->cov(1, 1))),
            trueRadiant + 273.15);
    }
    air.expectHonest("split: air");
    radiant.expectHonest("split: radiant");
}

TEST(Coverage, CavityMap) {
    Coverage mean, spread;
    const std::vector<double> offsets{-9, -3, 1, 4, 12};
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Cavity cavity;
        cavity.hysteresisC = 3 + 0.006 * seed;
        CavityMap test;
        const double common = draw(0, 0.6);
        double truth = 0;
        for (std::size_t i = 0; i < offsets.size(); ++i) {
            const generator::Sensor sensor{60, common + draw(0, 0.5) + offsets[i], 1, 0.15, 0.1};
            const auto run = generator::preheat(cavity, 170, 4500, 10, sensor,
                                                static_cast<std::uint64_t>(seed * 8) + i);
            test.spots["place " + std::to_string(i)] = seriesOf(run.air);
            truth += (run.trueMeanC + offsets[i]) / static_cast<double>(offsets.size());
        }
        const auto found = reduceCavityMap(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        mean.add(found->quantities[0], truth + 273.15);
        spread.add(found->quantities[1], 21);
    }
    mean.expectHonest("cavity-map mean");
    spread.expectHonest("cavity-map spread");
}

TEST(Coverage, BurnDown) {
    Coverage passes;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Fire fire;
        fire.fuelKg = 8 + 0.006 * seed;
        fire.roomC = draw(15, 3);
        const auto run = generator::burn(fire, 5 * 3600, 10,
                                         {std::max(1.0, draw(20, 8)), draw(0, 2), 1, 1.0, 0.5},
                                         static_cast<std::uint64_t>(seed));
        BurnDown test;
        test.log = seriesOf(run.air);
        test.targetK = 190 + 273.15;
        const auto found = reduceBurnDown(test);
        ASSERT_TRUE(found.has_value()) << found.error().message << " seed " << seed;
        passes.add(found->quantities[0], fallsThrough(run, 190));
    }
    passes.expectHonest("burn-down passes");
}

TEST(Coverage, CoalCount) {
    Coverage under, lid;
    const int counts[][2] = {{6, 12}, {9, 9}, {4, 16}, {10, 20}, {12, 6}};
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::IronOven oven;
        oven.underK = 5 + 0.004 * seed;
        oven.lidK = 7 - 0.004 * seed;
        oven.roomC = draw(14, 1.5);
        oven.biasC = draw(0, 1.5);
        CoalCount test;
        test.ambientK = 287.15;
        for (const auto& c : counts) {
            test.under.push_back(c[0]);
            test.lid.push_back(c[1]);
            test.insideK.push_back(insideReading(oven, c[0], c[1], draw.random) + 273.15);
        }
        const auto found = reduceCoalCount(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        under.add(found->quantities[0], oven.underK);
        lid.add(found->quantities[1], oven.lidK);
    }
    under.expectHonest("a coal under");
    lid.expectHonest("a coal on the lid");
}

} // namespace
