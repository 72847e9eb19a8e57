// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// From nothing to the first paint with the demo book, beside an empty window in the same run;
// offscreen.
#include "app/look/palette.h"
#include "app/shell/main_window.h"

#include <QApplication>
#include <benchmark/benchmark.h>

namespace {

using namespace dynamet::app;

void paint(QWidget& window) {
    window.resize(1280, 800);
    window.show();
    QApplication::processEvents();
    benchmark::DoNotOptimize(window.grab());
}

void ours(benchmark::State& state) {
    for (auto _ : state) {
        Document document([] { return dynamet::book::When{1795176000000, 0}; });
        if (!document.open(QStringLiteral(DEMO_BOOK)))
            state.SkipWithError("no demo book");
        MainWindow window(document, {});
        paint(window);
    }
}

void empty(benchmark::State& state) {
    for (auto _ : state) {
        QMainWindow window;
        paint(window);
    }
}

BENCHMARK(ours)
    ->Name("start/demo_book_to_first_paint")
    ->Unit(benchmark::kMillisecond)
    ->Iterations(5);
BENCHMARK(empty)->Name("start/empty_window")->Unit(benchmark::kMillisecond)->Iterations(5);

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    look::applyLook();
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
