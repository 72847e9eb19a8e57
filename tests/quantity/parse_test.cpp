// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;

struct Text {
    const char* typed;
    double value;
};

class TemperatureText : public ::testing::TestWithParam<Text> {};
TEST_P(TemperatureText, IsReadAsACookMeansIt) {
    const auto t = parseTemperature(GetParam().typed);
    ASSERT_TRUE(t.has_value()) << t.error().message;
    EXPECT_NEAR(t->celsius(), GetParam().value, 0.01) << GetParam().typed;
}
INSTANTIATE_TEST_SUITE_P(Cooks, TemperatureText,
                         ::testing::Values(Text{"350F", 176.67}, Text{"350 °F", 176.67},
                                           Text{"180 C", 180}, Text{"180", 180},
                                           Text{"453.15 K", 180}, Text{"62,5 °C", 62.5},
                                           Text{"-18 C", -18}, Text{"gas 6", 200},
                                           Text{"gas mark 4", 180}, Text{"Gas Mark ½", 120},
                                           Text{"gas 2 1/2", 157.5}));

// Gas marks: usual dial scale, from memory (reference-values).
TEST(GasMark, GoesBothWays) {
    for (const auto& [mark, c] :
         {std::pair{0.25, 110.0}, {1.0, 140.0}, {5.0, 190.0}, {7.0, 220.0}, {9.0, 240.0}}) {
        EXPECT_NEAR(gasMark(mark)->celsius(), c, 1e-9);
        EXPECT_NEAR(toGasMark(Temperature::celsius(c)), mark, 1e-9);
    }
    EXPECT_FALSE(gasMark(11).has_value());
}

class LengthText : public ::testing::TestWithParam<Text> {};
TEST_P(LengthText, IsReadInMillimetres) {
    const auto m = parseLengthM(GetParam().typed);
    ASSERT_TRUE(m.has_value()) << m.error().message;
    EXPECT_NEAR(*m * 1000, GetParam().value, 1e-6) << GetParam().typed;
}
INSTANTIATE_TEST_SUITE_P(Cooks, LengthText,
                         ::testing::Values(Text{"1 1/4 in", 31.75}, Text{"1¼\"", 31.75},
                                           Text{"1¼ in", 31.75}, Text{"½ inch", 12.7},
                                           Text{"3/4\"", 19.05}, Text{"2.5 cm", 25},
                                           Text{"2,5 cm", 25}, Text{"38 mm", 38}, Text{"38", 38}));

struct Time {
    const char* typed;
    double low, high;
};
class DurationText : public ::testing::TestWithParam<Time> {};
TEST_P(DurationText, IsReadInSeconds) {
    const auto t = parseDuration(GetParam().typed);
    ASSERT_TRUE(t.has_value()) << t.error().message;
    EXPECT_DOUBLE_EQ(t->lowS, GetParam().low) << GetParam().typed;
    EXPECT_DOUBLE_EQ(t->highS, GetParam().high) << GetParam().typed;
}
INSTANTIATE_TEST_SUITE_P(Cooks, DurationText,
                         ::testing::Values(Time{"1 h 10", 4200, 4200}, Time{"1h10", 4200, 4200},
                                           Time{"12:30", 750, 750}, Time{"1:12:30", 4350, 4350},
                                           Time{"90 s", 90, 90}, Time{"25-30 min", 1500, 1800},
                                           Time{"25–30 min", 1500, 1800},
                                           Time{"2 hours", 7200, 7200},
                                           Time{"1 hour and 20 minutes", 4800, 4800},
                                           Time{"45", 2700, 2700}, Time{"1½ h", 5400, 5400},
                                           Time{"3 min 20 s", 200, 200}));

TEST(Mass, ReadsPoundsAndOunces) {
    EXPECT_NEAR(*parseMassKg("1 lb 4 oz"), 0.56699, 1e-5);
    EXPECT_NEAR(*parseMassKg("1.5 kg"), 1.5, 1e-12);
    EXPECT_NEAR(*parseMassKg("250"), 0.25, 1e-12);
}

TEST(PowerEnergyPressure, KnowTheirUsualUnits) {
    EXPECT_NEAR(*parsePowerW("12000 BTU/h"), 3516.85, 0.05);
    EXPECT_NEAR(*parseEnergyJ("0.5 kWh"), 1.8e6, 1e-6);
    EXPECT_NEAR(*parseAreaM2("248 sq in"), 0.16, 1e-4); // 1 in = 25.4 mm
    EXPECT_NEAR(*parseAreaM2("1,600 cm²"), 0.16, 1e-12);
    EXPECT_NEAR(*parseAreaM2("100", 6.4516e-4), 0.064516, 1e-12);
    EXPECT_NEAR(*parsePressurePa("1013.25 hPa"), 101325, 1e-6);
    EXPECT_NEAR(*parsePressurePa("29.92 inHg"), 101321, 10);
}

class Nonsense : public ::testing::TestWithParam<const char*> {};
TEST_P(Nonsense, IsRefusedAndNamed) {
    const auto t = parseTemperature(GetParam());
    ASSERT_FALSE(t.has_value());
    EXPECT_NE(t.error().message.find(GetParam()), std::string::npos);
}
INSTANTIATE_TEST_SUITE_P(Texts, Nonsense,
                         ::testing::Values("hot", "180 X", "F", "gas x", "12 34 C"));

// A logger's interval: a bare number is seconds there, not minutes.
TEST(Interval, ABareNumberIsSeconds) {
    EXPECT_DOUBLE_EQ(*parseInterval("5"), 5);
    EXPECT_DOUBLE_EQ(*parseInterval("0.5"), 0.5);
    EXPECT_DOUBLE_EQ(*parseInterval("5 s"), 5);
    EXPECT_DOUBLE_EQ(*parseInterval("1 min"), 60);
    EXPECT_DOUBLE_EQ(*parseInterval("1:30"), 90);
    for (const char* bad : {"", "0", "-5", "soon", "2 days", "inf", "1e9"})
        EXPECT_FALSE(parseInterval(bad).has_value()) << bad;
}

TEST(Duration, RefusesNonsense) {
    for (const char* text : {"", "soon", "10 parsecs", "12:75", "30-20 min"})
        EXPECT_FALSE(parseDuration(text).has_value()) << text;
}

} // namespace
