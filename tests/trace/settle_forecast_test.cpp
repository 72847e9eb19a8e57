// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/settle_forecast.h"
#include "trace/thinned.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;

/// One slow mass: 180 − 160 e^(−t/τ), with noise and a thermostat's ripple.
Series oven(double untilS, double tauS, double ripple, unsigned seed) {
    std::mt19937 random(seed);
    std::normal_distribution<double> noise(0, 0.15);
    Series out;
    for (double t = 0; t <= untilS; t += 5) {
        out.timeS.push_back(t);
        out.value.push_back(453 - 160 * std::exp(-t / tauS) +
                            ripple * std::sin(t * 2 * 3.14159265 / 150) + noise(random));
    }
    return out;
}

/// When the rule is first fulfilled by a long log.
double settledAt(double tauS, double ripple, unsigned seed) {
    for (double t = 600; t < 8 * 3600; t += 60)
        if (findSettled(oven(t, tauS, ripple, seed), {}))
            return t;
    return 0;
}

TEST(SettleForecast, SaysWhenTheRuleWillBeFulfilled) {
    for (const double tau : {600.0, 900.0, 1500.0})
        for (unsigned seed = 1; seed <= 3; ++seed) {
            const double truth = settledAt(tau, 0, seed);
            for (const double share : {0.5, 0.7}) {
                const double now = share * truth;
                const auto said = forecastSettling(oven(now, tau, 0, seed), {});
                ASSERT_TRUE(said.has_value()) << tau << " " << share;
                EXPECT_NEAR(said->inS, truth - now, std::max(240.0, 0.35 * (truth - now)))
                    << tau << " " << share;
            }
        }
}

TEST(SettleForecast, AThermostatsRippleDoesNotFoolIt) {
    const double truth = settledAt(900, 2, 4), now = 0.6 * truth;
    const auto said = forecastSettling(oven(now, 900, 2, 4), {});
    ASSERT_TRUE(said.has_value());
    EXPECT_NEAR(said->inS, truth - now, 0.5 * (truth - now));
}

TEST(SettleForecast, SaysNothingOfALineThatRisesEvenlyNorOfOneThatHasSettled) {
    Series even;
    for (double t = 0; t < 2400; t += 5) {
        even.timeS.push_back(t);
        even.value.push_back(293 + 0.05 * t);
    }
    EXPECT_FALSE(forecastSettling(even, {}).has_value());
    EXPECT_FALSE(forecastSettling(oven(8 * 3600, 600, 0, 1), {}).has_value());
    EXPECT_FALSE(forecastSettling({}, {}).has_value());
}

TEST(Thinned, KeepsBothExtremesAndNeverGrows) {
    Thinned thinned(100);
    for (int i = 0; i < 100000; ++i)
        thinned.add(i, i == 54321 ? 900 : i % 7);
    EXPECT_LE(thinned.stretches().size(), 100u);
    double high = 0, before = -1;
    for (const Thinned::Stretch& s : thinned.stretches()) {
        high = std::max(high, s.high);
        EXPECT_GT(s.fromS, before);
        before = s.fromS;
        EXPECT_EQ(s.low, 0);
    }
    EXPECT_EQ(high, 900);
    thinned.add(100001, std::nan(""));
    EXPECT_LE(thinned.stretches().size(), 100u);
}

} // namespace
