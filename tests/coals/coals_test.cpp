// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/burn.h"
#include "coals/burn_curve.h"
#include "coals/oven_heat.h"
#include "coals/placement.h"

#include <cmath>
#include <gtest/gtest.h>
#include <vector>

namespace {

using namespace dynamet::coals;

// Incropera et al., table 13.2, coaxial parallel disks; worked by hand: R1 = R2 = 2 gives S = 2.25
// and F = (2.25 − √1.0625)/2 = 0.60961 (the design's list prints 0.61161 there, which its formula
// does not give).
TEST(Placement, CoaxialDisksOfTheTable) {
    EXPECT_NEAR(coaxialDisks(0.2, 0.2, 0.1), 0.60961, 1e-5);
    EXPECT_NEAR(coaxialDisks(0.2, 0.2, 0.2), 0.38197, 1e-4);
    EXPECT_NEAR(coaxialDisks(0.05, 0.25, 0.2), 0.60392, 1e-4);
}

// Reciprocity A1 F12 = A2 F21 (any heat-transfer text).
TEST(Placement, Reciprocity) {
    EXPECT_NEAR(0.05 * 0.05 * coaxialDisks(0.05, 0.2, 0.1),
                0.2 * 0.2 * coaxialDisks(0.2, 0.05, 0.1), 1e-9);
}

// A small face over a disk: F = R²/(R² + h²) (closed form of the same configuration).
TEST(Placement, IrradiationFallsWithHeight) {
    const CoalBed bed{0.15, 50000};
    EXPECT_NEAR(irradiation(bed, 0.10), 50000 * 0.0225 / (0.0225 + 0.01), 5);
    EXPECT_NEAR(irradiation(bed, 0.20), 50000 * 0.0225 / (0.0225 + 0.04), 5);
}

TEST(Placement, ASeriesOfHeightsGivesTheBedBack) {
    const CoalBed bed{0.17, 42000};
    std::vector<HeightReading> series;
    for (double h : {0.06, 0.12, 0.2})
        series.push_back({h, irradiation(bed, h), 300});
    const auto found = fitHeights(series);
    ASSERT_TRUE(found.has_value()) << found.error().message;
    EXPECT_NEAR(found->radiusM, 0.17, 0.002);
    EXPECT_NEAR(found->emissionW_m2, 42000, 400);
    std::swap(series[0].irradiationW_m2, series[2].irradiationW_m2);
    EXPECT_FALSE(fitHeights(series).has_value());
    EXPECT_FALSE(fitHeights(std::span(series).first(1)).has_value());
}

TEST(Placement, BankedCoalsLieDeeperAndNarrower) {
    EXPECT_LT(bedRadius(2, Layout::banked), bedRadius(2, Layout::even));
}

// docs/physics.md, from common practice: a briquette of 22 g and 21 MJ/kg, 85 % burnt in an hour,
// gives about 109 W on average.
TEST(Burn, ABriquettesMeanHeat) {
    EXPECT_NEAR(meanHeatW({}, 0, 3600, {}), 109, 1);
}

TEST(Burn, HeatAddsUpToWhatWasBurnt) {
    const Fuel fuel;
    double sum = 0;
    for (int s = 0; s < 7200; ++s)
        sum += heatW(fuel, s + 0.5, {});
    EXPECT_NEAR(sum, fuel.pieceKg * fuel.heatingJ_kg * (1 - leftAt(fuel, 7200, {})), 1);
}

// Burn rate goes with the pressure to a power of 0.5 to 1, and rises with wind.
TEST(Burn, ThinAirBurnsSlowerWindFaster) {
    const double high = burnFactor({70109, 283, 0});
    EXPECT_GT(high, 70109.0 / 101325);
    EXPECT_LT(high, std::sqrt(70109.0 / 101325));
    EXPECT_GT(burnFactor({101325, 283, 5}), 1.2);
}

// Common practice (docs/physics.md): a 12 in iron oven loses about 2.7 W/K in still air at sea
// level.
TEST(OvenHeat, LossInStillAir) {
    EXPECT_NEAR(ovenLossW_K({}), 2.7, 0.01);
    EXPECT_GT(ovenLossW_K({101325, 293, 4}), 4);
}

// Common practice, no source: 21 coals are 14 on the lid and 7 under, two to one.
TEST(OvenHeat, WholeCoalsTwoToOne) {
    const OvenHeat heat{7, 7};
    const Count count = countFor(heat, 293.15 + 147, 293.15, 2.0 / 3);
    EXPECT_EQ(count.under, 7);
    EXPECT_EQ(count.lid, 14);
    EXPECT_NEAR(insideK(heat, count.under, count.lid, 293.15), 293.15 + 147, 1e-9);
}

TEST(BurnCurve, FallsThroughWhatItSays) {
    const BurnCurve curve{290, 400, 0.6, 1200, 9000};
    const auto at = passes(curve, 490);
    ASSERT_TRUE(at.has_value());
    EXPECT_NEAR(temperatureAt(curve, *at), 490, 1e-3);
    const double h = 1;
    EXPECT_NEAR(slopeAt(curve, *at),
                (temperatureAt(curve, *at + h) - temperatureAt(curve, *at - h)) / (2 * h), 1e-6);
    EXPECT_FALSE(passes(curve, 700).has_value());
}

} // namespace
