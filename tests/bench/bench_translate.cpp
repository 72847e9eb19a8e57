// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// All rows of the demo kitchen with their windows, on one and on two threads, and the first row
// alone; solves per row are printed beside.
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
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

/// What a slider asks for first (goal 25 ms): the recipe simulated anew, and the open row's core,
/// curves and expected time at the setting it has.
void sliderFirst(benchmark::State& state) {
    translate::Request changed = request();
    const auto before = *translate::prepare(request());
    const auto open = translate::solveRow(before, before.targets[1]);
    const auto& held = open.instruction.setting;
    double guess = open.outcome.pullS - open.outcome.lastStartS;
    double mm = 0;
    for (auto _ : state) {
        changed.writtenPiece = request().recipe.piece;
        changed.recipe.piece.thicknessM = 0.040 + 0.0001 * (mm += 1);
        if (mm > 30)
            mm = 0;
        const auto prepared = *translate::prepare(changed);
        const auto row = translate::solveRowAt(prepared, prepared.targets[1], held, 0, {}, guess);
        guess = row.outcome.pullS - row.outcome.lastStartS;
    }
}

/// And its window (goal 120 ms in all).
void sliderWhole(benchmark::State& state) {
    translate::Request changed = request();
    double mm = 0;
    for (auto _ : state) {
        changed.writtenPiece = request().recipe.piece;
        changed.recipe.piece.thicknessM = 0.040 + 0.0001 * (mm += 1);
        if (mm > 30)
            mm = 0;
        const auto prepared = *translate::prepare(changed);
        auto row = translate::solveRow(prepared, prepared.targets[1]);
        translate::addWindow(prepared, row);
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

/// All places of the kitchen with their windows and their methods, on two threads.
void rowsAndWays(benchmark::State& state) {
    const translate::Request asked = requestFor(0);
    for (auto _ : state) {
        const auto prepared = *translate::prepare(asked);
        std::atomic<std::size_t> next = 0;
        std::vector<std::jthread> workers;
        for (int t = 0; t < 2; ++t)
            workers.emplace_back([&] {
                for (std::size_t i = next++; i < prepared.targets.size(); i = next++) {
                    auto row = translate::solveRow(prepared, prepared.targets[i]);
                    translate::addWindow(prepared, row);
                    if (row.reached)
                        benchmark::DoNotOptimize(translate::waysOn(prepared, row).gain);
                }
            });
    }
}

BENCHMARK(sliderFirst)->Name("slider/core_curves_time_goal_25ms")->Unit(benchmark::kMillisecond);
BENCHMARK(sliderWhole)->Name("slider/with_window_goal_120ms")->Unit(benchmark::kMillisecond);
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
BENCHMARK(rowsAndWays)
    ->Name("translate/all_rows_and_ways_two_threads")
    ->Unit(benchmark::kMillisecond)
    ->UseRealTime();

} // namespace

BENCHMARK_MAIN();
