// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/cook.h"

#include "cook/pull.h"

#include <algorithm>
#include <cmath>
#include <functional>

namespace dynamet::cook {
namespace {

Result<Simulation> simulationOf(const recipe::FoodPiece& piece, const Programme& programme,
                                const Effort& effort, const Tables& tables) {
    auto out = Simulation::create(piece, programme, effort, tables.material, tables.vapour);
    if (out)
        out->stopOn(tables.stop);
    return out;
}

} // namespace

Tables tablesFor(const food::Food& food, double pressurePa) {
    return {std::make_shared<heat::Material>(food), std::make_shared<heat::Vapour>(pressurePa), {}};
}

Result<Outcome> cookTo(const recipe::FoodPiece& piece, const Programme& programme,
                       const CookTarget& target, const Effort& effort, const Tables& tables,
                       bool withSamples) {
    if (piece.startK >= target.coreK)
        return fail(Errc::invalidArgument, Finding{"already_hotter"});
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    CookedSoFar passed;
    auto stages = cookEarlierStages(*simulation, piece, programme, effort, nullptr);
    if (!stages)
        return tl::unexpected(stages.error());
    passed.stages = std::move(*stages);
    passed.startS = simulation->timeS();
    double guess = programme.guessS;
    if (seeksTurn(programme) && guess <= 0 && effort.cells > kQuick.cells) // cheaper on few cells
        if (const auto rough = cookTo(piece, programme, target, kQuick, tables))
            guess = rough->pullS - rough->lastStartS;
    Result<Outcome> outcome =
        solveLast(*simulation, passed, piece, programme, target, guess, effort);
    if (!outcome)
        return outcome;
    simulation->fill(*outcome);
    if (!withSamples)
        return outcome;
    return cookFor(piece, withFixedTurn(programme, *outcome), outcome->pullS, effort, tables, true);
}

Result<void> checkPiece(const recipe::FoodPiece& piece, double coreK) {
    constexpr Metres kThinnest{1e-3}, kThickest{0.4};
    const auto sensible = [=](double metres) {
        return metres >= kThinnest.value && metres <= kThickest.value;
    };
    if (!sensible(piece.thicknessM))
        return fail(Errc::invalidArgument, {"thickness_outside", {kThinnest, kThickest}});
    if (piece.rounds < 1 || piece.rounds > 20)
        return fail(Errc::invalidArgument, Finding{"rounds_outside"});
    for (double other : piece.othersM)
        if (!sensible(other))
            return fail(Errc::invalidArgument, {"others_outside", {kThinnest, kThickest}});
    if (isCrossSection(piece.shape) && !sensible(piece.widthM))
        return fail(Errc::invalidArgument, {"width_outside", {kThinnest, kThickest}});
    if (!(piece.fatCapM >= 0 && piece.fatCapM < piece.thicknessM / 2))
        return fail(Errc::invalidArgument, Finding{"fat_cap_too_thick"});
    if (!(piece.startK >= kZeroCelsiusK - 40 && piece.startK < coreK))
        return fail(Errc::invalidArgument, {"start_outside", {Temperature::celsius(-40)}});
    return {};
}

std::pair<double, double> thicknessRange(const recipe::FoodPiece& piece) {
    constexpr double kThinnestM = 1e-3, kThickestM = 0.4;
    return {std::max(kThinnestM, piece.thicknessM / 2), std::min(kThickestM, piece.thicknessM * 2)};
}

std::pair<double, double> startRange(const recipe::FoodPiece& piece) {
    constexpr double kColdestC = -30, kWarmestC = 35, kAboutK = 20;
    const double cold = Temperature::celsius(0).kelvin();
    return {
        std::max(Temperature::celsius(kColdestC).kelvin(), std::min(cold, piece.startK - kAboutK)),
        std::max(Temperature::celsius(kWarmestC).kelvin(), piece.startK)};
}

Programme withFixedTurn(Programme programme, const Outcome& outcome) {
    const std::size_t earlier = programme.stages.size() - 1;
    for (std::size_t i = 0; i < std::min(earlier, outcome.stages.size()); ++i)
        if (programme.stages[i].turning == Turning::once && std::isfinite(outcome.stages[i].turnS))
            programme.stages[i].turnAtS = outcome.stages[i].turnS - outcome.stages[i].startS;
    if (programme.last().turning == Turning::once && std::isfinite(outcome.turnS))
        programme.last().turnAtS = outcome.turnS - outcome.lastStartS;
    return programme;
}

namespace {

/// Cooks through all stages; the last one, from its start, until `endOf(start)`.
Result<Outcome> cookUntil(const recipe::FoodPiece& piece, const Programme& programme,
                          const std::function<double(double)>& endOf, const Effort& effort,
                          const Tables& tables, bool withSamples) {
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    Outcome outcome;
    Recorder recorder;
    Recorder* keep = withSamples ? &recorder : nullptr;
    if (keep)
        keep->note(*simulation);
    auto stages = cookEarlierStages(*simulation, piece, programme, effort, keep);
    if (!stages)
        return tl::unexpected(stages.error());
    outcome.stages = std::move(*stages);
    const double start = simulation->timeS(), end = std::max(endOf(start), start);
    outcome.lastStartS = start;
    const auto turnAtS = saidTurnS(*simulation, programme.last(), end);
    if (!turnAtS)
        return tl::unexpected(turnAtS.error());
    const auto events = eventsOf(planOf(programme.last(), *turnAtS), start, end - start, end);
    const auto passed = forward(*simulation, {1e9, end, 1e9}, events, nullptr, keep);
    if (!passed)
        return tl::unexpected(passed.error());
    if (const auto done = restAfter(*simulation, programme, outcome, keep); !done)
        return tl::unexpected(done.error());
    simulation->fill(outcome);
    outcome.turnS = firstTurnS(events, end);
    if (keep)
        recorder.moveInto(outcome);
    return outcome;
}

} // namespace

Result<Outcome> cookFor(const recipe::FoodPiece& piece, const Programme& programme, double seconds,
                        const Effort& effort, const Tables& tables, bool withSamples) {
    return cookUntil(
        piece, programme, [seconds](double) { return seconds; }, effort, tables, withSamples);
}

Result<Outcome> cookLastFor(const recipe::FoodPiece& piece, const Programme& programme,
                            double lastS, const Effort& effort, const Tables& tables,
                            bool withSamples) {
    return cookUntil(
        piece, programme, [lastS](double start) { return start + lastS; }, effort, tables,
        withSamples);
}

Result<Outcome> cookProgramme(const recipe::FoodPiece& piece, const Programme& programme,
                              const CookTarget& target, const Effort& effort, const Tables& tables,
                              bool withSamples) {
    return programme.endsByClock()
               ? cookLastFor(piece, programme, programme.last().written.end.afterS, effort, tables,
                             withSamples)
               : cookTo(piece, programme, target, effort, tables, withSamples);
}

Result<double> timeToReach(const recipe::FoodPiece& piece, const Programme& programme, double coreK,
                           const Effort& effort, const Tables& tables) {
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    const auto stages = cookEarlierStages(*simulation, piece, programme, effort, nullptr);
    if (!stages)
        return tl::unexpected(stages.error());
    const double start = simulation->timeS(), until = start + programme.longestS;
    const auto turnAtS = saidTurnS(*simulation, programme.last(), until);
    if (!turnAtS)
        return tl::unexpected(turnAtS.error());
    const auto events =
        eventsOf(planOf(programme.last(), *turnAtS), start, programme.longestS, until);
    const auto passed = forward(*simulation, {coreK, until, 1e9}, events, nullptr, nullptr);
    if (!passed)
        return tl::unexpected(passed.error());
    return passed->reachedS;
}

} // namespace dynamet::cook
