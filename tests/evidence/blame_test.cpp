// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Cooks that miss to one side: is it the appliance, which misses with its other foods too, or the
// food, which misses elsewhere too? (design, evidence §6 and §7)
#include "evidence/blame.h"
#include "evidence/kitchen_of_evidence.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace dynamet::evidence {
namespace {

using namespace testing;

/// 20 K of an oven at 150 °C, 80 K above what the piece's face is on the way: a quarter of the
/// time; 20 % of a food's time.
constexpr double kOvenJumpLn = 0.25, kFoodJumpLn = 0.20;
constexpr int kSeeds = 200;

struct Eight {
    std::vector<Observation> cooks;
    std::vector<Suspect> suspects;
};

/// Two foods on two ovens, two cooks each; with calipers and
/// a probed start; the oven and the food whose cooks miss are suspected.
Eight eightCooks(Truth& truth, double ovenLn, double foodLn) {
    Eight out;
    Suspect oven{"oven", {}, {}, 0.02}, food{"food", {}, {}, 0.03};
    for (int i = 0; i < 8; ++i) {
        Cook cook{"cook " + std::to_string(i)};
        cook.thicknessLn = kByCalipersM / 0.040;
        cook.startK = kStartProbedK;
        const bool first = i < 4, here = i % 2 == 0;
        cook.food = first ? "food" : "other food";
        cook.recipe = cook.food;
        cook.field = here ? "oven" : "other oven";
        out.cooks.push_back(seen(truth, cook));
        out.cooks.back().lnDifference += (here ? ovenLn : 0) + (first ? foodLn : 0);
        if (here) {
            oven.observations.push_back(cook.id);
            oven.lnTime.push_back(kOvenJumpLn);
        }
        if (first) {
            food.observations.push_back(cook.id);
            food.lnTime.push_back(kFoodJumpLn);
        }
    }
    out.suspects = {oven, food};
    return out;
}

/// How often the guilty one is blamed, and how well its size is told.
struct Told {
    double blamed = 0, within = 0, medianError = 0;
};

Told toldOf(double ovenLn, double foodLn, std::size_t guilty, const Effects& ordinary,
            double jumpLn) {
    Told out;
    std::vector<double> errors;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Truth truth(static_cast<std::uint64_t>(seed) * 7919);
        for (const Effect& one : ordinary) // what is hidden is all that is off about it
            truth.set(one.unknown, 0);
        const Eight eight = eightCooks(truth, ovenLn, foodLn);
        const Belief belief({}, eight.cooks);
        const auto odds = oddsOf(belief, eight.suspects);
        out.blamed += odds[guilty] > odds[1 - guilty];
        Effects whole = ordinary;
        whole.push_back({jumpOf(eight.suspects[guilty]), jumpLn});
        const Belief jumped = withJump(belief, eight.suspects[guilty]);
        const double hidden = ovenLn + foodLn, told = jumped.mean(whole);
        out.within += std::abs(told - hidden) < 2 * std::sqrt(jumped.variance(whole));
        errors.push_back(std::abs(told - hidden) / hidden);
    }
    std::sort(errors.begin(), errors.end());
    out.blamed /= kSeeds;
    out.within /= kSeeds;
    out.medianError = errors[kSeeds / 2];
    std::printf("blamed %.3f, within 2 sigma %.3f, median error %.2f of the hidden one\n",
                out.blamed, out.within, out.medianError);
    return out;
}

void expectFound(const Told& told) {
    EXPECT_GE(told.blamed, 0.90);
    EXPECT_GE(told.within, 0.95);
    EXPECT_LE(told.medianError, 0.5);
}

TEST(Blame, AFoodFifteenPercentSlowIsFound) {
    expectFound(toldOf(0, std::log(1.15), 1,
                       {{"food:food", Priors{}.foodLn},
                        {"moisture:food", kMoistureLn},
                        {"shape:food", kThicknessPower * Priors{}.shape}},
                       kFoodJumpLn));
}

TEST(Blame, AnOvenFifteenKelvinOffItsRatingIsFound) {
    expectFound(toldOf(0.75 * kOvenJumpLn, 0, 0, {{"field:oven", 0.03}}, kOvenJumpLn));
}

TEST(Blame, NobodyIsBlamedWhereAllIsWell) {
    int blamed = 0;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Truth truth(static_cast<std::uint64_t>(seed) * 15485863);
        const Eight eight = eightCooks(truth, 0, 0);
        blamed += oddsOf(Belief({}, eight.cooks), eight.suspects).back() < 0.5;
    }
    EXPECT_LE(blamed, kSeeds / 20);
}

TEST(Blame, OddsAddUpAndAMoveIsLikelierWithAge) {
    Truth truth(3);
    const Eight eight = eightCooks(truth, 0.1, 0.1);
    double sum = 0;
    for (const double one : oddsOf(Belief({}, eight.cooks), eight.suspects))
        sum += one;
    EXPECT_NEAR(sum, 1, 1e-12);
    EXPECT_EQ(oddsOf(Belief(), {}).back(), 1);
    // Two of a hundred months (evidence.md, 6): over two years four in ten have moved.
    EXPECT_NEAR(movedSince(24), 0.384, 0.001);
    EXPECT_NEAR(movedSince(0), 0.02, 1e-12);
}

} // namespace
} // namespace dynamet::evidence
