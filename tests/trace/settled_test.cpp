// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// When a log has settled, and how its thermostat cycles: against curves whose answer is known.
#include "trace/settled.h"

#include <cmath>
#include <functional>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;

Series curve(double seconds, double everyS, const std::function<double(double)>& value) {
    Series s;
    for (double t = 0; t <= seconds; t += everyS) {
        s.timeS.push_back(t);
        s.value.push_back(value(t));
    }
    return s;
}

Series ramp(double tauS, double swing, double periodS, double seconds) {
    return curve(seconds, 5, [=](double t) {
        return 450 - 150 * std::exp(-t / tauS) + swing * std::sin(2 * M_PI * t / periodS);
    });
}

TEST(Settled, WaitsForTheCycleMeanNotForTheCycles) {
    const auto settled = findSettled(ramp(400, 8, 420, 4800), {});
    ASSERT_TRUE(settled.has_value());
    EXPECT_NEAR(settled->cycling.periodS, 420, 25);
    EXPECT_NEAR(settled->cycling.halfSwing, 8, 0.8);
    EXPECT_GT(settled->atS, 1500);
    EXPECT_LT(settled->atS, 3300);
    EXPECT_FALSE(findSettled(ramp(4000, 8, 420, 3600), {}).has_value())
        << "still climbing 2 K a minute";
}

// The slope of 450 − 150 e^(−t/τ) is 150/τ e^(−t/τ); under the limit g from t = τ ln(150/(τ g)) on.
// The rule looks back over a window, so it may come later by up to that window, never earlier than
// the middle of it.
class SettlingTime : public ::testing::TestWithParam<double> {};
TEST_P(SettlingTime, IsThatOfTheExponentialWithinItsWindow) {
    const double tau = GetParam();
    const SettledRule rule;
    const auto settled = findSettled(ramp(tau, 0, 420, 20 * tau), rule);
    ASSERT_TRUE(settled.has_value());
    const double exact = tau * std::log(150 / (tau * rule.slopeLimitPerS));
    EXPECT_GT(settled->atS, exact);
    EXPECT_LT(settled->atS, exact + rule.windowS + 30);
    EXPECT_EQ(settled->cycling.cycles, 0);
}
INSTANTIATE_TEST_SUITE_P(TimeConstants, SettlingTime, ::testing::Values(200, 400, 700, 1200));

TEST(Settled, HasNoOpinionOnAHandfulOfReadings) {
    EXPECT_FALSE(findSettled({}, {}).has_value());
    EXPECT_FALSE(findSettled(curve(30, 5, [](double) { return 450.0; }), {}).has_value());
    EXPECT_FALSE(findSettled(curve(500, 5, [](double) { return 450.0; }), {}).has_value())
        << "less than its window of ten minutes";
    EXPECT_TRUE(findSettled(curve(700, 5, [](double) { return 450.0; }), {}).has_value());
}

TEST(Settled, PassesOverReadingsThatAreMissing) {
    Series s = ramp(300, 6, 300, 4000);
    for (std::size_t i = 0; i < s.size(); i += 7)
        s.value[i] = std::nan("");
    const auto settled = findSettled(s, {});
    ASSERT_TRUE(settled.has_value());
    EXPECT_NEAR(settled->cycling.periodS, 300, 20);
}

TEST(Cycling, MeasuresSquareWavesAsTheyAre) {
    // On 120 s, off 180 s, ±5: the period is 300 s, half the swing 5.
    const auto cycling = findCycling(
        curve(3000, 2, [](double t) { return 430 + (std::fmod(t, 300) < 120 ? 5.0 : -5.0); }), 0.5);
    EXPECT_NEAR(cycling.periodS, 300, 2);
    EXPECT_NEAR(cycling.halfSwing, 5, 0.2);
    EXPECT_GE(cycling.cycles, 8);
}

TEST(Cycling, SeesNoneInNoiseOrInAStraightClimb) {
    unsigned state = 7;
    const auto noise = [&state](double) {
        state = state * 1664525u + 1013904223u; // Numerical Recipes' quick generator
        return 450 + 0.4 * (state / 4294967296.0 - 0.5);
    };
    EXPECT_EQ(findCycling(curve(3000, 5, noise), 0.5).cycles, 0);
    EXPECT_EQ(findCycling(curve(3000, 5, [](double t) { return 300 + 0.05 * t; }), 0.5).cycles, 0);
}

TEST(SteadyFrom, TakesTheLaterStartWhereTheLogGoesOn) {
    const SettledRule rule;
    const Settled settled{1500, 900, {}};
    const auto until = [&](double end) {
        return steadyFrom(curve(end, 5, [](double) { return 450.0; }), settled, rule);
    };
    EXPECT_EQ(until(1600), 900) << "the stretch that showed it is all there is";
    EXPECT_EQ(until(2200), 1500);
}

TEST(StretchMeans, LeaveOutTheIncompleteLastOne) {
    const auto means = stretchMeans(curve(100, 1, [](double t) { return t; }), 10, 30);
    ASSERT_EQ(means.size(), 3u);
    EXPECT_DOUBLE_EQ(means[0], 25);
    EXPECT_DOUBLE_EQ(means[2], 85);
}

} // namespace
