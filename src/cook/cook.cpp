// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/cook.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::cook {
namespace {

constexpr double kPeakToleranceK = 0.02;
constexpr double kTurnTolerance = 0.02; // of the solved time
constexpr int kMostTurnRounds = 6, kMostPullRounds = 12;
constexpr double kMostCarryOverK = 45;
constexpr double kSampleEveryS = 10;

/// The moments at which the food is turned, up to a time.
std::vector<double> turnTimes(const Programme& programme, double halfOfS, double untilS) {
    std::vector<double> out;
    if (programme.turning == Turning::once)
        out.push_back(programme.turnAtS.value_or(halfOfS / 2));
    if (programme.turning == Turning::often)
        for (double t = kOftenTurnS; t < untilS; t += kOftenTurnS)
            out.push_back(t);
    return out;
}

struct Passage {
    double reachedS = std::numeric_limits<double>::infinity();
    double highestK = 0;
};

/// Forward until the core passes `coreK`; keeps moments above `keepAboveK` to come back to.
Result<Passage> forward(Simulation& simulation, const Programme& programme, double coreK,
                        const std::vector<double>& turns, double keepAboveK,
                        std::vector<Simulation::Moment>* kept, std::vector<Sample>* samples) {
    Passage out;
    double sampledS = -kSampleEveryS;
    const auto watch = [&](const heat::StepReport& step) {
        out.highestK = std::max(out.highestK, step.coreEndK);
        if (samples && step.endS - sampledS >= kSampleEveryS) {
            samples->push_back(simulation.sample());
            sampledS = step.endS;
        }
        if (step.coreEndK >= coreK) {
            out.reachedS = heat::crossingTime(step, coreK);
            return false;
        }
        if (kept && step.coreEndK > keepAboveK)
            kept->push_back(simulation.moment());
        return true;
    };
    if (simulation.solver().coreK() >= coreK) {
        out.reachedS = 0;
        return out;
    }
    std::size_t turned = 0;
    while (true) {
        const double next = turned < turns.size() ? std::min(turns[turned], programme.longestS)
                                                  : programme.longestS;
        const auto done = simulation.cookUntil(next, watch);
        if (!done)
            return tl::unexpected(done.error());
        if (!*done || simulation.timeS() >= programme.longestS)
            return out;
        simulation.turn();
        ++turned;
        if (kept && simulation.solver().coreK() > keepAboveK)
            kept->push_back(simulation.moment());
    }
}

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

/// Rests until the core has turned round (and the shortest rest is over); fills peak and sums.
Result<bool> rest(Simulation& simulation, const Rest& how, Outcome& outcome,
                  std::vector<Sample>* samples) {
    const double pull = simulation.timeS();
    outcome.pullS = pull;
    outcome.pullK = simulation.solver().coreK();
    outcome.meanAtPullK = simulation.solver().meanK();
    outcome.peakK = outcome.pullK;
    outcome.peakS = pull;
    simulation.beginRest();
    double sampledS = pull;
    const auto done = simulation.cookUntil(pull + how.longestS, [&](const heat::StepReport& step) {
        const auto [peak, when] = heat::highestInside(step);
        if (peak > outcome.peakK) {
            outcome.peakK = peak;
            outcome.peakS = when;
        }
        if (samples && step.endS - sampledS >= kSampleEveryS) {
            samples->push_back(simulation.sample());
            sampledS = step.endS;
        }
        return !(step.endS - pull >= how.shortestS && step.coreEndK < outcome.peakK - 0.05);
    });
    if (!done)
        return done;
    simulation.fill(outcome);
    return true;
}

const Simulation::Moment* latestBefore(const std::vector<Simulation::Moment>& kept, double timeS) {
    const Simulation::Moment* best = nullptr;
    for (const auto& moment : kept)
        if (moment.state.timeS < timeS)
            best = &moment;
    return best;
}

struct Passed {
    std::vector<Simulation::Moment> kept;
    std::vector<double> turns;
    double reachedS = 0;
    double highestK = 0;
};

/// Cooks to `coreK` with the turn put at half of `share` × the time, by repetition.
Result<Passed> settleTurn(const FoodPiece& piece, const Programme& programme, double coreK,
                          const Effort& effort, const Tables& tables) {
    Passed out;
    const bool seek = programme.turning == Turning::once && !programme.turnAtS;
    // 1.5 min a millimetre is a fair start for want of a better one.
    double guess = programme.guessS > 0 ? programme.guessS : 90 * piece.thicknessM * 1000 / 4;
    const double near = effort.cells < kFull.cells ? 3 * kTurnTolerance : kTurnTolerance;
    for (int round = 0; round < (seek ? kMostTurnRounds : 1); ++round) {
        auto simulation =
            Simulation::create(piece, programme, effort, tables.material, tables.vapour);
        if (!simulation)
            return tl::unexpected(simulation.error());
        out.kept.clear();
        out.kept.push_back(simulation->moment());
        out.turns = turnTimes(programme, guess, programme.longestS);
        const auto passed = forward(*simulation, programme, coreK, out.turns,
                                    coreK - kMostCarryOverK, &out.kept, nullptr);
        if (!passed)
            return tl::unexpected(passed.error());
        out.reachedS = passed->reachedS;
        out.highestK = passed->highestK;
        if (!std::isfinite(out.reachedS) || std::abs(out.reachedS - guess) < near * guess)
            break;
        guess = out.reachedS;
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
    if (const auto done = rest(simulation, programme.rest, outcome, nullptr); !done)
        return tl::unexpected(done.error());
    if (!passed.turns.empty() && passed.turns.front() < pullS)
        outcome.turnS = passed.turns.front();
    return outcome;
}

/// The pull time whose peak is the target: secant steps held inside a shrinking bracket. Pulling
/// when the core itself is at the target can only meet or pass it.
Result<Outcome> solvePull(Simulation& simulation, const Passed& passed, const Programme& programme,
                          double peakK) {
    double low = 0, high = passed.reachedS, at = high;
    double beforeAt = 0, beforeMiss = 0;
    const Simulation::Moment& last = passed.kept.back();
    const double lastCore = last.state.kelvin[last.state.kelvin.size() / 2];
    double slope = (peakK - lastCore) / std::max(high - last.state.timeS, 1e-3);
    Result<Outcome> outcome = fail(Errc::notConverged, "no pull found");
    for (int round = 0; round < kMostPullRounds; ++round) {
        outcome = pullAt(simulation, passed, at, programme);
        if (!outcome)
            return outcome;
        const double miss = outcome->peakK - peakK;
        if (std::abs(miss) < kPeakToleranceK)
            return outcome;
        (miss > 0 ? high : low) = at;
        if (round > 0 && std::abs(at - beforeAt) > 1e-6)
            slope = (miss - beforeMiss) / (at - beforeAt);
        beforeAt = at;
        beforeMiss = miss;
        const double next = slope > 0 ? at - miss / slope : (low + high) / 2;
        const bool inside = next > low && next < high;
        at = inside ? next : (low + high) / 2;
    }
    return outcome;
}

} // namespace

Tables tablesFor(const food::Food& food, double pressurePa) {
    return {std::make_shared<heat::Material>(food.composition),
            std::make_shared<heat::Vapour>(pressurePa)};
}

Result<Outcome> cookTo(const FoodPiece& piece, const Programme& programme, const CookTarget& target,
                       const Effort& effort, const Tables& tables, bool withSamples) {
    if (piece.startK >= target.coreK)
        return fail(Errc::invalidArgument, "the food is already hotter than wanted");
    auto passed = settleTurn(piece, programme, target.coreK, effort, tables);
    if (!passed)
        return tl::unexpected(passed.error());
    if (!std::isfinite(passed->reachedS))
        return fail(Errc::refused,
                    fmt::format("the core stops at {:.0f} °C within {:.0f} h",
                                passed->highestK - kZeroCelsiusK, programme.longestS / 3600));
    auto simulation = Simulation::create(piece, programme, effort, tables.material, tables.vapour);
    if (!simulation)
        return tl::unexpected(simulation.error());
    Result<Outcome> outcome = target.readAt == food::ReadAt::pull
                                  ? pullAt(*simulation, *passed, passed->reachedS, programme)
                                  : solvePull(*simulation, *passed, programme, target.coreK);
    if (!outcome || !withSamples)
        return outcome;
    Programme fixed = programme;
    if (std::isfinite(outcome->turnS))
        fixed.turnAtS = outcome->turnS;
    return cookFor(piece, fixed, outcome->pullS, effort, tables, true);
}

Result<Outcome> cookFor(const FoodPiece& piece, const Programme& programme, double seconds,
                        const Effort& effort, const Tables& tables, bool withSamples) {
    auto simulation = Simulation::create(piece, programme, effort, tables.material, tables.vapour);
    if (!simulation)
        return tl::unexpected(simulation.error());
    Outcome outcome;
    std::vector<Sample> samples;
    Programme bounded = programme;
    bounded.longestS = seconds;
    const auto turns = turnTimes(programme, seconds, seconds);
    samples.push_back(simulation->sample());
    const auto passed =
        forward(*simulation, bounded, 1e9, turns, 1e9, nullptr, withSamples ? &samples : nullptr);
    if (!passed)
        return tl::unexpected(passed.error());
    if (const auto done =
            rest(*simulation, programme.rest, outcome, withSamples ? &samples : nullptr);
        !done)
        return tl::unexpected(done.error());
    if (!turns.empty() && turns.front() < seconds)
        outcome.turnS = turns.front();
    if (withSamples)
        outcome.samples = std::move(samples);
    return outcome;
}

Result<double> timeToReach(const FoodPiece& piece, const Programme& programme, double coreK,
                           const Effort& effort, const Tables& tables) {
    auto simulation = Simulation::create(piece, programme, effort, tables.material, tables.vapour);
    if (!simulation)
        return tl::unexpected(simulation.error());
    const auto turns = turnTimes(programme, programme.longestS, programme.longestS);
    const auto passed = forward(*simulation, programme, coreK, turns, 1e9, nullptr, nullptr);
    if (!passed)
        return tl::unexpected(passed.error());
    return passed->reachedS;
}

} // namespace dynamet::cook
