// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a book keeps of its pieces, scales and schools.
#include "book/book_folder.h"
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/piece_json.h"
#include "book/recipe_request.h"
#include "kitchen/typical.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;

using book::testing::kWhen;

using ChoicesTest = book::testing::BookFolder;

cook::FoodPiece joint() {
    cook::FoodPiece p;
    p.food = *food::findFood("beef-rib-roast");
    p.shape = heat::Shape::block;
    p.thicknessM = 0.11;
    p.widthM = 0.16;
    p.bone = heat::Bone::oneSide;
    p.fatCapM = 0.009;
    p.surface = cook::SurfaceState::wet;
    p.temperedS = 5400;
    p.seasonings = {"pepper", "herbs"};
    p.fat = "ghee";
    p.othersM = {0.09, 0.1};
    return p;
}

/// A book with one oven and a hob, and a recipe on the oven.
RecipeRecord fillKitchen(Book& book) {
    kitchen::Site site;
    site.id = "s";
    site.name = "Loft";
    EXPECT_TRUE(addSite(book, site, kWhen));
    for (const auto& [kind, id] : {std::pair{kitchen::ApplianceKind::stillOven, "a"},
                                   {kitchen::ApplianceKind::griddle, "g"}}) {
        kitchen::Appliance a = *kitchen::typicalAppliance(kind);
        a.id = a.name = id;
        a.siteId = "s";
        EXPECT_TRUE(addAppliance(book, a, kWhen));
    }
    RecipeRecord recipe;
    recipe.id = "r";
    recipe.name = "Joint";
    recipe.reference.applianceId = "a";
    recipe.settingText = "oven=180C";
    recipe.reference.zone = "middle";
    recipe.piece = joint();
    return recipe;
}

TEST_F(ChoicesTest, ARecipesPieceComesBackWhole) {
    RecipeRecord recipe;
    {
        auto book = *Book::create(path(), kWhen);
        recipe = fillKitchen(book);
        ASSERT_TRUE(addRecipe(book, recipe, kWhen));
    }
    auto book = *Book::open(path());
    auto kitchen = loadKitchen(book);
    ASSERT_TRUE(kitchen.has_value());
    auto recipes = loadRecipes(book, *kitchen);
    ASSERT_TRUE(recipes.has_value());
    ASSERT_EQ(recipes->size(), 1u);
    EXPECT_EQ((*recipes)[0].piece, recipe.piece);
    recipe.piece.fatCapM = 0.004;
    recipe.goal.words = "pinker";
    ASSERT_TRUE(changeRecipe(book, recipe));
    recipes = loadRecipes(book, *kitchen);
    EXPECT_EQ((*recipes)[0].piece.fatCapM, 0.004);
    EXPECT_EQ((*recipes)[0].goal.words, "pinker");
}

/// Seared by its edges on the griddle first, then a wait.
StageRecord edges(const kitchen::Kitchen& kitchen) {
    const auto* griddle = findAppliance(kitchen, "g");
    StageRecord out;
    const auto setting = kitchen::possibleSettings(griddle->controls, 1).back();
    out.settingText = settingText(griddle->controls, setting);
    out.stage.place = {"g", setting, griddle->zones.front().name, ""};
    out.stage.endsAfterS = 240;
    out.stage.endsAtCoreK = 300;
    out.stage.edgesDown = true;
    out.stage.waitS = 90;
    out.stage.waitTented = true;
    return out;
}

TEST_F(ChoicesTest, ARecipesStagesAndRestComeBackInTheirOrder) {
    auto book = *Book::create(path(), kWhen);
    RecipeRecord recipe = fillKitchen(book);
    ASSERT_TRUE(addRecipe(book, recipe, kWhen));
    const auto kitchen = *loadKitchen(book);
    recipe.before = {edges(kitchen), edges(kitchen)};
    recipe.before[1].stage.edgesDown = false;
    recipe.before[1].stage.endsAtCoreK.reset();
    recipe.lastForS = 1200;
    recipe.before[0].stage.place.lidOpen = recipe.reference.lidOpen = true;
    recipe.rest.onBoard = recipe.rest.tented = true;
    recipe.rest.shortestS = 900;
    recipe.name = "Joint by its edges";
    recipe.settingText = "oven=200C";
    ASSERT_TRUE(changeRecipe(book, recipe));
    auto recipes = loadRecipes(book, kitchen);
    ASSERT_EQ(recipes->size(), 1u);
    const RecipeRecord& now = recipes->front();
    EXPECT_EQ(now.before, recipe.before);
    EXPECT_EQ(now.lastForS, 1200);
    EXPECT_TRUE(now.reference.lidOpen);
    EXPECT_EQ(now.rest, recipe.rest);
    EXPECT_EQ(now.name, "Joint by its edges");
    EXPECT_EQ(std::get<double>(now.reference.setting.values[0]), 200);
    const auto request = requestOf(now, kitchen, {});
    EXPECT_EQ(request.before.size(), 2u);
    EXPECT_EQ(request.rest, recipe.rest);
    EXPECT_FALSE(request.moved.has_value());
    // A stage whose appliance is gone: the recipe is left out, not cooked without it.
    kitchen::Kitchen smaller = kitchen;
    std::erase_if(smaller.appliances, [](const auto& a) { return a.id == "g"; });
    EXPECT_TRUE(loadRecipes(book, smaller)->empty());
    ASSERT_TRUE(withdrawRecipe(book, "r", kWhen));
    EXPECT_TRUE(loadRecipes(book, kitchen)->empty());
    ASSERT_TRUE(withdrawRecipe(book, "r", std::nullopt));
    EXPECT_EQ(loadRecipes(book, kitchen)->size(), 1u);
}

TEST_F(ChoicesTest, StagesThatCannotBeCookedAreRefusedByName) {
    auto book = *Book::create(path(), kWhen);
    const RecipeRecord recipe = fillKitchen(book);
    const auto kitchen = *loadKitchen(book);
    const auto refused = [&](auto change) {
        RecipeRecord r = recipe;
        r.before = {edges(kitchen)};
        change(r, r.before[0].stage);
        const auto whole = checkStages(r, kitchen);
        return whole ? std::string() : whole.error().message;
    };
    using Stage = translate::WrittenStage;
    EXPECT_EQ(refused([](RecipeRecord&, Stage&) {}), "");
    const auto says = [&](const std::string& said, const char* words) {
        EXPECT_NE(said.find(words), std::string::npos) << said;
    };
    says(refused([](RecipeRecord&, Stage& s) {
             s.endsAfterS = 0;
             s.endsAtCoreK.reset();
         }),
         "stage 1: it should end");
    says(refused([](RecipeRecord&, Stage& s) { s.endsAtCoreK = 260; }), "above the piece's start");
    says(refused([](RecipeRecord&, Stage& s) { s.place.applianceId = "a"; }), "edges");
    says(refused([](RecipeRecord& r, Stage&) { r.piece.shape = heat::Shape::slab; }), "block");
    says(refused([](RecipeRecord& r, Stage&) { r.name.clear(); }), "name");
    says(refused([](RecipeRecord& r, Stage&) { r.lastForS = 1e9; }), "72 h");
    says(refused([](RecipeRecord&, Stage& s) { s.waitS = 1e9; }), "72 h");
}

TEST_F(ChoicesTest, SchoolsAndScalesAreTheBooksOwn) {
    Choices choices;
    choices.schools["turning"] = "often";
    food::DonenessScale scale = food::shippedScales().front();
    setLevels(scale, "beef", {{"pink", 325.15, 329.15}});
    choices.scales.push_back(scale);
    {
        auto book = *Book::create(path(), kWhen);
        EXPECT_EQ(loadChoices(book)->schools.size(), 0u);
        ASSERT_TRUE(keepChoices(book, choices));
    }
    auto book = *Book::open(path());
    const auto back = loadChoices(book);
    ASSERT_TRUE(back.has_value());
    EXPECT_EQ(back->schools, choices.schools);
    EXPECT_EQ(levelsOf(back->scales.at(0), "beef").at(0).name, "pink");
    EXPECT_FALSE(levelsOf(food::shippedScales().front(), "beef").at(0).name == "pink");
}

TEST(PieceJson, LeavesAloneWhatItDoesNotKnow) {
    cook::FoodPiece p = joint();
    readPieceJson("not json", p);
    EXPECT_EQ(p, joint());
    readPieceJson(R"({"bone": "somewhere", "surface": "icy"})", p);
    EXPECT_EQ(p, joint());
}

} // namespace
