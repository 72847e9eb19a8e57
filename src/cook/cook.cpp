// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/cook.h"

#include "cook/passage.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::cook {
namespace {

constexpr double kPeakToleranceK = 0.02;
constexpr double kTurnTolerance = 0.02; // of the solved time
constexpr int kMostTurnRounds = 6, kMostPullRounds = 12;
constexpr double kMostCarryOverK = 45;

Result<bool> continueTo(Simulation& simulation, double untilS, const std::vector<double>& turns) {
    for (double turn : turns) {
        if (turn <= simulation.timeS() + 1e-9 || turn >= untilS)
            continue;
        if (const auto done = simulation.cookUntil(turn); !done)
            return done;
        simulation.turn();
    }
    return simulation.cookUntil(untilS);
}

const Simulation::Moment* latestBefore(const std::vector<Simulation::Moment>& kept, double timeS) {
    const Simulation::Moment* best = nullptr;
    for (const auto& moment : kept)
        if (moment.state.timeS < timeS)
            best = &moment;
    return best;
}

/// The last stage as far as its core has to come, with moments to come back to.
struct Passed {
    std::vector<StagePassed> stages;
    std::vector<Simulation::Moment> kept;
    std::vector<double> turns;
    double startS = 0; ///< of the last stage
    double reachedS = 0;
    double highestK = 0;
};

/// Cooks to `coreK` with the turn put at half of the last stage, by repetition.
Result<Passed> settleTurn(Simulation& simulation, const FoodPiece& piece,
                          const Programme& programme, double coreK, const Effort& effort) {
    Passed out;
    auto stages = passStages(simulation, programme, nullptr);
    if (!stages)
        return tl::unexpected(stages.error());
    out.stages = std::move(*stages);
    out.startS = simulation.timeS();
    const Simulation::Moment first = simulation.moment();
    const bool seek = programme.turning == Turning::once && !programme.turnAtS;
    // 1.5 min a millimetre is a fair start for want of a better one.
    double guess = programme.guessS > 0 ? programme.guessS : 90 * piece.thicknessM * 1000 / 4;
    const double near = effort.cells < kFull.cells ? 3 * kTurnTolerance : kTurnTolerance;
    const double until = out.startS + programme.longestS;
    for (int round = 0; round < (seek ? kMostTurnRounds : 1); ++round) {
        simulation.restore(first);
        out.kept.assign(1, first);
        out.turns = turnTimes(programme.turning, programme.turnAtS, out.startS, guess, until);
        const auto passed = forward(simulation, {coreK, until, coreK - kMostCarryOverK}, out.turns,
                                    &out.kept, nullptr);
        if (!passed)
            return tl::unexpected(passed.error());
        out.reachedS = passed->reachedS;
        out.highestK = passed->highestK;
        const double took = out.reachedS - out.startS;
        if (!std::isfinite(took) || std::abs(took - guess) < near * guess)
            break;
        guess = took;
    }
    return out;
}

Result<Outcome> pullAt(Simulation& simulation, const Passed& passed, double pullS,
                       const Programme& programme) {
    const Simulation::Moment* from = latestBefore(passed.kept, pullS);
    simulation.restore(from ? *from : passed.kept.front());
    if (const auto done = continueTo(simulation, pullS, passed.turns); !done)
        return tl::unexpected(done.error());
    Outcome outcome;
    outcome.stages = passed.stages;
    if (const auto done = restAfter(simulation, programme, outcome, nullptr); !done)
        return tl::unexpected(done.error());
    if (!passed.turns.empty() && passed.turns.front() < pullS)
        outcome.turnS = passed.turns.front();
    return outcome;
}

/// What the target is read on.
double readOf(const Outcome& outcome, food::ReadAt at) {
    return at == food::ReadAt::plate ? outcome.plateK : outcome.peakK;
}

/// The pull time whose peak (or plate) is the target: secant steps held inside a shrinking bracket.
/// Pulling when the core itself is at the target can only meet or pass the peak; the plate may have
/// cooled again, and then the bracket is opened upwards.
Result<Outcome> solvePull(Simulation& simulation, const Passed& passed, const Programme& programme,
                          const CookTarget& target) {
    double low = passed.startS, high = passed.reachedS, at = high;
    double beforeAt = 0, beforeMiss = 0, slope = 0;
    bool known = false; // a pull that is too late has been seen
    Result<Outcome> outcome = fail(Errc::notConverged, "no pull found");
    for (int round = 0; round < kMostPullRounds; ++round) {
        outcome = pullAt(simulation, passed, at, programme);
        if (!outcome)
            return outcome;
        const double miss = readOf(*outcome, target.readAt) - target.coreK;
        if (std::abs(miss) < kPeakToleranceK)
            return outcome;
        (miss > 0 ? high : low) = at;
        known = known || miss > 0;
        if (!known) // the plate has cooled: later than when the core itself was there
            high = at + 0.5 * std::max(at - passed.startS, 60.0);
        if (round == 0) {
            const Simulation::Moment& last = passed.kept.back();
            const double span = std::max(at - last.state.timeS, 1e-3);
            slope = (outcome->pullK - simulation.coreOf(last)) / span;
        } else if (std::abs(at - beforeAt) > 1e-6) {
            slope = (miss - beforeMiss) / (at - beforeAt);
        }
        beforeAt = at;
        beforeMiss = miss;
        const double next = slope > 0 ? at - miss / slope : (low + high) / 2;
        const bool inside = next > low && next < high;
        at = inside ? next : (low + high) / 2;
    }
    return outcome;
}

Result<Simulation> simulationOf(const FoodPiece& piece, const Programme& programme,
                                const Effort& effort, const Tables& tables) {
    return Simulation::create(piece, programme, effort, tables.material, tables.vapour);
}

} // namespace

Tables tablesFor(const food::Food& food, double pressurePa) {
    return {std::make_shared<heat::Material>(food), std::make_shared<heat::Vapour>(pressurePa)};
}

Result<Outcome> cookTo(const FoodPiece& piece, const Programme& programme, const CookTarget& target,
                       const Effort& effort, const Tables& tables, bool withSamples) {
    if (piece.startK >= target.coreK)
        return fail(Errc::invalidArgument, "the food is already hotter than wanted");
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    auto passed = settleTurn(*simulation, piece, programme, target.coreK, effort);
    if (!passed)
        return tl::unexpected(passed.error());
    if (!std::isfinite(passed->reachedS))
        return fail(Errc::refused,
                    fmt::format("the core stops at {:.0f} °C within {:.0f} h",
                                passed->highestK - kZeroCelsiusK, programme.longestS / 3600));
    const bool direct = target.readAt == food::ReadAt::pull || target.readAt == food::ReadAt::bath;
    Result<Outcome> outcome = direct ? pullAt(*simulation, *passed, passed->reachedS, programme)
                                     : solvePull(*simulation, *passed, programme, target);
    if (!outcome)
        return outcome;
    simulation->fill(*outcome);
    if (!withSamples)
        return outcome;
    return cookFor(piece, withFixedTurn(programme, *outcome), outcome->pullS, effort, tables, true);
}

Result<bool> checkPiece(const FoodPiece& piece, double coreK) {
    const auto sensible = [](double metres) { return metres >= 1e-3 && metres <= 0.4; };
    if (!sensible(piece.thicknessM))
        return fail(Errc::invalidArgument, "the thickness should be 1 to 400 mm");
    if (piece.rounds < 1 || piece.rounds > 20)
        return fail(Errc::invalidArgument, "there should be 1 to 20 rounds");
    for (double other : piece.othersM)
        if (!sensible(other))
            return fail(Errc::invalidArgument, "other pieces should be 1 to 400 mm thick");
    if (isCrossSection(piece.shape) && !sensible(piece.widthM))
        return fail(Errc::invalidArgument, "the width should be 1 to 400 mm");
    if (!(piece.fatCapM >= 0 && piece.fatCapM < piece.thicknessM / 2))
        return fail(Errc::invalidArgument, "the fat cap should be less than half of the thickness");
    if (!(piece.startK >= kZeroCelsiusK - 40 && piece.startK < coreK))
        return fail(Errc::invalidArgument,
                    "the start should be above -40 °C and below the doneness asked for");
    return true;
}

Programme withFixedTurn(Programme programme, const Outcome& outcome) {
    if (programme.turning != Turning::once || !std::isfinite(outcome.turnS))
        return programme;
    const bool alone = outcome.stages.empty();
    const double waited = alone ? 0 : programme.before.back().waitS;
    programme.turnAtS = outcome.turnS - (alone ? 0 : outcome.stages.back().endS + waited);
    return programme;
}

Result<Outcome> cookFor(const FoodPiece& piece, const Programme& programme, double seconds,
                        const Effort& effort, const Tables& tables, bool withSamples) {
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    Outcome outcome;
    Recorder recorder;
    Recorder* keep = withSamples ? &recorder : nullptr;
    if (keep)
        keep->note(*simulation);
    auto stages = passStages(*simulation, programme, keep);
    if (!stages)
        return tl::unexpected(stages.error());
    outcome.stages = std::move(*stages);
    const double start = simulation->timeS(), end = std::max(seconds, start);
    const auto turns = turnTimes(programme.turning, programme.turnAtS, start, end - start, end);
    const auto passed = forward(*simulation, {1e9, end, 1e9}, turns, nullptr, keep);
    if (!passed)
        return tl::unexpected(passed.error());
    if (const auto done = restAfter(*simulation, programme, outcome, keep); !done)
        return tl::unexpected(done.error());
    simulation->fill(outcome);
    if (!turns.empty() && turns.front() < end)
        outcome.turnS = turns.front();
    if (keep)
        recorder.moveInto(outcome);
    return outcome;
}

Result<double> timeToReach(const FoodPiece& piece, const Programme& programme, double coreK,
                           const Effort& effort, const Tables& tables) {
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    const auto stages = passStages(*simulation, programme, nullptr);
    if (!stages)
        return tl::unexpected(stages.error());
    const double start = simulation->timeS(), until = start + programme.longestS;
    const auto turns =
        turnTimes(programme.turning, programme.turnAtS, start, programme.longestS, until);
    const auto passed = forward(*simulation, {coreK, until, 1e9}, turns, nullptr, nullptr);
    if (!passed)
        return tl::unexpected(passed.error());
    return passed->reachedS;
}

} // namespace dynamet::cook
