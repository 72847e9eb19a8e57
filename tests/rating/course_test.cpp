// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/course.h"
#include "rating/uncertainty/worth_waiting.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

TEST(Course, EveryProtocolHasAsManyEndsAsSteps) {
    for (const Protocol& protocol : allProtocols())
        EXPECT_EQ(courseOf(protocol).size(), protocol.steps.size()) << protocol.id;
}

// What a log is taken of begins with a step that starts it.
TEST(Course, EveryLogHasAStepThatStartsIt) {
    for (const Protocol& protocol : allProtocols()) {
        if (!protocol.fromLog)
            continue;
        bool starts = false;
        for (const Until& until : courseOf(protocol))
            starts = starts || until.what == Until::What::start || until.what == Until::What::rises;
        EXPECT_TRUE(starts) << protocol.id;
    }
}

TEST(Course, StepsEndByWhatIsRead) {
    const auto water = courseOf(*findProtocol("water-heat-up"));
    EXPECT_EQ(water[3], (Until{Until::What::above, 358.15}));
    CourseNow now;
    now.started = true;
    now.leading = 350;
    EXPECT_FALSE(isOver(water[3], now));
    now.leading = 359;
    EXPECT_TRUE(isOver(water[3], now));
    now.leading = std::nan("");
    EXPECT_FALSE(isOver(water[3], now));
    const Until quarter{Until::What::seconds, 900};
    now.stepBeganS = 60;
    now.nowS = 900;
    EXPECT_FALSE(isOver(quarter, now));
    now.nowS = 960;
    EXPECT_TRUE(isOver(quarter, now));
    EXPECT_FALSE(isOver(Until{}, now));
}

// What averages out falls as the square root of time; what does not, stays.
TEST(WorthWaiting, KnowsWhenTheInstrumentIsAllThatIsLeft) {
    std::vector<SpreadAt> averages, floor;
    for (double t = 60; t <= 1800; t += 60) {
        averages.push_back({t, 30 / std::sqrt(t)});
        floor.push_back({t, std::hypot(1.0, 3 / std::sqrt(t))});
    }
    ASSERT_TRUE(laterSpread(averages).has_value());
    EXPECT_NEAR(*laterSpread(averages), 30 / std::sqrt(1.5 * 1800), 1e-6);
    EXPECT_FALSE(isEnough(averages));
    EXPECT_TRUE(isEnough(floor));
    EXPECT_FALSE(isEnough({{60, 1}, {120, 1}}));
}

} // namespace
