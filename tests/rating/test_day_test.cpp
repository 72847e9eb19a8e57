// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/report/test_day.h"

#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

TestTimes of(const std::string& protocol) {
    return timesOf(*findProtocol(protocol));
}

/// Two hands, probes, appliances and cooling are kept to; nothing goes beyond the day.
void expectPossible(const TestDay& day, const DayMeans& means) {
    for (std::size_t i = 0; i < day.tests.size(); ++i) {
        const DayTest& a = day.tests[i];
        EXPECT_LE(a.doneS, means.lastsS);
        EXPECT_LE(a.beginsS, a.logS);
        EXPECT_LE(a.logS, a.readyS);
        int probes = 0;
        for (std::size_t k = 0; k < day.tests.size(); ++k) {
            const DayTest& b = day.tests[k];
            if (b.logS <= a.logS && a.logS < b.readyS)
                probes += of(b.test.protocol).probes;
            if (k == i)
                continue;
            const auto apart = [](double a0, double a1, double b0, double b1) {
                return a1 <= b0 + 1e-9 || b1 <= a0 + 1e-9;
            };
            EXPECT_TRUE(apart(a.beginsS, a.logS, b.beginsS, b.logS));
            EXPECT_TRUE(apart(a.readyS, a.doneS, b.beginsS, b.logS));
            EXPECT_TRUE(apart(a.readyS, a.doneS, b.readyS, b.doneS));
            if (a.test.applianceId == b.test.applianceId) {
                EXPECT_TRUE(apart(a.beginsS, a.doneS, b.beginsS, b.doneS));
                if (b.beginsS > a.beginsS && of(b.test.protocol).fromCold) {
                    EXPECT_GE(b.beginsS + 1e-9, a.doneS + of(a.test.protocol).coolsS);
                }
            }
        }
        EXPECT_LE(probes, means.probes);
    }
}

// While the oven settles, the hob is rated (common practice, no source).
TEST(TestDay, TheHobIsRatedWhileTheOvenSettles) {
    const DayMeans means{2 * 3600, 4};
    const auto day =
        planTestDay({{"oven", "preheat", "", "", 10}, {"hob", "water-heat-up", "", "", 2}}, means);
    ASSERT_EQ(day.tests.size(), 2u);
    EXPECT_EQ(day.tests[0].test.applianceId, "oven");
    EXPECT_EQ(day.tests[1].test.applianceId, "hob");
    EXPECT_LT(day.tests[1].doneS, day.tests[0].readyS);
    expectPossible(day, means);
}

TEST(TestDay, TheSameOvenCoolsBeforeItIsHeatedAgain) {
    const DayMeans means{6 * 3600, 4};
    const auto day =
        planTestDay({{"oven", "preheat", "180", "", 10}, {"oven", "preheat", "220", "", 8}}, means);
    ASSERT_EQ(day.tests.size(), 2u);
    EXPECT_GE(day.tests[1].beginsS, day.tests[0].doneS + of("preheat").coolsS);
    expectPossible(day, means);
}

TEST(TestDay, WhatDoesNotFitIsLeftAndTheMostValuableGoesFirst) {
    const DayMeans means{3600, 1};
    const auto day = planTestDay(
        {{"a", "preheat", "", "", 1}, {"b", "preheat", "", "", 9}, {"c", "burn-down", "", "", 100}},
        means);
    ASSERT_EQ(day.tests.size(), 1u);
    EXPECT_EQ(day.tests[0].test.applianceId, "b");
    EXPECT_EQ(day.left.size(), 2u);
}

TEST(TestDay, WhatSlipsMovesTheRestAndLeavesWhatIsDone) {
    const DayMeans means{4 * 3600, 4};
    const std::vector<Wanted> wanted{{"oven", "block", "", "", 9},
                                     {"hob", "water-heat-up", "", "", 5},
                                     {"bath", "bath-loss", "", "", 3}};
    const auto day = planTestDay(wanted, means);
    DayTest late = day.tests[0];
    late.readyS += 1800;
    late.doneS += 1800;
    const auto again = planTestDay(wanted, means, {late}, 3600);
    expectPossible(again, means);
    EXPECT_EQ(again.tests.size(), 3u);
    EXPECT_DOUBLE_EQ(again.tests[0].doneS, late.doneS);
    EXPECT_GE(again.tests[1].beginsS, 3600);
}

TEST(TestDay, NoOddDayBreaksAConstraint) {
    std::mt19937 random(3);
    const auto& all = allProtocols();
    for (int day = 0; day < 200; ++day) {
        std::vector<Wanted> wanted;
        const auto count = 1 + random() % 12;
        for (unsigned i = 0; i < count; ++i)
            wanted.push_back({std::string(1, static_cast<char>('a' + random() % 5)),
                              all[random() % all.size()].id, std::to_string(i), "",
                              static_cast<double>(random() % 50)});
        const DayMeans means{3600.0 * static_cast<double>(1 + random() % 8),
                             static_cast<int>(1 + random() % 5)};
        const auto planned = planTestDay(wanted, means);
        expectPossible(planned, means);
        EXPECT_EQ(planned.tests.size() + planned.left.size(), wanted.size());
    }
}

} // namespace
