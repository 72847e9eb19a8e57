// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A time that is seen far off: where the cook answers in a curve, the belief is made anew about
// what it came to (design, evidence §4).
#include "translate/linear_again.h"
#include "translate/small_kitchen.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::translate {
namespace {

using namespace testing;

/// How far the real cook at the believed inputs is from the time that was seen, of its own standard
/// deviation, and how far the straight line says.
struct Case {
    Request request = roastRequest();
    Prepared prepared;
    cook::Programme programme;
    WindowInput input;
    long solves = 0;

    Case(double startC, double startK)
        : prepared([&] {
              request.recipe.piece.startK = C(startC);
              return *prepare(request);
          }()),
          programme(cook::withFixedTurn(prepared.programme, prepared.outcome)),
          input{&request.recipe.piece,        &programme,     prepared.outcome.pullK, std::nullopt,
                FoodSpread{{}, 0.02, startK}, prepared.tables} {
        input.names = {"r", "f", "air", "author"};
    }
    Timer timer() {
        return {&input, inputsOf(programme, input.spread, request.recipe.piece), &solves};
    }

    /// The straight observation: a factor on the nominal time.
    evidence::Observation seen(double factor) {
        Timer t = timer();
        std::vector<double> z(t.inputs.size(), 0.0), g;
        const double nominal = std::log(t.at(z, kDraw));
        for (std::size_t i = 0; i < z.size(); ++i) {
            z[i] = 1;
            const double up = std::log(t.at(z, kDraw));
            z[i] = -1;
            g.push_back((up - std::log(t.at(z, kDraw))) / 2);
            z[i] = 0;
        }
        evidence::Observation out;
        out.id = "time:r";
        out.effects = effectsOf(t.inputs, g, input.spread, input.names, request.recipe.piece,
                                std::exp(nominal));
        out.lnDifference = std::log(factor);
        out.u = 0.01;
        return out;
    }
    /// ln of the real cook's time at the believed inputs over the nominal one, less what is told of
    /// it by the observation's own line.
    double bend(const evidence::Observation& observation, double measured) {
        const evidence::Belief belief = evidence::Belief().with({}, {observation});
        Timer t = timer();
        const auto forms = deviationsOf(t.inputs, input.spread, input.names);
        std::vector<double> z(t.inputs.size(), 0.0);
        const double nominal = std::log(t.at(z, kDraw));
        double line = measured - observation.lnDifference;
        for (std::size_t i = 0; i < forms.size(); ++i) {
            z[i] = belief.mean(forms[i]);
            for (const evidence::Effect& e : observation.effects)
                for (const evidence::Effect& part : forms[i])
                    if (e.unknown == part.unknown)
                        line += belief.mean({e});
        }
        return std::log(t.at(z, kDraw)) - nominal - line;
    }
};

TEST(LinearAgain, WhatIsStraightStaysAsItIs) {
    Case one(6, 1);
    const auto seen = one.seen(1.05);
    const auto again = linearAgain(seen, evidence::Belief(), one.timer());
    EXPECT_DOUBLE_EQ(again.lnDifference, seen.lnDifference);
}

// A start known to 12 K only, 25 K below the goal: the time bends strongly in it.
TEST(LinearAgain, WhatIsCurvedIsMetOnTheCurve) {
    Case one(35, 12);
    const double factor = 0.62, measured = std::log(factor);
    const auto seen = one.seen(factor);
    const double before = std::abs(one.bend(seen, measured));
    const auto again = linearAgain(seen, evidence::Belief(), one.timer());
    const double after = std::abs(one.bend(again, measured));
    std::printf("bend %.4f -> %.4f\n", before, after);
    EXPECT_GT(before, 0.02);
    EXPECT_LT(after, 0.3 * before);
}

} // namespace
} // namespace dynamet::translate
