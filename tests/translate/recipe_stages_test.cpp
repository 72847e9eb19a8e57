// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Recipes of several stages: reverse sear, and sous vide then sear, carried over stage by stage or
// as a whole.
#include "numeric/cholesky.h"
#include "translate/narrow_spread.h"
#include "translate/small_kitchen.h"
#include "translate/window.h"
#include "words/say.h"
#include "words/stage_words.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

constexpr double kMin = 60;

recipe::Place placeOf(const kitchen::Kitchen& k, const char* id, const char* setting) {
    const auto& a = *findAppliance(k, id);
    return {id, *kitchen::parseSetting(a.controls, setting), a.zones.front().name,
            isHob(a.kind) ? "pan" : ""};
}

/// Low in the still oven, a wait, then the pan.
Request reverseSear() {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood("beef-lean");
    r.recipe.goal = {C(56), food::GoalMoment::peak, C(54), C(58), "pink"};
    recipe::Stage low;
    low.place = placeOf(r.kitchen, "still", "oven=120C");
    low.end.coreK = C(48);
    low.waitS = 3 * kMin;
    recipe::Stage sear;
    sear.place = placeOf(r.kitchen, "hob", "level=5;preheat=200C");
    r.recipe.stages = {low, sear};
    return r;
}

/// A bath to the core, then a sear by the clock.
Request bathThenSear() {
    Request r = reverseSear();
    auto bath = *kitchen::typicalAppliance(kitchen::ApplianceKind::waterBath);
    bath.id = bath.name = "bath";
    bath.siteId = "home";
    r.kitchen.appliances.push_back(bath);
    recipe::Stage& stage = r.recipe.stages.front();
    stage.place = placeOf(r.kitchen, "bath", "bath=57C");
    stage.end.coreK = C(55);
    stage.waitS = 2 * kMin;
    r.recipe.last().end.afterS = 3 * kMin;
    return r;
}

Prepared prepared(const Request& request) {
    auto p = prepare(request);
    EXPECT_TRUE(p.has_value()) << p.error().message;
    return p.value_or(Prepared{});
}

Row rowFor(const Prepared& p, const std::string& id) {
    for (const Target& t : p.targets)
        if (t.applianceId == id) {
            Row row = solveRow(p, t);
            addWindow(p, row);
            return row;
        }
    ADD_FAILURE() << "no target " << id;
    return {};
}

std::string settingOf(const Prepared& p, const Row& row) {
    return settingText(findAppliance(p.request.kitchen, row.target.applianceId)->controls,
                       row.instruction.setting);
}

TEST(RecipeStages, EachStageOnItsOwnApplianceGivesTheRecipeBack) {
    for (std::size_t moved : {0u, 1u}) {
        Request r = reverseSear();
        r.moved = moved;
        const Prepared p = prepared(r);
        const Row row = rowFor(p, moved == 0 ? "still" : "hob");
        ASSERT_TRUE(row.reached) << row.reason.message;
        EXPECT_EQ(p.targets.front().applianceId, row.target.applianceId);
        EXPECT_EQ(settingOf(p, row), moved == 0 ? "oven=120C" : "level=5;preheat=200C");
        EXPECT_NEAR(row.outcome.pullS, p.outcome.pullS, 0.01 * p.outcome.pullS);
        EXPECT_LT(row.crustDistance, 0.05);
        ASSERT_EQ(row.outcome.stages.size(), 1u);
        EXPECT_NEAR(row.outcome.stages[0].leaveK, C(48), 0.05);
    }
}

// Why cooks sear last: straight through on either appliance the crust or the rim is lost (common
// practice, no source).
TEST(RecipeStages, TheWholeCookOnOneApplianceLosesCrustOrRim) {
    const Prepared p = prepared(reverseSear());
    for (const char* id : {"still", "hob"}) {
        const Row row = rowFor(p, id);
        ASSERT_TRUE(row.reached) << row.reason.message;
        EXPECT_TRUE(row.outcome.stages.empty());
        EXPECT_NEAR(row.outcome.peakK, C(56), 0.2);
        EXPECT_TRUE(row.crustDistance > 0.3 || row.outcome.rimM > p.outcome.rimM + 1e-3)
            << id << " " << row.crustDistance << " " << row.outcome.rimM;
        EXPECT_FALSE(row.rule.has_value()) << "a rule of thumb knows no stages";
    }
}

TEST(RecipeStages, AFanOvenTakesTheLowStageAtLessOnTheDial) {
    Request r = reverseSear();
    r.moved = 0;
    const Prepared p = prepared(r);
    const Row row = rowFor(p, "fan");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_LT(std::get<double>(row.instruction.setting.values[0]), 120.5);
    EXPECT_NEAR(row.outcome.peakK, C(56), 0.2);
    ASSERT_TRUE(row.window.has_value());
    EXPECT_EQ(row.watched, std::optional<std::size_t>(1));
    EXPECT_LE(row.window->lookS, row.outcome.pullS);
    const auto lines = words::rowStageLines(row, p, {});
    ASSERT_EQ(lines.size(), 2u);
    EXPECT_EQ(lines[0].rfind("1. fan, ", 0), 0u) << lines[0];
    EXPECT_NE(lines[0].find("until the core reads 48 °C"), std::string::npos) << lines[0];
    EXPECT_NE(lines[0].find("then wait 3 min"), std::string::npos) << lines[0];
    EXPECT_EQ(lines[1].rfind("2. hob, ", 0), 0u) << lines[1];
}

TEST(RecipeStages, TheWindowNamesWhoseHeatIsUncertain) {
    Request r = reverseSear();
    r.moved = 1;
    const Prepared p = prepared(r);
    const auto inputs = inputsOf(p.programme, FoodSpread{}, r.recipe.piece);
    const auto has = [&](const char* name) {
        return std::count_if(inputs.begin(), inputs.end(),
                             [&](const Input& i) { return i.name == name; });
    };
    EXPECT_EQ(has("air temperature of still"), 1);
    EXPECT_EQ(has("contact of hob"), 1);
    EXPECT_EQ(has("thickness"), 1);
    // Twice on one appliance: one error, shared.
    Request twice = r;
    auto& stages = twice.recipe.stages;
    stages.insert(stages.begin() + 1, stages.front());
    stages[1].end.coreK = C(50);
    const auto programme = writtenProgramme(twice);
    ASSERT_TRUE(programme.has_value());
    EXPECT_EQ(inputsOf(*programme, FoodSpread{}, r.recipe.piece).size(), inputs.size());
    std::vector<double> z(inputs.size(), 0);
    z[0] = 1;
    const auto s = deviated(r.recipe.piece, *programme, inputs, z);
    EXPECT_NE(s.programme.stages[0].field, programme->stages[0].field);
    EXPECT_EQ(s.programme.stages[0].field, s.programme.stages[1].field);
    EXPECT_EQ(s.programme.last().field, programme->last().field);
}

TEST(RecipeStages, ASearByTheClockSetsTheGoalAndTheBathIsWatched) {
    Request r = bathThenSear();
    r.moved = 1;
    const Prepared p = prepared(r);
    EXPECT_NEAR(p.outcome.pullS - p.outcome.lastStartS, 3 * kMin, 1e-6);
    EXPECT_DOUBLE_EQ(p.request.recipe.goal.coreK, p.outcome.peakK);
    EXPECT_NEAR(p.request.recipe.goal.bandHighK - p.request.recipe.goal.bandLowK, 4, 1e-9);
    const Row row = rowFor(p, "hob");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_DOUBLE_EQ(row.instruction.stageS, 3 * kMin);
    EXPECT_EQ(row.watched, std::optional<std::size_t>(0));
    EXPECT_NEAR(row.instruction.pullK, C(55), 1e-9);
    EXPECT_EQ(words::pullAlone(row, {}), "leave stage 1 at 55 °C");
    ASSERT_TRUE(row.window.has_value());
    const double left = row.outcome.stages[0].endS;
    EXPECT_LE(row.window->lookS, left);
    EXPECT_GE(row.window->latestS.value_or(1e9), left);
    EXPECT_NEAR(row.window->expectS, left, 0.03 * left);
    EXPECT_FALSE(row.window->overshootS.has_value());
}

// The sear on a gentler heat takes longer than on the pan.
TEST(RecipeStages, TheTimeOfASearIsFoundForTheSameCrust) {
    Request r = bathThenSear();
    r.moved = 1;
    const Prepared p = prepared(r);
    const Target hob{"hob", "pan", "pan"};
    const auto at = [&](const char* setting, double seconds) {
        return solveRowAt(
            p, hob, *kitchen::parseSetting(findAppliance(r.kitchen, "hob")->controls, setting),
            seconds);
    };
    const Row shorter = at("level=5;preheat=200C", 90), same = at("level=5;preheat=200C", 180);
    EXPECT_LT(shorter.outcome.darker(), same.outcome.darker());
    EXPECT_LT(same.crustDistance, 0.05);
    EXPECT_GT(shorter.crustDistance, same.crustDistance + 0.15);
    const Row oven = rowFor(p, "still");
    ASSERT_TRUE(oven.reached) << oven.reason.message;
    EXPECT_GT(oven.instruction.stageS, 3 * kMin);
    EXPECT_DOUBLE_EQ(std::fmod(oven.instruction.stageS, 10), 0) << "a time that a cook can set";
}

TEST(RecipeStages, WithoutAProbeAllGoesByTheClock) {
    Request r = bathThenSear();
    r.recipe.stages[0].end.coreK.reset();
    r.recipe.stages[0].end.afterS = 90 * kMin;
    r.moved = 1;
    const Prepared p = prepared(r);
    const Row row = rowFor(p, "hob");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_FALSE(row.watched.has_value());
    EXPECT_FALSE(row.window.has_value());
    EXPECT_NE(words::timeWords(row).find("by the clock: 1 h 35 min"), std::string::npos)
        << words::timeWords(row);
}

// The simplest recipe of all, "so long at so much": what it gives is what the others must give.
TEST(RecipeStages, ASingleStageByTheClockIsCarriedOverByWhatItGives) {
    Request r = roastRequest();
    r.recipe.last().end.afterS = 40 * kMin;
    const Prepared p = prepared(r);
    const Row row = rowFor(p, "fan");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_NEAR(row.outcome.peakK, p.outcome.peakK, 1) << "less than anybody tastes";
    EXPECT_EQ(row.watched, std::optional<std::size_t>(0));
    EXPECT_TRUE(row.rule.has_value());
    Request thicker = r;
    thicker.recipe.piece.thicknessM *= 1.2;
    EXPECT_LT(prepared(thicker).outcome.peakK, p.outcome.peakK - 3);
}

// Lid up over the fire: one face at a time browns and the middle takes longer (common practice, no
// source). The lid goes with the stage to other grills, and an oven has none.
TEST(RecipeStages, AnOpenLidGoesWithTheRecipe) {
    Request r = roastRequest();
    r.recipe.last().place = placeOf(r.kitchen, "grill", "burners=high/high/high;lid=closed");
    const Prepared closed = prepared(r);
    r.recipe.last().place.lidOpen = true;
    const Prepared open = prepared(r);
    EXPECT_GT(open.outcome.pullS, 1.15 * closed.outcome.pullS);
    const Row own = rowFor(open, "grill");
    ASSERT_TRUE(own.reached) << own.reason.message;
    EXPECT_TRUE(own.instruction.lidOpen);
    EXPECT_NEAR(own.outcome.pullS, open.outcome.pullS, 0.02 * open.outcome.pullS);
    EXPECT_NE(words::rowTitle(own, r.kitchen, {}).find("lid open"), std::string::npos);
    EXPECT_NE(words::writtenStageLines(open.request, {})[0].find("lid open"), std::string::npos);
    EXPECT_FALSE(rowFor(open, "still").instruction.lidOpen);
}

TEST(RecipeStages, AreSaidInTheOrderTheyAreCooked) {
    const auto lines = words::writtenStageLines(bathThenSear(), {});
    ASSERT_EQ(lines.size(), 2u);
    EXPECT_EQ(lines[0], "1. bath, 57 °C until the core reads 55 °C; then wait 2 min");
    EXPECT_EQ(lines[1].substr(lines[1].size() - 9), "for 3 min");
    EXPECT_EQ(words::movableWords(bathThenSear()).size(), 3u);
    EXPECT_EQ(words::movableWords(roastRequest()).size(), 1u);
}

TEST(RecipeStages, AStageThatDoesNotExistIsRefused) {
    Request r = reverseSear();
    r.moved = 2;
    const auto p = prepare(r);
    ASSERT_FALSE(p.has_value());
    EXPECT_NE(words::text(p.error(), {}).find("2 stages"), std::string::npos) << p.error().message;
}

// Sensitivities are taken through every stage: they agree with draws through every stage.
TEST(RecipeStages, AWindowThroughStagesAgreesWithSampling) {
    Request r = reverseSear();
    for (const char* setting : {"oven=110C", "oven=130C"}) // a rated oven
        for (const auto& [term, value, u] :
             {std::tuple{kitchen::Term::air, C(setting[5] == '1' && setting[6] == '1' ? 110 : 130),
                         1.5},
              {kitchen::Term::hAir, 12.0, 0.4},
              {kitchen::Term::radiant, C(setting[6] == '1' ? 110 : 130), 2.0}})
            rate(r.kitchen, "still", setting, term, value, u);
    r.recipe.piece.food.waterU = 0.005;
    const FoodSpread narrow = spreadWith(0.02, 1, 0.1, 0.02);
    const Prepared p = prepared(r);
    cook::Programme fixed = cook::withFixedTurn(p.programme, p.outcome);
    for (kitchen::FieldNumber& n : fixed.last().field.numbers)
        n.u *= 0.3;
    for (auto& c : fixed.last().field.covariances)
        c.covariance *= 0.09;
    const WindowInput input{
        &p.request.recipe.piece, &fixed, p.outcome.pullK, std::nullopt, narrow, p.tables, 1, 512};
    long solves = 0;
    const auto window = windowOf(input, solves);
    ASSERT_TRUE(window.has_value()) << window.error().message;
    ASSERT_FALSE(window->sampled) << window->lnSd;
    const auto inputs = inputsOf(fixed, narrow, p.request.recipe.piece);
    const auto factor = choleskyFactor(correlationsOf(inputs, fixed), inputs.size());
    std::mt19937_64 random(7);
    std::normal_distribution<double> normal;
    std::vector<double> logs;
    for (int k = 0; k < 600; ++k) {
        std::vector<double> free(inputs.size()), z(inputs.size(), 0);
        for (double& f : free)
            f = normal(random);
        for (std::size_t i = 0; i < z.size(); ++i)
            for (std::size_t j = 0; j <= i; ++j)
                z[i] += factor[i * z.size() + j] * free[j];
        const Deviated s = deviated(p.request.recipe.piece, fixed, inputs, z);
        cook::Tables tables = p.tables;
        if (s.composition)
            tables.material =
                std::make_shared<heat::Material>(s.piece.food.composition, s.piece.food.freezingC);
        logs.push_back(std::log(*cook::timeToReach(s.piece, s.programme, p.outcome.pullK,
                                                   cook::kQuick, tables)) +
                       0.02 * normal(random));
    }
    double mean = 0, square = 0;
    for (double l : logs)
        mean += l / 600;
    for (double l : logs)
        square += (l - mean) * (l - mean) / 599;
    EXPECT_NEAR(window->lnSd, std::sqrt(square), 0.12 * std::sqrt(square));
}

} // namespace
