// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A question in one line, as a hurried cook types it.
#include "recipe/quick_line.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::recipe;
using kitchen::ApplianceKind;

kitchen::Kitchen kitchenOf(std::initializer_list<std::pair<ApplianceKind, const char*>> all) {
    kitchen::Kitchen out;
    out.sites.emplace_back().id = "home";
    for (const auto& [kind, name] : all) {
        auto one = *kitchen::typicalAppliance(kind);
        one.id = one.name = name;
        one.siteId = "home";
        out.appliances.push_back(one);
    }
    return out;
}
kitchen::Kitchen home() {
    return kitchenOf({{ApplianceKind::stillOven, "Wall oven"},
                      {ApplianceKind::airFryer, "Basket"},
                      {ApplianceKind::charcoalKettle, "Round kettle"},
                      {ApplianceKind::griddle, "Plancha"}});
}
QuickLine read(const std::string& line, TemperatureUnit reader = TemperatureUnit::celsius) {
    const auto out = readQuickLine(line, home(), reader);
    EXPECT_TRUE(out) << line << ": " << (out ? "" : out.error().message);
    return out.value_or(QuickLine{});
}
double dial(const Recipe& recipe) {
    for (const auto& value : recipe.last().place.setting.values)
        if (const auto* number = std::get_if<double>(&value))
            return *number;
    return 0;
}

TEST(QuickLine, IsARecipeOfOneStage) {
    const QuickLine line = read("chicken thigh 30 mm, 200 °C 40 min, still oven");
    EXPECT_EQ(line.recipe.piece.food.id, "chicken-thigh");
    EXPECT_NEAR(line.recipe.piece.thicknessM, 0.030, 1e-9);
    EXPECT_EQ(line.recipe.last().place.applianceId, "Wall oven");
    EXPECT_EQ(dial(line.recipe), 200);
    EXPECT_EQ(line.recipe.last().end.afterS, 2400);
    EXPECT_TRUE(checkRecipe(line.recipe, home()))
        << checkRecipe(line.recipe, home()).error().message;
}

TEST(QuickLine, WordsStandInAnyOrderAndUnitsAreTheCooks) {
    const QuickLine line = read("Plancha 425F for 3-4 minutes, 1 1/4 in beef fillet from 60 F",
                                TemperatureUnit::fahrenheit);
    EXPECT_EQ(line.recipe.piece.food.id, "beef-fillet");
    EXPECT_NEAR(line.recipe.piece.thicknessM, 1.25 * 0.0254, 1e-9);
    EXPECT_EQ(line.recipe.last().place.applianceId, "Plancha");
    EXPECT_NEAR(line.recipe.piece.startK, 288.71, 0.01);
    EXPECT_EQ(line.recipe.last().end.afterS, 210);
    EXPECT_NEAR(dial(line.recipe), 220, 0.1) << "425 °F on a dial in °C of 5 K steps";
    EXPECT_EQ(dial(read("salmon 1 h 10 at 250 wall oven", TemperatureUnit::fahrenheit).recipe), 120)
        << "a bare number behind \"at\" is the reader's";
    EXPECT_EQ(read("potatoes, wall oven gas mark 6, 1 h").recipe.piece.food.id, "potato");
    EXPECT_EQ(dial(read("potatoes, wall oven gas mark 6, 1 h").recipe), 200);
    EXPECT_EQ(read("cod in the air fryer at 180 °C, 9 min 15 mm").recipe.last().place.applianceId,
              "Basket");
    EXPECT_NEAR(read("cod, 180 °C 9,5 min, air fryer, 2,5 cm").recipe.piece.thicknessM, 0.025,
                1e-9);
    EXPECT_EQ(read("cod, 180 °C 9,5 min, air fryer, 2,5 cm").recipe.last().end.afterS, 570);
}

TEST(QuickLine, ACoreIsAGoalAndWordsSetWhatHasNoDegrees) {
    const QuickLine line =
        read("pork shoulder 90 mm on the kettle, indirect, vents quarter, core 92 °C");
    EXPECT_EQ(line.recipe.piece.food.id, "pork-shoulder");
    EXPECT_NEAR(line.recipe.goal.coreK, 365.15, 1e-9);
    EXPECT_FALSE(line.recipe.endsByClock());
    EXPECT_EQ(line.recipe.last().place.zone, "indirect");
    const auto kettle = home().appliances[2];
    EXPECT_EQ(settingText(kettle.controls, line.recipe.last().place.setting), "vents=quarter");
}

TEST(QuickLine, WhatIsMissingIsAskedForAndWhatIsFilledInIsSaid) {
    const auto why = [](const std::string& line) {
        const auto out = readQuickLine(line, home(), TemperatureUnit::celsius);
        return out ? std::string("understood") : out.error().message;
    };
    EXPECT_NE(why("chicken thigh 200 °C 40 min").find("on what?"), std::string::npos);
    EXPECT_NE(why("200 °C 40 min wall oven").find("of what?"), std::string::npos);
    EXPECT_NE(why("chicken thigh 200 °C wall oven").find("until when?"), std::string::npos);
    EXPECT_NE(why("salmon 55 °C 40 min sous vide").find("has no water bath"), std::string::npos);
    EXPECT_NE(why("salmon 200 °C 8 min kettle").find("no dial in degrees"), std::string::npos);
    EXPECT_NE(why("").find("on what?"), std::string::npos);
    const auto filled = read("salmon, 8 min, oven").filledIn;
    EXPECT_EQ(filled, (std::vector<std::string>{"Salmon fillet", "as thick as usual",
                                                "taken as Wall oven", "its usual setting"}));
}

// Common practice, no source: how cooks call what they cook.
TEST(QuickLine, KnowsFoodsByWhatCooksCallThem) {
    const std::pair<const char*, const char*> said[]{{"chicken breasts", "chicken-breast"},
                                                     {"salmon", "salmon"},
                                                     {"rib roast", "beef-rib-roast"},
                                                     {"pork belly", "pork-belly"},
                                                     {"pizza", "pizza-dough"},
                                                     {"cookies", "cookie-dough"},
                                                     {"brisket", "beef-brisket"},
                                                     {"chicken wings", "chicken-wing"},
                                                     {"carrots", "carrot"},
                                                     {"sweet potato", "sweet-potato"}};
    for (const auto& [words, id] : said)
        EXPECT_EQ(read(std::string(words) + " 20 min 180 °C wall oven").recipe.piece.food.id, id)
            << words;
}

} // namespace
