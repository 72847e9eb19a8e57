// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a hurried cook types with commas, two units and signs: read as meant, or refused; never a
// thousandth of it.
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;

TEST(Defect164, AThousandWithACommaIsAThousand) {
    EXPECT_NEAR(parseMassKg("1,500 g").value_or(0), 1.5, 1e-9);
    EXPECT_NEAR(parseMassKg("1,5 kg").value_or(0), 1.5, 1e-9);
    EXPECT_NEAR(parseTemperature("1,000 F").value().fahrenheit(), 1000, 1e-6);
    EXPECT_NEAR(parsePowerW("12,000 BTU/h").value_or(0), 12000 * 0.29307107, 1e-3);
}

TEST(Defect164, ASecondPartDoesNotTakeAwayFromTheFirst) {
    EXPECT_NEAR(parseMassKg("1 lb 4 oz").value_or(0), 0.45359237 * 1.25, 1e-9);
    for (const char* typed : {"1 lb -20 oz",
                              "1 lb \xE2\x88\x92"
                              "20 oz",
                              "-1 kg", "inf g", "nan", "1e400 g"})
        EXPECT_FALSE(parseMassKg(typed).has_value()) << typed;
}

TEST(Defect164, TimesOfMixedUnitsAreWholeOrRefused) {
    EXPECT_DOUBLE_EQ(parseDuration("1 h 10")->lowS, 4200);
    const auto days = parseDuration("1 d 4 h");
    ASSERT_TRUE(days.has_value());
    EXPECT_DOUBLE_EQ(days->lowS, 100800);
    const auto open = parseDuration("1 d 4"); // hours? minutes?
    EXPECT_TRUE(!open.has_value() || open->lowS == 100800);
    for (const char* typed : {"-5 min", "inf", "nan min", "1 h -10 min"})
        EXPECT_FALSE(parseDuration(typed).has_value()) << typed;
}

TEST(Defect164, NoTemperatureBelowAbsoluteZeroOrWithoutANumber) {
    for (const char* typed : {"-300 C", "-460 F", "-1 K", "nan", "inf C", "--5", "1e999"})
        EXPECT_FALSE(parseTemperature(typed).has_value()) << typed;
}

// Found by fuzzing: printed through a number that cannot hold it.
TEST(Defect166, ATimeOfAges) {
    EXPECT_FALSE(parseDuration("131111111131111111122:1").has_value());
    EXPECT_FALSE(parseDuration("1e300 h").has_value());
    EXPECT_TRUE(parseDuration("60 h").has_value());
}

} // namespace
