// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What ridges and bars leave on a face, and bare plate beside the food.
#include "cook/pieces.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using namespace dynamet::cook::testing;
using kitchen::Face, kitchen::Term;

kitchen::HeatField ridgedPan(double touched) {
    kitchen::HeatField f;
    put(f, {{Face::top, Term::air}, C(30)});
    put(f, {{Face::top, Term::hAir}, 7});
    put(f, {{Face::top, Term::vapour}, 1500});
    put(f, {{Face::bottom, Term::plate}, C(240)});
    put(f, {{Face::bottom, Term::contact}, 110});
    if (touched < 1)
        put(f, {{Face::bottom, Term::touchedShare}, touched});
    return f;
}

Outcome seared(double touched, double quarterTurnAtS = 0) {
    const auto steak = slabOf("beef-lean", 25, 5);
    Programme p;
    p.last().field = ridgedPan(touched);
    if (quarterTurnAtS > 0) {
        Change turn;
        turn.atS = quarterTurnAtS;
        turn.quarterTurn = true;
        p.last().changes.push_back(turn);
    }
    return *cookFor(steak, p, 240, kFull, tablesFor(steak.food, 101325));
}

// Ridges brown what they touch and leave pale what they do not (common practice, no source).
TEST(Marks, AreSharesOfAFaceAndDarkerThanTheRest) {
    const Outcome flat = seared(1), ridged = seared(0.4);
    EXPECT_EQ(flat.markedShare[0], 0);
    EXPECT_NEAR(ridged.markedShare[0], 0.4, 1e-9);
    EXPECT_EQ(ridged.markedShare[1], 0) << "the other face has not been down";
    const double between = (ridged.browning[0] - 0.4 * ridged.markIndex[0]) / 0.6;
    EXPECT_GT(ridged.markIndex[0], 3 * between);
    EXPECT_GT(ridged.markIndex[0], flat.browning[0]);
    EXPECT_GT(ridged.crustSpread[0], flat.crustSpread[0]);
    EXPECT_NEAR(seared(0.2).markedShare[0], 0.2, 1e-9);
}

TEST(Marks, AQuarterTurnCrossesThem) {
    const Outcome straight = seared(0.4), crossed = seared(0.4, 120);
    EXPECT_GT(crossed.markedShare[0], straight.markedShare[0]);
    EXPECT_LT(crossed.markIndex[0], straight.markIndex[0]) << "each is there for half of the time";
}

// A pan that is half bare dips less under its food than a full one.
TEST(Covered, BarePlateHelps) {
    kitchen::HeatField pan = ridgedPan(1);
    put(pan, {{Face::bottom, Term::contact}, 400});
    put(pan, {{Face::bottom, Term::plateHeatCapacity}, 12000});
    put(pan, {{Face::bottom, Term::plateLoss}, 23});
    put(pan, {{Face::bottom, Term::plateFlux}, 12000});
    const auto steak = slabOf("beef-lean", 25, 5);
    const auto plateAfter = [&](double covered) {
        Programme p;
        p.last().field = pan;
        p.last().covered = covered;
        return cookFor(steak, p, 60, kFull, tablesFor(steak.food, 101325))->touchAtPullK;
    };
    EXPECT_NEAR(plateAfter(1), plateAfter(0), 1e-9) << "not said is as full as it can be";
    EXPECT_GT(plateAfter(0.5), plateAfter(1) + 10);
    EXPECT_NEAR(plateAfter(0.1), plateAfter(0.5), 1e-9) << "heat does not come from far away";
}

} // namespace
