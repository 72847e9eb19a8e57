// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The case format of `dynamet-cli simulate`, held against CVODE on equations written apart and
// against the erf solution.
#include "formats/simulate_case.h"
#include "reference/cvode_food.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::formats;

SimulateResult ran(const std::string& json) {
    const auto input = readCase(json);
    EXPECT_TRUE(input.has_value()) << input.error().message;
    const auto result = runCase(*input);
    EXPECT_TRUE(result.has_value()) << result.error().message;
    return *result;
}

constexpr const char* kExample = R"({"piece": {"shape": "slab", "thickness_m": 0.03,
 "properties": {"k": 0.45, "rho": 1050, "c": 3500}, "start_C": 5},
 "stages": [{"duration_s": 900, "top": {"air_C": 200, "h": 15}, "bottom": {"plate": {"C": 230, "contact": 400}}, "turn_after": false}],
 "report_every_s": 30, "pressure_Pa": 101325})";

TEST(Simulate, ReportsAtZeroEveryStepAndTheEnd) {
    const auto r = ran(kExample);
    ASSERT_EQ(r.timeS.size(), 31u);
    EXPECT_DOUBLE_EQ(r.timeS.front(), 0);
    EXPECT_DOUBLE_EQ(r.timeS[1], 30);
    EXPECT_DOUBLE_EQ(r.timeS.back(), 900);
    EXPECT_NEAR(r.coreC.front(), 5, 1e-9);
    EXPECT_GT(r.bottomC.back(), r.topC.back());
}

TEST(Simulate, AgreesWithCvodeOnFullPhysics) {
    const auto r = ran(R"({"piece": {"shape": "slab", "thickness_m": 0.028, "start_C": 5,
      "properties": {"composition": {"water": 0.72, "protein": 0.20, "fat": 0.07, "carbohydrate": 0, "fibre": 0, "ash": 0.01}}},
      "stages": [{"duration_s": 200, "top": {"air_C": 40, "h": 8, "radiant_C": 40, "emissivity_view": 0.9, "evaporation": {"vapour_Pa": 2000}},
                  "bottom": {"plate": {"C": 210, "contact": 300}}, "turn_after": true},
                 {"duration_s": 200, "top": {"air_C": 40, "h": 8, "radiant_C": 40, "emissivity_view": 0.9, "evaporation": {"vapour_Pa": 2000}},
                  "bottom": {"plate": {"C": 210, "contact": 300}}}], "report_every_s": 100})");
    reference::Case c;
    c.thicknessM = 0.028;
    c.composition = *food::normalised({0.72, 0.20, 0.07, 0, 0, 0.01});
    c.bottom.plateK = 483.15;
    c.bottom.contact = 300;
    c.top.airK = c.top.radiantK = 313.15;
    c.top.hAir = 8;
    c.top.view = 0.9;
    c.top.vapourPa = 2000;
    c.turnAtS = 200;
    c.reportS = {100, 200, 300, 400};
    c.cells = 320;
    c.grading = 0.95;
    c.relativeTolerance = 1e-6;
    const auto expected = reference::solve(c);
    for (std::size_t i = 0; i < c.reportS.size(); ++i)
        EXPECT_NEAR(r.coreC[i + 1] + 273.15, expected.coreK[i], 0.1) << c.reportS[i];
}

// The product of two slabs, as the solver's own tests have it; here by way of the case file.
TEST(Simulate, ABlockIsAheadOfTheSlabAndItsSideFollowsItsTop) {
    const auto at = [](const std::string& shape) {
        return ran(R"({"piece": {)" + shape + R"(, "start_C": 5,
          "properties": {"k": 0.5, "rho": 1000, "c": 3600}},
          "stages": [{"duration_s": 1800, "top": {"air_C": 180, "h": 30},
                      "bottom": {"air_C": 180, "h": 30}}], "report_every_s": 900})");
    };
    const auto block = at(R"("shape": "block", "thickness_m": 0.04, "width_m": 0.04)");
    const auto slab = at(R"("shape": "slab", "thickness_m": 0.04)");
    const double left = (180 - slab.coreC.back()) / 175;
    EXPECT_NEAR((180 - block.coreC.back()) / 175, left * left, 1e-3) << "a square is a slab twice";
    EXPECT_NEAR(block.sideC.back(), block.topC.back(), 0.1);
    EXPECT_TRUE(slab.sideC.empty());
}

TEST(Simulate, AStoneFloorHoldsItsHeatWhereAPlateWouldNot) {
    const auto at = [](const std::string& plate) {
        return ran(R"({"piece": {"shape": "slab", "thickness_m": 0.01, "start_C": 20,
          "properties": {"k": 0.4, "rho": 500, "c": 2800}},
          "stages": [{"duration_s": 240, "top": {"air_C": 30, "h": 8}, "bottom": {"plate": )" +
                   plate + R"(}}]})");
    };
    const auto stone = at(R"({"start_C": 300, "contact": 200, "effusivity_W_s05_m2K": 1600})");
    const auto tin = at(R"({"start_C": 300, "contact": 200, "heat_capacity_J_m2K": 4000})");
    EXPECT_GT(stone.bottomC.back(), tin.bottomC.back() + 20);
}

TEST(Simulate, TemperaturesMayFollowACurve) {
    const auto r = ran(
        R"({"piece": {"shape": "sphere", "diameter_m": 0.01, "start_C": 20, "properties": {"k": 50, "rho": 1000, "c": 1000}},
      "stages": [{"duration_s": 4000, "side": {"air_C": [[0, 20], [2000, 120], [2000, 120]], "h": 500}}], "report_every_s": 1000})");
    // A small metal ball follows the ramp with the lag ρ c r / 3h = 3.3 s.
    EXPECT_NEAR(r.coreC[1], 70 - 0.05 * 3.33, 0.05);
    EXPECT_NEAR(r.coreC.back(), 120, 0.01);
}

struct Wrong {
    const char* from;
    const char* to;
    Errc code;
};
class WrongCase : public ::testing::TestWithParam<Wrong> {};
TEST_P(WrongCase, IsRefusedWithItsPlace) {
    std::string text = kExample;
    const auto at = text.find(GetParam().from);
    ASSERT_NE(at, std::string::npos);
    text.replace(at, std::string(GetParam().from).size(), GetParam().to);
    const auto input = readCase(text);
    ASSERT_FALSE(input.has_value()) << text;
    EXPECT_EQ(input.error().code, GetParam().code) << input.error().message;
}
INSTANTIATE_TEST_SUITE_P(
    Cases, WrongCase,
    ::testing::Values(Wrong{"\"h\": 15", "\"hh\": 15", Errc::invalidArgument},
                      Wrong{"\"thickness_m\": 0.03", "\"thickness_m\": -1", Errc::invalidArgument},
                      Wrong{"\"report_every_s\": 30", "\"report_every\": 30",
                            Errc::invalidArgument},
                      Wrong{"\"shape\": \"slab\"", "\"shape\": \"block\"", Errc::invalidArgument},
                      Wrong{"\"shape\": \"slab\"", "\"shape\": \"cube\"", Errc::invalidArgument},
                      Wrong{"\"top\": {", "\"top\": {\"insulated\": true, ", Errc::invalidArgument},
                      Wrong{"]", "", Errc::parse}));

} // namespace
