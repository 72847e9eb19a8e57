// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Windows against plain Monte Carlo: 2,000 cooks with every input drawn jointly, quantiles read off
// them. Both ends must agree to a tenth of the window's width (the design's goal) beside the
// rounding to whole minutes.
#include "numeric/cholesky.h"
#include "translate/narrow_spread.h"
#include "translate/small_kitchen.h"
#include "translate/window.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;
using enum kitchen::ApplianceKind;

constexpr int kCooks = 2000;

struct Case {
    const char* name;
    kitchen::ApplianceKind kind;
    const char* setting;
    double uScale; ///< of the field's uncertainties: 1 = only assumed
    const char* food;
    double thicknessM, pullC;
};

cook::Programme programmeOf(const Case& c) {
    auto appliance = *kitchen::typicalAppliance(c.kind);
    kitchen::Place place;
    place.zone = appliance.zones.front().name;
    kitchen::Vessel pan;
    pan.massKg = 2;
    place.vessel = pan;
    cook::Programme programme;
    programme.last().field = *kitchen::ratedField(
        appliance, *kitchen::parseSetting(appliance.controls, c.setting), place, {});
    for (kitchen::FieldNumber& n : programme.last().field.numbers)
        n.u *= c.uScale;
    for (auto& covariance : programme.last().field.covariances)
        covariance.covariance *= c.uScale * c.uScale;
    return programme;
}

/// Times of plain draws; infinite where the pull is not reached.
std::vector<double> plainDraws(const WindowInput& in, double restLn) {
    const auto inputs = inputsOf(*in.programme, in.spread, *in.piece);
    const std::size_t n = inputs.size();
    const auto factor = choleskyFactor(correlationsOf(inputs, *in.programme), n);
    std::mt19937_64 random(20261125);
    std::normal_distribution<double> normal;
    const double full =
        cook::timeToReach(*in.piece, *in.programme, in.pullK, cook::kFull, in.tables).value();
    const double quick =
        cook::timeToReach(*in.piece, *in.programme, in.pullK, cook::kQuick, in.tables).value();
    std::vector<double> out;
    for (int k = 0; k < kCooks; ++k) {
        std::vector<double> free(n), z(n, 0);
        for (double& f : free)
            f = normal(random);
        for (std::size_t i = 0; i < n; ++i)
            for (std::size_t j = 0; j <= i; ++j)
                z[i] += factor[i * n + j] * free[j];
        const Deviated s = deviated(*in.piece, *in.programme, inputs, z);
        cook::Tables tables = in.tables;
        if (s.composition)
            tables.material =
                std::make_shared<heat::Material>(s.piece.food.composition, s.piece.food.freezingC);
        const auto t =
            cook::timeToReach(s.piece, s.programme, in.pullK, cook::kQuick, tables).value();
        out.push_back(t * full / quick * std::exp(restLn * normal(random)));
    }
    std::sort(out.begin(), out.end());
    return out;
}

class AgainstMonteCarlo : public ::testing::TestWithParam<Case> {};

TEST_P(AgainstMonteCarlo, BothEndsAgreeToATenthOfTheWidth) {
    const Case& c = GetParam();
    recipe::FoodPiece piece;
    piece.food = *food::findFood(c.food);
    piece.thicknessM = c.thicknessM;
    piece.startK = C(6);
    const auto programme = programmeOf(c);
    const WindowInput input{
        &piece, &programme, C(c.pullC), C(c.pullC + 8), {}, cook::tablesFor(piece.food, 101325), 1};
    long solves = 0;
    const auto window = windowOf(input, solves);
    ASSERT_TRUE(window.has_value()) << window.error().message;
    ASSERT_TRUE(window->latestS.has_value());
    const auto times = plainDraws(input, restLnOf(*window));
    const double early = times[kCooks / 40], middle = times[kCooks / 2],
                 late = times[kCooks - kCooks / 40];
    const double allowed = 0.1 * (late - early), rounding = late < 300 ? 10 : 60;
    EXPECT_NEAR(window->earlyS, early - rounding / 2, allowed + rounding / 2) << c.name;
    EXPECT_NEAR(*window->latestS, late + rounding / 2, allowed + rounding / 2) << c.name;
    EXPECT_NEAR(window->expectS, middle, allowed) << c.name;
}

INSTANTIATE_TEST_SUITE_P(
    SixCases, AgainstMonteCarlo,
    ::testing::Values(Case{"assumed oven", stillOven, "oven=180C", 1, "pork-loin", 0.04, 60},
                      Case{"rated oven", stillOven, "oven=160C", 0.3, "beef-lean", 0.05, 52},
                      Case{"assumed fan oven", fanOven, "oven=200C", 1, "chicken-breast", 0.03, 70},
                      Case{"air fryer", airFryer, "air=180C", 0.6, "salmon", 0.028, 50},
                      Case{"bath", waterBath, "bath=60C", 1, "beef-lean", 0.03, 56},
                      Case{"pan, not turned", inductionHob, "level=6;preheat=200C", 0.5, "cod",
                           0.015, 50}),
    [](const auto& one) {
        std::string name = one.param.name;
        std::erase_if(name, [](char ch) { return !std::isalnum(static_cast<unsigned char>(ch)); });
        return name;
    });

// Defect 176: a drawn composition made risen dough dense, so that every drawn cook took twice its
// time; the middle of a sampled window is the expected time.
TEST(Window, Defect176DrawnDoughKeepsItsPores) {
    recipe::FoodPiece piece;
    piece.food = *food::findFood("bread-dough");
    piece.thicknessM = 0.08;
    piece.startK = C(22);
    const Case oven{"", stillOven, "oven=220C", 0.5, "bread-dough", 0.08, 92};
    const auto programme = programmeOf(oven);
    FoodSpread wide;
    wide.thicknessLn = 0.15; // so that it is drawn
    const WindowInput input{
        &piece, &programme, C(oven.pullC), {}, wide, cook::tablesFor(piece.food, 101325), 1};
    long solves = 0;
    const auto window = windowOf(input, solves);
    ASSERT_TRUE(window.has_value()) << window.error().message;
    ASSERT_TRUE(window->sampled);
    const auto nominal =
        cook::timeToReach(piece, programme, C(oven.pullC), cook::kFull, input.tables);
    ASSERT_TRUE(nominal);
    EXPECT_NEAR(window->expectS / *nominal, 1, 0.1);
}

} // namespace
