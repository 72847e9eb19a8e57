// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Heat that changes within a stage, and how food is handled in it.
#include "cook/pieces.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using namespace dynamet::cook::testing;
using kitchen::Face, kitchen::Term;

Tables tables(const recipe::FoodPiece& piece) {
    return tablesFor(piece.food, 101325);
}

/// A pan over a burner that would bring it to some 300 °C, held at `setC`.
kitchen::HeatField panField(double startC, double fluxW_m2, double setC = 0) {
    kitchen::HeatField f;
    put(f, {{Face::top, Term::air}, C(30)});
    put(f, {{Face::top, Term::hAir}, 7});
    put(f, {{Face::top, Term::vapour}, 1500});
    put(f, {{Face::bottom, Term::plate}, C(startC)});
    put(f, {{Face::bottom, Term::contact}, 300});
    put(f, {{Face::bottom, Term::plateHeatCapacity}, 16000});
    put(f, {{Face::bottom, Term::plateLoss}, 23});
    if (fluxW_m2 > 0)
        put(f, {{Face::bottom, Term::plateFlux}, fluxW_m2});
    if (setC > 0)
        put(f, {{Face::bottom, Term::plateSet}, C(setC)});
    return f;
}

// A stage whose heat changes is two stages: the same cook, to the solver's tolerance.
TEST(Change, IsTheSameAsASecondStage) {
    const auto steak = slabOf("beef-lean", 40, 5);
    Programme one, two;
    one.last().field = ovenField(120, 10, 2500);
    one.last().changes.push_back({600, ovenField(220, 10, 2500)});
    two.stages.insert(two.stages.begin(), Stage{});
    two.stages[0].field = ovenField(120, 10, 2500);
    two.stages[0].written.end.afterS = 600;
    two.last().field = ovenField(220, 10, 2500);
    const auto a = cookFor(steak, one, 1800, kFull, tables(steak)),
               b = cookFor(steak, two, 1800, kFull, tables(steak));
    ASSERT_TRUE(a && b);
    EXPECT_NEAR(a->pullK, b->pullK, 0.02);
    EXPECT_NEAR(a->darker(), b->darker(), 0.02);
    EXPECT_NEAR(a->weightLossShare, b->weightLossShare, 1e-3);
}

// Turned off, an iron pan goes on cooking for a while on what it stored (common practice, no
// source): it browns less than with its burner, and warms the food more than no pan at all.
TEST(Change, APanKeepsItsHeatWhenTheBurnerGoesOff) {
    const auto steak = slabOf("beef-lean", 25, 5);
    const auto cooked = [&](std::optional<kitchen::HeatField> then) {
        Programme p;
        p.last().field = panField(220, 25000, 220);
        if (then)
            p.last().changes.push_back({120, std::move(then)});
        p.rest.shortestS = p.rest.longestS = 0;
        return *cookFor(steak, p, 300, kFull, tables(steak));
    };
    const Outcome on = cooked({}), off = cooked(panField(999, 0)), same = cooked(panField(20, 0));
    EXPECT_NEAR(off.pullK, same.pullK, 1e-9)
        << "the pan is as hot as it was, whatever the other heat would begin with";
    EXPECT_LT(off.touchAtPullK, on.touchAtPullK - 40);
    EXPECT_LT(off.browning[0], 0.8 * on.browning[0]);
    kitchen::HeatField room;
    put(room, {{Face::all, Term::air}, C(20)});
    put(room, {{Face::all, Term::hAir}, 7});
    EXPECT_GT(off.meanAtPullK, cooked(room).meanAtPullK + 2);
}

// Solving for a pull comes back to moments on either side of a change: the same cook as straight.
TEST(Change, ASolvedCookIsTheSameAsItsStraightRun) {
    const auto steak = slabOf("beef-lean", 35, 5);
    Programme p;
    p.last().field = panField(220, 25000, 220);
    p.last().turning = Turning::once;
    p.last().turnAtS = 150;
    p.last().changes.push_back({200, panField(220, 6000, 160)});
    p.last().changes.push_back({400, {}, true, false});
    const auto solved = cookTo(steak, p, {C(54)}, kFull, tables(steak));
    ASSERT_TRUE(solved) << solved.error().message;
    const auto straight = cookFor(steak, p, solved->pullS, kFull, tables(steak));
    EXPECT_NEAR(solved->peakK, straight->peakK, 0.02);
    EXPECT_NEAR(solved->darker(), straight->darker(), 0.02);
    EXPECT_NEAR(solved->peakK, C(54), 0.05);
}

// A fire that gets a lid burns on where it was; fresh coals begin their own course.
TEST(Change, AFireKeepsItsCourseUnlessItIsFed) {
    const auto steak = slabOf("beef-lean", 40, 5);
    const auto dying = [](double h) {
        kitchen::HeatField f = ovenField(220, h, 2500);
        for (const Term term : {Term::air, Term::radiant})
            f.curves.push_back({{Face::all, term}, {0, 1200}, {0, -180}, ""});
        return f;
    };
    const auto core = [&](bool changes, bool fed) {
        Programme p;
        p.last().field = dying(12);
        if (changes)
            p.last().changes.push_back({1200, dying(12.001), false, false, fed});
        p.rest.shortestS = p.rest.longestS = 0;
        return cookFor(steak, p, 3000, kFull, tables(steak))->pullK;
    };
    EXPECT_NEAR(core(true, false), core(false, false), 0.02);
    EXPECT_GT(core(true, true), core(false, false) + 3);
}

TEST(Turning, AtACoreTurnsWhenItIsThere) {
    const auto steak = slabOf("beef-lean", 35, 5);
    Programme p;
    p.last().field = panField(200, 25000, 200);
    p.last().turning = Turning::once;
    p.last().turnAtCoreK = C(25);
    const auto reached = [&] {
        Programme never = p;
        never.last().turning = Turning::never;
        return *timeToReach(steak, never, C(25), kFull, tables(steak));
    }();
    const auto o = cookTo(steak, p, {C(54)}, kFull, tables(steak));
    ASSERT_TRUE(o) << o.error().message;
    EXPECT_NEAR(o->turnS, reached, 1);
    p.last().turnAtCoreK = C(95); // it is pulled before
    EXPECT_TRUE(std::isnan(cookTo(steak, p, {C(54)}, kFull, tables(steak))->turnS));
}

// Turned often the two faces are alike and the rim is narrower than turned once (common practice,
// no source).
TEST(Turning, EverySoOftenMakesBothFacesAlike) {
    const auto steak = slabOf("beef-lean", 35, 5);
    const auto cooked = [&](Turning turning, double everyS) {
        Programme p;
        p.last().field = panField(220, 25000, 220);
        p.last().turning = turning;
        p.last().everyS = everyS;
        return *cookTo(steak, p, {C(54)}, kFull, tables(steak));
    };
    const Outcome once = cooked(Turning::once, 0), often = cooked(Turning::often, 45),
                  seldom = cooked(Turning::often, 180);
    EXPECT_LT(std::abs(often.browning[0] - often.browning[1]),
              std::abs(seldom.browning[0] - seldom.browning[1]) + 0.3);
    EXPECT_LT(often.rimM, once.rimM);
}

// A quarter turn on a grate brings other places under its bars: the same mean heat, a more even
// face (common practice, no source).
TEST(QuarterTurn, EvensAFace) {
    const auto steak = slabOf("beef-lean", 30, 5);
    Programme p;
    p.last().field = panField(260, 25000, 260);
    const auto plain = *cookFor(steak, p, 240, kFull, tables(steak));
    p.last().changes.push_back({120, {}, true, false});
    const auto crossed = *cookFor(steak, p, 240, kFull, tables(steak));
    EXPECT_LT(crossed.crustSpread[0], 0.7 * plain.crustSpread[0]);
    EXPECT_NEAR(crossed.pullK, plain.pullK, 1e-6);
}

// Under foil a crust goes soft again (common practice, no source): its dry layer is thinner than in
// open air.
TEST(Crispness, IsLostUnderFoil) {
    const auto steak = slabOf("beef-lean", 30, 5);
    Programme p;
    p.last().field = panField(240, 25000, 240);
    p.last().turning = Turning::once;
    p.rest.shortestS = p.rest.longestS = 600;
    const auto open = *cookFor(steak, p, 360, kFull, tables(steak));
    p.rest.tented = true;
    const auto tented = *cookFor(steak, p, 360, kFull, tables(steak));
    EXPECT_GT(open.dryLayerM[1], 0.1e-3);
    EXPECT_LT(tented.dryLayerM[1], open.dryLayerM[1]);
}

} // namespace
