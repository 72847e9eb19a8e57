// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/run_log.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::device;

RunLog twoProbes() {
    return RunLog({{{"port", "1"}, "block"}, {{"port", "2"}, "air"}, {{"port", "3"}, ""}},
                  {{{"port", "1"}, {"1", "left", "°F", 0.1, {}, {}}}});
}

// A line that stutters moves no reading: the instrument's own clock counts.
TEST(RunLog, ReadsTheInstrumentsClockAndNotTheLines) {
    RunLog log = twoProbes();
    log.clockStands("port", 100);
    log.take("port", 0.9, {101, {{"1", 70.5}, {"2", 180}, {"3", 5}}});
    log.take("port", 4.7, {102, {{"1", 70.6}, {"2", 181}}}); // came late
    log.take("port", 4.8, {103, {{"1", 70.7}, {"2", 182}}});
    const auto channels = log.channels();
    ASSERT_EQ(channels.size(), 2u);
    EXPECT_EQ(channels[0].role, "block");
    EXPECT_EQ(channels[0].unit, "°F");
    EXPECT_EQ(channels[0].timeS, (std::vector<double>{1, 2, 3}));
    EXPECT_EQ(channels[1].asRecorded, (std::vector<double>{180, 181, 182}));
    EXPECT_DOUBLE_EQ(log.lastS(), 3);
}

TEST(RunLog, LeavesOutWhatWasSaidBeforeOrTwice) {
    RunLog log = twoProbes();
    log.clockStands("port", 100);
    EXPECT_TRUE(log.take("port", 0.1, {99.5, {{"1", 70}}}).empty());
    EXPECT_EQ(log.take("port", 1, {101, {{"1", 70}}}).size(), 1u);
    EXPECT_TRUE(log.take("port", 1.1, {101, {{"1", 71}}}).empty());
}

TEST(RunLog, AClockThatBeginsAnewGoesOnByTheListeners) {
    RunLog log = twoProbes();
    log.clockStands("port", 100);
    log.take("port", 1, {101, {{"1", 70}}});
    log.take("port", 30, {0.5, {{"1", 71}}}); // unplugged and plugged in again
    log.take("port", 31, {1.5, {{"1", 72}}});
    EXPECT_EQ(log.channels()[0].timeS, (std::vector<double>{1, 30, 31}));
}

TEST(RunLog, WithoutAClockTheArrivalCounts) {
    RunLog log = twoProbes();
    log.take("port", 2.5, {std::nullopt, {{"1", 70}}});
    EXPECT_EQ(log.channels()[0].timeS, (std::vector<double>{2.5}));
}

TEST(RunLog, TheFirstChangeOfHeatTellsWhenItWentOff) {
    RunLog log = twoProbes();
    log.mark({12, Mark::doorOpened, ""});
    log.mark({2400, Mark::set, ""});
    log.mark({2900, Mark::set, ""});
    const auto values = valuesOf(log.marks(), *rating::findProtocol("bath-loss"));
    EXPECT_EQ(values, (std::map<std::string, double>{{"off_s", 2400}}));
    EXPECT_TRUE(valuesOf(log.marks(), *rating::findProtocol("block")).empty());
    EXPECT_TRUE(log.unmark());
    EXPECT_EQ(log.marks().size(), 2u);
}

TEST(Marks, ReadBackWhatTheySay) {
    for (int i = 0; i <= static_cast<int>(Mark::note); ++i)
        EXPECT_EQ(markOf(enumName(static_cast<Mark>(i))), static_cast<Mark>(i));
    EXPECT_FALSE(markOf("sung").has_value());
}

} // namespace
