// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/cook_log.h"

#include <gtest/gtest.h>

namespace dynamet::run {
namespace {

TEST(CookLog, WordsComeBack) {
    for (int i = 0; i <= static_cast<int>(What::probeOut); ++i) {
        const auto what = static_cast<What>(i);
        EXPECT_EQ(whatOf(enumName(what)), what) << i;
    }
    EXPECT_FALSE(whatOf("danced"));
}

TEST(CookLog, WhatWasTakenBackCountsNoMoreAndCanBePutBack) {
    std::vector<Entry> all = {
        {1, 0, What::foodIn, 0, ""}, {2, 60, What::turned, 0, ""}, {3, 70, What::takenBack, 2, ""}};
    EXPECT_EQ(standing(all).size(), 1u);
    all.push_back({4, 80, What::takenBack, 3, ""});
    EXPECT_EQ(standing(all).size(), 2u);
    EXPECT_EQ(standingOf(standing(all)).turns, 1);
}

TEST(CookLog, StandsWhereTheEntriesSay) {
    const std::vector<Entry> all = {{1, 100, What::foodIn, 0, ""},
                                    {2, 700, What::stageLeft, 0, ""},
                                    {3, 900, What::stageOn, 1, ""},
                                    {4, 950, What::opened, 0, ""}};
    Standing stands = standingOf(all);
    EXPECT_EQ(stands.stage, 1u);
    EXPECT_FALSE(stands.waiting);
    EXPECT_TRUE(stands.open);
    EXPECT_EQ(stands.stageBeganS, 900);
    EXPECT_FALSE(stands.pulled);
}

} // namespace
} // namespace dynamet::run
