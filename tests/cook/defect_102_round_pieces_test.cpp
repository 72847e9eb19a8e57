// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Cylinders and balls used to get only what their side saw: a sausage in a pan stopped at 5 °C.
#include "cook/cook.h"
#include "cook/round_boundary.h"
#include "cook/simulation.h"
#include "kitchen/rated_field.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <numbers>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using kitchen::Face, kitchen::Term;

constexpr double kUsualPan = 1.3;

kitchen::Vessel ironPan() {
    kitchen::Vessel out;
    out.id = "pan";
    out.massKg = kUsualPan;
    return out;
}

/// Of an appliance of the kind, with the setting in the middle of its dial.
kitchen::HeatField usualField(kitchen::ApplianceKind kind, const std::string& zone,
                              const kitchen::Site& site) {
    const auto appliance = *kitchen::typicalAppliance(kind);
    const auto settings = kitchen::possibleSettings(appliance.controls, 6, 60);
    kitchen::Place place{zone, site, std::nullopt, ""};
    if (isHob(kind))
        place.vessel = ironPan();
    const auto field = ratedField(appliance, settings[settings.size() * 2 / 3], place, {});
    EXPECT_TRUE(field.has_value()) << kitchen::kindName(kind);
    return field.value_or(kitchen::HeatField{});
}

recipe::FoodPiece usualPiece(const food::Food& food) {
    recipe::FoodPiece piece;
    piece.food = food;
    piece.shape = *heat::shapeOf(food.shape);
    piece.thicknessM = food.thicknessM;
    piece.widthM = food.widthM;
    return piece;
}

/// Nothing that touches or surrounds the food can be hotter than this.
double hottestSourceK(const kitchen::HeatField& field, double ambientK) {
    double hottest = ambientK;
    for (const kitchen::FieldNumber& n : field.numbers)
        if (isTemperature(n.key.term))
            hottest = std::max(hottest, n.value);
    for (const kitchen::FieldCurve& curve : field.curves)
        if (const auto* at = find(field, curve.key); at && isTemperature(curve.key.term))
            hottest = std::max(
                hottest, at->value + *std::max_element(curve.change.begin(), curve.change.end()));
    const auto* flux = seenBy(field, Face::bottom, Term::plateFlux);
    const auto* loss = seenBy(field, Face::bottom, Term::plateLoss);
    if (flux && loss && !seenBy(field, Face::bottom, Term::plateSet))
        hottest = std::max(hottest, ambientK + flux->value / loss->value);
    return hottest;
}

class EveryKind : public ::testing::TestWithParam<kitchen::ApplianceKind> {};

TEST_P(EveryKind, WarmsEveryFoodAndNoneBeyondWhatHeatsIt) {
    constexpr double kMinutes = 20, kSlackK = 0.5, kLeastRiseK = 4;
    const kitchen::Site site;
    const auto appliance = *kitchen::typicalAppliance(GetParam());
    for (const kitchen::Zone& zone : appliance.zones) {
        Programme programme;
        programme.last().field = usualField(GetParam(), zone.name, site);
        programme.last().site = site;
        const double hottest = hottestSourceK(programme.last().field, site.ambient.kelvin());
        for (const food::Food& food : food::shippedFoods()) {
            const recipe::FoodPiece piece = usualPiece(food);
            const Tables tables = tablesFor(food, 101325);
            auto simulation =
                *Simulation::create(piece, programme, kQuick, tables.material, tables.vapour);
            const auto done = simulation.cookUntil(kMinutes * 60);
            ASSERT_TRUE(done.has_value()) << food.id << ": " << done.error().message;
            EXPECT_GT(simulation.solver().meanK(), piece.startK + kLeastRiseK)
                << food.id << " in " << zone.name;
            for (std::size_t i = 0; i < simulation.solver().grid().up.size(); ++i)
                EXPECT_LT(simulation.solver().state().peakK[simulation.solver().row(0, i)],
                          hottest + kSlackK)
                    << food.id << " in " << zone.name;
        }
    }
}

INSTANTIATE_TEST_SUITE_P(Kinds, EveryKind, ::testing::ValuesIn(kitchen::allKinds()),
                         [](const auto& at) { return std::string(kitchen::enumName(at.param)); });

// ∫ dφ/(a + b(1 − cos φ)) over the lower half by the tangent half-angle, and the ball's logarithm:
// elementary integrals (any table of them).
TEST(RoundContact, IsTheElementaryIntegralOfTouchAndWedge) {
    constexpr double kAir = 0.033, contact = 400, diameter = 0.026;
    const double a = 1 / contact, b = diameter / 2 / kAir;
    const double root = std::sqrt(a * (a + 2 * b));
    const double cylinder = 2 / root *
                            std::atan(std::sqrt((a + 2 * b) / a) * std::tan(std::numbers::pi / 4)) /
                            std::numbers::pi;
    EXPECT_NEAR(roundContact(heat::Shape::cylinder, diameter, contact, false).mean, cylinder,
                0.005 * cylinder);
    const double ball = std::log1p(b / a) / (2 * b);
    EXPECT_NEAR(roundContact(heat::Shape::sphere, diameter, contact, false).mean, ball,
                0.005 * ball);
}

TEST(RoundContact, FatInTheWedgeHelpsAndAThickerPieceTouchesLess) {
    const auto mean = [](double mm, bool fat) {
        return roundContact(heat::Shape::cylinder, mm / 1000, 400, fat).mean;
    };
    EXPECT_GT(mean(26, true), 1.3 * mean(26, false));
    EXPECT_LT(mean(60, false), mean(26, false));
}

// A sausage in a frying pan takes 10 to 20 minutes, rolled (common practice, no source).
TEST(Defect102, ASausageInAPanIsDoneInItsUsualTime) {
    const kitchen::Site site;
    recipe::FoodPiece piece = usualPiece(*food::findFood("pork-sausage"));
    piece.fat = "sunflower";
    Programme programme;
    programme.last().field = usualField(kitchen::ApplianceKind::gasHob, "pan", site);
    put(programme.last().field, {{Face::bottom, Term::plate}, Temperature::celsius(180).kelvin()});
    put(programme.last().field,
        {{Face::bottom, Term::plateSet}, Temperature::celsius(180).kelvin()});
    programme.last().site = site;
    const Tables tables = tablesFor(piece.food, 101325);
    const auto done = cookTo(piece, programme, {345.15, food::GoalMoment::peak}, kFull, tables);
    ASSERT_TRUE(done.has_value()) << done.error().message;
    EXPECT_GT(done->pullS, 8 * 60);
    EXPECT_LT(done->pullS, 22 * 60);
}

} // namespace
