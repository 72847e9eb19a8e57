// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Coverage as definitions of the design ask: 500 fixed seeds, each redraws every Type B input and
// the noise; z = (estimate − truth)/u must be centred, of sd near 1, and the 95 % interval must
// hold 461–489 of 500. The readings come from demo-kitchen/generator, which knows nothing of
// src/rating.
#include "rating/series_of.h"
#include "rating/uncertainty/reduction.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace coverage {

using namespace dynamet;
using namespace dynamet::rating;

inline constexpr int kSeeds = 500;

struct Coverage {
    double sum = 0, squares = 0;
    int inside = 0, n = 0;
    void add(const Quantity& q, double truth) {
        const double z = (q.value - truth) / q.u;
        sum += z;
        squares += z * z;
        inside += std::abs(q.value - truth) <= halfWidth95(q);
        ++n;
    }
    void expectHonest(const char* what) const {
        const double mean = sum / n, sd = std::sqrt(squares / n - mean * mean);
        std::printf("%-22s n %d  mean z %+.3f  sd %.3f  inside %d\n", what, n, mean, sd, inside);
        EXPECT_EQ(n, kSeeds) << what;
        EXPECT_LT(std::abs(mean), 0.15) << what;
        EXPECT_GT(sd, 0.88) << what;
        EXPECT_LT(sd, 1.13) << what;
        EXPECT_GE(inside, 461) << what;
        EXPECT_LE(inside, 489) << what;
    }
};

struct Draw {
    std::mt19937_64 random;
    std::normal_distribution<double> normal;
    explicit Draw(int seed) {
        std::seed_seq mixed{seed};
        random.seed(mixed);
    }
    double operator()(double mean, double sd) { return mean + sd * normal(random); }
};

} // namespace coverage
