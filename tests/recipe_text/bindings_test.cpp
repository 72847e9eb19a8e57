// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What texts say beyond the corpus: numbers in words, scales, sheer size, broken bytes.
#include "recipe_text/binding.h"
#include "recipe_text/number_phrase.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::recipe_text {
namespace {

const Binding* first(const std::vector<Binding>& all, BindingKind kind) {
    for (const Binding& one : all)
        if (one.kind == kind)
            return &one;
    return nullptr;
}

double celsiusOf(const std::string& text, BindingKind kind,
                 std::optional<TemperatureUnit> scale = std::nullopt) {
    const auto all = bindingsIn(text, scale);
    const Binding* b = first(all, kind);
    return b && b->low ? *b->low - 273.15 : -999;
}

TEST(NumberPhrase, IsReadAsItIsWritten) {
    const std::pair<const char*, double> said[]{
        {"4", 4},           {"2.5", 2.5},        {"2,5", 2.5},           {"1,650", 1650},
        {"1 1/2", 1.5},     {"1½", 1.5},         {"1 ¼", 1.25},          {"¾", 0.75},
        {"3/4", 0.75},      {"twenty-five", 25}, {"Twelve", 12},         {"a dozen", 12},
        {"a couple of", 2}, {"half a dozen", 6}, {"two and a half", 2.5}};
    for (const auto& [text, worth] : said)
        EXPECT_DOUBLE_EQ(numberOf(text), worth) << text;
}

TEST(Bindings, ANumberWithoutAScaleGoesByItsSentenceThenByWhatIsAskedThenByTheText) {
    EXPECT_NEAR(celsiusOf("Bake at 200, later at 400°F.", BindingKind::temperature), 93.3, 0.1);
    // The same heat twice, once in each scale.
    EXPECT_NEAR(celsiusOf("Bake at 200 (400°F).", BindingKind::temperature), 200, 0.1);
    EXPECT_NEAR(celsiusOf("Bake at 200 for 20 minutes.", BindingKind::temperature), 200, 0.1);
    EXPECT_NEAR(celsiusOf("Bake at 200 for 20 minutes.", BindingKind::temperature,
                          TemperatureUnit::fahrenheit),
                93.3, 0.1);
    EXPECT_NEAR(celsiusOf("Bake at 425 for 20 minutes.", BindingKind::temperature), 218.3, 0.1);
    EXPECT_NEAR(
        celsiusOf("Roast at 300 for an hour. Then sear at 500°F.", BindingKind::temperature), 148.9,
        0.1);
    EXPECT_NEAR(celsiusOf("Roast until the middle reads 130.", BindingKind::core), 54.4, 0.1);
    EXPECT_NEAR(celsiusOf("Roast until the middle reads 54.", BindingKind::core), 54, 0.1);
}

TEST(Bindings, OneHeatInThreeScalesIsThreeOfTheSame) {
    const auto all = bindingsIn("Heat the oven to 200°C (180°C fan)/400°F/gas 6.");
    ASSERT_EQ(all.size(), 4u);
    EXPECT_TRUE(all[1].fan);
    EXPECT_EQ(all[2].written, Written::fahrenheit);
    EXPECT_EQ(all[3].written, Written::gasMark);
    EXPECT_NEAR(*all[3].low - 273.15, 200, 1); // gas 6 is 200 °C; common practice, no source
}

// Common practice, no source: 20 minutes a pound and 20 over.
TEST(Bindings, ATimeByWeightKeepsBothItsNumbers) {
    const auto all = bindingsIn("Give it 20 minutes per pound and 20 minutes over.");
    ASSERT_EQ(all.size(), 1u);
    ASSERT_TRUE(all[0].perWeight);
    EXPECT_NEAR(all[0].perWeight->sPerKg * 0.45359237, 1200, 1e-6);
    EXPECT_NEAR(all[0].perWeight->overS, 1200, 1e-9);
    EXPECT_FALSE(all[0].low);
}

TEST(Bindings, WhatIsNoHeatIsLeftAlone) {
    for (const char* plain :
         {"", "Fold in the egg whites and serve with 2 spoons of jam.",
          "A cup of 350 g flour, 4 eggs.", "Chapter 12, page 180.",
          "Call 555 0134 for a table at 7.", "Add 200 ml of water and 3 tablespoons of oil."})
        EXPECT_TRUE(bindingsIn(plain).empty()) << plain;
}

TEST(Bindings, StandInTheTextInItsOrderAndNeverOverlap) {
    const std::string text = "Sear over medium-high heat 2 minutes a side, then 110 °C until the "
                             "core is 52 °C; rest 10 minutes. Slices 12 mm thick — «½ h».";
    std::size_t last = 0;
    const auto all = bindingsIn(text);
    EXPECT_GE(all.size(), 6u);
    for (const Binding& one : all) {
        EXPECT_GE(one.begin, last);
        EXPECT_EQ(one.text, text.substr(one.begin, one.end - one.begin));
        last = one.end;
    }
}

// Thirty thousand figures in a row ended the program (a pattern matcher that calls itself).
TEST(Bindings, Defect140WhateverIsPastedIsReadInLinearTime) {
    const std::string figures(30000, '7');
    EXPECT_LE(bindingsIn(figures + " mm and 180 °C").size(), 2u);
    for (const char* unit :
         {" kg of pork", " minutes", " steaks", " °C", " coals", " cm above the coals"})
        for (const Binding& one : bindingsIn("Roast " + figures + unit))
            EXPECT_TRUE(!one.low || std::isfinite(*one.low)) << unit;
    std::string nested;
    for (int i = 0; i < 20000; ++i)
        nested += "medium gas 12-";
    (void)bindingsIn(nested);
    for (const char* odd : {"\xff\xfe 180 C", "\xc2 200 F", "°", "[", "180 \xe2\x80"})
        (void)bindingsIn(odd);
}

} // namespace
} // namespace dynamet::recipe_text
