// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/judged.h"
#include "run/roast.h"
#include "words/learned_words.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::run {
namespace {

using namespace testing;

TEST(Judged, ComesBackFromItsText) {
    Judged judged;
    judged.coreK = C(55);
    judged.rimM = 0.004;
    judged.scores = {{"Ann", "crust", 7}, {"Ben", "crust", 5.5}};
    judged.verdict = "good";
    judged.nextTime = "colder pan";
    judged.photos = {"abc"};
    EXPECT_EQ(readJudged(judgedJson(judged)).value(), judged);
    EXPECT_FALSE(readJudged("["));
}

TEST(Judged, TastersSpreadIsTheirStandardDeviation) {
    const auto sums = sumsOf({{"A", "crust", 4}, {"B", "crust", 6}, {"A", "smoke", 3}});
    ASSERT_EQ(sums.size(), 2u);
    EXPECT_DOUBLE_EQ(sums[0].mean, 5);
    EXPECT_NEAR(sums[0].spread, std::sqrt(2.0), 1e-12); // of two: the sample's
    EXPECT_TRUE(std::isnan(sums[1].spread)) << "one taster has no spread";
}

TEST(Judged, ALengthInAPhotoFollowsItsScale) {
    EXPECT_NEAR(*lengthInPhoto({0, 0}, {30, 40}, {0, 0}, {0, 200}, 0.02), 0.005, 1e-12);
    EXPECT_FALSE(lengthInPhoto({0, 0}, {30, 40}, {5, 5}, {5, 5}, 0.02));
}

Question cooked(const Roast& roast, double slower) {
    Question out = roast.question();
    const auto readings = roast.readings(1, 4 * 3600, 20);
    for (const CoreReading& one : readings)
        if (one.kelvin <= out.planned.pullK)
            out.readings.push_back({one.atS * slower, one.kelvin, false});
    out.nowS = out.readings.back().atS + 5;
    out.entries.push_back({2, out.nowS, What::pulled, 0, ""});
    return out;
}

TEST(Told, ASlowCookTellsBySoMuchAndASlowFoodIsBelievedAfterSeveral) {
    const Roast roast;
    const auto even = toldBy(cooked(roast, 1), "a");
    ASSERT_TRUE(even) << even.error().message;
    EXPECT_NEAR(even->observation.lnDifference, 0, 0.02);
    const auto slow = toldBy(cooked(roast, 1.15), "b");
    ASSERT_TRUE(slow);
    EXPECT_NEAR(slow->observation.lnDifference, std::log(1.15), 0.02);
    EXPECT_GT(slow->observation.u, 0);
    EXPECT_LT(slow->observation.u, 0.1);
    std::vector<evidence::Observation> all;
    std::vector<evidence::Block> blocks = slow->blocks;
    for (int i = 0; i < 8; ++i) {
        auto told = toldBy(cooked(roast, 1.15), "c" + std::to_string(i));
        all.push_back(told->observation);
    }
    // Eight cooks that all took 15 % longer: the next one is expected to, within a third.
    Question next = roast.question();
    const auto before = forecastOf(next);
    next.request.belief = evidence::Belief(blocks, all);
    const auto after = forecastOf(next);
    ASSERT_TRUE(before && after);
    EXPECT_GT(after->pull.s, 1.08 * before->pull.s);
    EXPECT_LT(after->pull.s, 1.2 * before->pull.s);
    EXPECT_LT(after->pull.highS - after->pull.lowS, before->pull.highS - before->pull.lowS);
    const auto back = readTold(toldJson(*slow));
    ASSERT_TRUE(back);
    EXPECT_EQ(back->observation.effects.size(), slow->observation.effects.size());
    EXPECT_NEAR(back->observation.lnDifference, slow->observation.lnDifference, 1e-12);
}

TEST(Told, NothingReadOrReadTooEarlyTellsNothing) {
    const Roast roast;
    Question question = roast.question();
    question.entries.push_back({2, 2000, What::pulled, 0, ""});
    EXPECT_EQ(toldBy(question, "a").error().code, Errc::notFound);
    question.entries.insert(question.entries.begin() + 1, {3, 4, What::reading, C(21), ""});
    EXPECT_EQ(toldBy(question, "a").error().code, Errc::refused);
}

/// A cook of a food on an oven that took longer by a share.
evidence::Observation slowOn(const std::string& id, const std::string& food,
                             const std::string& oven, double ln) {
    evidence::Observation out;
    out.id = "cook:" + id;
    out.effects = {{"food:" + food, 0.05, "how this food conducts"},
                   {"field:" + oven + ":0.0", -0.03, "air temperature"},
                   {"cook:" + id, 0.03, "one cook and another"}};
    out.lnDifference = ln;
    out.u = 0.02;
    return out;
}

// Where two foods are slow on one oven and not elsewhere, the oven is named; where one food is slow
// on two ovens, the food (evidence.md, 6).
TEST(Told, TheLikelierCulpritIsNamed) {
    const auto said = [](std::vector<evidence::Observation> all) {
        std::string out;
        for (const std::string& line : words::blameLines(evidence::Belief({}, std::move(all))))
            out += line;
        return out;
    };
    std::vector<evidence::Observation> oven, food;
    for (int i = 0; i < 3; ++i) {
        const std::string n = std::to_string(i);
        oven.push_back(slowOn("a" + n, "pork-loin", "Old oven", 0.15));
        oven.push_back(slowOn("b" + n, "celeriac", "Old oven", 0.15));
        oven.push_back(slowOn("c" + n, "pork-loin", "New oven", 0));
        oven.push_back(slowOn("d" + n, "celeriac", "New oven", 0));
        food.push_back(slowOn("a" + n, "pork-loin", "Old oven", 0.25));
        food.push_back(slowOn("b" + n, "celeriac", "Old oven", 0));
        food.push_back(slowOn("c" + n, "pork-loin", "New oven", 0.25));
        food.push_back(slowOn("d" + n, "celeriac", "New oven", 0));
    }
    EXPECT_NE(said(oven).find("appliance Old oven is likely off"), std::string::npos) << said(oven);
    EXPECT_NE(said(food).find("food Pork loin is likely off"), std::string::npos) << said(food);
    EXPECT_EQ(said({slowOn("a", "pork-loin", "Old oven", 0)}), "");
}

TEST(Told, WhatOneCookMovedIsShown) {
    const evidence::Belief belief(
        {}, {slowOn("a", "pork-loin", "Old oven", 0.2), slowOn("b", "pork-loin", "Old oven", 0.2)});
    const auto lines = words::changedLines(belief, "a");
    ASSERT_FALSE(lines.empty());
    EXPECT_NE(lines[0].find("without it"), std::string::npos);
    EXPECT_TRUE(words::changedLines(belief, "not there").empty());
}

} // namespace
} // namespace dynamet::run
