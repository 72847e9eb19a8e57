// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The algebra of a belief: a kitchen's years of cooks taken in, a window asked of it; beside a
// plain dense solve of as many rows in the same run.
#include "evidence/belief.h"

#include <Eigen/Dense>
#include <benchmark/benchmark.h>
#include <fmt/format.h>
#include <map>
#include <random>

namespace {

using namespace dynamet::evidence;

/// Effects of a cook: shared with its food, its way and its appliance, and its own.
Effects effectsOf(int cook, std::mt19937& random) {
    std::normal_distribution<double> about(0, 1);
    Effects out{{fmt::format("food:{}", cook % 12), 0.05, "the food"},
                {fmt::format("way:{}", cook % 5), 0.06, "the model"},
                {"model", 0.05, "the model"},
                {fmt::format("cook:{}", cook), 0.04, "one cook and another"}};
    for (int term = 0; term < 5; ++term)
        out.push_back(
            {fmt::format("field:{}:{}", cook % 9, term), 0.03 + 0.01 * about(random), "the heat"});
    return out;
}

std::vector<Observation> cooks(int count) {
    std::mt19937 random(1);
    std::normal_distribution<double> about(0, 1);
    std::map<std::string, double> truth; // the unknowns as they are
    std::vector<Observation> out;
    for (int i = 0; i < count; ++i) {
        Observation one;
        one.id = fmt::format("{:05}", i);
        one.effects = effectsOf(i, random);
        one.u = 0.03;
        one.lnDifference = one.u * about(random);
        for (const Effect& effect : one.effects) {
            const auto is = truth.try_emplace(effect.unknown, about(random)).first;
            one.lnDifference += effect.lnTime * is->second;
        }
        out.push_back(std::move(one));
    }
    return out;
}

void absorb(benchmark::State& state) {
    const auto all = cooks(static_cast<int>(state.range(0)));
    for (auto _ : state)
        benchmark::DoNotOptimize(Belief({}, all).agreements().size());
}

void predict(benchmark::State& state) {
    const Belief belief({}, cooks(static_cast<int>(state.range(0))));
    std::mt19937 random(2);
    const Effects asked = effectsOf(3, random);
    for (auto _ : state)
        benchmark::DoNotOptimize(belief.mean(asked) + belief.variance(asked));
}

void denseReference(benchmark::State& state) {
    const auto n = static_cast<Eigen::Index>(state.range(0));
    const Eigen::MatrixXd a = Eigen::MatrixXd::Random(n, n);
    const Eigen::MatrixXd k = a * a.transpose() + Eigen::MatrixXd::Identity(n, n);
    const Eigen::VectorXd y = Eigen::VectorXd::Random(n);
    for (auto _ : state)
        benchmark::DoNotOptimize(k.ldlt().solve(y).sum());
}

BENCHMARK(absorb)
    ->Name("evidence/absorb_cooks")
    ->Arg(20)
    ->Arg(100)
    ->Arg(300)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(predict)
    ->Name("evidence/window_of_one_row")
    ->Arg(20)
    ->Arg(100)
    ->Arg(300)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(denseReference)
    ->Name("reference/dense_ldlt")
    ->Arg(20)
    ->Arg(100)
    ->Arg(300)
    ->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
