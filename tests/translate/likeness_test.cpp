// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe that says only setting and minutes is carried over by all that it gives.
#include "translate/holding.h"
#include "translate/small_kitchen.h"
#include "words/translation_words.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using translate::testing::C;

kitchen::Kitchen kitchenOf(kitchen::ApplianceKind kind) {
    kitchen::Kitchen k = translate::testing::smallKitchen();
    auto a = *kitchen::typicalAppliance(kind);
    a.id = a.name = "own";
    a.siteId = "home";
    a.standardVesselId = "pan";
    k.appliances = {a};
    return k;
}

Request timed(kitchen::Kitchen kitchen, const std::string& food, double seconds) {
    Request r;
    r.kitchen = std::move(kitchen);
    r.recipe.piece.food = *food::findFood(food);
    const food::Food& f = r.recipe.piece.food;
    r.recipe.piece.shape = heat::shapeOf(f.shape).value_or(heat::Shape::slab);
    r.recipe.piece.thicknessM = f.thicknessM;
    r.recipe.piece.widthM = f.widthM;
    r.recipe.piece.form = f.usualForm;
    r.recipe.piece.startK = f.usualStartK;
    const auto& on = r.kitchen.appliances.front();
    r.recipe.last().place = {on.id, kitchen::usualSetting(on.controls), on.zones.front().name,
                             isHob(on.kind) ? "pan" : ""};
    r.recipe.last().end.afterS = seconds;
    return r;
}

class OwnTime : public ::testing::TestWithParam<kitchen::ApplianceKind> {};

// Whatever the food and wherever it is cooked, the recipe's own minutes come back: always from the
// recipe's own (how a row is sought), and from guesses far from them but for one in twenty, where a
// roast in a pan is scorched before its middle is warm and two times look much alike.
TEST_P(OwnTime, ComesBackForEveryFood) {
    const kitchen::Kitchen kitchen = kitchenOf(GetParam());
    const auto& on = kitchen.appliances.front();
    int sought = 0, missed = 0;
    for (const food::Food& food : food::shippedFoods()) {
        const Request r = timed(kitchen, food.id, std::round(20e3 * food.thicknessM / 30) * 30);
        if (!whyNotHeld(r.recipe.piece, 0, on, on.zones.front()).empty())
            continue;
        const auto programme = writtenProgramme(r);
        ASSERT_TRUE(programme) << programme.error().message;
        const double seconds = r.recipe.last().end.afterS;
        auto tables = cook::tablesFor(food, 101325);
        const auto wanted =
            cook::cookLastFor(r.recipe.piece, *programme, seconds, cook::kQuick, tables);
        ASSERT_TRUE(wanted) << food.id << ": " << wanted.error().message;
        for (const double guessS : {0.0, seconds / 2, seconds, 2 * seconds}) {
            const auto like =
                cook::cookLike(r.recipe.piece, *programme, {&*wanted, food::judgementOf(food)},
                               guessS, cook::kQuick, tables);
            ASSERT_TRUE(like || guessS != seconds) << food.id << ": " << like.error().message;
            const bool back = like && std::abs(like->outcome.pullS - seconds) <= 0.02 * seconds;
            EXPECT_TRUE(back || guessS != seconds)
                << food.id << ": " << (like ? like->outcome.pullS : 0) << " for " << seconds;
            missed += back ? 0 : 1;
            ++sought;
        }
    }
    EXPECT_GT(sought, 20);
    EXPECT_LE(20 * missed, sought);
}

INSTANTIATE_TEST_SUITE_P(Kinds, OwnTime, ::testing::ValuesIn(kitchen::allKinds()),
                         [](const auto& kind) {
                             std::string name = enumName(kind.param);
                             std::erase_if(name, [](char c) { return !std::isalnum(c); });
                             return name;
                         });

// Cookies bake about twelve minutes at 175 °C and somewhat longer or shorter elsewhere, not half an
// hour (common practice, no source). Their middle stands near boiling long before.
TEST(Likeness, CookiesStayCookies) {
    Request r = timed(translate::testing::smallKitchen(), "cookie-dough", 12 * 60);
    const auto& still = r.kitchen.appliances.front();
    r.recipe.last().place.setting = *kitchen::parseSetting(still.controls, "oven=175C");
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    ASSERT_TRUE(prepared->byLikeness());
    for (const Target& target : prepared->targets) {
        Row row = solveRow(*prepared, target);
        addWindow(*prepared, row);
        if (target.applianceId == "still") {
            ASSERT_TRUE(row.reached) << row.reason.message;
            EXPECT_NEAR(row.outcome.pullS, 720, 0.02 * 720);
            ASSERT_TRUE(row.window) << row.windowless.value_or(Error{}).message;
            EXPECT_LT(row.window->earlyS, 720);
            EXPECT_GT(row.window->latestS.value_or(1e9), 720);
            EXPECT_FALSE(row.instruction.byProbe) << "looks and weight tell, no probe";
        }
        if (target.applianceId == "fan") {
            ASSERT_TRUE(row.reached) << row.reason.message;
            EXPECT_GT(row.outcome.pullS, 6 * 60);
            EXPECT_LT(row.outcome.pullS, 16 * 60);
            EXPECT_LT(row.likeness->distance, 4);
        }
        if (target.applianceId == "hob") { // a pan bakes one side of them
            EXPECT_FALSE(row.reached && row.likeness->distance < 2);
        }
    }
}

TEST(Likeness, Defect171DoughInAnOvenIsNotTurned) {
    Request r = timed(kitchenOf(kitchen::ApplianceKind::airFryer), "cookie-dough", 8 * 60);
    EXPECT_EQ(writtenProgramme(r)->last().turning, cook::Turning::never);
    r.recipe.piece.food = *food::findFood("pork-loin");
    EXPECT_EQ(writtenProgramme(r)->last().turning, cook::Turning::once) << "meat is";
    const Request flat = timed(kitchenOf(kitchen::ApplianceKind::griddle), "pizza-dough", 4 * 60);
    EXPECT_EQ(writtenProgramme(flat)->last().turning, cook::Turning::once) << "on a plate it is";
}

TEST(Likeness, Defect172ACookieHasNoGreyRimAndIsNotIntact) {
    const Request cookies = timed(translate::testing::smallKitchen(), "cookie-dough", 12 * 60);
    const auto prepared = prepare(cookies);
    ASSERT_TRUE(prepared) << prepared.error().message;
    for (const auto& [name, value] : words::outcomeFacts(*prepared, {}))
        EXPECT_TRUE(name != "Grey rim" && name != "Within the band") << value;
    EXPECT_EQ(words::pieceWords(cookies, {}).find("intact"), std::string::npos);
    const std::string words = words::cutWords(prepared->outcome, cookies.recipe.piece.food, {}).rim;
    EXPECT_NE(words.find("lighter"), std::string::npos) << words;
    EXPECT_NE(words::readWords(*prepared).find("decides when it is done"), std::string::npos)
        << words::readWords(*prepared);
}

// Thinner ones of the same tray are done sooner by the same rule, not when their middles reach what
// the thick ones' did; batches each take the row's own time.
TEST(Likeness, ACookiesCompanionsAndBatchesGoByTheSameRule) {
    Request r = timed(translate::testing::smallKitchen(), "cookie-dough", 12 * 60);
    r.recipe.piece.othersM = {0.008};
    r.recipe.piece.rounds = 2;
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    const Row row = solveRow(*prepared, {"fan", "middle", ""});
    const RowDetail detail = detailOf(*prepared, row);
    ASSERT_EQ(detail.companions.size(), 1u);
    ASSERT_TRUE(detail.companions.front().outcome)
        << detail.companions.front().outcome.error().message;
    const double thinner = detail.companions.front().outcome->pullS;
    EXPECT_LT(thinner, row.outcome.pullS);
    EXPECT_GT(thinner, row.outcome.pullS / 2);
    ASSERT_EQ(detail.rounds.size(), 2u);
    EXPECT_NEAR(detail.rounds.back().outcome.pullS, row.outcome.pullS, 1);
}

// What a steak's minutes gave is met by its core first of all, and the probe leads.
TEST(Likeness, ASteakByTheClockIsLedByItsCore) {
    Request r = timed(translate::testing::smallKitchen(), "pork-loin", 40 * 60);
    r.recipe.piece.shape = heat::Shape::slab;
    r.recipe.piece.thicknessM = 0.04;
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    const Row row = solveRow(*prepared, {"fan", "middle", ""});
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_TRUE(row.likeness->coreLeads());
    EXPECT_NEAR(row.outcome.peakK, prepared->outcome.peakK, 2);
}

// The cook has a say: judged by its weight alone, a chip is as dry as it was, whatever its colour.
// A braise stands on its plateau for hours: tenderness tells, no thermometer (common practice, no
// source). And a row of it costs few cooks: a kitchen's answer had taken minutes.
TEST(Likeness, Defect175ABraiseOnItsPlateauIsNotLedByAProbe) {
    Request r = timed(kitchenOf(kitchen::ApplianceKind::charcoalKettle), "beef-chuck", 2.5 * 3600);
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    Row row = solveRow(*prepared, prepared->targets.front());
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_FALSE(row.instruction.byProbe);
    addWindow(*prepared, row);
    ASSERT_TRUE(row.window) << row.windowless.value_or(Error{}).message;
    EXPECT_FALSE(row.window->sampled);
    EXPECT_LT(row.solves, 60);
}

// A dish had dried through the walls of its dish, so that no oven could bake what a Dutch oven
// bakes in 45 minutes; an ordinary oven takes about three quarters of an hour to an hour and a
// quarter (common practice, no source).
TEST(Likeness, Defect178ADishIsOpenToTheAirOnTopOnly) {
    Request r = timed(translate::testing::smallKitchen(), "fruit-cobbler", 45 * 60);
    auto pot = *kitchen::typicalAppliance(kitchen::ApplianceKind::ironOven);
    pot.id = pot.name = "pot";
    pot.siteId = r.kitchen.appliances.front().siteId;
    r.kitchen.appliances.push_back(pot);
    r.recipe.last().place = {"pot", *kitchen::parseSetting(pot.controls, "coals=10+18"), "inside",
                             ""};
    r.recipe.piece.startK = C(18);
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    bool baked = false;
    for (const Target& target : prepared->targets)
        if (target.applianceId == "still") {
            const Row row = solveRow(*prepared, target);
            ASSERT_TRUE(row.reached) << row.reason.message;
            EXPECT_GT(row.outcome.pullS, 30 * 60);
            EXPECT_LT(row.outcome.pullS, 90 * 60);
            baked = true;
        }
    EXPECT_TRUE(baked);
}

TEST(Likeness, TheCookSaysWhatCounts) {
    Request r = timed(translate::testing::smallKitchen(), "potato-chips", 25 * 60);
    r.recipe.goal.judgedBy = {food::Quality::weight};
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    ASSERT_EQ(prepared->judged.size(), 1u);
    const Row row = solveRow(*prepared, {"fan", "middle", ""});
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_NEAR(row.outcome.weightLossShare, prepared->outcome.weightLossShare, 0.01);
    ASSERT_EQ(row.likeness->says.size(), 1u);
    EXPECT_EQ(row.likeness->says.front().quality, food::Quality::weight);
}

// Chips judged by tenderness alone became cookies, which have none: their own way counts then.
TEST(Likeness, Defect174WhatAnotherFoodWasJudgedByLeavesNoRecipeWithoutARule) {
    Request r = timed(translate::testing::smallKitchen(), "cookie-dough", 12 * 60);
    r.recipe.goal.judgedBy = {food::Quality::softness};
    const auto prepared = prepare(r);
    ASSERT_TRUE(prepared) << prepared.error().message;
    EXPECT_EQ(prepared->judged, food::judgementOf(r.recipe.piece.food));
}

} // namespace
