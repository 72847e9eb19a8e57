// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/roast.h"
#include "words/cook_words.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::run {
namespace {

using namespace testing;

TEST(Forecast, BeforeAnyReadingItIsThePlansWindow) {
    const Roast roast;
    const Question question = roast.question();
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast) << forecast.error().message;
    EXPECT_NEAR(forecast->pull.s, question.planned.expectS, 0.06 * question.planned.expectS);
    EXPECT_NEAR(std::log(forecast->pull.highS / forecast->pull.lowS),
                std::log(*roast.row.window->latestS / roast.row.window->earlyS), 0.2);
    EXPECT_EQ(forecast->probe, ProbeState::none);
    EXPECT_NEAR(forecast->peak.kelvin, roast.row.outcome.peakK, 1.5);
}

// One reading at the turn tells a thicker piece: the forecast follows, and is surer.
TEST(Forecast, OneTypedReadingIsEnoughToUpdate) {
    const Roast roast;
    Question question = roast.question();
    const auto before = forecastOf(question);
    question.nowS = question.planned.expectS / 2;
    const auto thick = roast.readings(1.1, question.nowS, question.nowS);
    question.entries.push_back({2, question.nowS, What::reading, thick.back().kelvin, ""});
    const auto after = forecastOf(question);
    ASSERT_TRUE(after) << after.error().message;
    EXPECT_GT(after->pull.s, before->pull.s * 1.04);
    EXPECT_LT(after->pull.highS - after->pull.lowS, 0.6 * (before->pull.highS - before->pull.lowS));
    EXPECT_EQ(after->readings, 1u);
}

// A probe that hangs in the air of the oven, or lies on a cold plate, reads what no point of the
// piece can have (common practice, no source).
TEST(Forecast, AProbeThatFellOutIsNotBelieved) {
    const Roast roast;
    Question question = roast.question();
    question.nowS = question.planned.expectS / 2;
    question.readings = roast.readings(1, question.nowS, 20);
    const auto sound = forecastOf(question);
    ASSERT_TRUE(sound);
    EXPECT_EQ(sound->probe, ProbeState::fine);
    for (double t = question.nowS; t < question.nowS + 120; t += 20)
        question.readings.push_back({t, C(168), false});
    question.nowS += 120;
    const auto fallen = forecastOf(question);
    ASSERT_TRUE(fallen);
    EXPECT_EQ(fallen->probe, ProbeState::misplaced);
    EXPECT_GT(fallen->setAside, 0u);
    EXPECT_NEAR(fallen->pull.s, sound->pull.s, 0.06 * sound->pull.s);
    question.probeSilentS = 90;
    EXPECT_EQ(forecastOf(question)->probe, ProbeState::lost);
}

TEST(Forecast, IsTheSameAgain) {
    const Roast roast;
    Question question = roast.question();
    question.nowS = 900;
    question.readings = roast.readings(1.05, 900, 60);
    const auto a = forecastOf(question), b = forecastOf(question);
    EXPECT_EQ(a->pull.s, b->pull.s);
    EXPECT_EQ(a->peak.highK, b->peak.highK);
}

// A door that stands open costs time: common practice, no source.
TEST(Forecast, ADoorThatStoodOpenIsPartOfTheCourse) {
    const Roast roast;
    Question question = roast.question();
    question.nowS = 900;
    const auto shut = forecastOf(question);
    question.entries.push_back({2, 300, What::opened, 400, ""});
    const auto open = forecastOf(question);
    ASSERT_TRUE(shut && open);
    EXPECT_GT(open->pull.s, shut->pull.s + 20);
}

// An oven that is not hot enough never brings it there: said so, not drawn on as a line.
TEST(Forecast, APlateauThatNeverEndsIsNoTime) {
    const Roast roast;
    Question question = roast.question();
    const auto* still = findAppliance(question.request.kitchen, "still");
    question.planned.recipe.last().place.setting =
        *kitchen::parseSetting(still->controls, "oven=80C");
    question.planned.pullK = C(92);
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast) << forecast.error().message;
    EXPECT_FALSE(std::isfinite(forecast->pull.s));
    EXPECT_GT(forecast->neverShare, 0.5);
    const auto lines = words::forecastLines(*forecast, question.planned, 0, {});
    ASSERT_FALSE(lines.empty());
    EXPECT_NE(lines[0].find("does not come there"), std::string::npos) << lines[0];
}

} // namespace
} // namespace dynamet::run
