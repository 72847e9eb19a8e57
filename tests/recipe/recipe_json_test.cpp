// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The one serialisation of a recipe: there and back, and what becomes of text that is none.
#include "recipe/recipe_json.h"

#include "kitchen/typical.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::recipe;

kitchen::Kitchen ovenAndHob() {
    kitchen::Kitchen out;
    for (const auto& [kind, id] : {std::pair{kitchen::ApplianceKind::stillOven, "oven"},
                                   {kitchen::ApplianceKind::inductionHob, "hob"}}) {
        out.appliances.push_back(*kitchen::typicalAppliance(kind));
        out.appliances.back().id = out.appliances.back().name = id;
    }
    return out;
}

Place at(const kitchen::Kitchen& kitchen, const char* id, const char* setting) {
    const auto& appliance = *findAppliance(kitchen, id);
    return {id, *kitchen::parseSetting(appliance.controls, setting), appliance.zones.front().name,
            isHob(appliance.kind) ? "pan" : ""};
}

/// Every property away from what it is by itself, so that a forgotten one is seen.
Recipe fullRecipe(const kitchen::Kitchen& kitchen) {
    Recipe out;
    out.name = "Rack, \"both\" ways";
    out.author = "Zoë";
    out.text = "Line one.\nLine two: ½ h at 95 °C.";
    out.piece.food = *food::findFood("lamb-chop");
    out.piece.form = food::Form::bladed;
    out.piece.shape = heat::Shape::block;
    out.piece.thicknessM = 0.061;
    out.piece.widthM = 0.072;
    out.piece.bone = heat::Bone::oneSide;
    out.piece.fatCapM = 0.006;
    out.piece.surface = SurfaceState::dried;
    out.piece.startK = 279.4;
    out.piece.temperedS = 1800;
    out.piece.seasonings = {"pepper", "sugar"};
    out.piece.fat = "ghee";
    out.piece.rounds = 3;
    out.piece.othersM = {0.05, 0.04};
    out.goal = {329.15, food::GoalMoment::pull, 327.15, 331.15, "pink"};
    Stage low;
    low.place = at(kitchen, "oven", "oven=95C");
    low.place.lidOpen = true;
    low.end = {5400, 318.15};
    low.edgesDown = true;
    low.waitS = 240;
    low.waitTented = true;
    Stage sear;
    sear.place = at(kitchen, "hob", "level=6;preheat=230C");
    sear.end.afterS = 95;
    low.place.vesselId = "tray";
    low.place.insertId = "stone";
    low.handling.cover = Cover::foil;
    low.handling.waterAdded = true;
    low.handling.turning = {TurnWhen::atCore, 0, 300.5};
    low.handling.steps = {{Move::baste, 300, true, 20},
                          {Move::cover, 600, false, 0, {}, {}, Cover::dome},
                          {Move::toZone, 700, false, 0, {}, low.place.zone},
                          {Move::setTo, 900, false, 0, at(kitchen, "oven", "oven=120C").setting}};
    sear.handling.turning = {TurnWhen::every, 45, 0};
    out.stages = {low, sear};
    out.rest.tented = out.rest.onBoard = true;
    out.rest.shortestS = 420;
    return out;
}

TEST(RecipeJson, BringsEveryPropertyBack) {
    const auto kitchen = ovenAndHob();
    const Recipe recipe = fullRecipe(kitchen);
    const auto back = readRecipe(recipeJson(recipe, kitchen), kitchen);
    ASSERT_TRUE(back.has_value()) << back.error().message;
    EXPECT_EQ(*back, recipe);
}

TEST(RecipeJson, EveryFoodComesBack) {
    const auto kitchen = ovenAndHob();
    for (const food::Food& food : food::shippedFoods()) {
        Recipe recipe;
        recipe.name = food.name;
        recipe.piece.food = food;
        recipe.last().place = at(kitchen, "oven", "oven=180C");
        const auto back = readRecipe(recipeJson(recipe, kitchen), kitchen);
        ASSERT_TRUE(back.has_value()) << food.id << ": " << back.error().message;
        EXPECT_EQ(*back, recipe) << food.id;
    }
}

TEST(RecipeJson, CutAtAnyByteIsRefusedAndSaysWhy) {
    const auto kitchen = ovenAndHob();
    const std::string text = recipeJson(fullRecipe(kitchen), kitchen);
    for (std::size_t n = 0; n < text.size(); ++n) {
        const auto back = readRecipe(text.substr(0, n), kitchen);
        ASSERT_FALSE(back.has_value()) << n;
        EXPECT_EQ(back.error().code, Errc::parse) << n;
        EXPECT_FALSE(back.error().message.empty()) << n;
    }
}

struct Damage {
    const char *what, *with; ///< a stretch of the text, and what stands there instead
    Errc code;
    const char* says;
};
class DamagedRecipe : public ::testing::TestWithParam<Damage> {};
TEST_P(DamagedRecipe, NeverThrowsAndNamesThePlace) {
    const auto kitchen = ovenAndHob();
    std::string text = recipeJson(fullRecipe(kitchen), kitchen);
    const Damage damage = GetParam();
    const auto at = text.find(damage.what);
    ASSERT_NE(at, std::string::npos) << damage.what << " in " << text;
    text.replace(at, std::string(damage.what).size(), damage.with);
    const auto back = readRecipe(text, kitchen);
    ASSERT_FALSE(back.has_value());
    EXPECT_EQ(back.error().code, damage.code) << back.error().message;
    EXPECT_NE(back.error().message.find(damage.says), std::string::npos) << back.error().message;
}
INSTANTIATE_TEST_SUITE_P(
    Texts, DamagedRecipe,
    ::testing::Values(
        Damage{"\"thickness_m\":0.061", "\"thickness_m\":\"thick\"", Errc::invalidArgument,
               "piece.thickness_m: should be a number"},
        Damage{"\"thickness_m\":0.061", "\"thickness_m\":1e999", Errc::parse, "not JSON"},
        Damage{"\"thickness_m\":0.061", "\"thickness_m\":-1", Errc::invalidArgument, "above 0"},
        Damage{"\"thickness_m\":0.061,", "", Errc::invalidArgument, "\"thickness_m\" is missing"},
        Damage{"\"wait_s\":240.0", "\"wait_s\":[240]", Errc::invalidArgument, "stages[0].wait_s"},
        Damage{"\"wait_tented\":true", "\"wait_tented\":1", Errc::invalidArgument, "true or false"},
        Damage{"\"food\":\"lamb-chop\"", "\"food\":\"unicorn\"", Errc::notFound, "unicorn"},
        Damage{"\"setting\":\"oven=95C\"", "\"setting\":\"oven=9500C\"", Errc::notFound,
               "no setting"},
        Damage{"\"appliance\":\"hob\"", "\"appliance\":\"ring\"", Errc::notFound, "retired"},
        Damage{"\"at_s\":300.0", "\"at_s\":-1", Errc::invalidArgument, "from 0 on"},
        Damage{"\"at_s\":300.0", "\"at_s\":0", Errc::invalidArgument, "again only after"},
        Damage{"\"seconds\":45.0", "\"seconds\":0", Errc::invalidArgument, "above 0"},
        Damage{"\"move\":\"baste\"", "\"move\":\"juggle\"", Errc::invalidArgument,
               "not known to this program"},
        Damage{"\"cover\":\"dome\"", "\"cover\":\"hat\"", Errc::invalidArgument, "not known"},
        Damage{"\"name\":\"Rack", "\"title\":\"Rack", Errc::invalidArgument,
               "\"name\" is missing"}));

TEST(RecipeJson, ANewerProgramsWordsFallBackToTheUsual) {
    const auto kitchen = ovenAndHob();
    std::string text = recipeJson(fullRecipe(kitchen), kitchen);
    for (const auto& [what, with] :
         {std::pair<std::string, std::string>{"air-dried", "icy"}, {"\"bladed\"", "\"knitted\""}}) {
        const auto where = text.find(what);
        ASSERT_NE(where, std::string::npos) << text;
        text.replace(where, what.size(), with);
    }
    const auto back = readRecipe(text, kitchen);
    ASSERT_TRUE(back.has_value()) << back.error().message;
    EXPECT_EQ(back->piece.surface, FoodPiece{}.surface);
    EXPECT_EQ(back->piece.form, FoodPiece{}.form);
}

TEST(RecipeJson, HasAtLeastOneStage) {
    const auto kitchen = ovenAndHob();
    Recipe recipe = fullRecipe(kitchen);
    recipe.stages.clear();
    EXPECT_FALSE(readRecipe(recipeJson(recipe, kitchen), kitchen).has_value());
}

TEST(StageEnd, ByTheGoalIsNeitherByClockNorByCore) {
    EXPECT_TRUE(StageEnd{}.byGoal());
    EXPECT_FALSE((StageEnd{60, {}}).byGoal());
    EXPECT_FALSE((StageEnd{0, 320.0}).byGoal());
}

} // namespace
