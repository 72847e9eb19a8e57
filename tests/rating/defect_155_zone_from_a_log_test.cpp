// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A zone's log has the heating-up in it, may end at the probe's limit, and may come from several
// probes: what counts is where it settled. A pot's weight may be logged as well.
#include "quantity/water.h"
#include "rating/reduce.h"
#include "words/say.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

constexpr double kPi = 3.14159265358979;

/// A lid shut over a grate that comes to `levelC`, with a thermostat's or a flame's swing.
Series zoneLog(double levelC, double minutes, double swing, std::optional<double> limitC = {}) {
    Series out;
    std::mt19937 random(7);
    std::normal_distribution<double> noise(0, 0.4);
    for (double t = 0; t <= minutes * 60; t += 10) {
        const double c = levelC - (levelC - 20) * std::exp(-t / 420) +
                         swing * std::sin(2 * kPi * t / 240) + noise(random);
        out.timeS.push_back(t);
        out.value.push_back(273.15 + (limitC ? std::min(c, *limitC) : c));
    }
    return out;
}

Result<Reduction> swept(std::map<std::string, Series> logs,
                        TestInput test = {"zone-sweep", {}, {}, {}}) {
    test.channels = std::move(logs);
    return reduce(test);
}

TEST(Defect155, TheHeatingUpIsNoPartOfTheZone) { // 158 ± 8 was said of 212
    const auto found = swept({{"probe", zoneLog(212, 70, 6)}});
    ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
    const Quantity* zone = find(*found, "operative_K");
    EXPECT_NEAR(zone->value - 273.15, 212, 3);
    EXPECT_GT(halfWidth95(*zone), 3) << "a hand's breadth still matters";
    EXPECT_EQ(zone->bound, Bound::none);
}

// Walked by hand: a grill that swings while it climbs was said to jump.
TEST(Defect168, ASwingOnASlowClimbIsNoJump) {
    for (const double swing : {3.0, 6.0, 10.0, 15.0})
        for (const double period : {180.0, 239.0, 300.0, 420.0}) {
            Series log;
            for (double t = 0; t < 4200; t += 10) {
                log.timeS.push_back(t);
                log.value.push_back(273.15 + 212 - 192 * std::exp(-t / 420) +
                                    swing * std::sin(2 * kPi * t / period));
            }
            const auto found = swept({{"probe", log}});
            ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
            for (const Finding& warning : found->warnings)
                EXPECT_NE(warning.code, "step") << swing << " K, " << period << " s";
        }
}

TEST(Defect155, SeveralProbesAreSpotsOfOneZone) {
    const auto found = swept({{"probe", zoneLog(212, 70, 6)},
                              {"probe 2", zoneLog(220, 70, 6)},
                              {"probe 3", zoneLog(228, 70, 6)}});
    ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
    EXPECT_NEAR(find(*found, "operative_K")->value - 273.15, 220, 3);
}

TEST(Defect155, TheLimitGivesAtLeastNeverAValue) { // 301 ± 15 was said of 355
    for (const double swing : {0.0, 25.0}) {
        const auto found = swept({{"probe", zoneLog(355, 70, swing, 350)}});
        ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
        const Quantity* zone = find(*found, "operative_K");
        EXPECT_EQ(zone->bound, Bound::lower);
        EXPECT_LE(zone->value - 273.15, 355);
        EXPECT_GT(zone->value - 273.15, 330);
        EXPECT_TRUE(found->fieldNumbers.empty()) << "a bound is no field";
        EXPECT_NE(words::say(found->found.front(), {true, true}).find("°F"), std::string::npos);
    }
}

TEST(Defect155, ALogThatNeverSettledIsRefused) {
    Series climbing;
    for (double t = 0; t < 3600; t += 10) {
        climbing.timeS.push_back(t);
        climbing.value.push_back(300 + t / 30);
    }
    const auto found = swept({{"probe", climbing}});
    ASSERT_FALSE(found.has_value());
    EXPECT_EQ(found.error().finding.code, "never_settled");
}

TEST(Defect155, TheDialIsReadOverTheSameTime) {
    const auto found = swept({{"probe", zoneLog(212, 70, 6)}, {"dial", zoneLog(190, 70, 6)}});
    ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
    ASSERT_NE(find(*found, "dial_bias_K"), nullptr);
    EXPECT_NEAR(find(*found, "dial_bias_K")->value, -22, 2);
}

/// 2,000 W into steam at sea level, after ten minutes of heating up: the scale's own log.
Series potLog(double powerW, double everyS) {
    Series out;
    std::mt19937 random(11);
    std::normal_distribution<double> noise(0, 0.0005);
    const double perSecond = powerW / latentHeatJPerKg(Temperature::celsius(100));
    for (double t = 0; t <= 2400; t += everyS) {
        out.timeS.push_back(t);
        out.value.push_back(2.6 - std::max(0.0, t - 600) * perSecond + noise(random));
    }
    return out;
}

TEST(Defect156, APotOnAScaleThatLogsTellsItsPower) {
    TestInput test{"boil-off", {}, {}, {{"loss_W_K", 0.9}, {"ambient_C", 22}}};
    test.channels["pot"] = potLog(2000, 5);
    const auto found = reduce(test);
    ASSERT_TRUE(found.has_value()) << words::text(found.error(), {});
    const Quantity* power = find(*found, "net_power_W");
    EXPECT_NEAR(power->value, 2000 + 0.9 * 78, halfWidth95(*power));
    EXPECT_LT(halfWidth95(*power), 150);
}

TEST(Defect156, APotThatDoesNotBoilIsRefused) {
    TestInput test{"boil-off", {}, {}, {}};
    Series still;
    for (double t = 0; t < 1200; t += 5) {
        still.timeS.push_back(t);
        still.value.push_back(2.6);
    }
    test.channels["pot"] = still;
    const auto found = reduce(test);
    ASSERT_FALSE(found.has_value());
    EXPECT_EQ(found.error().finding.code, "boil_not_seen");
}

} // namespace
