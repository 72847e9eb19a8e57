// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Water, steam and altitude against IAPWS-IF97 as general-purpose libraries compute it, and the
// ICAO standard atmosphere (p = 101325 (1 − 2.25577e-5 h)^5.25588).
#include "quantity/water.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;

struct Row {
    double altitudeM, pressurePa, boilsC, latentKJ;
};
class Altitude : public ::testing::TestWithParam<Row> {};
TEST_P(Altitude, GivesPressureBoilingPointAndLatentHeat) {
    const Row row = GetParam();
    const double p = *standardPressurePa(row.altitudeM);
    EXPECT_NEAR(p, row.pressurePa, 0.1);
    EXPECT_NEAR(boilingPoint(p).celsius(), row.boilsC, 1e-3);
    EXPECT_NEAR(latentHeatJPerKg(boilingPoint(p)) / 1000, row.latentKJ, 0.3);
}
INSTANTIATE_TEST_SUITE_P(
    If97, Altitude,
    ::testing::Values(Row{0, 101325, 99.974, 2256.5}, Row{300, 97772.6, 98.977, 2259.2},
                      Row{1000, 89874.6, 96.649, 2265.3}, Row{2000, 79495.2, 93.315, 2274.0},
                      Row{3000, 70108.5, 89.972, 2282.6}, Row{4000, 61640.2, 86.619, 2291.2}));

// Verification values of IAPWS-IF97, region 4.
TEST(Saturation, MatchesTheVerificationValuesOfIf97) {
    EXPECT_NEAR(saturationPressurePa(Temperature::kelvin(300)), 3536.58941, 1e-4);
    EXPECT_NEAR(saturationPressurePa(Temperature::kelvin(500)), 2.63889776e6, 1);
    EXPECT_NEAR(boilingPoint(1e5).kelvin(), 372.755919, 1e-6);
}

// Liquid water at 1 atm, IF97 (cp kJ/kgK, density kg/m³).
TEST(Water, HasItsHandbookHeatAndDensity) {
    for (const auto& [c, cp, rho] : {std::tuple{20.0, 4.1848, 998.21},
                                     {40.0, 4.1786, 992.22},
                                     {60.0, 4.1828, 983.21},
                                     {80.0, 4.1955, 971.80},
                                     {95.0, 4.2106, 961.90}}) {
        EXPECT_NEAR(waterSpecificHeat(Temperature::celsius(c)), cp * 1000, 0.5) << c;
        EXPECT_NEAR(waterDensity(Temperature::celsius(c)), rho, 0.05) << c;
    }
}

TEST(Altitude, IsRefusedOutsideTheAtmosphereWeKnow) {
    EXPECT_FALSE(standardPressurePa(12000).has_value());
    EXPECT_FALSE(standardPressurePa(-900).has_value());
}

} // namespace
