// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What each protocol must not swallow (definitions §2): each refusal says what to do.
#include "rating/protocols/block.h"
#include "rating/protocols/preheat.h"
#include "rating/protocols/water_heat_up.h"
#include "rating/protocols/zone_sweep.h"
#include "rating/series_of.h"
#include "words/say.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

Series ovenLog(double seconds, double dialC = 180) {
    return seriesOf(generator::preheat({}, dialC, seconds, 5, {}, 3).air);
}

BlockTest blockTest(double seconds) {
    const auto run =
        generator::blockInCavity({}, 180, {}, seconds, 5, {}, {100, 0, 1, 0.1, 0.1}, 5);
    BlockTest test;
    test.block = seriesOf(run.block);
    test.air = seriesOf(run.air);
    test.emissivity = 0.95;
    return test;
}

template <class T>
void expectRefusal(const Result<T>& result, const std::string& words) {
    ASSERT_FALSE(result.has_value());
    EXPECT_EQ(result.error().code, Errc::refused);
    const std::string says = dynamet::words::text(result.error(), {});
    EXPECT_NE(says.find(words), std::string::npos) << says;
}

TEST(Refusal, AnOvenThatNeverSettled) {
    Preheat test;
    test.air = ovenLog(700);
    expectRefusal(reducePreheat(test), "never settled");
}

TEST(Refusal, AProbeAtItsLimit) {
    Preheat test;
    test.air = ovenLog(3600);
    test.limitK = 440;
    expectRefusal(reducePreheat(test), "probe's limit");
}

TEST(Refusal, TimeThatRunsBackwards) {
    Preheat test;
    test.air = ovenLog(3600);
    test.air.timeS[100] = 1;
    expectRefusal(reducePreheat(test), "backwards");
}

TEST(Refusal, FahrenheitReadAsCelsius) {
    WaterHeatUp test;
    test.waterKg = 1.5;
    test.water = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    for (double& v : test.water.value)
        v = (v - 273.15) * 1.8 + 32 + 273.15;
    expectRefusal(reduceWaterHeatUp(test), "unit");
}

TEST(Refusal, WaterThatDoesNotGetHotEnough) {
    WaterHeatUp test;
    test.waterKg = 1.5;
    test.water = seriesOf(generator::heatPot({}, 60, 2, {}, 1).water);
    expectRefusal(reduceWaterHeatUp(test), "does not pass");
}

TEST(Refusal, AWindowTooCloseToBoilingOnTheMountain) {
    WaterHeatUp test;
    test.waterKg = 1.5;
    test.pressurePa = 61640; // 4000 m
    test.toK = 358.15;
    test.water = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    expectRefusal(reduceWaterHeatUp(test), "boils");
}

TEST(Refusal, ABlockLogThatIsTooShort) {
    expectRefusal(reduceBlock(blockTest(100)), "too short");
    const auto longer = reduceBlock(blockTest(200));
    ASSERT_TRUE(longer.has_value());
    EXPECT_EQ(longer->warnings.front().code, "short");
}

TEST(Refusal, ABlockThatIsNotAtOneTemperature) {
    BlockTest test = blockTest(1500);
    test.conductivity = 0.5; // a block of stone
    expectRefusal(reduceBlock(test), "Biot");
}

TEST(Refusal, AZoneReadTooSoon) {
    ZoneSweep test;
    test.readingsK = {420, 425, 418};
    test.settledForS = 120;
    expectRefusal(reduceZoneSweep(test), "25 min");
}

TEST(ZoneSweep, ReadingsAtTheLimitOnlyBound) {
    ZoneSweep test;
    test.readingsK = {573.15, 573.15, 573.15};
    test.limitK = 573.15;
    const auto found = reduceZoneSweep(test);
    ASSERT_TRUE(found.has_value());
    EXPECT_EQ(found->quantities.front().bound, Bound::lower);
    EXPECT_TRUE(found->fieldNumbers.empty()) << "a bound is no number for the field";
}

TEST(ZoneSweep, ACensoredReadingNeverAverages) {
    ZoneSweep test;
    test.readingsK = {560, 566, 573.15};
    test.limitK = 573.15;
    const auto found = reduceZoneSweep(test);
    test.readingsK = {560, 566};
    const auto without = reduceZoneSweep(test);
    EXPECT_GT(found->quantities.front().value, without->quantities.front().value);
}

} // namespace
