// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Transient conduction against the full Fourier series (Carslaw & Jaeger 1959; Incropera et al.,
// ch. 5) and the error function. The eigenvalues are found here, and checked against table 5.1.
#include "heat/cook_by_solver.h"
#include "heat/series.h"

#include <cmath>

namespace {

using namespace dynamet::heat;
using namespace dynamet::heat::testing;

constexpr double kTolerance = 0.05; // K, the goal of the design
constexpr double k = 0.5, rho = 1000, c = 3600, alpha = k / (rho * c);
constexpr double kStart = 5, kAround = 180;

struct Row {
    Shape shape;
    double bi, zeta, c1;
};
class FirstEigenvalue : public ::testing::TestWithParam<Row> {};
TEST_P(FirstEigenvalue, MatchesIncroperaTable51) {
    const Row row = GetParam();
    const double z = eigenvalue(row.shape, row.bi, 1);
    EXPECT_NEAR(z, row.zeta, 6e-5);
    EXPECT_NEAR(coefficient(row.shape, z), row.c1, 6e-5);
}
INSTANTIATE_TEST_SUITE_P(Table, FirstEigenvalue,
                         ::testing::Values(Row{Shape::slab, 0.1, 0.3111, 1.0161},
                                           Row{Shape::slab, 1, 0.8603, 1.1191},
                                           Row{Shape::slab, 10, 1.4289, 1.2620},
                                           Row{Shape::cylinder, 0.5, 0.9408, 1.1143},
                                           Row{Shape::cylinder, 2, 1.5994, 1.3384},
                                           Row{Shape::cylinder, 100, 2.3809, 1.6015},
                                           Row{Shape::sphere, 1, 1.5708, 1.2732},
                                           Row{Shape::sphere, 10, 2.8363, 1.9249}));

struct Case {
    Shape shape;
    double bi;
};
class Conduction : public ::testing::TestWithParam<Case> {};
TEST_P(Conduction, FollowsTheFullSeries) {
    const auto [shape, bi] = GetParam();
    const double half = 0.02;
    FaceBoundary face;
    face.air = Convection{C(kAround), bi * k / half};
    SolverOptions options;
    options.cells = 120;
    options.toleranceK = 0.02;
    auto solver =
        solverFor({shape, 2 * half, C(kStart)}, Material(ConstantProperties{k, rho, c}), options);
    solver.setBoundaries(shape == Shape::slab ? face : FaceBoundary{}, face);
    for (double fourier : {0.05, 0.1, 0.2, 0.5, 1.0, 2.0}) {
        run(solver, fourier * half * half / alpha);
        const double span = kStart - kAround;
        EXPECT_NEAR(solver.coreK() - 273.15, kAround + span * series(shape, bi, fourier, 0),
                    kTolerance)
            << "core, Bi " << bi << " Fo " << fourier;
        EXPECT_NEAR(solver.surfaceK(topFace) - 273.15,
                    kAround + span * series(shape, bi, fourier, 1), kTolerance)
            << "face, Bi " << bi << " Fo " << fourier;
    }
}
INSTANTIATE_TEST_SUITE_P(Shapes, Conduction,
                         ::testing::Values(Case{Shape::slab, 0.5}, Case{Shape::slab, 10},
                                           Case{Shape::cylinder, 0.5}, Case{Shape::cylinder, 10},
                                           Case{Shape::sphere, 0.5}, Case{Shape::sphere, 10}));

TEST(Conduction, FollowsTheErrorFunctionWhileTheFarFaceIsStillCold) {
    FaceBoundary hot;
    hot.plate = FixedPlate{C(200), 1e6}; // a face held at the plate's temperature
    SolverOptions options;
    options.cells = 400;
    options.grading = 0;
    options.toleranceK = 0.02;
    auto solver =
        solverFor({Shape::slab, 0.1, C(5)}, Material(ConstantProperties{k, rho, c}), options);
    solver.setBoundaries(hot, {});
    run(solver, 600);
    for (double x : {0.005, 0.010, 0.020, 0.030}) {
        const auto node = static_cast<std::size_t>(std::lround(x / 0.1 * 400));
        ASSERT_NEAR(solver.grid().up[node], x, 1e-12);
        const double expected = 200 - 195 * std::erf(x / (2 * std::sqrt(alpha * 600)));
        EXPECT_NEAR(solver.state().kelvin[node + 1] - 273.15, expected, kTolerance) << x << " m";
    }
}

} // namespace
