// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/drift.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

std::vector<RepeatedValue> repeats(const std::vector<double>& values, double u = 0) {
    std::vector<RepeatedValue> out;
    for (double v : values)
        out.push_back({v, u, static_cast<std::int64_t>(out.size()) * 86400000});
    return out;
}

// NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2, individuals chart of flow rates (from
// memory): mean 50.81, mean moving range 1.8778, limits 45.8159 and 55.8041.
TEST(ControlChart, TheHandbooksIndividualsChart) {
    const auto chart =
        controlChart(repeats({49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1}));
    EXPECT_NEAR(chart.centre, 50.81, 0.005);
    EXPECT_NEAR(chart.sigma * 1.128, 1.8778, 0.0005);
    EXPECT_NEAR(chart.low, 45.8159, 0.002);
    EXPECT_NEAR(chart.high, 55.8041, 0.002);
    EXPECT_TRUE(chart.outside.empty());
}

// The same handbook, 6.3.2.4, EWMA with λ 0.3 from 50 (from
// memory): 50.60, 49.52, 50.56, 50.18, 50.16, …, the last of twenty 51.99.
TEST(ControlChart, TheHandbooksEwma) {
    const std::vector<double> data{52.0, 47.0, 53.0, 49.3, 50.1, 47.0, 51.0, 50.1, 51.2, 50.5,
                                   49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1};
    const auto ewma = ewmaOf(data, 50, 0.3);
    for (const auto& [at, value] : {std::pair<std::size_t, double>{0, 50.60},
                                    {1, 49.52},
                                    {2, 50.56},
                                    {3, 50.18},
                                    {4, 50.16},
                                    {19, 51.99}})
        EXPECT_NEAR(ewma[at], value, 0.006) << at;
}

TEST(Verdict, FewRepeatsSayNothing) {
    EXPECT_EQ(controlChart(repeats({150, 152, 149})).verdict, DriftVerdict::tooFew);
    EXPECT_NE(driftWords(controlChart(repeats({150, 152})), "operative_K",
                         kitchen::ApplianceKind::gasGrill)
                  .find("test it again"),
              std::string::npos);
}

TEST(Verdict, ASlowFallIsADriftAndAJumpIsAJump) {
    EXPECT_EQ(controlChart(repeats({150, 151, 150, 149, 151, 150})).verdict, DriftVerdict::steady);
    const auto falling =
        controlChart(repeats({160, 158, 156, 153, 150, 147, 144, 141}), {0.2, 2.7, 3});
    EXPECT_EQ(falling.verdict, DriftVerdict::drifting);
    const auto words = driftWords(falling, "operative_K", kitchen::ApplianceKind::gasGrill);
    EXPECT_NE(words.find("drifts down"), std::string::npos) << words;
    // Gas is put right by the maker's instructions or a fitter (common practice, no source).
    EXPECT_NE(words.find("fitter"), std::string::npos) << words;
}

TEST(Verdict, TheRepeatsOwnUncertaintyWidensTheLimits) {
    const auto quiet = controlChart(repeats({150, 150.1, 149.9, 150, 152}));
    const auto honest = controlChart(repeats({150, 150.1, 149.9, 150, 152}, 2));
    EXPECT_LT(quiet.sigma, 2);
    EXPECT_DOUBLE_EQ(honest.sigma, 2);
    EXPECT_TRUE(honest.outside.empty());
}

// Common practice, no source: two grills of one model differ by 20–30 °C.
TEST(Twins, TwentyEightApartIsReal) {
    EXPECT_TRUE(twinDifference({430, 5, 0}, {402, 5, 0}).real);
    EXPECT_FALSE(twinDifference({430, 5, 0}, {424, 5, 0}).real);
}

} // namespace
