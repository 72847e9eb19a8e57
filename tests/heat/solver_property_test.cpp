// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/cook_by_solver.h"

#include <cstdlib>
#include <new>

namespace {
std::size_t allocations = 0; // counted by the replaced operator new of this executable
}

// Both are replaced together, which the compiler does not see once it inlines one of them.
#pragma GCC diagnostic ignored "-Wmismatched-new-delete"
void* operator new(std::size_t size) {
    ++allocations;
    if (void* p = std::malloc(size))
        return p;
    throw std::bad_alloc();
}
void operator delete(void* p) noexcept {
    std::free(p);
}
void operator delete(void* p, std::size_t) noexcept {
    std::free(p);
}

namespace {

using namespace dynamet::heat;
using namespace dynamet::heat::testing;

FaceBoundary hotOven() {
    FaceBoundary face;
    face.air = Convection{C(220), 25};
    face.radiators.push_back({C(220), 0.9});
    face.vapourPa = 2500;
    return face;
}

TEST(PieceSolver, DoesNotAllocateWhileStepping) {
    auto solver = solverFor({Shape::slab, 0.03, C(5)}, Material(dynamet::food::Composition{}));
    solver.setBoundaries(hotOven(), hotOven());
    run(solver, 10);
    const std::size_t before = allocations;
    const auto done = solver.advance(1800);
    EXPECT_EQ(allocations, before);
    EXPECT_TRUE(done.has_value());
    EXPECT_GT(solver.steps(), 30);
}

TEST(PieceSolver, KeepsEnergyWithConstantFluxAndNoBoiling) {
    for (Shape shape : {Shape::slab, Shape::cylinder, Shape::sphere}) {
        FaceBoundary face;
        face.flux = 2000;
        SolverOptions options;
        options.boiling = false;
        auto solver =
            solverFor({shape, 0.04, C(10)}, Material(dynamet::food::Composition{}), options);
        const double before = solver.heatContent();
        solver.setBoundaries({}, face);
        run(solver, 900);
        const double area = shape == Shape::slab ? 1 : (shape == Shape::cylinder ? 0.02 : 0.0004);
        const double put = 2000 * 900 * area;
        EXPECT_NEAR((solver.heatContent() - before) / put, 1, 1e-3) << static_cast<int>(shape);
    }
}

TEST(PieceSolver, IsSymmetricUnderTurning) {
    FaceBoundary hot = hotOven(), cold;
    cold.air = Convection{C(60), 10};
    auto straight = solverFor({Shape::slab, 0.03, C(5)}, Material(dynamet::food::Composition{}));
    auto mirrored = solverFor({Shape::slab, 0.03, C(5)}, Material(dynamet::food::Composition{}));
    straight.setBoundaries(hot, cold);
    mirrored.setBoundaries(cold, hot);
    run(straight, 1200);
    run(mirrored, 1200);
    EXPECT_NEAR(straight.surfaceK(bottomFace), mirrored.surfaceK(topFace), 1e-6);
    EXPECT_NEAR(straight.coreK(), mirrored.coreK(), 1e-6);
}

TEST(PieceSolver, TimeErrorFallsWithTheTolerance) {
    const auto core = [](double tolerance) {
        SolverOptions options;
        options.toleranceK = tolerance;
        auto s =
            solverFor({Shape::slab, 0.03, C(5)}, Material(dynamet::food::Composition{}), options);
        s.setBoundaries(hotOven(), hotOven());
        run(s, 900);
        return s.coreK();
    };
    const double exact = core(0.0005);
    EXPECT_LT(std::abs(core(0.1) - exact), 0.02);
    EXPECT_LT(std::abs(core(0.01) - exact), 0.004);
}

TEST(PieceSolver, AWetFaceBoilsAtTheBoilingPointAndDriesBeforeItScorches) {
    FaceBoundary plate;
    plate.plate = FixedPlate{C(260), 400};
    auto solver = solverFor({Shape::slab, 0.03, C(20)}, Material(dynamet::food::Composition{}));
    solver.setBoundaries(plate, {});
    double dryAt = 0;
    ASSERT_TRUE(solver.advance(600, [&](const StepReport& step) {
        if (solver.state().waterLeft[0] > 0)
            EXPECT_LE(solver.surfaceK(bottomFace), C(100.0));
        else if (dryAt == 0)
            dryAt = step.endS;
        return true;
    }));
    EXPECT_GT(dryAt, 2);
    EXPECT_GT(solver.surfaceK(bottomFace), C(150));
}

TEST(PieceSolver, RefusesWhatItCannotCompute) {
    const auto material = std::make_shared<Material>(dynamet::food::Composition{});
    const auto make = [&](Piece piece, int cells) {
        SolverOptions options;
        options.cells = cells;
        return PieceSolver::create(piece, material, seaLevel(), options).has_value();
    };
    EXPECT_TRUE(make({Shape::slab, 0.03, C(5)}, 60));
    EXPECT_FALSE(make({Shape::slab, 0, C(5)}, 60));
    EXPECT_FALSE(make({Shape::slab, 0.03, C(-18)}, 60));
    EXPECT_FALSE(make({Shape::slab, 0.03, C(5)}, 61));
}

} // namespace
