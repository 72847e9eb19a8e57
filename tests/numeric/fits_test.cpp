// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/least_squares.h"
#include "numeric/linear_fit.h"
#include "numeric/random.h"
#include "numeric/statistics.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;

// Student's t, two-sided 95 % (JCGM 100, table G.2).
TEST(Coverage, FactorsAreThoseOfTheGum) {
    EXPECT_NEAR(coverageFactor95(1), 12.71, 0.01);
    EXPECT_NEAR(coverageFactor95(7), 2.36, 0.01);
    EXPECT_NEAR(coverageFactor95(10), 2.23, 0.01);
    EXPECT_NEAR(coverageFactor95(1e9), 1.96, 0.001);
}

// JCGM 100, H.1 (end gauge): u = 32 nm with ν = 16 from 25 (18), 9.7 (25.6), 2.9 (50), 16.6 (2).
TEST(WelchSatterthwaite, FollowsTheGumsExample) {
    const std::array<UncertaintyPart, 4> parts{{{25, 18}, {9.7, 25.6}, {2.9, 50}, {16.6, 2}}};
    const UncertaintyPart all = combine(parts);
    EXPECT_NEAR(all.u, 32, 0.5);
    EXPECT_NEAR(all.dof, 17, 1.5);
}

// NIST StRD "Misra1a" (nonlinear regression, lower difficulty): certified b1 238.94212918, b2
// 5.5015643181e-4 and their standard deviations.
TEST(LeastSquares, FitsNistMisra1a) {
    const std::vector<double> x{77.6,  114.9, 141.1, 190.8, 239.9, 289.0, 332.8,
                                378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760.0};
    const std::vector<double> y{10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02,
                                44.82, 50.76, 55.05, 61.01, 66.40, 75.47, 81.78};
    const std::array<FitParameter, 2> p{{{"b1", 500, 1, 5000}, {"b2", 1e-4, 1e-6, 1e-1}}};
    const auto fit =
        fitLeastSquares(p, x.size(), [&](std::span<const double> b, std::span<double> r) {
            for (std::size_t i = 0; i < x.size(); ++i)
                r[i] = y[i] - b[0] * (1 - std::exp(-b[1] * x[i]));
            return true;
        });
    ASSERT_TRUE(fit.has_value());
    EXPECT_NEAR(fit->parameters[0], 238.94212918, 1e-3);
    EXPECT_NEAR(fit->parameters[1], 5.5015643181e-4, 1e-8);
    const double s2 = fit->sumOfSquares / 12;
    EXPECT_NEAR(std::sqrt(s2 * fit->cov(0, 0)), 2.7070075241, 5e-3);
    EXPECT_NEAR(std::sqrt(s2 * fit->cov(1, 1)), 7.2668688436e-6, 2e-8);
}

TEST(LeastSquares, SaysWhenTheDataDoNotFixAParameter) {
    const std::array<FitParameter, 2> p{{{"a", 1, -10, 10}, {"b", 1, -10, 10}}};
    const auto fit = fitLeastSquares(p, 5, [](std::span<const double> b, std::span<double> r) {
        for (std::size_t i = 0; i < 5; ++i)
            r[i] = b[0] + b[1] - 3 + 0.1 * static_cast<double>(i);
        return true;
    });
    ASSERT_FALSE(fit.has_value());
    EXPECT_EQ(fit.error().code, Errc::notConverged);
}

TEST(Random, IsTheSameEverywhereAndNormal) {
    Random random(42);
    EXPECT_EQ(random.next(), 13679457532755275413ULL); // SplitMix64, seed 42, published sequence
    double sum = 0, squares = 0;
    for (int i = 0; i < 20000; ++i) {
        const double z = random.normal();
        sum += z;
        squares += z * z;
    }
    EXPECT_NEAR(sum / 20000, 0, 0.03);
    EXPECT_NEAR(squares / 20000, 1, 0.03);
}

TEST(LinearFit, RefusesColumnsThatHangTogether) {
    std::vector<LinearRow> rows;
    for (int i = 1; i <= 5; ++i)
        rows.push_back({{1.0 * i, 2.0 * i}, 3.0 * i, 1});
    EXPECT_FALSE(solveLinear(rows).has_value());
    rows.push_back({{1, 0}, 1, 1});
    const auto x = solveLinear(rows);
    ASSERT_TRUE(x.has_value());
    EXPECT_NEAR((*x)[0], 1, 1e-9);
    EXPECT_NEAR((*x)[1], 1, 1e-9);
}

} // namespace
