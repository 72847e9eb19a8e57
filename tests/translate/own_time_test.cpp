// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The recipe's own time as evidence (design, evidence §3 to §5), through real cooks.
#include "translate/narrowing.h"
#include "translate/small_kitchen.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::translate {
namespace {

using namespace testing;

/// The fan oven rated at its settings, the piece measured with a ruler; written for the still oven.
Request withRatedFan() {
    Request r = roastRequest();
    r.recipe.id = "roast";
    r.recipe.piece.thicknessBy = recipe::KnownBy::ruler;
    for (const char* setting : {"oven=140C", "oven=160C", "oven=180C", "oven=200C"}) {
        const double c = std::atof(setting + 5);
        rate(r.kitchen, "fan", setting, kitchen::Term::air, C(c), 2);
        rate(r.kitchen, "fan", setting, kitchen::Term::radiant, C(c), 4);
        rate(r.kitchen, "fan", setting, kitchen::Term::hAir, 22, 1.5);
    }
    return r;
}

Prepared preparedFor(const Request& request) {
    auto out = prepare(request);
    EXPECT_TRUE(out) << out.error().message;
    return *out;
}

Row fanRow(const Prepared& prepared) {
    const auto& fan = *findAppliance(prepared.request.kitchen, "fan");
    Row row = solveRowAt(prepared, {"fan", fan.zones.front().name, ""},
                         *kitchen::parseSetting(fan.controls, "oven=160C"));
    addWindow(prepared, row);
    EXPECT_TRUE(row.window) << (row.windowless ? row.windowless->message : "");
    return row;
}

double halfWidth(const Row& row) {
    return 1.96 * row.window->lnSd;
}

TEST(OwnTime, ItsGainIsTheCentreAndAnEighthOfTheWidth) {
    Request r = withRatedFan();
    const Prepared before = preparedFor(r);
    const Row plain = fanRow(before);
    EXPECT_FALSE(before.ownTime);
    EXPECT_FALSE(plain.window->without);
    const double there = before.outcome.pullS, longer = there * 50 / 36;
    r.recipe.time = {longer, longer};
    const Prepared after = preparedFor(r);
    ASSERT_TRUE(after.ownTime);
    EXPECT_TRUE(after.ownTime->absorbed);
    EXPECT_NEAR(after.ownTime->forecastS, there, 0.02 * there);
    const Row used = fanRow(after);
    std::printf("half-width %.1f %% -> %.1f %%, centre moved by %.1f %%\n", 100 * halfWidth(plain),
                100 * halfWidth(used), 100 * (used.window->expectS / plain.window->expectS - 1));
    EXPECT_LE(halfWidth(used), 0.92 * halfWidth(plain));
    EXPECT_NEAR(used.window->expectS / plain.window->expectS, 1.10, 0.05);
    ASSERT_TRUE(used.window->without);
    EXPECT_NEAR(used.window->without->expectS, plain.window->expectS, 1);
    EXPECT_NEAR(used.window->without->lookS, plain.window->earlyS, 61);
}

// Another recipe of the same food narrows this one, one of another food does not; each is seen
// once.
TEST(OwnTime, OtherRecipesOfTheFoodBearOnThisOne) {
    Request r = withRatedFan();
    const Row alone = fanRow(preparedFor(r));
    recipe::Recipe other = r.recipe;
    other.id = "other";
    const double there = preparedFor(r).outcome.pullS;
    other.time = {1.2 * there, 1.25 * there};
    r.others = {other};
    const Prepared with = preparedFor(r);
    ASSERT_EQ(with.belief.observations().size(), 1u);
    EXPECT_FALSE(with.ownTime) << "it is another's";
    const Row told = fanRow(with);
    EXPECT_LT(halfWidth(told), halfWidth(alone));
    EXPECT_GT(told.window->expectS, alone.window->expectS);
    r.recipe.time = {there, there};
    EXPECT_EQ(preparedFor(r).belief.observations().size(), 2u);
    r.recipe.time = {};
    other.piece.food = *food::findFood("salmon");
    other.piece.thicknessM = 0.025;
    other.goal = {C(50), food::GoalMoment::peak, C(48), C(52), ""};
    r.others = {other};
    EXPECT_EQ(fanRow(preparedFor(r)).window->expectS, alone.window->expectS);
}

TEST(OwnTime, ARangeSaysMoreThanOneFigure) {
    Request r = withRatedFan();
    const double there = preparedFor(r).outcome.pullS;
    r.recipe.time = {there, there};
    const double figure = halfWidth(fanRow(preparedFor(r)));
    r.recipe.time = {0.95 * there, 1.05 * there};
    EXPECT_LT(halfWidth(fanRow(preparedFor(r))), figure);
}

TEST(OwnTime, ThreeTimesAsLongIsAMisfitWithWhatWouldExplainIt) {
    Request r = withRatedFan();
    const Row plain = fanRow(preparedFor(r));
    const double there = preparedFor(r).outcome.pullS;
    r.recipe.time = {3 * there, 3 * there};
    const Prepared p = preparedFor(r);
    ASSERT_TRUE(p.ownTime);
    EXPECT_FALSE(p.ownTime->absorbed);
    EXPECT_GT(p.ownTime->z, evidence::kMisfit);
    const Row row = fanRow(p);
    EXPECT_EQ(row.window->expectS, plain.window->expectS);
    EXPECT_EQ(row.window->lnSd, plain.window->lnSd);
    ASSERT_FALSE(p.ownTime->explanations.empty());
    bool thicker = false;
    for (const Explanation& one : p.ownTime->explanations)
        if (one.what == Explanation::What::thickness) {
            thicker = true;
            Request with = r;
            with.recipe.piece.thicknessM = one.value;
            EXPECT_NEAR(preparedFor(with).outcome.pullS / (3 * there), 1, 0.05);
        } else if (one.what == Explanation::What::heat) {
            EXPECT_LT(one.value, C(180));
        }
    EXPECT_TRUE(thicker);
}

// Defect 188: a what-if of the thickness took its author's time for the thicker piece's, so that it
// hardly took longer.
TEST(OwnTime, Defect188AWhatIfKeepsTheTimeForThePieceItWasWrittenFor) {
    Request r = withRatedFan();
    const double there = preparedFor(r).outcome.pullS;
    r.recipe.time = {0.95 * there, 1.05 * there};
    const Prepared asWritten = preparedFor(r);
    const Row before = fanRow(asWritten);
    Request thicker = r;
    thicker.writtenPiece = r.recipe.piece;
    thicker.recipe.piece.thicknessM *= 1.1;
    const Row after = fanRow(preparedFor(thicker));
    EXPECT_GT(after.window->expectS, 1.08 * before.window->expectS);
    EXPECT_LT(halfWidth(after), 1.05 * halfWidth(before)) << "what it told still narrows";
    // What was believed before is used as it is, and gives the same.
    thicker.believed = std::make_shared<const Believed>(
        Believed{r.recipe.id, asWritten.ofOthers, asWritten.belief, asWritten.ownTime});
    EXPECT_NEAR(fanRow(preparedFor(thicker)).window->expectS, after.window->expectS, 1e-6);
}

TEST(OwnTime, SetAsideItLeavesNoTrace) {
    Request r = withRatedFan();
    const Row plain = fanRow(preparedFor(r));
    const double there = preparedFor(r).outcome.pullS;
    r.recipe.time = {1.2 * there, 1.2 * there, true};
    const Row row = fanRow(preparedFor(r));
    EXPECT_EQ(row.window->expectS, plain.window->expectS);
    EXPECT_EQ(row.window->lookS, plain.window->lookS);
    EXPECT_EQ(row.window->latestS, plain.window->latestS);
    EXPECT_FALSE(row.window->without);
}

// Where only minutes are written they are the goal: what both cooks share cancels, however badly it
// is known.
TEST(OwnTime, ARecipeOfMinutesKeepsItsGoal) {
    Request r = withRatedFan();
    r.recipe.piece.food = *food::findFood("salmon");
    r.recipe.piece.thicknessM = 0.009; // too thin for a probe
    r.recipe.last().end.afterS = 420;
    r.recipe.time = {420, 420};
    const Prepared p = preparedFor(r);
    EXPECT_FALSE(p.ownTime);
    const Row row = fanRow(p);
    ASSERT_FALSE(row.instruction.byProbe);
    Request badly = r;
    badly.recipe.piece.thicknessBy = recipe::KnownBy::eye;
    const Row guessed = fanRow(preparedFor(badly));
    EXPECT_NEAR(guessed.window->lnSd, row.window->lnSd, 0.15 * row.window->lnSd);
    for (const Cause& cause : guessed.window->causes)
        if (cause.name == "thickness") {
            EXPECT_LT(cause.share, 0.15);
        }
}

TEST(Known, EyeRulerAndCalipersNarrowTheWindow) {
    Request r = withRatedFan();
    std::vector<double> widths;
    for (const auto by :
         {recipe::KnownBy::eye, recipe::KnownBy::ruler, recipe::KnownBy::calipers}) {
        r.recipe.piece.thicknessBy = by;
        widths.push_back(halfWidth(fanRow(preparedFor(r))));
    }
    EXPECT_GT(widths[0], 1.05 * widths[1]);
    EXPECT_GT(widths[1], widths[2]);
    r.recipe.piece.startProbed = true;
    EXPECT_LT(halfWidth(fanRow(preparedFor(r))), widths[2]);
}

TEST(Narrowing, ForetellsTheWindowThatTheWorkWillGive) {
    Request r = withRatedFan();
    r.recipe.piece.thicknessBy = recipe::KnownBy::eye;
    const Prepared p = preparedFor(r);
    const Row row = fanRow(p);
    const auto all = narrowingsOf(p, row);
    ASSERT_GE(all.size(), 3u);
    for (std::size_t i = 1; i < all.size(); ++i)
        EXPECT_GE(all[i - 1].perWork(), all[i].perWork());
    bool told = false;
    for (const Narrowing& one : all) {
        EXPECT_GT(one.narrowerS, 0);
        if (one.way != Narrowing::Way::calipers)
            continue;
        told = true;
        Request done = r;
        done.recipe.piece.thicknessBy = recipe::KnownBy::calipers;
        const Row after = fanRow(preparedFor(done));
        EXPECT_NEAR(one.latestS, *after.window->latestS, 61);
        EXPECT_NEAR(one.lookS, after.window->earlyS, 61);
    }
    EXPECT_TRUE(told);
}

TEST(Narrowing, RatingIsProposedWhereTheHeatIsOnlyTypical) {
    Request r = withRatedFan();
    const Prepared p = preparedFor(r);
    for (const auto& one : narrowingsOf(p, fanRow(p)))
        EXPECT_NE(one.way, Narrowing::Way::rate) << "the fan oven is rated at 160 already";
    const auto& still = *findAppliance(r.kitchen, "still");
    Row row = solveRowAt(p, {"still", still.zones.front().name, ""},
                         *kitchen::parseSetting(still.controls, "oven=180C"));
    addWindow(p, row);
    bool rating = false;
    for (const auto& one : narrowingsOf(p, row))
        rating |= one.way == Narrowing::Way::rate && one.protocol == "block-pair" &&
                  one.applianceId == "still";
    EXPECT_TRUE(rating);
}

} // namespace
} // namespace dynamet::translate
