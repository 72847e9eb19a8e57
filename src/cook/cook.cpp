// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/cook.h"

#include "cook/passage.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <functional>

namespace dynamet::cook {
namespace {

constexpr double kPeakToleranceK = 0.02;
constexpr int kMostPullRounds = 12;
constexpr double kMostCarryOverK = 45;
constexpr double kFarPastK = 0.5; // a goal is missed when it was passed by this before the end

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
    double startS = 0; ///< of the last stage
    Settled last;
};

Result<Outcome> pullAt(Simulation& simulation, const Passed& passed, double pullS,
                       const Programme& programme) {
    const Simulation::Moment* from = latestBefore(passed.last.kept, pullS);
    simulation.restore(from ? *from : passed.last.kept.front());
    const auto& turns = passed.last.turns;
    if (const auto done = continueTo(simulation, pullS, turns); !done)
        return tl::unexpected(done.error());
    Outcome outcome;
    outcome.stages = passed.stages;
    outcome.lastStartS = passed.startS;
    if (const auto done = restAfter(simulation, programme, outcome, nullptr); !done)
        return tl::unexpected(done.error());
    if (!turns.empty() && turns.front() < pullS)
        outcome.turnS = turns.front();
    return outcome;
}

/// What the target is read on.
double readOf(const Outcome& outcome, food::ReadAt at) {
    return at == food::ReadAt::plate ? outcome.plateK : outcome.peakK;
}

tl::unexpected<Error> tooHot(double kelvin) {
    return fail(Errc::refused,
                fmt::format("the core comes to {:.0f} °C however soon the last stage "
                            "ends",
                            kelvin - kZeroCelsiusK));
}

/// Where to look for the pull: a first idea (from the last stage's start) and how the reading
/// answers to it, K/s; 0 = neither is known.
struct PullIdea {
    double tookS = 0, slope = 0;
};

/// The pull time whose peak (or plate) is the target: secant steps held inside a shrinking bracket.
/// Pulling when the core itself is at the target can only meet or pass the peak; the plate may have
/// cooled again, and then the bracket is opened upwards. Leaves in `idea` what it found.
Result<Outcome> solvePull(Simulation& simulation, const Passed& passed, const Programme& programme,
                          const CookTarget& target, PullIdea& idea) {
    double low = passed.startS, high = passed.last.passage.reachedS;
    double at = idea.tookS > 0 ? std::min(low + idea.tookS, high) : high;
    double beforeAt = 0, beforeMiss = 0, slope = idea.slope;
    bool known = at < high; // a pull that is too late has been seen
    Result<Outcome> outcome = fail(Errc::notConverged, "no pull found");
    for (int round = 0; round < kMostPullRounds; ++round) {
        outcome = pullAt(simulation, passed, at, programme);
        if (!outcome)
            return outcome;
        idea = {at - passed.startS, slope};
        const double miss = readOf(*outcome, target.readAt) - target.coreK;
        if (std::abs(miss) < kPeakToleranceK)
            return outcome;
        if (miss > kFarPastK && at <= passed.startS)
            return tooHot(readOf(*outcome, target.readAt));
        (miss > 0 ? high : low) = at;
        known = known || miss > 0;
        if (!known || high - low < 1e-3) // later than when the core itself was there
            high = at + 0.5 * std::max(at - passed.startS, 60.0);
        if (round > 0 && std::abs(at - beforeAt) > 1e-6) {
            slope = (miss - beforeMiss) / (at - beforeAt);
        } else if (slope <= 0) {
            const Simulation::Moment& last = passed.last.kept.back();
            const double span = std::max(at - last.state.timeS, 1e-3);
            slope = (outcome->pullK - simulation.coreOf(last)) / span;
        }
        beforeAt = at;
        beforeMiss = miss;
        const double next = slope > 0 ? at - miss / slope : (low + high) / 2;
        const bool inside = next > low && next < high;
        at = inside ? next : (low + high) / 2;
    }
    if (const double read = readOf(*outcome, target.readAt); read > target.coreK + kFarPastK)
        return tooHot(read);
    return outcome;
}

/// Cooks the last stage to its target, with the turn of "once" put at half of the time it is on,
/// by repetition.
Result<Outcome> solveLast(Simulation& simulation, Passed& passed, const FoodPiece& piece,
                          const Programme& programme, const CookTarget& target,
                          const Effort& effort) {
    constexpr int kMostTurnRounds = 6;
    const Simulation::Moment first = simulation.moment();
    const bool seek = programme.turning == Turning::once && !programme.turnAtS;
    const bool direct = target.readAt == food::ReadAt::pull || target.readAt == food::ReadAt::bath;
    const PassageGoal goal{target.coreK, passed.startS + programme.longestS,
                           target.coreK - kMostCarryOverK};
    double guess = programme.guessS > 0 ? programme.guessS : firstGuessS(piece);
    Result<Outcome> outcome = fail(Errc::notConverged, "no turn found");
    PullIdea idea;
    for (int round = 0; round < (seek ? kMostTurnRounds : 1); ++round) {
        simulation.restore(first);
        const auto turnAt = seek ? std::optional(guess / 2) : programme.turnAtS;
        auto last = forwardSettled(simulation, goal, {programme.turning, turnAt}, nullptr);
        if (!last)
            return tl::unexpected(last.error());
        passed.last = std::move(*last);
        const Passage& way = passed.last.passage;
        if (!std::isfinite(way.reachedS))
            return fail(Errc::refused,
                        fmt::format("the core stops at {:.0f} °C within {:.0f} h",
                                    way.highestK - kZeroCelsiusK, programme.longestS / 3600));
        outcome = direct ? pullAt(simulation, passed, way.reachedS, programme)
                         : solvePull(simulation, passed, programme, target, idea);
        if (!outcome)
            return outcome;
        const double took = outcome->pullS - passed.startS;
        if (std::abs(took - guess) < nearShareOf(effort) * guess)
            break;
        guess = std::max(took, 1.0);
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
    Passed passed;
    auto stages = passStages(*simulation, piece, programme, effort, nullptr);
    if (!stages)
        return tl::unexpected(stages.error());
    passed.stages = std::move(*stages);
    passed.startS = simulation->timeS();
    Result<Outcome> outcome = solveLast(*simulation, passed, piece, programme, target, effort);
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
    for (std::size_t i = 0; i < std::min(programme.before.size(), outcome.stages.size()); ++i)
        if (programme.before[i].turning == Turning::once && std::isfinite(outcome.stages[i].turnS))
            programme.before[i].turnAtS = outcome.stages[i].turnS - outcome.stages[i].startS;
    if (programme.turning == Turning::once && std::isfinite(outcome.turnS))
        programme.turnAtS = outcome.turnS - outcome.lastStartS;
    return programme;
}

namespace {

/// Cooks through all stages; the last one, from its start, until `endOf(start)`.
Result<Outcome> cookUntil(const FoodPiece& piece, const Programme& programme,
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
    auto stages = passStages(*simulation, piece, programme, effort, keep);
    if (!stages)
        return tl::unexpected(stages.error());
    outcome.stages = std::move(*stages);
    const double start = simulation->timeS(), end = std::max(endOf(start), start);
    outcome.lastStartS = start;
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

} // namespace

Result<Outcome> cookFor(const FoodPiece& piece, const Programme& programme, double seconds,
                        const Effort& effort, const Tables& tables, bool withSamples) {
    return cookUntil(
        piece, programme, [seconds](double) { return seconds; }, effort, tables, withSamples);
}

Result<Outcome> cookLastFor(const FoodPiece& piece, const Programme& programme, double lastS,
                            const Effort& effort, const Tables& tables, bool withSamples) {
    return cookUntil(
        piece, programme, [lastS](double start) { return start + lastS; }, effort, tables,
        withSamples);
}

Result<Outcome> cookProgramme(const FoodPiece& piece, const Programme& programme,
                              const CookTarget& target, const Effort& effort, const Tables& tables,
                              bool withSamples) {
    return programme.lastForS > 0
               ? cookLastFor(piece, programme, programme.lastForS, effort, tables, withSamples)
               : cookTo(piece, programme, target, effort, tables, withSamples);
}

Result<double> timeToReach(const FoodPiece& piece, const Programme& programme, double coreK,
                           const Effort& effort, const Tables& tables) {
    auto simulation = simulationOf(piece, programme, effort, tables);
    if (!simulation)
        return tl::unexpected(simulation.error());
    const auto stages = passStages(*simulation, piece, programme, effort, nullptr);
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
