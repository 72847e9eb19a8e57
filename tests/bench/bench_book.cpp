// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Opening a book of ten years (5,000 rated tests, 20 million readings) and reading what the window
// shows first, beside a new book with the same kitchen in the same run.
#include "bench/ten_year_book.h"
#include "book/cook_store.h"
#include "book/log_store.h"
#include "book/recipe_store.h"

#include <benchmark/benchmark.h>
#include <filesystem>

namespace {

using namespace dynamet;

std::string& folder() {
    static std::string at;
    return at;
}

void open(benchmark::State& state, const std::string& name) {
    for (auto _ : state) {
        auto book = book::Book::open(folder() + name);
        if (!book) {
            state.SkipWithError(book.error().message.c_str());
            return;
        }
        const auto kitchen = loadKitchen(*book);
        const auto recipes = loadRecipes(*book, *kitchen);
        const auto choices = loadChoicesAndLearned(*book, *kitchen);
        const auto newest = book::newestRatings(*book);
        benchmark::DoNotOptimize(kitchen->appliances.size() + recipes->size() + newest->size());
    }
}

/// A word, and two of which one is only begun, in the logbook of ten years.
void search(benchmark::State& state, const std::string& words) {
    auto book = book::Book::open(folder() + "/ten_years");
    book::LogFilter filter;
    filter.text = words;
    std::size_t found = 0;
    for (auto _ : state) {
        const auto lines = logLines(*book, filter);
        found = lines ? lines->size() : 0;
        benchmark::DoNotOptimize(found);
    }
    state.counters["found"] = static_cast<double>(found);
}

} // namespace

int main(int argc, char** argv) {
    folder() =
        (std::filesystem::temp_directory_path() / ("dynamet-years-" + book::newId())).string();
    std::filesystem::create_directories(folder());
    bench::writeYears(folder() + "/ten_years", 5000, 4000);
    bench::writeYears(folder() + "/year_one", 72, 4000); // each cell of the kitchen rated once
    benchmark::RegisterBenchmark("book/ten_years", open, "/ten_years")
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("book/new", open, "/year_one")->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("log/word", search, "preheat")->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("log/words", search, "appliance 3 pre")
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("log/all", search, "")->Unit(benchmark::kMillisecond);
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    std::filesystem::remove_all(folder());
    return 0;
}
