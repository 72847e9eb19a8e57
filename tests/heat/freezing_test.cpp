// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Freezing and thawing by enthalpy against Plank's and Pham's formulas (ASHRAE
// Handbook—Refrigeration, chapter on cooling and freezing times; formulas from memory).
#include "food/freezing.h"
#include "heat/cook_by_solver.h"

namespace {

using namespace dynamet::heat;
using namespace dynamet::heat::testing;
using dynamet::food::Composition;

/// Sensible and latent heat relative to the freezing point, J/m³, by Simpson's rule.
double frozenEnthalpy(const Composition& c, double freezingC, double celsius) {
    constexpr int kPieces = 64; // Simpson's rule
    const double h = (celsius - freezingC) / kPieces;
    double sum = 0;
    for (int i = 0; i < kPieces; ++i) {
        const double a = freezingC + h * i;
        sum += h / 6 *
               (dynamet::food::frozenHeatCapacity(c, freezingC, a) +
                4 * dynamet::food::frozenHeatCapacity(c, freezingC, a + h / 2) +
                dynamet::food::frozenHeatCapacity(c, freezingC, a + h));
    }
    return sum - dynamet::food::meltingHeat(c, freezingC, celsius);
}

FaceBoundary air(double celsius, double h) {
    FaceBoundary face;
    face.air = Convection{C(celsius), h};
    return face;
}

double timeTo(PieceSolver& solver, double coreC, bool falling) {
    double at = 0;
    const auto done = solver.advance(400000, [&](const StepReport& step) {
        at = step.endS;
        return falling ? step.coreEndK > C(coreC) : step.coreEndK < C(coreC);
    });
    EXPECT_TRUE(done.has_value());
    return at;
}

// Plank 1913: t = ρL/(T_f − T_m) (d/2h + d²/8k), for a slab at its freezing point throughout with
// hardly any sensible heat: nearly pure water in air little below.
TEST(Freezing, OfNearlyPureWaterTakesPlanksTime) {
    const Composition ice{0.97, 0, 0, 0.03, 0, 0};
    const double freezing = -0.01, around = -6, h = 30, d = 0.03;
    auto solver = solverFor({Shape::slab, d, C(freezing)}, Material(ice, freezing));
    solver.setBoundaries(air(around, h), air(around, h));
    const double latent = dynamet::food::densityAt(ice, 20) * 333.6e3 * 0.97;
    const double k = dynamet::food::frozenConductivity(ice, freezing, -3);
    const double plank = latent / (freezing - around) * (d / (2 * h) + d * d / (8 * k));
    // The core leaves the plateau when all is frozen.
    EXPECT_NEAR(timeTo(solver, -0.5, true) / plank, 1, 0.05);
}

TEST(Thawing, OfNearlyPureIceTakesPlanksTime) {
    const Composition ice{0.97, 0, 0, 0.03, 0, 0};
    const double freezing = -0.01, around = 6, h = 30, d = 0.03;
    auto solver = solverFor({Shape::slab, d, C(-0.5)}, Material(ice, freezing));
    solver.setBoundaries(air(around, h), air(around, h));
    const double latent = -frozenEnthalpy(ice, freezing, -0.5);
    double capacity = 0, k = 0;
    Material(ice, freezing).full(C(3), capacity, k);
    const double plank = latent / (around - freezing) * (d / (2 * h) + d * d / (8 * k));
    EXPECT_NEAR(timeTo(solver, 0.3, false) / plank, 1, 0.08);
}

// Pham 1984/1986, as ASHRAE prints it: t = (d/h) [ΔH1/ΔT1 + ΔH2/ΔT2] (1 + Bi/2) with d the half
// thickness, T_fm = 1.8 + 0.263 T_c + 0.105 T_m; stated good to ±10 %; our parallel conductivity of
// frozen food is known no better.
TEST(Freezing, OfLeanBeefTakesPhamsTime) {
    const Composition beef{0.72, 0.20, 0.07, 0, 0, 0.01};
    for (const auto& [thickness, h, around] :
         {std::tuple{0.05, 25.0, -30.0}, {0.10, 25.0, -30.0}, {0.05, 80.0, -25.0}}) {
        const double start = 10, core = -10, d = thickness / 2;
        auto solver = solverFor({Shape::slab, thickness, C(start)}, Material(beef));
        solver.setBoundaries(air(around, h), air(around, h));
        const Material material(beef);
        const double mean = 1.8 + 0.263 * core + 0.105 * around;
        const double rho = dynamet::food::densityAt(beef, 20);
        double capacity = 0, k = 0;
        material.full(C(0.0), capacity, k);
        const double first = capacity * (start - mean);
        k = dynamet::food::frozenConductivity(beef, kUsualFreezingC, -18);
        const double frozenC = rho * 2100; // J/m³K, frozen lean beef
        const double latent = 333.6e3 * rho * dynamet::food::iceShare(beef, kUsualFreezingC, core);
        const double second = latent + frozenC * (mean - core);
        const double pham = d / h *
                            (first / ((start + mean) / 2 - around) + second / (mean - around)) *
                            (1 + h * d / k / 2);
        EXPECT_NEAR(timeTo(solver, core, true) / pham, 1, 0.15) << thickness << " m, h " << h;
    }
}

// Ice of lean beef at −10, −20 and −40 °C is about 0.60, 0.63 and 0.65 of the mass by the same
// handbook's formula; most of its water (Riedel 1957 found 83, 88 and 90 %; from memory).
TEST(IceShare, OfLeanBeefIsMostOfItsWater) {
    const Composition beef{0.745, 0.21, 0.035, 0, 0, 0.01};
    EXPECT_NEAR(dynamet::food::iceShare(beef, -1.0, -10) / 0.745, 0.82, 0.05);
    EXPECT_NEAR(dynamet::food::iceShare(beef, -1.0, -20) / 0.745, 0.86, 0.05);
    EXPECT_NEAR(dynamet::food::iceShare(beef, -1.0, -40) / 0.745, 0.88, 0.05);
    EXPECT_EQ(dynamet::food::iceShare(beef, -1.0, 5), 0);
}

TEST(FromFrozen, TakesLongerAndKeepsItsEnergy) {
    const Composition beef;
    FaceBoundary flux;
    flux.flux = 4000;
    auto frozen = solverFor({Shape::slab, 0.03, C(-18)}, Material(beef));
    const double before = frozen.heatContent();
    frozen.setBoundaries(flux, flux);
    run(frozen, 1500);
    EXPECT_NEAR((frozen.heatContent() - before) / (2 * 4000 * 1500), 1, 1e-3);
    auto oven = air(180, 20);
    oven.vapourPa = 2500;
    auto fromIce = solverFor({Shape::slab, 0.03, C(-18)}, Material(beef));
    auto fromFridge = solverFor({Shape::slab, 0.03, C(5)}, Material(beef));
    fromIce.setBoundaries(oven, oven);
    fromFridge.setBoundaries(oven, oven);
    const double cold = timeTo(fromIce, 55, false), cool = timeTo(fromFridge, 55, false);
    EXPECT_GT(cold / cool, 1.3); // cooks' rule: half as long again from frozen (common practice)
    EXPECT_LT(cold / cool, 2.2);
}

} // namespace
