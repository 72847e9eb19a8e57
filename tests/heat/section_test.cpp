// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Cross-sections against product solutions (Carslaw & Jaeger 1959, ch. 1.15; Incropera et al.,
// ch. 5.8): a block is a slab times a slab, a cylinder with ends a cylinder times a slab.
#include "heat/cook_by_solver.h"
#include "heat/series.h"

namespace {

using namespace dynamet::heat;
using namespace dynamet::heat::testing;

constexpr double kTolerance = 0.05; // K
constexpr double k = 0.5, rho = 1000, c = 3600, alpha = k / (rho * c);
constexpr double kStart = 5, kAround = 180, kH = 40;

FaceBoundary air(double h = kH) {
    FaceBoundary face;
    face.air = Convection{C(kAround), h};
    return face;
}

SolverOptions fine() {
    SolverOptions options;
    options.cells = 80;
    options.acrossCells = 40;
    options.toleranceK = 0.005;
    return options;
}

/// A section of 40 or 50 mm height against its product: `round` is the shape that its width has on
/// its own; core and the middle of one face.
void expectProduct(Shape section, Shape round, double height, FaceIndex face) {
    const double width = 0.06;
    auto solver = solverFor({section, height, C(kStart), width},
                            Material(ConstantProperties{k, rho, c}), fine());
    solver.setBoundaries(air(), air(), air());
    for (double seconds : {300.0, 900.0, 1800.0, 2400.0, 3600.0}) {
        run(solver, seconds);
        const auto left = [&](Shape shape, double length, double place) {
            return series(shape, kH * length / 2 / k, alpha * seconds / (length * length / 4),
                          place);
        };
        const bool onSide = face == sideFace;
        const double core = left(Shape::slab, height, 0) * left(round, width, 0);
        const double atFace =
            left(Shape::slab, height, onSide ? 0 : 1) * left(round, width, onSide ? 1 : 0);
        const double span = kStart - kAround;
        EXPECT_NEAR(solver.coreK() - 273.15, kAround + span * core, kTolerance) << seconds;
        EXPECT_NEAR(solver.surfaceK(face) - 273.15, kAround + span * atFace, kTolerance) << seconds;
    }
}

TEST(Block, IsTheProductOfTwoSlabs) {
    expectProduct(Shape::block, Shape::slab, 0.04, topFace);
}

TEST(FiniteCylinder, IsTheProductOfACylinderAndASlab) {
    expectProduct(Shape::finiteCylinder, Shape::cylinder, 0.05, sideFace);
}

// A very wide block is a slab, whatever happens at its side.
TEST(Block, FarFromItsSideIsASlab) {
    auto block = solverFor({Shape::block, 0.03, C(6), 0.6}, Material(dynamet::food::Composition{}));
    auto slab = solverFor({Shape::slab, 0.03, C(6)}, Material(dynamet::food::Composition{}));
    FaceBoundary oven = air(15);
    oven.vapourPa = 2500;
    block.setBoundaries(oven, oven);
    slab.setBoundaries(oven, oven);
    run(block, 1500);
    run(slab, 1500);
    EXPECT_NEAR(block.coreK(), slab.coreK(), 0.05);
    EXPECT_NEAR(block.evaporatedAt(topFace), slab.evaporatedAt(topFace), 0.01);
}

// Definitions' own figures (physics notes of the design): a finite block is ahead of the slab by
// 1.5–5 K at 50–63 mm in a bath or oven.
TEST(Block, IsAheadOfASlabAsSquareAsItIs) {
    for (const double height : {0.050, 0.063}) {
        auto block = solverFor({Shape::block, height, C(5), 2 * height},
                               Material(dynamet::food::Composition{}));
        auto slab = solverFor({Shape::slab, height, C(5)}, Material(dynamet::food::Composition{}));
        FaceBoundary bath;
        bath.liquid = Liquid{C(57), 100};
        block.setBoundaries(bath, bath);
        slab.setBoundaries(bath, bath);
        run(block, 3600 * 1.5);
        run(slab, 3600 * 1.5);
        EXPECT_GT(block.coreK() - slab.coreK(), 1.0) << height;
        EXPECT_LT(block.coreK() - slab.coreK(), 7.0) << height;
    }
}

TEST(Bone, OnTheFirstFaceMakesAPieceOfTwiceTheThickness) {
    const Material material((dynamet::food::Composition()));
    auto boned = solverFor({Shape::slab, 0.02, C(5), 0.1, Bone::firstFace}, material);
    auto twice = solverFor({Shape::slab, 0.04, C(5)}, material);
    boned.setBoundaries(air(), air());
    twice.setBoundaries(air(), air());
    run(boned, 1200);
    run(twice, 1200);
    EXPECT_NEAR(boned.surfaceK(bottomFace), twice.coreK(), 0.05);
    boned.turn(); // the bone goes up with the food
    run(boned, 1400);
    run(twice, 1400);
    EXPECT_NEAR(boned.surfaceK(topFace), twice.coreK(), 0.05);
}

TEST(Bone, OnOneSideMakesABlockOfTwiceTheWidth) {
    const Material material((dynamet::food::Composition()));
    SolverOptions options;
    options.acrossCells = 16;
    auto boned = solverFor({Shape::block, 0.05, C(5), 0.04, Bone::oneSide}, material, options);
    options.acrossCells = 32;
    auto twice = solverFor({Shape::block, 0.05, C(5), 0.08}, material, options);
    boned.setBoundaries(air(), air());
    twice.setBoundaries(air(), air());
    run(boned, 1500);
    run(twice, 1500);
    const double atBone = boned.state().kelvin[boned.row(0, 30)];
    EXPECT_NEAR(atBone, twice.coreK(), 0.1);
    EXPECT_GT(boned.coreK(), atBone + 1) << "its own centre is half as deep";
}

// Two half-spaces brought together stay at the mean weighted by effusivity (Carslaw & Jaeger 1959,
// ch. 2.15); a stone's layers must give that before its depth notices.
TEST(StoneFloor, MeetsTheFoodAtTheTemperatureOfTheirEffusivities) {
    SolverOptions options;
    options.cells = 200;
    options.toleranceK = 0.02;
    options.stoneLayers = 12;
    auto solver =
        solverFor({Shape::slab, 0.06, C(20)}, Material(ConstantProperties{k, rho, c}), options);
    FaceBoundary floor;
    floor.stone = StoneFloor{C(300), 1e6, 0.05, 1.2, 2.1e6, 0, 0, C(20)};
    solver.setBoundaries(floor, {});
    const double food = std::sqrt(k * rho * c), stone = std::sqrt(1.2 * 2.1e6);
    EXPECT_NEAR(stone, 1600, 25); // the design's effusivity of a brick floor
    const double expected = (food * 20 + stone * 300) / (food + stone);
    for (double seconds : {30.0, 60.0, 120.0}) {
        run(solver, seconds);
        EXPECT_NEAR(solver.surfaceK(bottomFace) - 273.15, expected, 4) << seconds;
    }
    EXPECT_LT(solver.plateK(bottomFace), C(180)) << "the stone's face dips";
}

} // namespace
