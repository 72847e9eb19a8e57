// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/moves.h"
#include "run/roast.h"
#include "run/steering.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace dynamet::run {
namespace {

using namespace testing;

const Action* find(const std::vector<Action>& all, Act act) {
    const auto at =
        std::find_if(all.begin(), all.end(), [&](const Action& one) { return one.act == act; });
    return at == all.end() ? nullptr : &*at;
}

TEST(Steering, TooDarkAsksForLessHeatAndPaleForMore) {
    const Roast roast;
    Question question = roast.question();
    question.nowS = 0.6 * question.planned.expectS;
    question.readings = roast.readings(1, question.nowS, 60);
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast);
    const auto dark = actionsFor(question, *forecast, Seen::tooDark, {}, 9);
    const auto pale = actionsFor(question, *forecast, Seen::pale, {}, 9);
    ASSERT_TRUE(dark && pale) << dark.error().message;
    const Action* lower = find(*dark, Act::lower);
    const Action* higher = find(*dark, Act::higher);
    ASSERT_TRUE(lower && higher);
    // Less heat browns less and takes longer (common practice, no source).
    EXPECT_LT(lower->darker, higher->darker);
    EXPECT_GT(lower->pullS, higher->pullS);
    EXPECT_LT(lower->noticed, higher->noticed);
    EXPECT_LT(find(*pale, Act::higher)->noticed, find(*pale, Act::lower)->noticed);
    EXPECT_NE(find(*dark, Act::goOn), nullptr) << "going on is always offered";
    EXPECT_EQ(find(*dark, Act::pullNow), nullptr) << "it is raw inside yet";
    EXPECT_TRUE(std::is_sorted(dark->begin(), dark->end(),
                               [](const auto& a, const auto& b) { return a.noticed < b.noticed; }));
}

/// A low oven, then a hot pan for some minutes.
Question reverseSear(const Roast& roast, double searS) {
    Question out = roast.question();
    auto& stages = out.planned.recipe.stages;
    stages.front().end = {0, C(52)};
    stages.push_back(stages.front());
    const auto* hob = findAppliance(out.request.kitchen, "hob");
    stages.back().place = {"hob", kitchen::usualSetting(hob->controls), hob->zones.front().name,
                           "pan"};
    stages.back().end = {searS, std::nullopt};
    stages.back().handling = {};
    out.planned.watched = 0;
    out.planned.pullK = C(52);
    return out;
}

// Overshot in the oven: the sear is cut short so that the peak is what was asked.
TEST(Steering, AfterAnOvershootTheNextHeatIsShorter) {
    const Roast roast;
    Question question = reverseSear(roast, 600);
    question.planned.recipe.goal = {C(62), food::GoalMoment::peak, C(60), C(64), "juicy"};
    question.nowS = 3000;
    question.entries.push_back({2, 3000, What::reading, C(56), ""});
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast) << forecast.error().message;
    const auto actions = actionsFor(question, *forecast, std::nullopt, {}, 12);
    ASSERT_TRUE(actions);
    const Action* shorter = find(*actions, Act::shorterNext);
    ASSERT_NE(shorter, nullptr);
    EXPECT_LT(shorter->forS, 600);
    EXPECT_LE(shorter->peakK, C(64.6));
    EXPECT_LT(shorter->peakK, find(*actions, Act::goOn)->peakK);
}

// A sear that would be too much can be left out: the piece is pulled where its rest ends at what
// was asked, paler than with it.
TEST(Steering, ACrustCanBeGivenUp) {
    const Roast roast;
    Question question = reverseSear(roast, 300);
    question.planned.recipe.goal = {C(62), food::GoalMoment::peak, C(60), C(64), "juicy"};
    question.nowS = 1200;
    question.entries.push_back({2, 1200, What::reading, C(35), ""});
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast) << forecast.error().message;
    const auto actions = actionsFor(question, *forecast, std::nullopt, {}, 12);
    ASSERT_TRUE(actions);
    const Action* given = find(*actions, Act::giveUpCrust);
    ASSERT_NE(given, nullptr);
    EXPECT_LT(given->darker, find(*actions, Act::goOn)->darker);
    EXPECT_NEAR(given->peakK, C(62), 1.0);
    // Once it is taken there is one heat left, by its core.
    for (const Entry& entry : given->entries)
        question.entries.push_back(entry);
    const auto course =
        courseOf(question.request, question.planned, question.entries, question.nowS);
    ASSERT_TRUE(course);
    EXPECT_EQ(course->programme.stages.size(), 1u);
    EXPECT_NEAR(course->pullK, given->pullK, 1e-9);
    const auto moves = movesOf(question.planned, question.entries, {}, 0, question.nowS, 0);
    EXPECT_EQ(moves.back().due, Due::pull);
}

// What is pulled early is out of the heat: no later stage is cooked.
TEST(Course, PulledEarlyItIsNotSearedAfterwards) {
    const Roast roast;
    Question question = reverseSear(roast, 300);
    question.entries.push_back({2, 1800, What::pulled, 0, ""});
    const auto course = courseOf(question.request, question.planned, question.entries, 1900);
    ASSERT_TRUE(course);
    EXPECT_EQ(course->programme.stages.size(), 1u);
    EXPECT_EQ(course->programme.last().written.end.afterS, 1800);
}

/// The roast in an iron oven with coals that are counted.
Question overCoals(const Roast& roast) {
    Question out = roast.question();
    out.planned.recipe.piece.thicknessM = 0.09;
    kitchen::Appliance oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::ironOven);
    oven.id = oven.name = "iron";
    oven.siteId = "home";
    out.request.kitchen.appliances.push_back(oven);
    out.planned.recipe.last().place = {"iron", *kitchen::parseSetting(oven.controls, "coals=8+16"),
                                       oven.zones.front().name, ""};
    return out;
}

// Coals burn down by half in about 20 minutes less than an hour; what is added brings the heat back
// (common practice, no source: "add fresh coals every 30 to 40 minutes").
TEST(Steering, CoalsAreAddedAndTakenAway) {
    const Roast roast;
    Question question = overCoals(roast);
    question.nowS = 1800;
    question.entries.push_back({2, 1800, What::reading, C(18), ""});
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast) << forecast.error().message;
    const auto actions = actionsFor(question, *forecast, std::nullopt, {}, 12);
    ASSERT_TRUE(actions);
    const Action* added = find(*actions, Act::addCoals);
    const Action* taken = find(*actions, Act::takeCoals);
    ASSERT_TRUE(added && taken);
    EXPECT_GT(added->count, 10);
    EXPECT_LT(added->count, 18);
    const double goOn = find(*actions, Act::goOn)->pullS;
    EXPECT_LT(added->pullS, goOn - 60);
    EXPECT_GT(taken->pullS, goOn + 30);
    EXPECT_EQ(find(*actions, Act::higher), nullptr) << "coals have no knob";
    const auto flares = actionsFor(question, *forecast, Seen::flare, {}, 12);
    ASSERT_TRUE(flares);
    EXPECT_EQ(find(*flares, Act::addCoals), nullptr);
    // Those that a cook adds change what is expected.
    Question fed = question;
    fed.entries.push_back({3, 1700, What::coals, 12, ""});
    EXPECT_LT(forecastOf(fed)->pull.s, forecast->pull.s - 60);
}

TEST(Moves, ComeInTheirOrder) {
    const Roast roast;
    Question question = roast.question();
    question.entries.clear();
    const auto first = movesOf(question.planned, question.entries, {}, 600, 0, 0);
    ASSERT_EQ(first.size(), 1u);
    EXPECT_EQ(first[0].due, Due::start);
    EXPECT_EQ(first[0].atS, 600);
    EXPECT_EQ(madeBy(first[0]), What::foodIn);
    question.entries = {{1, 0, What::foodIn, 0, ""}};
    auto then = movesOf(question.planned, question.entries, {}, 0, 10, 0);
    sortMoves(then);
    ASSERT_FALSE(then.empty());
    EXPECT_EQ(then.back().due, Due::pull);
    EXPECT_NEAR(then.back().coreK, question.planned.pullK, 1e-9);
    question.entries.push_back({2, 2000, What::pulled, 0, ""});
    const auto rests = movesOf(question.planned, question.entries, {}, 0, 2010, 0);
    ASSERT_EQ(rests.size(), 1u);
    EXPECT_EQ(rests[0].due, Due::serve);
    question.entries.push_back({3, 2600, What::served, 0, ""});
    EXPECT_TRUE(movesOf(question.planned, question.entries, {}, 0, 2700, 0).empty());
}

// Hotter outside than planned: the carry-over is larger, and the cook is told before it happens.
TEST(Moves, AnOvershootIsWarnedOfBefore) {
    const Roast roast;
    Question question = roast.question();
    question.nowS = 0.6 * question.planned.expectS;
    question.readings = roast.readings(1, question.nowS, 60);
    auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast);
    question.planned.pullK += 6; // what somebody printed by mistake
    forecast = forecastOf(question);
    EXPECT_GT(forecast->overShare, 0.35);
    EXPECT_LT(forecast->pullK, question.planned.pullK - 3);
    const auto moves = movesOf(question.planned, question.entries, *forecast, 0, question.nowS, 0);
    const auto warned = std::find_if(moves.begin(), moves.end(),
                                     [](const Move& one) { return one.due == Due::overshoot; });
    ASSERT_NE(warned, moves.end());
    EXPECT_LT(warned->atS, forecast->pull.s);
    EXPECT_GT(warned->atS, question.nowS - 1);
}

TEST(Course, SeveralStagesGoAsTheyWent) {
    const Roast roast;
    Question question = reverseSear(roast, 120);
    question.entries = {{1, 100, What::foodIn, 0, ""},
                        {2, 1900, What::stageLeft, 0, ""},
                        {3, 2500, What::stageOn, 1, ""}};
    const auto course = courseOf(question.request, question.planned, question.entries, 2560);
    ASSERT_TRUE(course) << course.error().message;
    EXPECT_EQ(course->stage, 1u);
    EXPECT_EQ(course->nowS, 2460);
    EXPECT_EQ(course->programme.stages[0].written.end.afterS, 1800);
    EXPECT_EQ(course->programme.stages[0].written.waitS, 600);
    const auto passage = pass(question.planned.recipe.piece, *course, kForecastEffort,
                              cook::tablesFor(question.planned.recipe.piece.food, 101325));
    ASSERT_TRUE(passage) << passage.error().message;
    EXPECT_NEAR(passage->stageEndS[0], 1800, 1);
    EXPECT_NEAR(passage->pullS, 2520, 1);
}

// What is noted becomes part of the course: a door, another heat, foil, a break off the heat.
TEST(Course, WhatHandsDidIsCooked) {
    const Roast roast;
    Question question = roast.question();
    const auto pulls = [&](const std::vector<Entry>& more) {
        auto entries = question.entries;
        entries.insert(entries.end(), more.begin(), more.end());
        const auto course = courseOf(question.request, question.planned, entries, 1500);
        EXPECT_TRUE(course) << course.error().message;
        return pass(question.planned.recipe.piece, *course, kForecastEffort,
                    cook::tablesFor(question.planned.recipe.piece.food, 101325))
            ->pullS;
    };
    const double plain = pulls({});
    EXPECT_GT(pulls({{2, 600, What::opened, 0, ""}, {3, 900, What::shut, 0, ""}}), plain + 10);
    EXPECT_GT(pulls({{2, 600, What::paused, 0, ""}, {3, 900, What::resumed, 0, ""}}), plain + 60);
    EXPECT_LT(pulls({{2, 600, What::setTo, 0, "oven=230C"}}), plain - 60);
    EXPECT_GT(pulls({{2, 600, What::setTo, 0, "oven=130C"}}), plain + 60);
    EXPECT_NEAR(pulls({{2, 600, What::note, 0, "smells good"}, {3, 700, What::coals, 6, ""}}),
                plain, 1);
    EXPECT_NEAR(pulls({{2, 600, What::setTo, 0, "no such setting"}}), plain, 1);
}

TEST(PlannedCook, ComesBackFromItsText) {
    const Roast roast;
    const PlannedCook planned = roast.question().planned;
    const auto back =
        readPlanned(plannedJson(planned, roast.request.kitchen), roast.request.kitchen);
    ASSERT_TRUE(back) << back.error().message;
    EXPECT_NEAR(back->pullK, planned.pullK, 1e-9);
    EXPECT_EQ(back->latestS, planned.latestS);
    EXPECT_EQ(back->recipe.stages, planned.recipe.stages);
    EXPECT_FALSE(readPlanned("{}", roast.request.kitchen));
}

} // namespace
} // namespace dynamet::run
