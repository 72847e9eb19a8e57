// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/browning.h"
#include "food/composition.h"
#include "food/safety.h"
#include "quantity/temperature.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::food;

constexpr double C(double c) {
    return c + kZeroCelsiusK;
}

// Pure water against IF97 (20 °C: 998.2 kg/m³; 60 °C: k 0.651 W/mK, from general tables): Choi &
// Okos are good to about 1 %.
TEST(Composition, PureWaterIsWater) {
    const Composition water{1, 0, 0, 0, 0, 0};
    EXPECT_NEAR(densityAt(water, 20), 998.2, 5);
    EXPECT_NEAR(specificHeatAt(water, 20), 4184, 30);
    EXPECT_NEAR(conductivityOf(volumeParts(water, 60), 1), 0.651, 0.01);
}

// Lean beef: measured k 0.45–0.49 W/mK, which the parallel model overstates by up to a tenth, and
// c 3.4–3.6 kJ/kgK near 20 °C (ASHRAE Handbook—Refrigeration, ch. on thermal properties of foods,
// from memory).
TEST(Composition, LeanBeefLiesInTheHandbooksRange) {
    const Composition beef = findFood("beef-lean")->composition;
    EXPECT_NEAR(conductivityOf(volumeParts(beef, 20), 1), 0.49, 0.04);
    EXPECT_NEAR(specificHeatAt(beef, 20), 3500, 100);
    EXPECT_NEAR(waterPerVolume(Composition{}), 755, 35);
}

// docs/physics.md §1: about 0.19 W/mK dry; fat's slope does not make it negative near 65 °C.
TEST(Composition, ConductivityFallsAsWaterLeavesAndStaysPositive) {
    const auto parts = volumeParts(Composition{}, 100);
    EXPECT_NEAR(conductivityOf(parts, 0), 0.19, 0.03);
    EXPECT_GT(conductivityOf(parts, 0.5), conductivityOf(parts, 0));
    const Composition fat{0, 0, 1, 0, 0, 0};
    for (double t : {20.0, 65.0, 150.0})
        EXPECT_GT(conductivityOf(volumeParts(fat, t), 1), 0.1) << t;
}

TEST(Composition, RefusesSharesThatDoNotAddUp) {
    EXPECT_FALSE(normalised({0.5, 0.2, 0, 0, 0, 0}).has_value());
    EXPECT_FALSE(normalised({1.1, -0.1, 0, 0, 0, 0}).has_value());
}

TEST(Foods, EveryRowAddsUpHasASourceAndIsNobodysTwin) {
    const auto& foods = shippedFoods();
    EXPECT_GE(foods.size(), 12u);
    for (const Food& food : foods) {
        EXPECT_FALSE(food.source.empty()) << food.id;
        EXPECT_GT(food.waterU, 0) << food.id;
        for (const Food& other : foods)
            if (&other != &food) {
                EXPECT_FALSE(other.composition == food.composition)
                    << food.id << " and " << other.id;
            }
    }
}

// FSIS Appendix A, cooked beef, 6.5-log Salmonella (°F, minutes; from memory): our D60 and z must
// never ask for less, and for at most 14 % more.
TEST(Pasteurisation, IsNeverShorterThanTheOfficialTable) {
    for (const auto& [f, minutes] : {std::pair{130.0, 112.0},
                                     {131.0, 89.0},
                                     {132.0, 71.0},
                                     {133.0, 56.0},
                                     {134.0, 45.0},
                                     {135.0, 36.0},
                                     {136.0, 28.0},
                                     {137.0, 23.0},
                                     {138.0, 18.0},
                                     {139.0, 15.0},
                                     {140.0, 12.0}}) {
        const double ours = beefHoldTimeS(Temperature::fahrenheit(f).kelvin(), 6.5) / 60;
        EXPECT_GE(ours, minutes * 0.999) << f;
        EXPECT_LE(ours, minutes * 1.14) << f;
    }
    EXPECT_TRUE(std::isinf(beefHoldTimeS(C(50), 6.5)));
}

// US minimum internal temperatures (FSIS, from memory): poultry 165 °F, mince 160 °F, whole cuts
// and fish 145 °F.
TEST(Safety, KnowsTheOfficialMinimums) {
    const auto f = [](const char* c, Form form) {
        return Temperature::kelvin(officialMinimum(c, form)->kelvin).fahrenheit();
    };
    EXPECT_NEAR(f("poultry", Form::intact), 165, 0.3);
    EXPECT_NEAR(f("beef", Form::minced), 160, 0.3);
    EXPECT_NEAR(f("pork", Form::intact), 145, 0.3);
    EXPECT_NEAR(f("fish", Form::intact), 145, 0.3);
    EXPECT_FALSE(officialMinimum("vegetable", Form::intact).has_value());
}

TEST(Safety, SaysSoBelowTheMinimumAndDefersToLocalCodes) {
    const Food beef = *findFood("beef-lean");
    const auto low = judgeSafety(beef, Form::intact, C(58), 0.4, false);
    EXPECT_TRUE(low.below);
    EXPECT_NE(low.text.find("58.0 °C is below the official 62.8 °C + 3 min rest"),
              std::string::npos)
        << low.text;
    EXPECT_NE(low.text.find("about 29 min at 58.0 °C"), std::string::npos) << low.text;
    EXPECT_NE(low.text.find("Local codes"), std::string::npos);
    EXPECT_FALSE(judgeSafety(beef, Form::intact, C(63), 10, false).below);
    EXPECT_TRUE(judgeSafety(beef, Form::minced, C(63), 10, false).below) << "the form counts";
}

// "about 30 min at 58 °C would give the same reduction" (definitions §4): 1.95 · 10^(2/5.56) · 6.5.
TEST(Safety, HoldTimeAtFiftyEight) {
    EXPECT_NEAR(beefHoldTimeS(C(58), 6.5) / 60, 29, 1);
}

TEST(Browning, DoublesAboutEveryFourteenKelvinAndNamesItsSteps) {
    EXPECT_NEAR(browningRate(423.15) * 600, 1, 1e-9);
    EXPECT_NEAR(browningRate(438.15) / browningRate(423.15), 2.07, 0.1);
    EXPECT_STREQ(crustWord(1), "golden");
    EXPECT_STREQ(crustWord(2), "dark");
    EXPECT_STREQ(crustWord(4), "scorched");
    EXPECT_STREQ(crustWord(6), "charred");
}

TEST(Doneness, TwoShippedScalesDisagreeAndSayWhenTheyAreRead) {
    const auto house = findLevel("house", "beef", "medium rare"),
               line = findLevel("line", "beef", "medium rare");
    ASSERT_TRUE(house && line);
    EXPECT_GT(house->lowK, line->highK - 1);
    EXPECT_EQ(shippedScales()[0].readAt, ReadAt::peak);
    EXPECT_EQ(shippedScales()[1].readAt, ReadAt::pull);
    EXPECT_FALSE(findLevel("house", "beef", "blue moon").has_value());
}

} // namespace
