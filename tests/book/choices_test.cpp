// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a book keeps of its pieces, scales and schools.
#include "book/book_folder.h"
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/piece_json.h"
#include "book/recipe_store.h"

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

TEST_F(ChoicesTest, ARecipesPieceComesBackWhole) {
    RecipeRecord recipe;
    {
        auto book = *Book::create(path(), kWhen);
        kitchen::Site site;
        site.id = "s";
        site.name = "Loft";
        ASSERT_TRUE(addSite(book, site, kWhen));
        kitchen::Appliance a = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        a.id = "a";
        a.name = "Oven";
        a.siteId = "s";
        ASSERT_TRUE(addAppliance(book, a, kWhen));
        recipe.id = "r";
        recipe.name = "Joint";
        recipe.reference.applianceId = "a";
        recipe.settingText = "oven=180C";
        recipe.reference.zone = "middle";
        recipe.piece = joint();
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
