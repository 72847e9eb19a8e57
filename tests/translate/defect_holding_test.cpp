// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A core of 109 °C for bacon, stew in a fryer, a cobbler in a bath: what cannot be is refused, with
// the reason; what is not known says so. Common practice, no source.
#include "small_kitchen.h"
#include "translate/holding.h"
#include "words/translation_words.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;
using enum kitchen::ApplianceKind;

std::string why(const char* food, kitchen::ApplianceKind kind, double goalC = 60,
                bool direct = false) {
    recipe::FoodPiece piece;
    piece.food = *food::findFood(food);
    piece.thicknessM = piece.food.thicknessM;
    const auto appliance = *kitchen::typicalAppliance(kind);
    for (const kitchen::Zone& zone : appliance.zones)
        if (zone.direct == direct)
            return whyNotHeld(piece, C(goalC), appliance, zone);
    return whyNotHeld(piece, C(goalC), appliance, appliance.zones.front());
}

TEST(Holding, WhatRunsOffOrFallsThroughIsRefused) {
    EXPECT_NE(why("stew", deepFryer), "");
    EXPECT_NE(why("beef-chuck", deepFryer, 93), "") << "a braise is no fry";
    EXPECT_NE(why("fruit-cobbler", waterBath), "");
    EXPECT_NE(why("bread-dough", waterBath), "");
    EXPECT_NE(why("sponge-cake", inductionHob), "");
    EXPECT_NE(why("sponge-cake", gasGrill, 97, true), "");
    EXPECT_NE(why("stew", griddle), "");
    EXPECT_NE(why("lasagne", airFryer), "");
}

TEST(Holding, WhatCooksDoIsNot) {
    for (const auto kind : {stillOven, fanOven, combiOven, countertopOven, woodOven, ironOven})
        for (const food::Food& food : food::shippedFoods())
            EXPECT_EQ(why(food.id.c_str(), kind), "") << food.id;
    EXPECT_EQ(why("beef-lean", gasHob), "");
    EXPECT_EQ(why("stew", gasHob), "");
    EXPECT_EQ(why("pizza-dough", gasGrill, 96, true), "");
    EXPECT_EQ(why("potato-chips", deepFryer, 90), "");
    EXPECT_EQ(why("chicken-thigh", deepFryer, 76), "");
    EXPECT_EQ(why("terrine", waterBath), "");
    EXPECT_EQ(why("fruit-cobbler", gasGrill, 90, false), "") << "beside the fire it is an oven";
}

TEST(Holding, ThinFoodGoesByTimeAndColour) {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood("bacon");
    r.recipe.piece.thicknessM = 0.003;
    r.recipe.goal = {C(71), food::GoalMoment::peak, C(69), C(74), "well done"};
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared.has_value()) << prepared.error().message;
    for (const Target& target : prepared->targets) {
        const Row row = solveRow(*prepared, target);
        if (row.reached) {
            EXPECT_EQ(words::pullAlone(row, {}), "by time and colour: no probe fits");
        }
    }
}

// Ninety minutes in a hot oven end where water boils: no core tells when a potato is done. What
// does is what goes on: its crust and its weight.
TEST(Holding, WhereTheCoreStandsStillCrustAndWeightDecide) {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood("potato");
    r.recipe.piece.shape = heat::Shape::sphere;
    r.recipe.piece.thicknessM = 0.05;
    r.recipe.last().end.afterS = 5400;
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared.has_value()) << prepared.error().message;
    for (const Target& target : prepared->targets) {
        const Row row = solveRow(*prepared, target);
        if (!row.reached)
            continue;
        ASSERT_TRUE(row.likeness.has_value());
        EXPECT_FALSE(row.likeness->coreLeads());
        EXPECT_FALSE(row.instruction.byProbe);
    }
    const Row own = solveRow(*prepared, prepared->targets.front());
    EXPECT_NEAR(own.outcome.pullS, 5400, 0.02 * 5400);
    EXPECT_LT(own.likeness->distance, 0.3);
}

TEST(Holding, AHobWithoutAPanIsNotKnown) {
    Request r = roastRequest();
    for (auto& a : r.kitchen.appliances)
        a.standardVesselId.clear();
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared.has_value());
    const Row row = solveRow(*prepared, {"hob", "pan", ""});
    EXPECT_FALSE(row.reached);
    EXPECT_NE(row.reason.message.find("no pan yet"), std::string::npos) << row.reason.message;
}

TEST(OwnPlace, TheRecipeStandsAsItWasWritten) {
    const Request r = roastRequest();
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared.has_value());
    const Row own = solveRow(*prepared, prepared->targets.front());
    EXPECT_EQ(own.instruction.setting, r.recipe.last().place.setting);
    EXPECT_NEAR(own.outcome.pullS, prepared->outcome.pullS, 0.02 * prepared->outcome.pullS);
}

// Look is early enough that the chance of being past the band by then is below 1 in 20.
TEST(Window, LookComesBeforeTheBandCanBePassed) {
    const auto prepared = prepare(roastRequest());
    for (const Target& target : prepared->targets) {
        Row row = solveRow(*prepared, target);
        if (!row.reached)
            continue;
        addWindow(*prepared, row);
        ASSERT_TRUE(row.window.has_value());
        EXPECT_LE(row.window->lookS, row.window->earlyS);
        if (row.window->overshootS) {
            EXPECT_LE(row.window->lookS, *row.window->overshootS);
        }
    }
}

} // namespace
