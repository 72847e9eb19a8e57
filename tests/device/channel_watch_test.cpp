// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/channel_watch.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet::device;

TEST(ChannelWatch, GoesStaleWhenItIsLateByItsOwnPace) {
    ChannelWatch quick, slow;
    EXPECT_EQ(quick.at(100), ChannelState::waiting);
    for (int i = 0; i < 20; ++i) {
        quick.take(i, {"1", 20});
        slow.take(30.0 * i, {"1", 20});
    }
    EXPECT_DOUBLE_EQ(quick.usualS(), 1);
    EXPECT_EQ(quick.at(19 + 2.5), ChannelState::live);
    EXPECT_EQ(quick.at(19 + 3.5), ChannelState::stale);
    EXPECT_EQ(slow.at(30 * 19 + 60), ChannelState::live);
    EXPECT_EQ(slow.at(30 * 19 + 95), ChannelState::stale);
    quick.take(40, {"1", 21});
    EXPECT_EQ(quick.at(41), ChannelState::live);
    EXPECT_DOUBLE_EQ(quick.last(), 21);
}

TEST(ChannelWatch, SaysWhyThereIsNoNumber) {
    ChannelWatch watch;
    watch.take(0, {"1", 0, Gap::open});
    EXPECT_EQ(watch.at(1), ChannelState::open);
    watch.take(1, {"1", 0, Gap::over});
    EXPECT_EQ(watch.at(2), ChannelState::over);
    watch.take(2, {"1", 20});
    EXPECT_EQ(watch.at(3), ChannelState::live);
}

} // namespace
