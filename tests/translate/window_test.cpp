// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The window, end to end: two hundred kitchens whose truth is drawn from the priors, their oven
// tested with the generator of demo-kitchen, rated, translated, and the piece then cooked in the
// true heat.
#include "generator/bodies.h"
#include "rating/protocols/block.h"
#include "rating/series_of.h"
#include "translate/narrow_spread.h"
#include "translate/small_kitchen.h"
#include "translate/window.h"

#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;
using kitchen::Face, kitchen::Term;

constexpr int kKitchens = 200;
constexpr double kPullK = 273.15 + 60;

struct Truth {
    generator::Cavity cavity;
    generator::Block block;
    generator::Sensor blockSensor{2, 0, 1, 0.15, 0.1}, airSensor{100, 0, 1, 0.2, 0.1};
    double foodH = 0;
};

struct Draw {
    std::mt19937_64 random;
    std::normal_distribution<double> normal;
    double operator()(double mean, double sd) { return mean + sd * normal(random); }
    double factor(double lnSd) { return std::exp(lnSd * normal(random)); }
};

Truth drawTruth(Draw& draw) {
    Truth t;
    t.cavity.dialErrorC = draw(0, 12);
    t.block.airW_m2K = 10 * draw.factor(0.23) * std::pow(0.045 / 0.12, -0.25);
    t.block.emissivity = draw(0.9, 0.03);
    t.block.massKg = draw(0.045, 0.00045);
    t.block.cJ_kgK = 896;
    t.block.wallsAboveAirC = draw(0, 15);
    t.blockSensor.biasC = draw(0, 0.6);
    t.airSensor.lagS = std::max(30.0, draw(100, 30));
    t.foodH = t.block.airW_m2K * std::pow(0.12 / 0.045, -0.25) * draw.factor(0.10);
    return t;
}

/// The oven rated by a block test at 180 °C.
kitchen::HeatField ratedBy(const Truth& truth, const kitchen::Appliance& oven, std::uint64_t seed) {
    const auto run = generator::blockInCavity(truth.cavity, 180, truth.block, 1500, 5,
                                              truth.blockSensor, truth.airSensor, seed);
    rating::BlockTest test;
    test.block = seriesOf(run.block);
    test.air = seriesOf(run.air);
    const auto reduction = rating::reduceBlock(test);
    EXPECT_TRUE(reduction.has_value());
    std::vector<kitchen::RatedNumber> numbers;
    for (kitchen::FieldNumber n : reduction->fieldNumbers) {
        n.reductionId = "block";
        numbers.push_back({*kitchen::parseSetting(oven.controls, "oven=180C"), "middle", "", "", n,
                           reduction->fieldCovariances});
    }
    kitchen::Place place;
    place.zone = "middle";
    return *ratedField(oven, numbers.front().setting, place, numbers);
}

/// The same heat as it really is, with what no test measured drawn from its prior.
kitchen::HeatField trueField(const Truth& truth, const kitchen::HeatField& rated, Draw& draw) {
    const double air =
        generator::preheat(truth.cavity, 180, 10, 5, truth.airSensor, 1).trueMeanC + 273.15;
    kitchen::HeatField out = rated;
    put(out, {{Face::all, Term::air}, air});
    put(out, {{Face::all, Term::radiant}, air + truth.block.wallsAboveAirC});
    put(out, {{Face::all, Term::hAir}, truth.foodH});
    for (const Term term : {Term::vapour, Term::view}) {
        kitchen::FieldNumber n = *find(rated, {Face::all, term});
        n.value = std::min(n.value * draw.factor(n.u / n.value), term == Term::view ? 1.0 : 1e9);
        put(out, n);
    }
    return out;
}

TEST(Window, HoldsTheTruthInNinetyFiveOfAHundredRatedKitchens) {
    kitchen::Appliance oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
    oven.name = "oven";
    int inside = 0, early = 0, late = 0;
    const FoodSpread spread;
    for (int k = 0; k < kKitchens; ++k) {
        Draw draw{std::mt19937_64(static_cast<std::uint64_t>(k) * 104729 + 7), {}};
        const Truth truth = drawTruth(draw);
        recipe::FoodPiece piece;
        piece.food = *food::findFood("pork-loin");
        piece.thicknessM = 0.036;
        piece.startK = C(7);
        cook::Programme programme;
        programme.last().field = ratedBy(truth, oven, static_cast<std::uint64_t>(k) + 1);
        long solves = 0;
        const auto tables = cook::tablesFor(piece.food, 101325);
        const auto window = windowOf(
            {&piece, &programme, kPullK, C(70), spread, tables, static_cast<std::uint64_t>(k)},
            solves);
        ASSERT_TRUE(window.has_value());
        recipe::FoodPiece real = piece;
        real.thicknessM *= draw.factor(spread.wholeThicknessLn());
        real.startK = std::max(273.15, draw(real.startK, spread.startK));
        real.moistureSupply = draw.factor(spread.priors.moistureLn);
        auto& c = real.food.composition;
        const double water = draw(c.water, piece.food.waterU), scale = (1 - water) / (1 - c.water);
        c = {water, c.protein * scale, c.fat * scale, 0, 0, c.ash * scale};
        cook::Programme truly = programme;
        truly.last().field = trueField(truth, programme.last().field, draw);
        const double t = *cook::timeToReach(real, truly, kPullK, cook::kFull,
                                            cook::tablesFor(real.food, 101325)) *
                         draw.factor(restLnOf(*window));
        early += t < window->earlyS;
        late += t > window->latestS.value_or(1e9);
        inside += t >= window->earlyS && t <= window->latestS.value_or(1e9);
    }
    std::printf("inside %d of %d, early %d, late %d\n", inside, kKitchens, early, late);
    EXPECT_GE(inside, 184);
    EXPECT_LE(inside, 196);
    EXPECT_LE(early, 12);
    EXPECT_LE(late, 12);
}

} // namespace
