// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The solver against SUNDIALS CVODE at tight tolerance on equations written apart
// (tests/reference): 0.05 K at the core without steam, 0.1 K with it.
#include "heat/cook_by_solver.h"
#include "reference/cvode_food.h"

#include <cmath>

namespace {

using namespace dynamet::heat;
using namespace dynamet::heat::testing;

constexpr double kCoreTolerance = 0.05, kBoilingCoreTolerance = 0.1;
constexpr double kFaceTolerance = 0.25; // the face moves a hundred kelvins while the core moves one
// Where a face boils dry it does so cell by cell, on both grids at their own moments: a saw of a
// few kelvins on the face that falls with the cell and never reaches the core.
constexpr double kDryingFaceTolerance = 6, kDryingFaceMean = 1.0;

FaceBoundary boundaryOf(const reference::Side& side) {
    FaceBoundary face;
    if (side.hAir > 0)
        face.air = Convection{side.airK, side.hAir};
    if (side.view > 0)
        face.radiators.push_back({side.radiantK, side.view});
    if (side.contact > 0 && !side.lumped)
        face.plate = FixedPlate{side.plateK, side.contact};
    if (side.lumped)
        face.lumpedPlate = LumpedPlate{
            side.plateK, side.contact, side.heatCapacity, side.burnerFlux, side.loss, side.ambientK,
            1,           std::nullopt};
    face.vapourPa = side.vapourPa;
    return face;
}

/// A front makes the reference itself of first order in its cells: the core is carried on to cells
/// of no size (Richardson).
reference::Result extrapolated(reference::Case problem) {
    reference::Result fine = reference::solve(problem);
    problem.cells /= 2;
    const reference::Result coarse = reference::solve(problem);
    for (std::size_t i = 0; i < fine.coreK.size(); ++i)
        fine.coreK[i] = 2 * fine.coreK[i] - coarse.coreK[i];
    return fine;
}

void compare(reference::Case problem, int ourCells, bool carriedOn = false) {
    for (int i = 1; i <= 12; ++i)
        problem.reportS.push_back(problem.durationS * i / 12);
    if (problem.boiling) {
        problem.cells = 320;
        problem.grading = 0.95;
        problem.relativeTolerance = 1e-6;
    }
    const reference::Result expected =
        carriedOn ? extrapolated(problem) : reference::solve(problem);
    SolverOptions options;
    options.cells = ourCells;
    options.toleranceK = 0.01;
    options.pressurePa = problem.pressurePa;
    options.boiling = problem.boiling;
    auto solver = solverFor({Shape::slab, problem.thicknessM, problem.startK},
                            Material(problem.composition), options);
    solver.setBoundaries(boundaryOf(problem.bottom), boundaryOf(problem.top));
    bool turned = problem.turnAtS < 0;
    const double faceTolerance = problem.boiling ? kDryingFaceTolerance : kFaceTolerance;
    const double coreTolerance = problem.boiling ? kBoilingCoreTolerance : kCoreTolerance;
    double faceSum = 0;
    for (std::size_t i = 0; i < problem.reportS.size(); ++i) {
        if (!turned && problem.reportS[i] > problem.turnAtS) {
            run(solver, problem.turnAtS);
            solver.turn();
            turned = true;
        }
        run(solver, problem.reportS[i]);
        EXPECT_NEAR(solver.coreK(), expected.coreK[i], coreTolerance) << problem.reportS[i] << " s";
        const double bottom = solver.surfaceK(bottomFace) - expected.bottomK[i];
        const double top = solver.surfaceK(topFace) - expected.topK[i];
        EXPECT_LT(std::abs(bottom), faceTolerance) << "bottom, " << problem.reportS[i] << " s";
        EXPECT_LT(std::abs(top), faceTolerance) << "top, " << problem.reportS[i] << " s";
        faceSum += std::abs(bottom) + std::abs(top);
    }
    EXPECT_LT(faceSum / 24, problem.boiling ? kDryingFaceMean : kFaceTolerance);
}

reference::Side ovenSide(double celsius, double h) {
    reference::Side side;
    side.airK = side.radiantK = C(celsius);
    side.hAir = h;
    side.view = 0.9;
    return side;
}

TEST(SolverAgainstCvode, ConvectionAndRadiationTurnedOnce) {
    reference::Case problem;
    problem.bottom = ovenSide(200, 20);
    problem.top = ovenSide(240, 10);
    problem.boiling = false;
    problem.turnAtS = 1500;
    compare(problem, 160);
}

TEST(SolverAgainstCvode, EvaporationInAnOven) {
    reference::Case problem;
    problem.thicknessM = 0.035;
    problem.bottom = problem.top = ovenSide(150, 12);
    problem.bottom.vapourPa = problem.top.vapourPa = 2500;
    compare(problem, 160);
}

TEST(SolverAgainstCvode, PlateWithBoilingAndEvaporationTurnedOnce) {
    reference::Case problem;
    problem.thicknessM = 0.025;
    problem.durationS = 400;
    problem.bottom.plateK = C(220);
    problem.bottom.contact = 400;
    problem.top = ovenSide(40, 8);
    problem.top.vapourPa = 2000;
    problem.turnAtS = 190;
    compare(problem, 160, true);
}

TEST(SolverAgainstCvode, HotOvenDriesAndBoilsBothFaces) {
    reference::Case problem;
    problem.thicknessM = 0.03;
    problem.durationS = 1200;
    problem.bottom = problem.top = ovenSide(250, 30);
    problem.bottom.vapourPa = problem.top.vapourPa = 3000;
    compare(problem, 160);
}

TEST(SolverAgainstCvode, PlateThatDipsAndRecovers) {
    reference::Case problem;
    problem.thicknessM = 0.02;
    problem.durationS = 300;
    problem.bottom.lumped = true;
    problem.bottom.plateK = C(230);
    problem.bottom.contact = 400;
    problem.bottom.heatCapacity = 16000;
    problem.bottom.burnerFlux = 12000;
    problem.bottom.loss = 23;
    problem.top = ovenSide(35, 8);
    problem.top.vapourPa = 1500;
    compare(problem, 160);
}

TEST(SolverAgainstCvode, LowPressureBoilsEarlier) {
    reference::Case problem;
    problem.durationS = 450;
    problem.pressurePa = 79495;
    problem.bottom.plateK = C(200);
    problem.bottom.contact = 300;
    problem.top = ovenSide(180, 20);
    problem.top.vapourPa = 2500;
    compare(problem, 160);
}

} // namespace
