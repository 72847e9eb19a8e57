// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Least squares in one unknown against the same by exhaustive comparison.
#include "numeric/nearest_point.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;

struct Curve {
    double offA, offB; ///< how far the curve stays from the goal
    std::vector<double> at(double x) const { return {10 * (x - 1) + offA, std::exp(2 * x) - offB}; }
    double nearest() const {
        double best = 0, least = 1e300;
        for (int i = -3000; i <= 3000; ++i)
            if (const auto r = at(i * 1e-3); r[0] * r[0] + r[1] * r[1] < least) {
                least = r[0] * r[0] + r[1] * r[1];
                best = i * 1e-3;
            }
        return best;
    }
};

TEST(NearestPoint, IsFoundNearAndFarFromTheGoalInFewLooks) {
    for (const Curve curve : {Curve{0, std::exp(2.0)}, Curve{2, 9}, Curve{-12, 2}, Curve{15, 14}})
        for (const double start : {-0.5, 0.4, 0.9}) {
            int looks = 0;
            const auto found = nearestPoint(
                [&](double x) -> Result<std::vector<double>> {
                    ++looks;
                    return curve.at(x);
                },
                {start, -3, 3, 0.004});
            ASSERT_TRUE(found);
            EXPECT_NEAR(found->at, curve.nearest(), 0.03) << curve.offA << " from " << start;
            EXPECT_LE(looks, 10) << curve.offA << " from " << start;
        }
}

// What a coarser search knows is used: a look where it stands is enough, a little off takes two
// more.
TEST(NearestPoint, KnownSlopesSaveLooks) {
    const Curve curve{0, std::exp(2.0)};
    const std::vector<double> slopes{10, 2 * std::exp(2.0)};
    for (const auto& [start, most] : {std::pair{1.004, 1}, std::pair{0.96, 3}}) {
        int looks = 0;
        NearestSearch search{start, -3, 3, 0.004};
        search.slopes = slopes;
        const auto found = nearestPoint(
            [&](double x) -> Result<std::vector<double>> {
                ++looks;
                return curve.at(x);
            },
            search);
        ASSERT_TRUE(found);
        EXPECT_NEAR(found->at, 1, 0.01);
        EXPECT_LE(looks, most) << start;
    }
}

TEST(NearestPoint, WhatCannotComeNearEnoughIsLeftEarly) {
    int looks = 0;
    NearestSearch search{0.0, -3, 3, 1e-4};
    search.enough = 1;
    const Curve curve{40, 14};
    ASSERT_TRUE(nearestPoint(
        [&](double x) -> Result<std::vector<double>> {
            ++looks;
            return curve.at(x);
        },
        search));
    EXPECT_LE(looks, 4);
}

} // namespace
