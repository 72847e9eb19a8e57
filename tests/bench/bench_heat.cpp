// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One-hour cooks turned once, beside CVODE in the same run. `error_mK` is the total error of the
// core at the end, space and time together, against a solution of the same equations on a much
// finer grid.
#include "bench/cvode_grid.h"
#include "heat/piece_solver.h"
#include "reference/cvode_food.h"

#include <benchmark/benchmark.h>
#include <cmath>
#include <map>

namespace {

using namespace dynamet::heat;

const std::shared_ptr<const Material> kBeef =
    std::make_shared<Material>(dynamet::food::Composition{});
const std::shared_ptr<const Vapour> kSea = std::make_shared<Vapour>(101325.0);

struct Kind {
    bench::GridCase grid;
    bool wet = false;
};

Kind dry() {
    return {};
}
Kind wet() {
    Kind k;
    k.wet = true;
    k.grid.bottomK = k.grid.topK = 273.15 + 160;
    return k;
}
Kind section() {
    Kind k;
    k.grid.piece.shape = Shape::block;
    return k;
}

FaceBoundary side(double airK, double h, bool wetFace) {
    FaceBoundary face;
    face.air = Convection{airK, h};
    face.radiators.push_back({airK, 0.9});
    if (wetFace)
        face.vapourPa = 2500;
    return face;
}

double cook(const Kind& kind, double tolerance, long& steps) {
    SolverOptions options;
    options.toleranceK = tolerance;
    options.boiling = kind.wet;
    options.cells = kind.grid.cells;
    options.acrossCells = kind.grid.acrossCells;
    auto solver = PieceSolver::create(kind.grid.piece, kBeef, kSea, options);
    const auto top = side(kind.grid.topK, kind.grid.hTop, kind.wet);
    solver->setBoundaries(side(kind.grid.bottomK, kind.grid.hBottom, kind.wet), top, top);
    static_cast<void>(solver->advance(kind.grid.turnAtS));
    solver->turn();
    static_cast<void>(solver->advance(kind.grid.durationS));
    steps = solver->steps();
    return solver->coreK();
}

/// The same on a grid so fine that its error does not count; found once for each kind.
double converged(Kind kind) {
    static std::map<std::pair<bool, Shape>, double> known;
    double& core = known[{kind.wet, kind.grid.piece.shape}];
    if (core != 0)
        return core;
    const bool cross = isCrossSection(kind.grid.piece.shape);
    kind.grid.cells = cross ? 120 : 320;
    kind.grid.acrossCells = 60;
    long ignored = 0;
    return core = cook(kind, cross ? 0.01 : 0.005, ignored);
}

void ours(benchmark::State& state, Kind kind) {
    kind.grid.cells = static_cast<int>(state.range(0));
    kind.grid.acrossCells = kind.grid.cells / 2;
    const double tolerance = static_cast<double>(state.range(1)) / 1000;
    const double exact = converged(kind);
    long steps = 0;
    double core = 0;
    for (auto _ : state)
        core = cook(kind, tolerance, steps);
    state.counters["error_mK"] = 1000 * std::abs(core - exact);
    state.counters["steps"] = static_cast<double>(steps);
}

void cvode(benchmark::State& state, Kind kind, bench::Linear linear) {
    kind.grid.cells = static_cast<int>(state.range(0));
    kind.grid.acrossCells = kind.grid.cells / 2;
    const double tolerance = std::pow(10.0, -static_cast<double>(state.range(1)));
    long steps = 0;
    double core = 0;
    const double exact = converged(kind);
    for (auto _ : state)
        core = bench::solveGrid(kind.grid, *kBeef, tolerance, linear, steps);
    state.counters["error_mK"] = 1000 * std::abs(core - exact);
    state.counters["steps"] = static_cast<double>(steps);
}

/// Full physics by CVODE on the reference's equations; not tuned for speed.
void cvodeWet(benchmark::State& state) {
    const Kind kind = wet();
    reference::Case problem;
    problem.cells = static_cast<int>(state.range(0));
    problem.grading = kind.grid.grading;
    problem.bottom.airK = problem.bottom.radiantK = kind.grid.bottomK;
    problem.top.airK = problem.top.radiantK = kind.grid.topK;
    problem.bottom.hAir = kind.grid.hBottom;
    problem.top.hAir = kind.grid.hTop;
    problem.bottom.view = problem.top.view = 0.9;
    problem.bottom.vapourPa = problem.top.vapourPa = 2500;
    problem.turnAtS = kind.grid.turnAtS;
    problem.relativeTolerance = std::pow(10.0, -static_cast<double>(state.range(1)));
    problem.reportS = {kind.grid.durationS};
    const double exact = converged(kind);
    reference::Result result;
    for (auto _ : state)
        result = reference::solve(problem);
    state.counters["error_mK"] = 1000 * std::abs(result.coreK[0] - exact);
    state.counters["steps"] = static_cast<double>(result.steps);
}

/// Cost by cells: nanoseconds for each cell and step must stay level.
void byCells(benchmark::State& state, Kind kind) {
    kind.grid.cells = static_cast<int>(state.range(0));
    kind.grid.acrossCells = kind.grid.cells / 2;
    const double cells = isCrossSection(kind.grid.piece.shape)
                             ? (kind.grid.cells + 1.0) * (kind.grid.acrossCells + 1.0)
                             : kind.grid.cells + 1.0;
    long steps = 0;
    for (auto _ : state)
        cook(kind, 0.1, steps);
    state.counters["ns_per_cell_and_step"] = benchmark::Counter(
        cells * static_cast<double>(steps) * 1e-9,
        benchmark::Counter::kIsIterationInvariantRate | benchmark::Counter::kInvert);
}

constexpr auto kMs = benchmark::kMillisecond;

BENCHMARK_CAPTURE(ours, dry_cells_tolerance_mK, dry())
    ->Args({12, 600})
    ->Args({14, 500})
    ->Args({16, 300})
    ->Args({20, 200})
    ->Args({28, 100})
    ->Args({40, 50})
    ->Unit(kMs);
BENCHMARK_CAPTURE(cvode, dry_cells_rtol, dry(), bench::Linear::band)
    ->Args({16, 4})
    ->Args({20, 4})
    ->Args({20, 5})
    ->Args({28, 5})
    ->Args({40, 5})
    ->Unit(kMs);
BENCHMARK_CAPTURE(ours, wet_cells_tolerance_mK, wet())
    ->Args({20, 300})
    ->Args({28, 200})
    ->Args({40, 300})
    ->Args({56, 300})
    ->Args({60, 200})
    ->Unit(kMs);
BENCHMARK(cvodeWet)->Name("cvode/wet_cells_rtol")->Args({28, 4})->Args({40, 5})->Unit(kMs);
BENCHMARK_CAPTURE(ours, section_cells_tolerance_mK, section())
    ->Args({16, 300})
    ->Args({20, 200})
    ->Args({28, 100})
    ->Unit(kMs);
BENCHMARK_CAPTURE(cvode, section_band_cells_rtol, section(), bench::Linear::band)
    ->Args({16, 4})
    ->Args({20, 5})
    ->Args({28, 5})
    ->Unit(kMs);
BENCHMARK_CAPTURE(cvode, section_gmres_cells_rtol, section(), bench::Linear::gmres)
    ->Args({16, 4})
    ->Args({16, 5})
    ->Args({20, 5})
    ->Args({28, 5})
    ->Unit(kMs);
BENCHMARK_CAPTURE(byCells, dry, dry())->Arg(30)->Arg(60)->Arg(120)->Arg(240)->Unit(kMs);
BENCHMARK_CAPTURE(byCells, section, section())->Arg(16)->Arg(32)->Arg(64)->Unit(kMs);

} // namespace

BENCHMARK_MAIN();
