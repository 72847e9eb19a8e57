// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What stands in a dish: it mixes while it is liquid, boils down, softens, and is seen from above.
#include "cook/pieces.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using namespace dynamet::cook::testing;
using kitchen::Face, kitchen::Term;

/// Over a burner, under air that neither warms nor cools it.
Programme burnerUnder(double fluxW_m2, double topC, double vapourPa) {
    Programme p;
    kitchen::HeatField& f = p.last().field;
    put(f, {{Face::top, Term::air}, C(topC)});
    put(f, {{Face::top, Term::hAir}, 5});
    put(f, {{Face::top, Term::vapour}, vapourPa});
    put(f, {{Face::bottom, Term::plate}, C(60)});
    put(f, {{Face::bottom, Term::contact}, 600});
    put(f, {{Face::bottom, Term::plateHeatCapacity}, 8000});
    put(f, {{Face::bottom, Term::plateFlux}, fluxW_m2});
    put(f, {{Face::bottom, Term::plateLoss}, 0});
    p.rest.shortestS = p.rest.longestS = 0;
    return p;
}

Outcome after(const recipe::FoodPiece& piece, const Programme& programme, double seconds) {
    auto out = cookFor(piece, programme, seconds, kFull, tablesFor(piece.food, 101325));
    EXPECT_TRUE(out) << out.error().message;
    return out.value_or(Outcome{});
}

// What boils away is the heat that is left once it boils, over 2,257 kJ/kg (steam tables at
// 101.3 kPa): one to the other within 5 %.
TEST(Sauce, BoilsDownByTheLatentHeat) {
    const auto sauce = slabOf("sauce", 15, 60);
    const Programme programme = burnerUnder(20000, 100, 60000);
    const double early = after(sauce, programme, 300).weightLossShare,
                 late = after(sauce, programme, 600).weightLossShare;
    const double density = 1000; // within 2 %
    const double lostKg_m2 = (late - early) * density * 0.015;
    EXPECT_NEAR(lostKg_m2, 20000 * 300 / 2257e3, 0.06 * lostKg_m2);
}

// Common practice, no source: white rice is tender after some 15 to 20 minutes under a lid, hard
// after 8; barley takes about three quarters of an hour.
TEST(Grains, SoftenInTheirOwnTime) {
    const auto soft = [](const char* grain, double minutes) {
        auto piece = slabOf(grain, 45, 20);
        return after(piece, burnerUnder(9000, 98, 90000), 60 * minutes).softened;
    };
    EXPECT_LT(soft("rice", 10), 0.6);
    EXPECT_GT(soft("rice", 25), 0.85);
    EXPECT_LT(soft("pearl-barley", 25), 0.8);
    EXPECT_GT(soft("pearl-barley", 45), 0.85);
}

// A pot of stew is as hot above as below (cooks stir it seldom); what does not move stays cold in
// the middle for hours (common practice, no source).
TEST(Stew, ComesToTheBoilAsAWhole) {
    const auto stew = slabOf("stew", 80, 10);
    auto solid = stew;
    solid.food.mixing = {};
    const Programme programme = burnerUnder(9000, 60, 15000);
    const auto minutes = [&](const recipe::FoodPiece& piece) {
        return timeToReach(piece, programme, C(80), kFull, tablesFor(piece.food, 101325))
                   .value_or(NAN) /
               60;
    };
    const double mixed = minutes(stew);
    EXPECT_LT(mixed, 60);
    EXPECT_GT(minutes(solid), 1.5 * mixed);
}

TEST(Custard, StopsMovingWhereItSets) {
    const heat::Material custard(*food::findFood("egg-custard"));
    food::Food still = *food::findFood("egg-custard");
    still.mixing = {};
    const heat::Material plain(still);
    double capacity = 0, liquid = 0, plainLiquid = 0, set = 0, plainSet = 0;
    custard.full(C(50), capacity, liquid);
    plain.full(C(50), capacity, plainLiquid);
    custard.full(C(79), capacity, set);
    plain.full(C(79), capacity, plainSet);
    EXPECT_NEAR(liquid, 2 * plainLiquid, 1e-9);
    EXPECT_NEAR(set, plainSet, 1e-9);
}

// Defect 177: the colour of a dish was that of its darker side, which nobody sees under it.
TEST(Lasagne, Defect177ADishIsJudgedByItsTop) {
    auto piece = slabOf("lasagne", 50, 8);
    Programme p;
    p.last().field = ovenField(190, 12, 3000);
    put(p.last().field, {{Face::bottom, Term::plate}, C(230)});
    put(p.last().field, {{Face::bottom, Term::contact}, 150});
    const Outcome o = after(piece, p, 40 * 60);
    EXPECT_GT(std::abs(o.browning[0] - o.browning[1]), 0.05) << "the two sides differ";
    EXPECT_DOUBLE_EQ(o.darker(), o.browning[1]);
    EXPECT_DOUBLE_EQ(o.paler(), o.browning[1]);
}

recipe::FoodPiece cobbler() {
    auto piece = slabOf("fruit-cobbler", 60, 18);
    piece.shape = heat::Shape::finiteCylinder;
    piece.widthM = 0.25;
    return piece;
}

// Common practice, no source: in a moderate oven a cobbler is golden on top and bubbles at the rim
// after some 40 to 50 minutes; a lid of dough browns where bare fruit only stews.
TEST(Cobbler, ItsLidBrownsAndItsFillingStews) {
    Programme p;
    p.last().field = ovenField(190, 12, 3000);
    const Outcome lidded = after(cobbler(), p, 45 * 60);
    auto bare = cobbler();
    bare.food.lid.reset();
    const Outcome open = after(bare, p, 45 * 60);
    EXPECT_GT(lidded.darker(), 0.6);
    EXPECT_LT(lidded.darker(), 2.5);
    EXPECT_GT(lidded.darker(), 2 * open.darker());
    EXPECT_LT(lidded.weightLossShare, 0.1);
    EXPECT_GT(lidded.pullK, C(60));
}

// Two layers of the same stuff are one piece, as long as no water crosses from one to the other.
TEST(Cobbler, ALidOfTheSameStuffIsNoLid) {
    auto one = slabOf("lasagne", 50, 10);
    one.food.mixing = {};
    auto two = one;
    two.food.lid = food::Lid{one.food.composition, 0.02, 0};
    Programme p;
    put(p.last().field, {{Face::all, Term::liquid}, C(80)});
    put(p.last().field, {{Face::all, Term::hLiquid}, 200});
    const Outcome a = after(one, p, 3600), b = after(two, p, 3600);
    EXPECT_NEAR(a.pullK, b.pullK, 1e-6);
    EXPECT_NEAR(a.meanAtPullK, b.meanAtPullK, 1e-6);
    EXPECT_NEAR(food::waterShareOf(two.food, 0.05), one.food.composition.water, 1e-9);
}

// Boiling times (common practice, no source): dice of 20 mm 12 minutes, a whole potato of 50 mm 23,
// carrot in coins of 6 mm 6 and in sticks of 20 mm 14; then they are tender and not yet mush.
TEST(Roots, SoftenInTheirBoilingTimes) {
    const auto soft = [](const char* food, heat::Shape shape, double mm, double minutes) {
        auto piece = slabOf(food, mm, 18);
        piece.shape = shape;
        Programme p;
        put(p.last().field, {{Face::all, Term::liquid}, C(100)});
        put(p.last().field, {{Face::all, Term::hLiquid}, 1000});
        return after(piece, p, 60 * minutes).softened;
    };
    using enum heat::Shape;
    for (const double tender : {soft("potato", sphere, 20, 12), soft("potato", sphere, 50, 23),
                                soft("carrot", slab, 6, 6), soft("carrot", cylinder, 20, 14)}) {
        EXPECT_GT(tender, 0.65);
        EXPECT_LT(tender, 0.95);
    }
    EXPECT_LT(soft("potato", sphere, 50, 12), 0.4) << "half the time: hard in its middle";
}

// What is poured wets the pan, what is laid touches it at its high points: at full heat an egg's
// underside is dark within a minute (common practice, no source).
TEST(Egg, WetsThePanItIsPouredInto) {
    const auto index = [](bool poured) {
        auto piece = slabOf("egg-fried", 8, 15);
        if (!poured)
            piece.food.body = food::Body::solid;
        Programme p;
        put(p.last().field, {{Face::bottom, Term::plate}, C(240)});
        put(p.last().field, {{Face::bottom, Term::contact}, 400});
        return after(piece, p, 60).browning[0];
    };
    EXPECT_GT(index(true), 1.2);
    EXPECT_GT(index(true), 1.3 * index(false));
}

} // namespace
