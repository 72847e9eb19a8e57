// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What two quantities of one test share is carried: JCGM 102 asks for it wherever outputs come from
// common inputs (its example: u of a difference of two such outputs).
#include "rating/reduce.h"
#include "rating/series_of.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

double correlation(const Reduction& r, const std::string& a, const std::string& b) {
    const std::size_t n = r.quantities.size();
    EXPECT_EQ(r.covariance.size(), n * n);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j)
            if (r.quantities[i].name == a && r.quantities[j].name == b)
                return r.covariance[i * n + j] / (r.quantities[i].u * r.quantities[j].u);
    ADD_FAILURE() << "no " << a << " and " << b;
    return 0;
}

void expectVariancesOnTheDiagonal(const Reduction& r) {
    const std::size_t n = r.quantities.size();
    ASSERT_EQ(r.covariance.size(), n * n);
    for (std::size_t i = 0; i < n; ++i) {
        EXPECT_NEAR(r.covariance[i * n + i], r.quantities[i].u * r.quantities[i].u,
                    1e-9 * (1 + r.covariance[i * n + i]))
            << r.quantities[i].name;
        for (std::size_t j = 0; j < n; ++j) {
            EXPECT_DOUBLE_EQ(r.covariance[i * n + j], r.covariance[j * n + i]);
            EXPECT_LE(std::abs(r.covariance[i * n + j]),
                      r.quantities[i].u * r.quantities[j].u * (1 + 1e-9));
        }
    }
}

Reduction reduced(const TestInput& test) {
    const auto found = reduce(test);
    EXPECT_TRUE(found.has_value()) << found.error().message;
    return found.value_or(Reduction{});
}

TEST(Covariance, AnOvensAirAndItsOffsetAreOneUncertainty) {
    TestInput test{"preheat", {}, {}, {{"set_C", 180}}};
    test.channels["air"] =
        seriesOf(generator::preheat({}, 180, 4200, 5, {60, 0, 1, 0.1, 0.1}, 4).air);
    const auto found = reduced(test);
    expectVariancesOnTheDiagonal(found);
    EXPECT_NEAR(correlation(found, "air_K", "offset_K"), 1, 1e-6);
}

TEST(Covariance, PowerAndEfficiencyRiseTogether) {
    TestInput test{"water-heat-up", {}, {}, {{"water_kg", 1.5}, {"input_W", 1700}}};
    test.channels["water"] = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    const auto found = reduced(test);
    expectVariancesOnTheDiagonal(found);
    EXPECT_GT(correlation(found, "net_power_W", "efficiency"), 0.3);
}

TEST(Covariance, AZoneThatIsHotterHasALidDialThatReadsLessAbove) {
    const TestInput test{
        "zone-sweep",
        {},
        {{"probe", {470, 474, 468}}, {"dial", {480, 483}}, {"thick", {490, 495, 489}}},
        {}};
    const auto found = reduced(test);
    expectVariancesOnTheDiagonal(found);
    EXPECT_LT(correlation(found, "operative_K", "dial_bias_K"), -0.5);
    EXPECT_LT(correlation(found, "air_K", "radiant_K"), 0);
}

TEST(Covariance, ABlocksTemperatureAndCoefficientTradeOff) {
    TestInput test{"block", {}, {}, {}};
    const auto run = generator::blockInCavity({}, 180, {}, 1500, 5, {}, {90, 0, 1, 0.1, 0.1}, 5);
    test.channels = {{"air", seriesOf(run.air)}, {"block", seriesOf(run.block)}};
    const auto found = reduced(test);
    expectVariancesOnTheDiagonal(found);
    EXPECT_EQ(found.fieldCovariances.size(), 3u);
}

TEST(Covariance, PlacesAgainstTheirMeanAddUpToNothing) {
    TestInput test{"cavity-map", {}, {}, {}};
    for (const char* place : {"middle", "upper", "lower"})
        test.channels[place] =
            seriesOf(generator::preheat({}, 180, 4200, 5, {60, 0, 1, 0.1, 0.1}, 7).air);
    const auto found = reduced(test);
    expectVariancesOnTheDiagonal(found);
    EXPECT_LT(correlation(found, "place_K:lower", "place_K:middle"), -0.2);
}

} // namespace
