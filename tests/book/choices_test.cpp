// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a book keeps of its pieces, scales and schools.
#include "book/book_folder.h"
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "kitchen/typical.h"
#include "words/say.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;

using book::testing::kWhen;

using ChoicesTest = book::testing::BookFolder;

recipe::FoodPiece joint() {
    recipe::FoodPiece p;
    p.food = *food::findFood("beef-rib-roast");
    p.shape = heat::Shape::block;
    p.thicknessM = 0.11;
    p.widthM = 0.16;
    p.bone = heat::Bone::oneSide;
    p.fatCapM = 0.009;
    p.surface = recipe::SurfaceState::wet;
    p.temperedS = 5400;
    p.seasonings = {"pepper", "herbs"};
    p.fat = "ghee";
    p.othersM = {0.09, 0.1};
    return p;
}

/// A book with one oven and a hob, and a recipe on the oven.
recipe::Recipe fillKitchen(Book& book) {
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
    recipe::Recipe recipe;
    recipe.id = "r";
    recipe.name = "Joint";
    const auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
    recipe.last().place = {"a", *kitchen::parseSetting(oven.controls, "oven=180C"), "middle", ""};
    recipe.piece = joint();
    return recipe;
}

TEST_F(ChoicesTest, ARecipesPieceComesBackWhole) {
    recipe::Recipe recipe;
    {
        auto book = *Book::create(path(), kWhen);
        recipe = fillKitchen(book);
        ASSERT_TRUE(addRecipe(book, recipe, *loadKitchen(book), kWhen));
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
    ASSERT_TRUE(changeRecipe(book, recipe, *loadKitchen(book)));
    recipes = loadRecipes(book, *kitchen);
    EXPECT_EQ((*recipes)[0].piece.fatCapM, 0.004);
    EXPECT_EQ((*recipes)[0].goal.words, "pinker");
}

/// Seared by its edges on the griddle first, then a wait.
recipe::Stage edges(const kitchen::Kitchen& kitchen) {
    const auto* griddle = findAppliance(kitchen, "g");
    recipe::Stage out;
    const auto setting = kitchen::possibleSettings(griddle->controls, 1).back();
    out.place = {"g", setting, griddle->zones.front().name, ""};
    out.end = {240, 300};
    out.edgesDown = true;
    out.waitS = 90;
    out.waitTented = true;
    return out;
}

TEST_F(ChoicesTest, ARecipesStagesAndRestComeBackInTheirOrder) {
    auto book = *Book::create(path(), kWhen);
    recipe::Recipe recipe = fillKitchen(book);
    const auto kitchen = *loadKitchen(book);
    ASSERT_TRUE(addRecipe(book, recipe, kitchen, kWhen));
    recipe.stages.insert(recipe.stages.begin(), {edges(kitchen), edges(kitchen)});
    recipe.stages[1].edgesDown = false;
    recipe.stages[1].end.coreK.reset();
    recipe.last().end.afterS = 1200;
    recipe.stages[0].place.lidOpen = recipe.last().place.lidOpen = true;
    recipe.last().place.setting.values[0] = 200.0;
    recipe.rest.onBoard = recipe.rest.tented = true;
    recipe.rest.shortestS = 900;
    recipe.name = "Joint by its edges";
    ASSERT_TRUE(changeRecipe(book, recipe, *loadKitchen(book)));
    auto recipes = loadRecipes(book, kitchen);
    ASSERT_EQ(recipes->size(), 1u);
    const recipe::Recipe& now = recipes->front();
    EXPECT_EQ(now, recipe);
    const auto request = requestOf(now, kitchen, {});
    EXPECT_EQ(request.recipe, recipe);
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
    const recipe::Recipe recipe = fillKitchen(book);
    const auto kitchen = *loadKitchen(book);
    const auto refused = [&](auto change) {
        recipe::Recipe r = recipe;
        r.stages.insert(r.stages.begin(), edges(kitchen));
        change(r, r.stages[0]);
        const auto whole = checkRecipe(r, kitchen);
        return whole ? std::string() : words::text(whole.error(), {});
    };
    using Stage = recipe::Stage;
    EXPECT_EQ(refused([](recipe::Recipe&, Stage&) {}), "");
    const auto says = [&](const std::string& said, const char* words) {
        EXPECT_NE(said.find(words), std::string::npos) << said;
    };
    says(refused([](recipe::Recipe&, Stage& s) { s.end = {}; }), "stage 1: it should end");
    says(refused([](recipe::Recipe&, Stage& s) { s.end.coreK = 260; }), "above the piece's start");
    says(refused([](recipe::Recipe&, Stage& s) { s.place.applianceId = "a"; }), "edges");
    says(refused([](recipe::Recipe& r, Stage&) { r.piece.shape = heat::Shape::slab; }), "block");
    says(refused([](recipe::Recipe& r, Stage&) { r.name.clear(); }), "name");
    says(refused([](recipe::Recipe& r, Stage&) { r.last().end.afterS = 1e9; }), "72 h");
    says(refused([](recipe::Recipe&, Stage& s) { s.waitS = 1e9; }), "72 h");
    says(refused([](recipe::Recipe& r, Stage&) { r.last().end.coreK = 330; }), "doneness");
    says(refused([](recipe::Recipe&, Stage& s) { s.place.applianceId = "x"; }),
         "no such appliance");
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

} // namespace
