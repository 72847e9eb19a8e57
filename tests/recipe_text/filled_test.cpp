// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// From what a text says to the stages of a recipe.
#include "kitchen/dial.h"
#include "kitchen/typical.h"
#include "recipe_text/filled.h"
#include "recipe_text/kitchen_of_text.h"

#include <gtest/gtest.h>

namespace dynamet::recipe_text {
namespace {

Filled filled(const std::string& text, const std::string& on = "") {
    const auto kitchen = kitchenOfText();
    ReadWith with;
    with.kitchen = &kitchen;
    with.applianceId = on;
    auto out = recipeFrom("", text, with);
    EXPECT_TRUE(out) << (out ? "" : out.error().message);
    const auto whole = recipe::checkRecipe(
        [&] {
            recipe::Recipe named = out->recipe;
            named.name = "x";
            return named;
        }(),
        kitchen);
    EXPECT_TRUE(whole) << text << ": " << (whole ? "" : whole.error().message);
    return std::move(*out);
}

double celsius(double k) {
    return k - 273.15;
}

std::string setting(const Filled& f, std::size_t stage) {
    const auto kitchen = kitchenOfText();
    const recipe::Place& place = f.recipe.stages[stage].place;
    return settingText(findAppliance(kitchen, place.applianceId)->controls, place.setting);
}

bool asks(const Filled& f, Asked::What what) {
    for (const Asked& one : f.asked)
        if (one.what == what)
            return true;
    return false;
}

TEST(Filled, ATimeAloneEndsTheCook) {
    const Filled f = filled("Bake the salmon, 25 mm thick and cold from the fridge, in the oven at "
                            "200 °C for 12–15 minutes.");
    ASSERT_EQ(f.recipe.stages.size(), 1u);
    EXPECT_EQ(setting(f, 0), "oven=200C");
    EXPECT_EQ(f.recipe.last().end.afterS, 810);
    EXPECT_FALSE(f.recipe.time.said());
    EXPECT_NEAR(f.recipe.piece.thicknessM, 0.025, 1e-9);
    EXPECT_NEAR(celsius(f.recipe.piece.startK), 5, 1e-9);
    EXPECT_FALSE(asks(f, Asked::What::thickness));
    EXPECT_FALSE(asks(f, Asked::What::start));
    EXPECT_TRUE(asks(f, Asked::What::appliance)); // which of the ovens?
}

TEST(Filled, ATimeBesideACoreIsWhatItTook) {
    const Filled f = filled("Roast the pork loin at 180 °C until the core reads 62 °C, about 50 "
                            "minutes. Rest 10 minutes under foil.",
                            "still");
    ASSERT_EQ(f.recipe.stages.size(), 1u);
    EXPECT_TRUE(f.recipe.last().end.byGoal());
    EXPECT_NEAR(celsius(f.recipe.goal.coreK), 62, 1e-9);
    EXPECT_EQ(f.recipe.goal.readAt, food::GoalMoment::pull);
    EXPECT_EQ(f.recipe.time.lowS, 3000);
    EXPECT_EQ(f.recipe.rest.shortestS, 600);
    EXPECT_TRUE(f.recipe.rest.tented);
    const Filled peak =
        filled("Roast the pork loin at 180 °C. Pull it at 60 °C; it will rise to 64 "
               "°C.",
               "still");
    EXPECT_EQ(peak.recipe.goal.readAt, food::GoalMoment::peak);
    EXPECT_NEAR(celsius(peak.recipe.goal.coreK), 64, 1e-9);
}

TEST(Filled, AnotherHeatIsAnotherStage) {
    const Filled f =
        filled("Roast the beef at 230 °C for 20 minutes, then turn down to 150 °C and roast until "
               "the core is 54 °C.",
               "still");
    ASSERT_EQ(f.recipe.stages.size(), 2u);
    EXPECT_EQ(setting(f, 0), "oven=230C");
    EXPECT_EQ(f.recipe.stages[0].end.afterS, 1200);
    EXPECT_EQ(setting(f, 1), "oven=150C");
    EXPECT_NEAR(celsius(f.recipe.goal.coreK), 54, 1e-9);
    const Filled sear =
        filled("Roast the steak in the oven at 120 °C until 48 °C in the middle. Sear "
               "in a pan over high heat, 1 minute a side.");
    ASSERT_EQ(sear.recipe.stages.size(), 2u);
    EXPECT_EQ(sear.recipe.stages[0].place.applianceId, "still");
    EXPECT_NEAR(celsius(sear.recipe.stages[0].end.coreK.value_or(0)), 48, 1e-9);
    EXPECT_EQ(sear.recipe.stages[1].place.applianceId, "hob");
    EXPECT_EQ(sear.recipe.stages[1].end.afterS, 120);
    EXPECT_EQ(sear.recipe.stages[1].handling.turning.when, recipe::TurnWhen::half);
}

// Defect 189: what moves to another place after a time was taken for one stage there.
TEST(Filled, Defect189AnotherPlaceAfterATimeIsAnotherStage) {
    const Filled f =
        filled("Take 2 trout fillets, 22 mm thick, from the fridge. Grill over direct "
               "heat, lid closed, for 4 minutes, turn once, then move them to the cool "
               "side until the thickest part reads 52 °C, 8–10 minutes.");
    ASSERT_EQ(f.recipe.stages.size(), 2u);
    EXPECT_EQ(f.recipe.stages[0].end.afterS, 240);
    EXPECT_NE(f.recipe.stages[0].place.zone, f.recipe.stages[1].place.zone);
    EXPECT_NE(f.recipe.stages[1].place.zone.find("indirect"), std::string::npos);
    EXPECT_EQ(f.recipe.stages[0].handling.turning.when, recipe::TurnWhen::half);
    EXPECT_TRUE(f.recipe.last().end.byGoal());
    EXPECT_EQ(f.recipe.time.lowS, 480);
    EXPECT_EQ(f.recipe.time.highS, 600);
}

// Defect 191: a pan that comes to its heat, and the flame under it, were two stages, and what stood
// between two heats was the last rest.
TEST(Filled, Defect191APanAndItsFlameAreOneStageAndAWaitStandsBetween) {
    const Filled f =
        filled("Roast the venison in the oven at 100 °C until the core reads 43 °C. Let it "
               "stand for 7 minutes while the pan comes to 220 °C. Sear over medium heat, "
               "turning once, until it reads 51 °C.",
               "still");
    ASSERT_EQ(f.recipe.stages.size(), 2u);
    EXPECT_EQ(f.recipe.stages[0].place.applianceId, "still");
    EXPECT_EQ(f.recipe.stages[0].waitS, 420);
    EXPECT_EQ(f.recipe.stages[1].place.applianceId, "hob");
    EXPECT_NE(setting(f, 1).find("preheat=220C"), std::string::npos) << setting(f, 1);
    EXPECT_NEAR(celsius(f.recipe.goal.coreK), 51, 1e-9);
}

TEST(Filled, OneHeatInSeveralScalesIsOneStageAndAFanOvenTakesItsOwn) {
    const char* text =
        "Heat the oven to 200°C (180°C fan)/400°F/gas 6 and roast the chicken thighs "
        "for 40 minutes.";
    EXPECT_EQ(setting(filled(text, "still"), 0), "oven=200C");
    EXPECT_EQ(filled(text, "still").recipe.last().end.afterS, 2400); // no heating up
    const Filled fan = filled(text, "fan");
    ASSERT_EQ(fan.recipe.stages.size(), 1u);
    EXPECT_EQ(setting(fan, 0), "oven=180C");
}

TEST(Filled, WordsForHeatTakeTheirUsualPlaceOnTheDial) {
    EXPECT_EQ(setting(filled("Bake the salmon in a moderate oven for 20 minutes.", "still"), 0),
              "oven=180C");
    const Filled pan = filled("Fry the salmon in a pan on level 7 for 3 minutes a side.");
    EXPECT_NE(setting(pan, 0).find("level=7"), std::string::npos);
    const Filled grill =
        filled("Grill the chicken thighs indirectly at 180 °C, lid closed, until 74 "
               "°C inside.");
    EXPECT_EQ(grill.recipe.stages[0].place.applianceId, "grill");
    EXPECT_FALSE(grill.recipe.stages[0].place.lidOpen);
    EXPECT_NE(grill.recipe.stages[0].place.zone.find("indirect"), std::string::npos)
        << grill.recipe.stages[0].place.zone;
}

// Common practice, no source: 20 minutes a pound and 20 over.
TEST(Filled, ATimeByWeightIsWorkedOutOrAskedFor) {
    const Filled f =
        filled("Roast the 4-lb pork loin at 180 °C, 20 minutes per pound and 20 over.", "still");
    EXPECT_EQ(f.recipe.last().end.afterS, 6000);
    const Filled without = filled("Roast the pork at 180 °C, 20 minutes per pound.", "still");
    EXPECT_TRUE(asks(without, Asked::What::until));
}

TEST(Filled, WhatIsMissingIsAskedForInOneLineEachWithTheUsual) {
    const Filled f = filled("Put it in.");
    for (const Asked::What what : {Asked::What::food, Asked::What::thickness, Asked::What::start,
                                   Asked::What::heat, Asked::What::until})
        EXPECT_TRUE(asks(f, what)) << static_cast<int>(what);
    for (const Asked& one : f.asked) {
        EXPECT_FALSE(one.question.empty());
        EXPECT_FALSE(one.taken.empty()) << one.question;
        EXPECT_EQ(one.question.find('\n'), std::string::npos);
    }
    const kitchen::Kitchen empty;
    ReadWith with;
    with.kitchen = &empty;
    EXPECT_EQ(recipeFrom("", "Bake at 180 °C.", with).error().code, Errc::notFound);
}

TEST(Filled, ACorrectionHoldsUntilItsWordsAreGone) {
    const std::string text = "Bake at 200 for 20 minutes in tin 180.";
    const auto plain = bindingsIn(text);
    recipe::Correction fahrenheit{text.find("200"), "200", "temperature", 366.5, 366.5};
    recipe::Correction none{text.find("20 minutes"), "20 minutes", "", {}, {}};
    const auto with = corrected(plain, text, {fahrenheit, none});
    bool found = false;
    for (const Binding& b : with) {
        EXPECT_NE(b.kind, BindingKind::duration);
        if (b.text == "200") {
            found = true;
            EXPECT_NEAR(*b.low, 366.5, 1e-9);
        }
    }
    EXPECT_TRUE(found);
    // The text was edited: the words have moved, or are gone.
    const std::string moved = "Now bake at 200 for 10 minutes.";
    EXPECT_NEAR(*corrected(bindingsIn(moved), moved, {fahrenheit}).front().low, 366.5, 1e-9);
    const std::string gone = "Bake at 190.";
    EXPECT_EQ(corrected(bindingsIn(gone), gone, {fahrenheit}), bindingsIn(gone));
}

TEST(Filled, StagesFollowACorrectionUntilACookChangesThem) {
    const auto kitchen = kitchenOfText();
    ReadWith with;
    with.kitchen = &kitchen;
    const std::string text = "Bake at 180 °C for 20 minutes.";
    const recipe::Recipe read = filled(text).recipe;
    const std::size_t at = text.find("20 minutes");
    const recipe::Correction half{at, "20 minutes", "duration", 1800, 1800};
    const recipe::Recipe longer = correctedRecipe(read, half, with);
    EXPECT_NEAR(longer.last().end.afterS, 1800, 1e-9);
    const recipe::Correction three{at, "20 minutes", "duration", 2700, 2700};
    const recipe::Recipe again = correctedRecipe(longer, three, with);
    EXPECT_EQ(again.corrections.size(), 1u) << "the newest of the same words";
    EXPECT_NEAR(again.last().end.afterS, 2700, 1e-9);
    recipe::Recipe own = read;
    own.last().end.afterS = 1000;
    const recipe::Recipe kept = correctedRecipe(own, half, with);
    EXPECT_NEAR(kept.last().end.afterS, 1000, 1e-9) << "what a cook set stays";
    EXPECT_EQ(kept.corrections.size(), 1u);
}

} // namespace
} // namespace dynamet::recipe_text
