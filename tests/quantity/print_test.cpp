// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <gtest/gtest.h>
#include <type_traits>

namespace {

using namespace dynamet;

// Two significant digits of the uncertainty when it starts with 1, else one (JCGM 100, 7.2.6 allows
// at most two); value and ± share their decimals.
TEST(PlusMinus, NeverShowsMoreDigitsThanTheUncertaintyAllows) {
    EXPECT_EQ(printPlusMinus(1.4142, 0.1, "kW"), "1.41 ± 0.10 kW");
    EXPECT_EQ(printPlusMinus(203.4567, 4.2, "°C"), "203 ± 4 °C");
    EXPECT_EQ(printPlusMinus(196.93, 1.24, "°C"), "196.9 ± 1.2 °C");
    EXPECT_EQ(printPlusMinus(237.2, 33, "°C"), "240 ± 30 °C");
    EXPECT_EQ(printPlusMinus(9.97, 0.097, "K"), "9.97 ± 0.10 K");
}

TEST(PlusMinus, SharesAnExponentWhenTheNumberIsLarge) {
    EXPECT_EQ(printPlusMinus(1.412e6, 0.1e6, "J"), "(1.41 ± 0.10)×10⁶ J");
}

TEST(PlusMinus, WithoutUncertaintyPrintsPlain) {
    EXPECT_EQ(printPlusMinus(58, 0, "°C"), "58 °C");
    EXPECT_EQ(printPlusMinus(-0.04, 0, "K"), "0 K");
    EXPECT_EQ(printFixed(-5.5, 1), "−5.5");
}

TEST(Length, IsPrintedInFractionsOfAnInch) {
    EXPECT_EQ(printLength(0.03175, true), "1 1/4 in");
    EXPECT_EQ(printLength(0.0254, true), "1 in");
    EXPECT_EQ(printLength(0.0127, true), "1/2 in");
    EXPECT_EQ(printLength(0.042, false), "42 mm");
}

TEST(Thin, IsWholeMillimetresOrSixteenths) {
    EXPECT_EQ(printThin(0.0137, {}), "14 mm");
    EXPECT_EQ(printThin(0.0137, {true, true}), "9/16 in");
    EXPECT_EQ(printThin(0, {true, true}), "0 in");
}

TEST(Duration, IsPrintedAsACookReadsIt) {
    EXPECT_EQ(printDuration(200), "3 min 20 s");
    EXPECT_EQ(printDuration(14 * 60 + 20), "14 min");
    EXPECT_EQ(printDuration(3900), "1 h 05 min");
    EXPECT_EQ(printDuration(7200), "2 h");
}

TEST(RoundedTime, IsWholeMinutesOrTenSecondsBelowFive) {
    EXPECT_EQ(roundedDownTime(14.9 * 60), 14 * 60);
    EXPECT_EQ(roundedUpTime(14.1 * 60), 15 * 60);
    EXPECT_EQ(roundedDownTime(199), 190);
    EXPECT_EQ(roundedUpTime(191), 200);
}

template <class A, class B>
concept Addable = requires(A a, B b) {
    a + b;
};
TEST(Temperature, PointsDoNotAdd) {
    static_assert(!Addable<Temperature, Temperature>);
    static_assert(Addable<Temperature, KelvinDelta>);
    static_assert(std::is_same_v<decltype(Temperature() - Temperature()), KelvinDelta>);
    EXPECT_NEAR((Temperature::fahrenheit(212) - Temperature::celsius(0)).kelvin(), 100, 1e-9);
}

} // namespace
