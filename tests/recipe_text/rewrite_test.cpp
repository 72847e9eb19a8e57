// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A text is changed where its numbers change, in its writer's units, and nowhere else.
#include "recipe_text/corpus.h"
#include "recipe_text/kitchen_of_text.h"
#include "recipe_text/rewrite.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::recipe_text {
namespace {

Filled filled(const std::string& text, std::optional<TemperatureUnit> scale = {}) {
    static const auto kitchen = kitchenOfText();
    ReadWith with;
    with.kitchen = &kitchen;
    with.scale = scale;
    auto out = recipeFrom("", text, with);
    EXPECT_TRUE(out) << (out ? "" : out.error().message);
    return std::move(*out);
}

StageNumbers oven(double celsius, double seconds, std::optional<double> coreC = {}) {
    StageNumbers out;
    out.heatK = celsius + 273.15;
    out.timeS = seconds;
    if (coreC)
        out.endK = *coreC + 273.15;
    return out;
}

std::string changed(const std::string& text, const StageNumbers& from, const StageNumbers& to) {
    return rewritten(filled(text), {from}, {to}).text;
}

TEST(Rewrite, EachNumberKeepsItsWritersUnitAndSpelling) {
    EXPECT_EQ(changed("Bake at 180 °C for 40 minutes.", oven(180, 2400), oven(160, 1800)),
              "Bake at 160 °C for 30 minutes.");
    EXPECT_EQ(changed("Bake at 350°F for 40 min.", oven(176.7, 2400), oven(162.8, 1800)),
              "Bake at 325°F for 30 min.");
    EXPECT_EQ(changed("Bake at gas 4 for 25-30 minutes.", oven(180, 1650), oven(200, 1320)),
              "Bake at 200 °C for 20 to 24 minutes.");
    StageNumbers marks = oven(200, 1320);
    marks.gasMarks = true;
    EXPECT_EQ(changed("Bake at gas 4 for 25-30 minutes.", oven(180, 1650), marks),
              "Bake at gas 6 for 20 to 24 minutes.");
    EXPECT_EQ(changed("Heat the oven to 200°C/400°F/gas 6. Bake 1 hour.", oven(200, 3600),
                      oven(180, 4500)),
              "Heat the oven to 180°C/355°F/180 °C. Bake 75 minutes.");
    EXPECT_EQ(changed("Bake in a moderately hot oven for half an hour.", oven(195, 1800),
                      oven(175, 1500)),
              "Bake in a 175 °C oven for 25 minutes.");
    EXPECT_EQ(changed("Roast at 180 °C until the core reads 60 °C.", oven(180, 2400, 60),
                      oven(160, 2400, 62)),
              "Roast at 160 °C until the core reads 62 °C.");
}

TEST(Rewrite, WhatHasNoDegreesIsSaidInItsWords) {
    StageNumbers hob;
    hob.heatWords = "level 6";
    hob.timeS = 600;
    EXPECT_EQ(changed("Bake at 200 °C for 20 minutes, turning once.", oven(200, 1200), hob),
              "Bake at level 6 for 10 minutes, turning once.");
    StageNumbers other = hob;
    other.heatWords = "level 8";
    other.timeS = 300;
    EXPECT_EQ(changed("Fry over medium-high heat for 5 minutes a side.", hob, other),
              "Fry over level 8 for 2½ minutes a side.");
}

// Common practice, no source: 20 minutes a pound and 20 over.
TEST(Rewrite, ATimeByWeightKeepsItsForm) {
    EXPECT_EQ(changed("Roast the 4-lb pork at 180 °C, 20 minutes per pound and 20 over.",
                      oven(180, 6000), oven(160, 7500)),
              "Roast the 4-lb pork at 160 °C, 25 minutes per pound and 25 over.");
}

TEST(Rewrite, SaysWhereItChanged) {
    const auto out =
        rewritten(filled("Bake at 180 °C for 40 minutes."), {oven(180, 2400)}, {oven(160, 1800)});
    ASSERT_EQ(out.changes.size(), 2u);
    EXPECT_EQ(
        out.text.substr(out.changes[0].newBegin, out.changes[0].newEnd - out.changes[0].newBegin),
        "160 °C");
    EXPECT_EQ(out.changes[1].oldEnd - out.changes[1].oldBegin, std::string("40 minutes").size());
}

TEST(Rewrite, NothingChangesWhereTheNumbersAreTheSame) {
    int sentences = 0;
    for (const char* file : {"open.txt", "aside.txt"})
        for (const CorpusSentence& one : corpusOf(file)) {
            const Filled f = filled(one.text, one.scale);
            std::vector<StageNumbers> numbers;
            for (const recipe::Stage& stage : f.recipe.stages) {
                StageNumbers n = oven(180, stage.end.afterS > 0 ? stage.end.afterS : 1800, 60);
                n.gasMarks = true;
                numbers.push_back(n);
            }
            // A hair of a difference, as a simulation leaves it, changes no word either.
            auto nearly = numbers;
            for (StageNumbers& n : nearly) {
                *n.heatK += 0.1;
                n.timeS *= 1.01;
                *n.endK += 0.2;
            }
            EXPECT_EQ(rewritten(f, numbers, nearly).text, one.text);
            ++sentences;
        }
    EXPECT_GE(sentences, 200);
}

// What another heat changes can be read again, and stands at the same stage.
TEST(Rewrite, WhatWasChangedIsReadAsWhatItWasChangedTo) {
    for (const char* file : {"open.txt", "aside.txt"})
        for (const CorpusSentence& one : corpusOf(file)) {
            const Filled f = filled(one.text, one.scale);
            if (f.recipe.stages.size() != 1)
                continue;
            const StageNumbers from = oven(180, 3000, 60), to = oven(210, 2000, 62);
            const auto out = rewritten(f, {from}, {to});
            bool heat = false;
            for (const Bound& b : f.bound)
                heat |= b.part == Part::heat;
            if (!heat)
                continue;
            const auto again = bindingsIn(out.text);
            bool found = false;
            for (const Binding& b : again)
                found |= (b.kind == BindingKind::temperature || b.kind == BindingKind::core) &&
                         b.low && std::abs(*b.low - 483.15) < 3;
            EXPECT_TRUE(found) << one.text << "\n -> " << out.text;
        }
}

} // namespace
} // namespace dynamet::recipe_text
