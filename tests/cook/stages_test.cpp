// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Cooks in stages, their rests, and what the outcome adds up.
#include "cook/cut.h"
#include "cook/pieces.h"
#include "cook/rounds.h"
#include "words/say.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using namespace dynamet::cook::testing;
using kitchen::Face, kitchen::Term;

recipe::FoodPiece piece(double mm, const char* food = "beef-lean") {
    return slabOf(food, mm, 6);
}

kitchen::HeatField oven(double celsius, double h = 12) {
    return ovenField(celsius, h, 2500);
}

kitchen::HeatField pan(double celsius) {
    kitchen::HeatField f;
    put(f, {{Face::all, Term::air}, C(30)});
    put(f, {{Face::all, Term::hAir}, 7});
    put(f, {{Face::all, Term::vapour}, 1500});
    put(f, {{Face::bottom, Term::plate}, C(celsius)});
    put(f, {{Face::bottom, Term::contact}, 400});
    put(f, {{Face::bottom, Term::plateHeatCapacity}, 30000});
    put(f, {{Face::bottom, Term::plateFlux}, 18000});
    put(f, {{Face::bottom, Term::plateLoss}, 23});
    return f;
}

Tables tables(const recipe::FoodPiece& p) {
    return tablesFor(p.food, 101325);
}

Outcome cooked(const recipe::FoodPiece& p, const Programme& programme, CookTarget target) {
    const auto o = cookTo(p, programme, target, kFull, tables(p));
    EXPECT_TRUE(o.has_value()) << o.error().message;
    return o.value_or(Outcome{});
}

/// Puts a stage before the last one.
void putBefore(Programme& programme, const kitchen::HeatField& field, Turning turning,
               recipe::StageEnd end, double waitS = 0, bool edgesDown = false) {
    Stage stage;
    stage.field = field;
    stage.turning = turning;
    stage.written.end = end;
    stage.written.waitS = waitS;
    stage.written.edgesDown = edgesDown;
    programme.stages.insert(programme.stages.end() - 1, stage);
}

Programme straight(const kitchen::HeatField& field) {
    Programme p;
    p.last().field = field;
    return p;
}

// Reverse sear (slow, then hot): evener than hot all the way, and as brown (common practice, no
// source).
TEST(Stages, AReverseSearIsEvenerThanAHotOvenAndBrownerThanASlowOne) {
    Programme reverse = straight(pan(250));
    reverse.last().turning = Turning::once;
    putBefore(reverse, oven(110), Turning::never, {0, C(45)}, 120, false);
    const auto seared = cooked(piece(40), reverse, {C(56)});
    const auto slow = cooked(piece(40), straight(oven(110)), {C(56)});
    Programme panAlone = straight(pan(250));
    panAlone.last().turning = Turning::once;
    const auto hot = cooked(piece(40), panAlone, {C(56)});
    ASSERT_EQ(seared.stages.size(), 1u);
    EXPECT_NEAR(seared.stages[0].leaveK, C(45), 0.5);
    EXPECT_NEAR(seared.peakK, C(56), 0.1);
    EXPECT_LT(seared.rimShare, 0.8 * hot.rimShare);
    const double half = (seared.pullS - seared.lastStartS) / 2;
    EXPECT_NEAR(seared.turnS - seared.lastStartS, half, 0.05 * half);
    EXPECT_GT(seared.paler(), 1.5 * slow.paler());
}

// A stage that a core ends turns at half of its own time, too, and the same turns are kept when the
// programme is cooked again by the clock.
TEST(Stages, TurnAtHalfOfTheirOwnTimeAndStayThere) {
    Programme p = straight(oven(120));
    putBefore(p, pan(180), Turning::once, {0, C(30)});
    const auto o = cooked(piece(30), p, {C(56)});
    ASSERT_EQ(o.stages.size(), 1u);
    EXPECT_NEAR(o.stages[0].turnS, o.stages[0].endS / 2, 0.03 * o.stages[0].endS);
    const auto again = cookLastFor(piece(30), withFixedTurn(p, o), o.pullS - o.lastStartS, kFull,
                                   tables(piece(30)));
    ASSERT_TRUE(again.has_value());
    EXPECT_NEAR(again->peakK, o.peakK, 0.05);
    EXPECT_NEAR(again->stages[0].turnS, o.stages[0].turnS, 0.01);
}

TEST(Stages, SayWhichOneNeverComesToWhereItIsLeft) {
    Programme p = straight(pan(220));
    putBefore(p, oven(45), Turning::never, {0, C(50)});
    const auto o = cookTo(piece(30), p, {C(56)}, kQuick, tables(piece(30)));
    ASSERT_FALSE(o.has_value());
    EXPECT_NE(o.error().message.find("stage 1"), std::string::npos) << o.error().message;
    EXPECT_NE(words::text(o.error(), {}).find("50 °C"), std::string::npos);
}

// In frying oil the face boils: while it is wet it stays at the boiling point, whatever the oil, so
// that the middle hardly gains by hotter oil (without the boiling it would by a quarter); a dry
// crust then passes it (common practice, no source).
TEST(Frying, BoilingHoldsTheFaceWhateverTheOil) {
    const auto oil = [](double celsius) {
        kitchen::HeatField f;
        put(f, {{Face::all, Term::liquid}, C(celsius)});
        put(f, {{Face::all, Term::hLiquid}, 350});
        return f;
    };
    recipe::FoodPiece p = slabOf("potato", 14, 20);
    const auto o = cookFor(p, straight(oil(175)), 360, kFull, tables(p), true);
    ASSERT_TRUE(o.has_value());
    for (const Sample& sample : o->samples) {
        if (sample.timeS > 20 && sample.timeS < 60) { // still wet
            EXPECT_NEAR(sample.bottomK, C(100), 1) << sample.timeS;
        }
        EXPECT_LT(sample.coreK, C(100.5));
    }
    EXPECT_GT(
        std::max_element(o->samples.begin(), o->samples.end(),
                         [](const Sample& a, const Sample& b) { return a.bottomK < b.bottomK; })
            ->bottomK,
        C(120));
    EXPECT_GT(o->evaporatedShare, 0.1);
    const auto time = [&](double celsius) {
        return *timeToReach(p, straight(oil(celsius)), C(90), kFull, tables(p));
    };
    EXPECT_LT(time(165) / time(190), 1.1);
    EXPECT_GT(time(165), time(190));
}

// A fire burns down from when the food goes in, not from the start of a stage before it; food that
// comes back to the same fire finds it as it is by then.
TEST(Stages, AFallingFireBeginsWithItsStage) {
    kitchen::HeatField fire = ovenField(260, 20, 0);
    for (const Term term : {Term::air, Term::radiant})
        fire.curves.push_back({{Face::all, term}, {0, 1800}, {0, -160}, ""});
    const recipe::FoodPiece p = piece(30);
    const auto alone = cookFor(p, straight(fire), 900, kFull, tables(p));
    Programme later = straight(fire); // an hour in surroundings as cold as itself
    putBefore(later, ovenField(6, 5, 0), Turning::never, {3600, {}});
    const auto after = cookLastFor(p, later, 900, kFull, tables(p));
    EXPECT_NEAR(after->pullK, alone->pullK, 0.1);
    Programme again = straight(fire);
    putBefore(again, fire, Turning::never, {450, {}});
    EXPECT_NEAR(cookLastFor(p, again, 450, kFull, tables(p))->pullK, alone->pullK, 0.1);
}

// Sous vide, then a sear: the core was hottest in the bath and the peak says so; a sear that is
// asked to end at a core which the bath has passed is refused, not answered with no sear.
TEST(Stages, ThePeakIsThatOfTheWholeCook) {
    kitchen::HeatField bath;
    put(bath, {{Face::all, Term::liquid}, C(58)});
    put(bath, {{Face::all, Term::hLiquid}, 300});
    Programme p = straight(pan(230));
    p.last().turning = Turning::once;
    putBefore(p, bath, Turning::never, {0, C(57)}, 900, false);
    const auto o = cookLastFor(piece(40), p, 60, kFull, tables(piece(40)));
    ASSERT_TRUE(o.has_value());
    EXPECT_GT(o->peakK, C(56.9));
    EXPECT_LT(o->pullK, o->peakK - 1) << "it cooled while it waited";
    EXPECT_LT(o->peakS, o->lastStartS);
    EXPECT_NEAR(o->pullS - o->lastStartS, 60, 1e-6);
    const auto past = cookTo(piece(40), p, {C(52)}, kQuick, tables(piece(40)));
    ASSERT_FALSE(past.has_value());
    EXPECT_NE(words::text(past.error(), {}).find("however soon"), std::string::npos);
}

TEST(Stages, WaitingUnderFoilKeepsTheCoreRising) {
    recipe::FoodPiece p = piece(40);
    Programme programme = straight(oven(60));
    programme.longestS = 1;
    putBefore(programme, oven(200), Turning::never, {1200, {}});
    const auto before = cookFor(p, programme, 0, kFull, tables(p));
    programme.stages[0].written.waitS = 300;
    programme.stages[0].written.waitTented = true;
    const auto after = cookFor(p, programme, 0, kFull, tables(p));
    EXPECT_GT(after->pullK, before->pullK + 2);
    EXPECT_NEAR(after->pullS - before->pullS, 300, 1);
}

TEST(Stages, EdgesOnThePlateBrownTheSides) {
    recipe::FoodPiece p = piece(40);
    p.shape = heat::Shape::block;
    p.widthM = 0.08;
    Programme programme = straight(oven(100));
    putBefore(programme, pan(240), Turning::never, {180, {}}, 0, true);
    const auto o = cookFor(p, programme, 200, kFull, tables(p));
    EXPECT_GT(o->browning[2], 5 * o->browning[0]);
    EXPECT_TRUE(o->hasFace[2]);
}

// A plate with frequent turning carries over more than with one turn (+12 against +9; the design's
// prototypes).
TEST(Turning, OftenCarriesOverMoreThanOnce) {
    Programme programme = straight(pan(230));
    programme.last().turning = Turning::once;
    const auto once = cooked(piece(35), programme, {C(45), food::GoalMoment::pull});
    programme.last().turning = Turning::often;
    const auto often = cooked(piece(35), programme, {C(45), food::GoalMoment::pull});
    EXPECT_GT(often.peakK - often.pullK, once.peakK - once.pullK - 0.3);
    EXPECT_GT(once.peakK - once.pullK, 4);
}

// Slow roasts hardly rise (common practice, no source); the pull is still solved to the peak.
TEST(Rest, ASlowRoastHardlyRisesAndAHotOneDoes) {
    recipe::FoodPiece joint = piece(80);
    joint.shape = heat::Shape::block;
    joint.widthM = 0.11;
    const auto slow = cooked(joint, straight(oven(90)), {C(56)});
    const auto hot = cooked(joint, straight(oven(190)), {C(56)});
    EXPECT_NEAR(slow.peakK, C(56), 0.05);
    EXPECT_NEAR(hot.peakK, C(56), 0.05);
    EXPECT_LT(slow.peakK - slow.pullK, 2.5);
    EXPECT_GT(hot.peakK - hot.pullK, 4);
}

TEST(Rest, ATentRaisesThePeakAndABoardCoolsThePlate) {
    Programme open = straight(oven(180)), tented = open, board = open;
    tented.rest.tented = true;
    board.rest.onBoard = true;
    for (Programme* p : {&open, &tented, &board})
        p->rest.shortestS = p->rest.longestS = 900;
    const auto at = [](const Programme& p) {
        return *cookFor(piece(35), p, 1500, kFull, tables(piece(35)));
    };
    EXPECT_GT(at(tented).peakK, at(open).peakK);
    EXPECT_GT(at(tented).plateK, at(open).plateK);
    EXPECT_NE(at(board).plateK, at(open).plateK);
}

TEST(GoalMoment, ThePlateIsReadAtTheEndOfTheShortestRest) {
    Programme programme = straight(oven(170));
    programme.rest.shortestS = 1200;
    const auto o = cooked(piece(30), programme, {C(54), food::GoalMoment::plate});
    EXPECT_NEAR(o.plateK, C(54), 0.1);
    EXPECT_GT(o.peakK, o.plateK);
}

TEST(FromFrozen, ACookStartsInTheFreezer) {
    recipe::FoodPiece frozen = piece(30), cool = piece(30);
    frozen.startK = C(-18);
    const auto slow = cooked(frozen, straight(oven(180)), {C(60)});
    const auto quick = cooked(cool, straight(oven(180)), {C(60)});
    EXPECT_GT(slow.pullS / quick.pullS, 1.3); // half as long again (common practice, no source)
    EXPECT_LT(slow.pullS / quick.pullS, 2.2);
    EXPECT_GT(slow.rimM, quick.rimM) << "the outside cooks on while the middle thaws";
}

// A dry face browns, a wet one steams; what dried on a rack browns sooner (common practice, no
// source). Salted meat keeps more of its juice (common practice, no source).
TEST(Surface, AWetFaceBrownsLaterAndADriedOneSooner) {
    const auto at = [](recipe::SurfaceState surface, const kitchen::HeatField& heat,
                       double seconds) {
        recipe::FoodPiece p = piece(25);
        p.surface = surface;
        return *cookFor(p, straight(heat), seconds, kFull, tables(p));
    };
    const auto pale = [&](recipe::SurfaceState s) { return at(s, pan(230), 100).browning[0]; };
    EXPECT_LT(pale(recipe::SurfaceState::wet), 0.92 * pale(recipe::SurfaceState::patted));
    EXPECT_GT(pale(recipe::SurfaceState::dried), 1.1 * pale(recipe::SurfaceState::patted));
    const auto roasted = at(recipe::SurfaceState::patted, oven(200), 900);
    const auto dried = at(recipe::SurfaceState::dried, oven(200), 900);
    const auto salted = at(recipe::SurfaceState::salted, oven(200), 900);
    EXPECT_GT(dried.darker(), 1.2 * roasted.darker());
    EXPECT_LT(dried.evaporatedShare, roasted.evaporatedShare) << "what left before is not counted";
    EXPECT_NEAR(salted.darker(), dried.darker(), 1e-9);
    EXPECT_LT(salted.juiceShare, 0.9 * dried.juiceShare);
}

TEST(FatCap, HoldsTheHeatBackAndKeepsTheWaterIn) {
    recipe::FoodPiece lean = piece(40), capped = piece(40);
    capped.fatCapM = 0.008;
    kitchen::HeatField bath;
    put(bath, {{Face::all, Term::liquid}, C(58)});
    put(bath, {{Face::all, Term::hLiquid}, 130});
    const auto t = [&](const recipe::FoodPiece& p) {
        return *timeToReach(p, straight(bath), C(54), kFull, tables(p));
    };
    EXPECT_GT(t(capped), t(lean) * 1.01);
    const auto lost = [&](const recipe::FoodPiece& p) {
        return cookFor(p, straight(oven(180)), 1800, kFull, tables(p))->evaporatedShare;
    };
    EXPECT_LT(lost(capped), 0.8 * lost(lean));
}

TEST(Safety, KillsAreCountedAtTheColdestPlaceAndDangerFromTheTempering) {
    recipe::FoodPiece p = piece(30, "chicken-breast");
    p.temperedS = 1800;
    const auto o = cooked(p, straight(oven(180)), {C(74)});
    ASSERT_EQ(o.kills.size(), 1u);
    EXPECT_GT(o.kills[0].logs, 7) << "74 °C is instant for 7 logs in the official table";
    EXPECT_GT(o.dangerS, 1800 + 300);
    const auto low = cooked(p, straight(oven(180)), {C(56)});
    EXPECT_LT(low.kills[0].logs, 0.5);
}

// Coarse rub scorches on a plate and survives in an oven (common practice, no source).
TEST(Seasoning, WhatRidesProudOfTheFaceTakesThePlatesTemperature) {
    const auto onPlate = cookFor(piece(25), straight(pan(250)), 180, kFull, tables(piece(25)));
    const auto inOven = cookFor(piece(25), straight(oven(180)), 1200, kFull, tables(piece(25)));
    EXPECT_GT(onPlate->raised[0], 1.5 * onPlate->browning[0]);
    EXPECT_GT(onPlate->raised[0] * 1.3, 3);
    EXPECT_LT(inOven->raised[0] * 1.3, 3);
}

TEST(Fat, SmokesWhereThePlateIsHotterThanItsSmokePoint) {
    recipe::FoodPiece butter = piece(25), avocado = piece(25);
    butter.fat = "butter";
    avocado.fat = "avocado";
    const auto at = [](const recipe::FoodPiece& p) {
        return cookFor(p, straight(pan(230)), 120, kFull, tables(p))->smokesFromS;
    };
    EXPECT_EQ(at(butter), 0);
    EXPECT_TRUE(std::isnan(at(avocado)));
}

// A pan that is not given time is colder the second time (common practice, no source).
TEST(Rounds, FindThePlateAsTheLastOneLeftIt) {
    Programme programme = straight(pan(240));
    programme.last().turning = Turning::once;
    const auto rounds = cookRounds(piece(20), programme, {C(54)}, 3, 20, kFull, tables(piece(20)));
    ASSERT_TRUE(rounds.has_value()) << rounds.error().message;
    ASSERT_EQ(rounds->size(), 3u);
    EXPECT_NEAR((*rounds)[0].plateStartK, C(240), 1e-9);
    EXPECT_LT((*rounds)[1].plateStartK, C(235));
    EXPECT_GT((*rounds)[1].outcome.pullS, (*rounds)[0].outcome.pullS);
    const auto inOven =
        cookRounds(piece(20), straight(oven(180)), {C(54)}, 2, 20, kFull, tables(piece(20)));
    EXPECT_EQ((*inOven)[0].outcome.pullS, (*inOven)[1].outcome.pullS);
}

TEST(Rounds, AnEmptyPlateComesBackToWhereItsBurnerHoldsIt) {
    heat::LumpedPlate plate;
    plate.heatCapacity = 16000;
    plate.burnerFlux = 9000;
    plate.loss = 23;
    const double settled = plate.ambientK + 9000.0 / 23;
    EXPECT_NEAR(plateAfter(plate, C(150), 1e5), settled, 0.1);
    // One time constant, C/loss, takes it 1 − 1/e of the way.
    EXPECT_NEAR((plateAfter(plate, C(150), 16000.0 / 23) - C(150)) / (settled - C(150)),
                1 - std::exp(-1.0), 1e-4);
}

TEST(Dough, IsDoneByItsCoreAndItsCrust) {
    recipe::FoodPiece loaf = piece(90, "bread-dough");
    loaf.shape = heat::Shape::block;
    loaf.widthM = 0.12;
    loaf.startK = C(25);
    const auto o = cooked(loaf, straight(oven(220, 14)), {C(96), food::GoalMoment::pull});
    // A loaf of this size bakes for 35 to 55 minutes (common practice, no source).
    EXPECT_GT(o.pullS, 25 * 60);
    EXPECT_LT(o.pullS, 75 * 60);
    EXPECT_GT(o.darker(), 0.7);
    EXPECT_EQ(o.juiceShare, 0);
}

TEST(Cut, ReadsTheSectionBetweenItsNodesAndMirrorsIt) {
    recipe::FoodPiece p = piece(40);
    p.shape = heat::Shape::block;
    p.widthM = 0.1;
    const auto o = *cookFor(p, straight(oven(180)), 1500, kFull, tables(p), true);
    const Section& s = o.section;
    const auto extent = extentOf(s);
    EXPECT_EQ(extent.widthM, 0.1);
    EXPECT_FALSE(extent.round);
    EXPECT_NEAR(valueAt(s, s.peakK, 0, 0), s.at(0, 0), 1e-9);
    EXPECT_NEAR(valueAt(s, s.peakK, 0.03, 0.01), valueAt(s, s.peakK, -0.03, 0.01), 1e-9);
    EXPECT_GT(valueAt(s, s.peakK, 0.05, 0.04), valueAt(s, s.peakK, 0, 0.02)) << "corner and core";
    EXPECT_NEAR(evennessOf(s, 0, 1000), 1, 1e-9);
    ASSERT_GT(o.frames.size(), 10u);
    EXPECT_LE(o.frames.size(), 130u);
    EXPECT_LT(frameAt(o.frames, 200)->peakSoFarK[0], frameAt(o.frames, 1400)->peakSoFarK[0]);
    EXPECT_NEAR(donenessOf(C(62), C(62)), 1, 1e-12);
    EXPECT_EQ(donenessOf(C(5), C(62)), 0);
    EXPECT_NEAR(donenessOf(C(100), C(62)), 2, 1e-12);
}

// A picture of a crust has its mean and its spread, and never a place below none at all.
TEST(Cut, ACrustIsDrawnAsUnevenAsItIs) {
    for (const auto& [index, spread] : {std::pair{1.2, 0.4}, {2.0, 0.0}, {3.0, 1.5}, {0.3, 0.3}}) {
        const auto places = crustAlong(index, spread);
        double sum = 0, squares = 0;
        for (const double place : places) {
            sum += place;
            squares += place * place;
            EXPECT_GE(place, 0);
        }
        const double mean = sum / kCrustPlaces;
        EXPECT_NEAR(mean, index, 1e-9);
        if (index > 2 * spread) { // nothing was cut off
            EXPECT_NEAR(std::sqrt(squares / kCrustPlaces - mean * mean), spread, 1e-3);
        }
    }
}

} // namespace
