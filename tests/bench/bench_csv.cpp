// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// How fast a log is read, beside a plain read of the same bytes in the same run.
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"

#include <benchmark/benchmark.h>
#include <cstdio>
#include <numeric>

namespace {

using namespace dynamet::formats;

/// A day of eight probes each second, about 5 MB.
const std::string& logText(bool german) {
    static const auto make = [](char delimiter, char point) {
        std::string text = "time_s";
        for (int p = 1; p <= 8; ++p)
            text += std::string(1, delimiter) + "probe " + std::to_string(p) + " (C)";
        text += "\n";
        for (int t = 0; t < 86400; ++t) {
            text += std::to_string(t);
            for (int p = 0; p < 8; ++p) {
                char number[16];
                std::snprintf(number, sizeof number, "%c%d%c%d", delimiter,
                              100 + (t / 60 + 7 * p) % 150, point, (t + p) % 10);
                text += number;
            }
            text += '\n';
        }
        return text;
    };
    static const std::string english = make(',', '.'), other = make(';', ',');
    return german ? other : english;
}

void parse(benchmark::State& state, bool german) {
    const std::string& text = logText(german);
    const auto dialect = sniffCsv(text);
    for (auto _ : state)
        benchmark::DoNotOptimize(parseCsv(text, *dialect)->timeS.size());
    state.SetBytesProcessed(static_cast<std::int64_t>(state.iterations()) *
                            static_cast<std::int64_t>(text.size()));
}
void points(benchmark::State& state) {
    parse(state, false);
}
void commas(benchmark::State& state) {
    parse(state, true);
}

void plainRead(benchmark::State& state) {
    const std::string& text = logText(false);
    for (auto _ : state)
        benchmark::DoNotOptimize(
            std::accumulate(text.begin(), text.end(), 0U, [](unsigned sum, char c) {
                return sum + static_cast<unsigned char>(c);
            }));
    state.SetBytesProcessed(static_cast<std::int64_t>(state.iterations()) *
                            static_cast<std::int64_t>(text.size()));
}

BENCHMARK(points)->Name("csv/decimal_points")->Unit(benchmark::kMillisecond);
BENCHMARK(commas)->Name("csv/decimal_commas")->Unit(benchmark::kMillisecond);
BENCHMARK(plainRead)->Name("csv/plain_read_of_the_bytes")->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
