// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Recipes as others write them, by schema.org's Recipe: JSON-LD alone, in a page, and microdata.
// Durations by ISO 8601.
#include "formats/recipe_source.h"

#include <gtest/gtest.h>

namespace dynamet::formats {
namespace {

constexpr const char* kJsonLd = R"({"@context": "https://schema.org/", "@graph": [
  {"@type": "WebSite", "name": "A kitchen"},
  {"@type": ["Recipe", "NewsArticle"], "name": "Baked &amp; browned cod",
   "author": [{"@type": "Person", "name": "Ada Quill"}],
   "recipeIngredient": ["2 cod fillets, 3 cm thick", "salt"],
   "cookTime": "PT1H5M",
   "recipeInstructions": [
     {"@type": "HowToSection", "name": "Fish", "itemListElement": [
       {"@type": "HowToStep", "text": "<p>Heat the oven to 200&nbsp;°C.</p>"},
       {"@type": "HowToStep", "text": "Bake for 12 minutes."}]},
     "Rest 2 minutes."]}]})";

TEST(RecipeSource, JsonLdIsReadWhereverTheRecipeStandsInIt) {
    const auto source = readRecipeSource(kJsonLd);
    ASSERT_TRUE(source) << source.error().message;
    EXPECT_EQ(source->name, "Baked & browned cod");
    EXPECT_EQ(source->author, "Ada Quill");
    EXPECT_EQ(source->cookS, 3900);
    EXPECT_EQ(source->text.substr(0, source->text.find("Heat")),
              "2 cod fillets, 3 cm thick\nsalt\n\nFish:\n");
    EXPECT_NE(source->text.find("Bake for 12 minutes.\nRest 2 minutes."), std::string::npos);
    EXPECT_EQ(source->text.find('<'), std::string::npos);
}

TEST(RecipeSource, APageIsReadForItsJsonLdAndElseForItsMicrodata) {
    const auto inPage = readRecipeSource("<!doctype html><html><head><script type='application/"
                                         "ld+json'>" +
                                         std::string(kJsonLd) + "</script></head><body>x</body>");
    ASSERT_TRUE(inPage) << inPage.error().message;
    EXPECT_EQ(inPage->name, "Baked & browned cod");
    const auto microdata = readRecipeSource(
        "<html><body><h1>Menu</h1><div itemscope itemtype='https://schema.org/Recipe'>"
        "<h2 itemprop=name>Flat loaf</h2> by <span itemprop=author>Bo Tern</span>"
        "<time itemprop=cookTime datetime=PT25M>25 min</time>"
        "<ul><li itemprop=recipeIngredient>flour<li itemprop=recipeIngredient>water</ul>"
        "<div itemprop=recipeInstructions><p>Bake at gas&nbsp;7.<p>Cool.</div></div>");
    ASSERT_TRUE(microdata) << microdata.error().message;
    EXPECT_EQ(microdata->from, RecipeSource::From::microdata);
    EXPECT_EQ(microdata->name, "Flat loaf");
    EXPECT_EQ(microdata->author, "Bo Tern");
    EXPECT_EQ(microdata->cookS, 1500);
    EXPECT_NE(microdata->text.find("flour\nwater\n\nBake at gas"), std::string::npos)
        << microdata->text;
}

TEST(RecipeSource, WhatIsNoRecipeSaysWhatToDo) {
    for (const char* none : {"<html><body>Nothing here</body></html>", R"({"@type": "Person"})", "",
                             "  \n ", "{\"@type\": \"Recipe\", \"name\": \"Empty\"}"}) {
        const auto source = readRecipeSource(none);
        ASSERT_FALSE(source) << none;
        EXPECT_FALSE(source.error().message.empty());
    }
    const auto broken = readRecipeSource("{\"@type\": \"Recipe\",\n \"name\": oops}");
    ASSERT_FALSE(broken);
    EXPECT_EQ(broken.error().line, 2);
}

TEST(RecipeSource, PlainTextStaysAsItIs) {
    const std::string text = "Roast at 180 °C.\n\n40 minutes; 5 < 6 & more.\n";
    EXPECT_EQ(readRecipeSource(text)->text, text);
    EXPECT_EQ(readRecipeSource("Bake at 180 \xb0"
                               "C.")
                  ->text,
              "Bake at 180 °C."); // Latin-1
}

TEST(RecipeSource, WhatIsWrittenIsReadAgain) {
    RecipeSource out;
    out.name = "Loaf & crust";
    out.author = "Bo";
    out.text = "Heat to 230 °C.\nBake \"dark\".";
    out.cookS = 4500;
    const auto back = readRecipeSource(recipeJsonLd(out));
    ASSERT_TRUE(back);
    EXPECT_EQ(back->name, out.name);
    EXPECT_EQ(back->author, out.author);
    EXPECT_EQ(back->text, out.text);
    EXPECT_EQ(back->cookS, out.cookS);
}

TEST(RecipeSource, DurationsAreThoseOfIso8601) {
    EXPECT_EQ(isoDurationS("PT1H30M"), 5400);
    EXPECT_EQ(isoDurationS("P1DT2H"), 93600);
    EXPECT_EQ(isoDurationS("PT45S"), 45);
    for (const std::string& none :
         {std::string(), std::string("1 hour"), std::string("PT"), std::string("P1Y"),
          std::string("T5M"), ("PT" + std::string(400, '9') + "H")})
        EXPECT_FALSE(isoDurationS(none)) << none;
    EXPECT_EQ(isoDuration(5400), "PT1H30M");
    EXPECT_EQ(isoDuration(45), "PT45S");
}

TEST(RecipeSource, NestingWithoutEndIsReadToItsEnd) {
    std::string deep;
    for (int i = 0; i < 2000; ++i)
        deep += "[";
    EXPECT_FALSE(readRecipeSource("{\"a\":" + deep));
    std::string page = "<html>";
    for (int i = 0; i < 5000; ++i)
        page += "<div>";
    EXPECT_FALSE(readRecipeSource(page));
}

} // namespace
} // namespace dynamet::formats
