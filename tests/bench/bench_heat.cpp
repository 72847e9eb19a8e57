// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One-hour cooks of a 30 mm piece on 60 cells, turned once, beside CVODE in the same run. The error
// is that of time, in the core at the end, against the same method at a hundredth of the tolerance.
#include "bench/cvode_lean.h"
#include "heat/piece_solver.h"
#include "reference/cvode_food.h"

#include <benchmark/benchmark.h>
#include <cmath>

namespace {

using namespace dynamet::heat;

constexpr double C(double c) {
    return c + 273.15;
}
const std::shared_ptr<const Material> kBeef =
    std::make_shared<Material>(dynamet::food::Composition{});
const std::shared_ptr<const Vapour> kSea = std::make_shared<Vapour>(101325.0);

FaceBoundary side(double airK, double h, bool wet) {
    FaceBoundary face;
    face.air = Convection{airK, h};
    face.radiators.push_back({airK, 0.9});
    if (wet)
        face.vapourPa = 2500;
    return face;
}

double cook(double tolerance, bool wet, long& steps, int cells = 60) {
    SolverOptions options;
    options.toleranceK = tolerance;
    options.boiling = wet;
    options.cells = cells;
    auto solver = PieceSolver::create({Shape::slab, 0.03, C(5)}, kBeef, kSea, options);
    const bench::LeanCase in;
    solver->setBoundaries(side(in.airK, in.hAir, wet), side(in.airTopK, in.hTop, wet));
    static_cast<void>(solver->advance(in.turnAtS));
    solver->turn();
    static_cast<void>(solver->advance(in.durationS));
    steps = solver->steps();
    return solver->coreK();
}

reference::Case fullCase(double tolerance) {
    reference::Case problem;
    const bench::LeanCase in;
    problem.cells = in.cells;
    problem.bottom.airK = problem.bottom.radiantK = in.airK;
    problem.bottom.hAir = in.hAir;
    problem.top.airK = problem.top.radiantK = in.airTopK;
    problem.top.hAir = in.hTop;
    problem.bottom.view = problem.top.view = in.view;
    problem.bottom.vapourPa = problem.top.vapourPa = 2500;
    problem.turnAtS = in.turnAtS;
    problem.relativeTolerance = tolerance;
    problem.reportS = {in.durationS};
    return problem;
}

void ours(benchmark::State& state, bool wet) {
    const double tolerance = static_cast<double>(state.range(0)) / 1000;
    long steps = 0;
    double core = 0;
    for (auto _ : state)
        core = cook(tolerance, wet, steps);
    long ignored = 0;
    state.counters["error_mK"] = 1000 * std::abs(core - cook(tolerance / 100, wet, ignored));
    state.counters["steps"] = static_cast<double>(steps);
}
void oursDry(benchmark::State& state) {
    ours(state, false);
}
void oursWet(benchmark::State& state) {
    ours(state, true);
}

void cvodeDry(benchmark::State& state) {
    const double tolerance = std::pow(10.0, -static_cast<double>(state.range(0)));
    long steps = 0, ignored = 0;
    double core = 0;
    for (auto _ : state)
        core = bench::solveLean({}, *kBeef, tolerance, steps);
    state.counters["error_mK"] =
        1000 * std::abs(core - bench::solveLean({}, *kBeef, 1e-10, ignored));
    state.counters["steps"] = static_cast<double>(steps);
}

void cvodeWet(benchmark::State& state) {
    const double tolerance = std::pow(10.0, -static_cast<double>(state.range(0)));
    reference::Result result;
    for (auto _ : state)
        result = reference::solve(fullCase(tolerance));
    const double exact = reference::solve(fullCase(1e-9)).coreK[0];
    state.counters["error_mK"] = 1000 * std::abs(result.coreK[0] - exact);
    state.counters["steps"] = static_cast<double>(result.steps);
}

void oursByCells(benchmark::State& state) {
    long steps = 0;
    for (auto _ : state)
        cook(0.1, false, steps, static_cast<int>(state.range(0)));
    state.counters["ns_per_cell_and_step"] = benchmark::Counter(
        static_cast<double>(state.range(0)) * static_cast<double>(steps) * 1e-9,
        benchmark::Counter::kIsIterationInvariantRate | benchmark::Counter::kInvert);
}

BENCHMARK(oursDry)
    ->Name("dry/ours_tolerance_mK")
    ->Arg(300)
    ->Arg(100)
    ->Arg(30)
    ->Arg(10)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(cvodeDry)
    ->Name("dry/cvode_rtol_1e-")
    ->Arg(4)
    ->Arg(5)
    ->Arg(6)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(oursWet)
    ->Name("wet/ours_tolerance_mK")
    ->Arg(300)
    ->Arg(100)
    ->Arg(30)
    ->Arg(10)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(cvodeWet)
    ->Name("wet/cvode_rtol_1e-")
    ->Arg(4)
    ->Arg(5)
    ->Arg(6)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(oursByCells)
    ->Name("dry/ours_cells")
    ->Arg(30)
    ->Arg(60)
    ->Arg(120)
    ->Arg(240)
    ->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
