// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Rating with what a home has: readings by hand, no set point, and questions before nonsense is
// saved.
#include "rating/inputs/given_values.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/timed_readings.h"
#include "rating/inputs/typed_values.h"
#include "rating/protocols/preheat.h"
#include "rating/protocols/water_heat_up.h"
#include "rating/report/doubts.h"
#include "rating/series_of.h"
#include "words/rating_words.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;
constexpr auto kC = TemperatureUnit::celsius;
constexpr auto kF = TemperatureUnit::fahrenheit;

TEST(TimedReadings, AreReadAsTheyAreTyped) {
    const auto read = parseTimed("0 65, 1 82; 2:30 99.5\n4 120", kF);
    ASSERT_TRUE(read.has_value()) << read.error().message;
    ASSERT_EQ(read->readings.size(), 4u);
    EXPECT_EQ(read->readings[2].timeS, 150);
    EXPECT_DOUBLE_EQ(read->readings[2].value, 99.5);
    EXPECT_EQ(read->unit, kF);
    const auto named = parseTimed("0 65 F, 1 82", kC);
    ASSERT_TRUE(named.has_value()) << named.error().message;
    EXPECT_EQ(named->unit, kF);
    EXPECT_DOUBLE_EQ(named->readings[1].value, 82);
}

TEST(TimedReadings, RefuseWhatIsNone) {
    for (const char* bad :
         {"", "65", "1 82, 1 90", "2 82, 1 90", "a 82", "1 hot", "1:75 82", "0 20, 1 82 F"})
        EXPECT_FALSE(parseTimed(bad, kC).has_value()) << bad;
}

TEST(Readings, ACommaBetweenThemPartsThem) {
    const auto read = parseReadings("225, 230,228 226,5", kC);
    ASSERT_TRUE(read.has_value()) << read.error().message;
    ASSERT_EQ(read->size(), 4u);
    EXPECT_NEAR((*read)[3].value, 273.15 + 226.5, 1e-9);
    EXPECT_EQ(parseReadings("225,230,228", kC)->size(), 3u);
}

TEST(WaterByHand, RefusesTooFewAndFallingReadings) {
    WaterHeatUp test;
    test.waterKg = 1.5;
    for (int minute = 0; minute < 4; ++minute) {
        test.water.timeS.push_back(60 * minute);
        test.water.value.push_back(293 + 9 * minute);
    }
    EXPECT_FALSE(reduceWaterHeatUp(test).has_value()) << "three after the first minute";
    for (int minute = 4; minute < 8; ++minute) {
        test.water.timeS.push_back(60 * minute);
        test.water.value.push_back(293 + 9 * minute);
    }
    EXPECT_TRUE(reduceWaterHeatUp(test).has_value());
    test.water.value[6] = 300; // cold water was poured in, or misread
    EXPECT_FALSE(reduceWaterHeatUp(test).has_value());
}

// Without a set point nothing is reported against a dial (180 °C was taken before).
TEST(Preheat, WithoutASetPointNothingIsSaidOfADial) {
    Preheat test;
    test.air = seriesOf(generator::preheat({}, 200, 5400, 5, {60, 0, 1, 0.15, 0.1}, 1).air);
    const auto found = reducePreheat(test);
    ASSERT_TRUE(found.has_value()) << found.error().message;
    EXPECT_EQ(find(*found, "offset_K"), nullptr);
    EXPECT_EQ(find(*found, "overshoot_K"), nullptr);
    EXPECT_EQ(words::foundWords(*found, {}).find("dial"), std::string::npos);
}

kitchen::Kitchen ovenKitchen() {
    kitchen::Kitchen out;
    kitchen::Site site;
    site.id = "home";
    out.sites.push_back(site);
    kitchen::Appliance oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven, kF);
    oven.id = "oven";
    oven.siteId = "home";
    out.appliances.push_back(oven);
    return out;
}

Reduction airAt(double celsius) {
    Reduction out;
    out.fieldNumbers.push_back({{kitchen::Face::all, kitchen::Term::air},
                                celsius + 273.15,
                                1,
                                kitchen::Provenance::measured});
    return out;
}

TEST(Doubts, AnOvenSixtyKelvinsOffItsDialIsAskedAbout) {
    const auto kitchen = ovenKitchen();
    const auto& oven = kitchen.appliances.front();
    const auto at = *parseSetting(oven.controls, "oven=350F"); // 176.7 °C
    EXPECT_TRUE(doubtsAbout(airAt(200), kitchen, oven, at, "middle", "", "").empty());
    const auto far = doubtsAbout(airAt(90), kitchen, oven, at, "middle", "", "");
    ASSERT_EQ(far.size(), 1u);
    EXPECT_EQ(far.front().code, "far_from_dial");
    const std::string asked = words::doubtWords(far.front(), oven, at, Units{true, true});
    EXPECT_NE(asked.find("194 °F"), std::string::npos) << asked;
    EXPECT_EQ(asked.find("°C"), std::string::npos) << asked;
}

TEST(Doubts, WhatIsFarFromTheOtherRatingsIsAskedAboutToo) {
    auto kitchen = ovenKitchen();
    const auto& oven = kitchen.appliances.front();
    for (const char* setting : {"oven=300F", "oven=400F"}) {
        kitchen::RatedNumber n;
        n.setting = *parseSetting(oven.controls, setting);
        n.zone = "middle";
        n.number = airAt(setting[5] == '3' ? 189 : 244).fieldNumbers.front(); // 40 K hot
        kitchen.rated["oven"].push_back(n);
    }
    const auto at = *parseSetting(oven.controls, "oven=350F");
    EXPECT_TRUE(doubtsAbout(airAt(216), kitchen, oven, at, "middle", "", "").empty());
    const auto far = doubtsAbout(airAt(140), kitchen, oven, at, "middle", "", "");
    ASSERT_EQ(far.size(), 1u);
    EXPECT_EQ(far.front().code, "far_from_others");
}

TEST(GivenValues, ComeFromDialInstrumentAndVessel) {
    const auto kitchen = ovenKitchen();
    const auto& oven = kitchen.appliances.front();
    const auto at = *parseSetting(oven.controls, "oven=350F");
    kitchen::Instrument probe;
    probe.highLimit = 573.15;
    const auto preheat = givenValues("preheat", {&oven, &at, nullptr, &probe});
    EXPECT_NEAR(preheat.at("set_C"), 176.667, 0.001);
    EXPECT_NEAR(preheat.at("limit_C"), 300, 1e-9);
    kitchen::Vessel pot;
    pot.massKg = 1.7;
    pot.specificHeatJPerKgK = 500;
    const auto water = givenValues("water-heat-up", {&oven, &at, &pot, nullptr});
    EXPECT_EQ(water.at("pot_kg"), 1.7);
    EXPECT_EQ(water.at("pot_c_J_kgK"), 500);
    EXPECT_FALSE(water.contains("area_m2"));
}

} // namespace
