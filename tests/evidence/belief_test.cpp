// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What must hold of evidence (design, evidence §7), against plain conditioning by Eigen and against
// kitchens whose truth is drawn from the priors.
#include "evidence/kitchen_of_evidence.h"

#include <Eigen/Dense>
#include <algorithm>
#include <gtest/gtest.h>

namespace dynamet::evidence {
namespace {

using namespace testing;

double halfWidth(const Belief& belief, const Effects& effects) {
    return 1.96 * std::sqrt(belief.variance(effects));
}

/// Where the recipe was written: an oven that nobody rated.
Cook author() {
    Cook out{"author"};
    out.field = "their oven";
    out.fieldLn = 0.10;
    return out;
}

Observation ownTime(double lnDifference) {
    return {"own time", "", effectsOf(author()), lnDifference, kSingleFigureLn};
}

Cook logged(int i) {
    return {"cook " + std::to_string(i)};
}

TEST(Belief, IsTheConditionedGaussianOfTheHandbook) {
    // Two correlated unknowns and one of its own; by the textbook formula with dense matrices.
    const Block block{{"a", "b"}, {1, 0.6, 0.6, 1}};
    const Observation one{"1", "", {{"a", 0.3}, {"c", 0.2}}, 0.25, 0.1},
        two{"2", "", {{"b", 0.5}}, -0.1, 0.2};
    const Belief belief({block}, {one, two});
    Eigen::Matrix3d p;
    p << 1, 0.6, 0, 0.6, 1, 0, 0, 0, 1;
    Eigen::Matrix<double, 2, 3> h;
    h << 0.3, 0, 0.2, 0, 0.5, 0;
    Eigen::Matrix2d r;
    r << 0.01, 0, 0, 0.04;
    const Eigen::Vector2d y(0.25, -0.1);
    const Eigen::Matrix2d k = h * p * h.transpose() + r;
    const Eigen::Vector3d mean = p * h.transpose() * k.inverse() * y;
    const Eigen::Matrix3d after = p - p * h.transpose() * k.inverse() * h * p;
    const Eigen::Vector3d g(0.4, -0.1, 0.7);
    const Effects asked{{"a", 0.4}, {"b", -0.1}, {"c", 0.7}};
    EXPECT_NEAR(belief.mean(asked), g.dot(mean), 1e-12);
    EXPECT_NEAR(belief.variance(asked), g.dot(after * g), 1e-12);
    EXPECT_NEAR(belief.priorCovariance(asked, asked), g.dot(p * g), 1e-12);
}

TEST(Belief, WhatNobodySawStaysAsItWas) {
    const Belief belief({}, {ownTime(0.2)});
    EXPECT_EQ(belief.mean({{"elsewhere", 1}}), 0);
    EXPECT_NEAR(belief.variance({{"elsewhere", 0.3}}), 0.09, 1e-15);
    const Belief blocks = belief.withBlocks({{{"p", "q"}, {1, 1, 1, 1}}});
    EXPECT_NEAR(blocks.variance({{"p", 1}, {"q", 1}}), 4, 1e-12);
}

TEST(Belief, WindowsHoldTheTruthBeforeAndAfterLearning) {
    int before = 0, afterTime = 0, afterCooks = 0;
    const Effects asked = effectsOf({"next"});
    for (std::uint64_t seed = 1; seed <= 200; ++seed) {
        Truth truth(seed * 104729);
        std::vector<Observation> seenSoFar;
        const auto holds = [&] {
            const Belief belief({}, seenSoFar);
            return std::abs(truth.lnTime(asked) - belief.mean(asked)) <= halfWidth(belief, asked);
        };
        before += holds();
        Observation own = seen(truth, author(), kSingleFigureLn);
        seenSoFar.push_back(own);
        afterTime += holds();
        for (int i = 1; i <= 4; ++i)
            seenSoFar.push_back(seen(truth, logged(i)));
        afterCooks += holds();
    }
    std::printf("inside of 200: %d with nothing, %d with the recipe's time, %d with four cooks\n",
                before, afterTime, afterCooks);
    for (const int inside : {before, afterTime, afterCooks}) {
        EXPECT_GE(inside, 184);
        EXPECT_LE(inside, 196);
    }
}

TEST(Belief, HalfWidthsAreThoseWorkedOutByHand) {
    const Effects asked = effectsOf({"next"});
    Cook measured{"next"};
    measured.thicknessLn = kByCalipersM / 0.040;
    measured.startK = kStartProbedK;
    std::vector<Observation> all;
    const double nothing = halfWidth(Belief({}, all), asked);
    all.push_back(ownTime(0));
    const double withTime = halfWidth(Belief({}, all), asked);
    for (int i = 1; i <= 4; ++i)
        all.push_back({logged(i).id, "", effectsOf(logged(i)), 0, 0.01});
    const double withCooks = halfWidth(Belief({}, all), asked),
                 withTools = halfWidth(Belief({}, all), effectsOf(measured));
    std::printf("half-widths: %.1f %% with nothing, %.1f with its time, %.1f with four cooks, %.1f "
                "with calipers and a probed start too\n",
                100 * nothing, 100 * withTime, 100 * withCooks, 100 * withTools);
    EXPECT_NEAR(nothing, 0.28, 0.02);
    EXPECT_LE(withTime, 0.92 * nothing);
    EXPECT_LE(withCooks, 0.19);
    EXPECT_LE(withTools, 0.15);
    // 50 minutes written where 36 were expected: the centre moves by a tenth.
    const double moved = Belief({}, {ownTime(std::log(50.0 / 36))}).mean(asked);
    EXPECT_NEAR(moved, 0.10, 0.03);
}

TEST(Belief, TheOrderOfEvidenceDoesNotMatter) {
    std::vector<Observation> all{ownTime(0.2)};
    for (int i = 1; i <= 8; ++i)
        all.push_back(
            {logged(i).id, "", effectsOf(logged(i)), 0.03 * i - (i == 5 ? 1.2 : 0), 0.01});
    const Effects asked = effectsOf({"next"});
    const Belief one({}, all);
    std::mt19937 random(5);
    for (int round = 0; round < 20; ++round) {
        std::shuffle(all.begin(), all.end(), random);
        const Belief other({}, all);
        EXPECT_NEAR(other.mean(asked), one.mean(asked), 1e-9);
        EXPECT_NEAR(other.variance(asked), one.variance(asked), 1e-9);
        ASSERT_EQ(other.agreements().size(), one.agreements().size());
        for (std::size_t i = 0; i < one.agreements().size(); ++i)
            EXPECT_NEAR(other.agreements()[i].z, one.agreements()[i].z, 1e-9);
    }
}

TEST(Belief, EvidenceSetAsideLeavesNoTrace) {
    const Effects asked = effectsOf({"next"});
    std::vector<Observation> all{ownTime(0.2), {"cook 1", "", effectsOf(logged(1)), -0.2, 0.01}};
    const Belief without({}, {all[0]});
    all[1].setAside = true;
    const Belief with({}, all);
    EXPECT_EQ(with.mean(asked), without.mean(asked));
    EXPECT_EQ(with.variance(asked), without.variance(asked));
}

TEST(Belief, ATimeThreeTimesAsLongIsAMisfitAndNotAbsorbed) {
    const Effects asked = effectsOf({"next"});
    const Belief belief({}, {ownTime(std::log(3.0))});
    ASSERT_EQ(belief.agreements().size(), 1u);
    EXPECT_FALSE(belief.agreements()[0].absorbed);
    EXPECT_GT(belief.agreements()[0].z, kMisfit);
    EXPECT_EQ(belief.mean(asked), 0);
    EXPECT_EQ(belief.variance(asked), Belief().variance(asked));
    // Among eight that agree the odd one is found, whichever it is.
    for (int odd = 1; odd <= 8; ++odd) {
        std::vector<Observation> all;
        for (int i = 1; i <= 8; ++i)
            all.push_back({logged(i).id, "", effectsOf(logged(i)),
                           0.05 + (i == odd ? std::log(3.0) : 0), 0.01});
        const Belief eight({}, all);
        for (const Agreement& one : eight.agreements())
            EXPECT_EQ(one.absorbed, one.id != logged(odd).id) << one.id;
    }
    // Between two and three it is absorbed, and can be said.
    const double sd =
        std::sqrt(Belief().variance(effectsOf(author())) + kSingleFigureLn * kSingleFigureLn);
    const Belief strained({}, {ownTime(2.5 * sd)});
    EXPECT_TRUE(strained.agreements()[0].absorbed);
    EXPECT_NEAR(strained.agreements()[0].z, 2.5, 1e-6);
}

} // namespace
} // namespace dynamet::evidence
