// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a book's sides, seasonings, fats and unequal pieces do to a translation.
#include "translate/school_effects.h"
#include "translate/small_kitchen.h"
#include "translate/translate.h"
#include "translate/warnings.h"

#include "words/say.h"
#include "words/translation_words.h"
#include <algorithm>

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

/// A steak in the pan of the small kitchen.
Request panRequest() {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood("beef-lean");
    r.recipe.piece.thicknessM = 0.025;
    const auto& hob = *findAppliance(r.kitchen, "hob");
    r.recipe.last().place = {"hob", *kitchen::parseSetting(hob.controls, "level=6;preheat=240C"),
                             "pan", "pan"};
    r.recipe.goal = {C(56), food::GoalMoment::peak, C(54), C(58), "medium rare"};
    return r;
}

Prepared prepared(const Request& request) {
    auto out = prepare(request);
    EXPECT_TRUE(out.has_value()) << out.error().message;
    return std::move(*out);
}

Row ownRow(const Prepared& p) {
    return solveRowAt(p, p.targets.front(), p.request.recipe.last().place.setting);
}

bool warns(const Row& row, const std::string& code) {
    return std::any_of(row.warnings.begin(), row.warnings.end(),
                       [&](const Finding& w) { return w.code == code; });
}

TEST(Schools, TurnOftenAndTentedRestChangeTheCook) {
    Request once = panRequest(), often = panRequest(), tented = panRequest();
    often.schools["turning"] = "often";
    tented.schools["rest"] = "tented";
    const auto a = prepared(once), b = prepared(often), c = prepared(tented);
    EXPECT_EQ(a.programme.last().turning, cook::Turning::once);
    EXPECT_EQ(b.programme.last().turning, cook::Turning::often);
    EXPECT_LT(b.outcome.rimM, a.outcome.rimM) << "turning often leaves a thinner rim";
    EXPECT_LT(c.outcome.pullK, a.outcome.pullK) << "under foil it rises more";
}

TEST(Schools, PressingTouchesBetterAndNoOilWorse) {
    const auto contact = [](const char* school, const char* side) {
        Request r = panRequest();
        r.schools[school] = side;
        const auto p = prepared(r);
        return seenBy(p.programme.last().field, kitchen::Face::bottom, kitchen::Term::contact)
            ->value;
    };
    const double usual = contact("pressing", "leave");
    EXPECT_NEAR(contact("pressing", "press") / usual, 1.3, 1e-9);
    EXPECT_NEAR(contact("oil", "none") / usual, 0.6, 1e-9);
    EXPECT_NEAR(contact("oil", "pan") / usual, 1, 1e-9);
}

TEST(Schools, EveryQuestionIsNamedInTheWords) {
    const std::string words = schoolWords({{"pepper", "before"}});
    EXPECT_NE(words.find("pepper before"), std::string::npos);
    EXPECT_EQ(std::count(words.begin(), words.end(), ','),
              static_cast<std::ptrdiff_t>(food::shippedSchools().size()) - 1);
}

TEST(Warnings, ScorchingSugarAndSmokingButterAreSaid) {
    Request r = panRequest();
    EXPECT_FALSE(warns(ownRow(prepared(r)), "seasoning_scorches"));
    r.recipe.piece.seasonings = {"sugar", "herbs"};
    r.recipe.piece.fat = "butter";
    const Row row = ownRow(prepared(r));
    EXPECT_TRUE(warns(row, "seasoning_scorches"));
    EXPECT_TRUE(warns(row, "fat_smokes"));
    r.recipe.piece.seasonings.clear();
    r.recipe.piece.fat = "avocado";
    EXPECT_FALSE(warns(ownRow(prepared(r)), "fat_smokes"));
}

TEST(Schools, SaltingAheadDriesTheFaceUnlessTheRecipeSaysWet) {
    Request before = panRequest(), ahead = panRequest();
    ahead.schools["salting"] = "ahead";
    EXPECT_GT(prepared(ahead).outcome.darker(), 1.05 * prepared(before).outcome.darker());
    ahead.recipe.piece.surface = recipe::SurfaceState::wet;
    EXPECT_EQ(prepared(ahead).request.recipe.piece.surface, recipe::SurfaceState::wet);
}

TEST(Schools, AFatThatSmokesIsAnsweredByTheBooksSide) {
    Request r = panRequest();
    r.recipe.piece.fat = "butter";
    const auto said = [&](const char* side) {
        r.schools["fat"] = side;
        for (const Finding& w : ownRow(prepared(r)).warnings)
            if (w.code.starts_with("fat_smokes"))
                return words::say(w, {});
        return std::string();
    };
    EXPECT_NE(said("smoke").find("these can take it: "), std::string::npos) << said("smoke");
    EXPECT_EQ(said("smoke").find("take it: butter"), std::string::npos) << said("smoke");
    EXPECT_NE(said("taste").find("add it at the end"), std::string::npos) << said("taste");
}

TEST(Companions, ThinnerPiecesComeFirstAndEarlier) {
    Request r = panRequest();
    r.recipe.piece.othersM = {0.035, 0.018};
    const auto p = prepared(r);
    const auto lines = words::detailLines(detailOf(p, ownRow(p)), p, {});
    ASSERT_EQ(lines.size(), 3u);
    EXPECT_EQ(lines[0].rfind("The piece of 18 mm: pull at", 0), 0u) << lines[0];
    EXPECT_EQ(lines[1].rfind("The piece of 35 mm: pull at", 0), 0u) << lines[1];
    // The thickest goes on first (common practice, no source).
    EXPECT_EQ(lines[2].rfind("To be done together: 35 mm first, 25 mm after ", 0), 0u) << lines[2];
}

TEST(Rounds, AreSaidWithThePlatesTemperature) {
    Request r = panRequest();
    EXPECT_TRUE(detailOf(prepared(r), ownRow(prepared(r))).rounds.empty());
    r.recipe.piece.rounds = 2;
    const auto p = prepared(r);
    const auto lines = words::detailLines(detailOf(p, ownRow(p)), p, {});
    ASSERT_GE(lines.size(), 2u);
    EXPECT_EQ(lines[0].rfind("Round 2: the plate is at ", 0), 0u) << lines[0];
    EXPECT_EQ(lines[1].rfind("The first ones wait ", 0), 0u) << lines[1];
}

// "Not reached: pale (0.1) where the recipe gives pale (0.1)" was said of two pale faces.
TEST(Outcome, Defect186NobodyIsToldOfADifferenceThatDoesNotPrint) {
    const Prepared p = prepared(panRequest());
    for (const Target& target : p.targets) {
        const Row row = solveRow(p, target);
        for (const std::string& line : words::warningLines(row, p, {})) {
            const auto has = line.find('('), should = line.rfind('(');
            if (line.starts_with("crust") && has != should) {
                EXPECT_NE(line.substr(has, 5), line.substr(should, 5)) << line;
            }
        }
    }
}

// A pale piece of fish was called crisp because its face was dry.
TEST(Outcome, Defect185WhatHasNoColourIsNotCrisp) {
    Prepared p = prepared(panRequest());
    const auto crisp = [&](double index) {
        p.outcome.browning.fill(index);
        p.outcome.dryLayerM.fill(0.8e-3);
        for (const auto& [name, words] : words::outcomeFacts(p, {}))
            if (name == "Crisp")
                return words;
        return std::string();
    };
    EXPECT_EQ(crisp(1.2), "crisp (0.62)");
    EXPECT_EQ(crisp(0.1), "a little (0.62)");
}

TEST(Goal, OfALevelIsTheMiddleOfItsBandReadWhenTheScaleSays) {
    const auto& line = food::shippedScales()[1];
    const auto level = levelsOf(line, "beef")[1];
    const recipe::Goal goal = recipe::goalOf(line, level);
    EXPECT_EQ(goal.readAt, food::GoalMoment::pull);
    EXPECT_NEAR(goal.coreK, (level.lowK + level.highK) / 2, 1e-9);
    EXPECT_NE(goal.words.find(line.name), std::string::npos);
}

} // namespace
