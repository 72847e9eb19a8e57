// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a recipe's text says of heat, as cooks write it (common practice, no source).
#include "recipe/heat_words.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet::recipe;
using enum HeatWordKind;

struct Said {
    const char* sentence;
    HeatWordKind kind;
    const char* words; ///< the stretch that is marked
};
class HeatWords : public ::testing::TestWithParam<Said> {};
TEST_P(HeatWords, AreFoundWhereTheyStand) {
    const Said said = GetParam();
    const std::string text = said.sentence;
    for (const HeatWord& word : findHeatWords(text))
        if (word.kind == said.kind) {
            EXPECT_EQ(word.text, said.words);
            EXPECT_EQ(text.substr(word.begin, word.end - word.begin), said.words);
            return;
        }
    ADD_FAILURE() << "nothing of this kind was found in: " << text;
}
INSTANTIATE_TEST_SUITE_P(
    Sentences, HeatWords,
    ::testing::Values(Said{"Bake at 375°F on the middle shelf.", ovenTemperature, "375°F"},
                      Said{"Bake at 180 °C, fan on.", ovenTemperature, "180 °C"},
                      Said{"Roast at 220 degrees C.", ovenTemperature, "220 degrees C"},
                      Said{"Bring the oven to 170-180 °C.", ovenTemperature, "170-180 °C"},
                      Said{"Bake at gas mark 4 until golden.", gasMark, "gas mark 4"},
                      Said{"Gas 6, upper shelf.", gasMark, "Gas 6"},
                      Said{"Fry over medium-high for a minute.", level, "medium-high"},
                      Said{"Slide into a hot oven.", level, "hot oven"},
                      Said{"Cut in slices of 2.5 cm.", length, "2.5 cm"},
                      Said{"Cut in 2 inch cubes.", length, "2 inch"},
                      Said{"Leave it for 20-25 minutes.", time, "20-25 minutes"},
                      Said{"Braise 3 hours.", time, "3 hours"},
                      Said{"Roast until the core is 54 °C.", coreTemperature, "54 °C"},
                      Said{"Roast until the middle reads 130 °F.", coreTemperature, "130 °F"}));

TEST(HeatWords, ComeInTheirOrderAndNeverOverlap) {
    const auto words =
        findHeatWords("Sear over medium-high heat 2 minutes a side, then 110 °C until "
                      "the core is 52 °C; rest 10 minutes. Slices of 12 mm.");
    ASSERT_EQ(words.size(), 6u);
    for (std::size_t i = 1; i < words.size(); ++i)
        EXPECT_LE(words[i - 1].end, words[i].begin);
    EXPECT_EQ(words[2].kind, ovenTemperature);
    EXPECT_EQ(words[3].kind, coreTemperature);
}

TEST(HeatWords, AreNotSeenWhereThereAreNone) {
    EXPECT_TRUE(findHeatWords("").empty());
    EXPECT_TRUE(findHeatWords("Fold in the egg whites and serve with 2 spoons of jam.").empty());
    EXPECT_TRUE(findHeatWords("A cup of 350 g flour, 4 eggs.").empty());
}

// Thirty thousand figures in a row ended the program (a pattern matcher that calls itself).
TEST(HeatWords, Defect140WhateverIsPastedIsReadInLinearTime) {
    const std::string figures(30000, '7');
    EXPECT_EQ(findHeatWords(figures + " mm and 180 °C").size(), 2u);
    std::string nested;
    for (int i = 0; i < 20000; ++i)
        nested += "medium gas 12-";
    EXPECT_FALSE(findHeatWords(nested).empty());
    for (const char* odd : {"", "\xff\xfe 180 C", "\xc2 200 F", "°"})
        (void)findHeatWords(odd);
}

} // namespace
