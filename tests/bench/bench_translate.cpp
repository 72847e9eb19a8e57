// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// All rows of the demo kitchen with their windows, on one and on two threads, and the first row
// alone; solves per row are printed beside.
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "kitchen/knobs.h"
#include "translate/translate.h"

#include <atomic>
#include <benchmark/benchmark.h>
#include <thread>

namespace {

using namespace dynamet;

const translate::Request& request() {
    static const translate::Request made = [] {
        auto book = book::Book::open(DEMO_BOOK);
        translate::Request r;
        r.kitchen = *loadKitchen(*book);
        r.recipe = loadRecipes(*book, r.kitchen)->front();
        return r;
    }();
    return made;
}

void reference(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(translate::prepare(request()).has_value());
}

/// The nine appliances that the kitchen began with, or all twenty (second argument 0).
translate::Request requestFor(std::size_t appliances) {
    translate::Request r = request();
    if (appliances > 0)
        r.kitchen.appliances.resize(appliances);
    return r;
}

void allRows(benchmark::State& state) {
    const auto threads = static_cast<std::size_t>(state.range(0));
    const translate::Request asked = requestFor(static_cast<std::size_t>(state.range(1)));
    std::atomic<long> solves = 0;
    std::size_t rows = 0;
    for (auto _ : state) {
        const auto prepared = *translate::prepare(asked);
        rows = prepared.targets.size();
        solves = 0;
        std::atomic<std::size_t> next = 0;
        std::vector<std::jthread> workers;
        for (std::size_t t = 0; t < threads; ++t)
            workers.emplace_back([&] {
                for (std::size_t i = next++; i < prepared.targets.size(); i = next++) {
                    auto row = translate::solveRow(prepared, prepared.targets[i]);
                    translate::addWindow(prepared, row);
                    solves += row.solves;
                }
            });
    }
    state.counters["rows"] = static_cast<double>(rows);
    state.counters["solves_per_row"] = static_cast<double>(solves) / static_cast<double>(rows);
}

void firstRow(benchmark::State& state) {
    for (auto _ : state) {
        const auto prepared = *translate::prepare(request());
        benchmark::DoNotOptimize(translate::solveRow(prepared, prepared.targets.front()).reached);
    }
}

void whatIf(benchmark::State& state) { // one row anew with its window, as a slider asks
    const auto prepared = *translate::prepare(request());
    auto row = translate::solveRow(prepared, prepared.targets[1]);
    for (auto _ : state)
        translate::addWindow(prepared, row);
}

/// The open row, as a hand finds it.
struct Held {
    translate::Prepared prepared = *translate::prepare(request());
    translate::Row row = translate::solveRow(prepared, prepared.targets[1]);
};

/// A hand moves the piece's thickness: the recipe simulated anew, the open row's core, curves, cut
/// and crust at the setting it has; with the window where it is asked for (goals 25 and 120 ms).
void pieceMoved(benchmark::State& state) {
    const Held held;
    translate::Request changed = request();
    changed.writtenPiece = request().recipe.piece;
    changed.believed = std::make_shared<const translate::Believed>(translate::Believed{
        request().recipe.id, held.prepared.ofOthers, held.prepared.belief, held.prepared.ownTime});
    double guess = held.row.outcome.pullS - held.row.outcome.lastStartS;
    double mm = 0;
    for (auto _ : state) {
        changed.recipe.piece.thicknessM = 0.040 + 0.0001 * (mm += 1);
        if (mm > 30)
            mm = 0;
        const auto prepared = *translate::prepare(changed);
        auto row = translate::solveRowAt(prepared, prepared.targets[1],
                                         held.row.instruction.setting, 0, {}, guess);
        guess = row.outcome.pullS - row.outcome.lastStartS;
        benchmark::DoNotOptimize(translate::fullOutcome(prepared, row).has_value());
        if (state.range(0) > 0)
            translate::addWindow(prepared, row);
    }
}

/// A hand moves the open row: its setting, when it comes out, turning, a cover (second argument).
void rowMoved(benchmark::State& state) {
    const Held held;
    const auto& controls =
        findAppliance(held.prepared.request.kitchen, held.row.target.applianceId)->controls;
    const auto knob = knobsOf(controls, held.row.instruction.setting).front();
    const double took = held.row.outcome.pullS - held.row.outcome.lastStartS;
    double step = 0;
    for (auto _ : state) {
        step = step > 4 ? 1 : step + 1;
        translate::Tried tried;
        if (state.range(1) == 0)
            tried.setting =
                turned(controls, held.row.instruction.setting, knob, knob.at + step * knob.step);
        else if (state.range(1) == 1)
            tried.lastS = took + 30 * step;
        else if (state.range(1) == 2)
            tried.turning = recipe::Turning{recipe::TurnWhen::every, 30 + 30 * step, 0};
        else
            tried.covered = true;
        auto row = translate::rowTried(held.prepared, held.row, tried);
        benchmark::DoNotOptimize(translate::fullOutcome(held.prepared, row).has_value());
        if (state.range(0) > 0)
            translate::addWindow(held.prepared, row);
    }
}

/// The other ways on an opened row.
void waysOfARow(benchmark::State& state) {
    const auto prepared = *translate::prepare(request());
    const auto row = translate::solveRow(prepared, prepared.targets[1]);
    long looks = 0;
    for (auto _ : state)
        looks = translate::waysOn(prepared, row).solves;
    state.counters["looks"] = static_cast<double>(looks);
}

/// All places of the kitchen, on two threads: 0 the rows alone, 1 with windows, 2 with windows and
/// methods.
void wholeKitchen(benchmark::State& state) {
    const translate::Request asked = requestFor(0);
    const auto much = state.range(0);
    for (auto _ : state) {
        const auto prepared = *translate::prepare(asked);
        std::atomic<std::size_t> next = 0;
        std::vector<std::jthread> workers;
        for (int t = 0; t < 2; ++t)
            workers.emplace_back([&] {
                for (std::size_t i = next++; i < prepared.targets.size(); i = next++) {
                    auto row = translate::solveRow(prepared, prepared.targets[i]);
                    if (much > 0)
                        translate::addWindow(prepared, row);
                    if (much > 1 && row.reached)
                        benchmark::DoNotOptimize(translate::waysOn(prepared, row).gain);
                }
            });
    }
}

BENCHMARK(pieceMoved)
    ->Name("what_if/piece_core_curves_goal_25ms_with_window_120ms")
    ->DenseRange(0, 1)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(rowMoved)
    ->Name("what_if/setting_time_turning_cover_goal_25ms_with_window_120ms")
    ->ArgsProduct({{0, 1}, {0, 1, 2, 3}})
    ->Unit(benchmark::kMillisecond);
BENCHMARK(reference)->Name("translate/reference_alone")->Unit(benchmark::kMillisecond);
BENCHMARK(firstRow)
    ->Name("translate/until_the_first_row")
    ->Unit(benchmark::kMillisecond)
    ->UseRealTime();
BENCHMARK(whatIf)->Name("translate/window_of_one_row")->Unit(benchmark::kMillisecond);
BENCHMARK(allRows)
    ->Name("translate/all_rows_threads_appliances")
    ->Args({1, 9})
    ->Args({2, 9})
    ->Args({2, 0})
    ->Unit(benchmark::kMillisecond)
    ->UseRealTime();
BENCHMARK(waysOfARow)->Name("translate/ways_of_one_row")->Unit(benchmark::kMillisecond);
BENCHMARK(wholeKitchen)
    ->Name("translate/whole_kitchen_two_threads_rows_windows_methods")
    ->DenseRange(0, 2)
    ->Unit(benchmark::kMillisecond)
    ->UseRealTime();

} // namespace

BENCHMARK_MAIN();
