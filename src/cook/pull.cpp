// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/pull.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::cook {
namespace {

constexpr double kPeakToleranceK = 0.02;
constexpr int kMostPullRounds = 12;
constexpr double kMostCarryOverK = 45;
constexpr double kFarPastK = 0.5; // a goal is missed when it was passed by this before the end

Result<bool> continueTo(Simulation& simulation, double untilS, const std::vector<Event>& events) {
    for (const Event& event : events) {
        if (event.atS <= simulation.timeS() + 1e-9 || event.atS >= untilS)
            continue;
        if (const auto done = simulation.cookUntil(event.atS); !done)
            return done;
        happen(simulation, event);
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

Result<Outcome> pullAt(Simulation& simulation, const CookedSoFar& passed, double pullS,
                       const Programme& programme) {
    const Simulation::Moment* from = latestBefore(passed.last.kept, pullS);
    simulation.restore(from ? *from : passed.last.kept.front());
    const auto& events = passed.last.events;
    if (const auto done = continueTo(simulation, pullS, events); !done)
        return tl::unexpected(done.error());
    Outcome outcome;
    outcome.stages = passed.stages;
    outcome.lastStartS = passed.startS;
    if (const auto done = restAfter(simulation, programme, outcome, nullptr); !done)
        return tl::unexpected(done.error());
    outcome.turnS = firstTurnS(events, pullS);
    return outcome;
}

/// What the target is read on.
double readOf(const Outcome& outcome, food::GoalMoment at) {
    return at == food::GoalMoment::plate ? outcome.plateK : outcome.peakK;
}

tl::unexpected<Error> tooHot(double kelvin) {
    return fail(Errc::refused, {"core_overshoots", {Temperature::kelvin(kelvin)}});
}

/// Where to look for the pull: a first idea (from the last stage's start) and how the reading
/// answers to it, K/s; 0 = neither is known.
struct PullIdea {
    double tookS = 0, slope = 0;
};

/// The pull time whose peak (or plate) is the target: secant steps held inside a shrinking bracket.
/// Pulling when the core itself is at the target can only meet or pass the peak; the plate may have
/// cooled again, and then the bracket is opened upwards. Leaves in `idea` what it found.
Result<Outcome> solvePull(Simulation& simulation, const CookedSoFar& passed,
                          const Programme& programme, const CookTarget& target, double toleranceK,
                          PullIdea& idea) {
    double low = passed.startS, high = passed.last.passage.reachedS;
    double at = idea.tookS > 0 ? std::min(low + idea.tookS, high) : high;
    double beforeAt = 0, beforeMiss = 0, slope = idea.slope;
    bool known = at < high; // a pull that is too late has been seen
    Result<Outcome> outcome = fail(Errc::notConverged, Finding{"no_pull"});
    for (int round = 0; round < kMostPullRounds; ++round) {
        outcome = pullAt(simulation, passed, at, programme);
        if (!outcome)
            return outcome;
        idea = {at - passed.startS, slope};
        const double miss = readOf(*outcome, target.readAt) - target.coreK;
        if (std::abs(miss) < toleranceK)
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

/// A cook to its target from the last stage's start on, again and again.
struct LastStage {
    Simulation& simulation;
    CookedSoFar& passed;
    const Programme& programme;
    const CookTarget& target;
    Simulation::Moment first;
    CoreGoal goal;
    PullIdea idea = {};

    Result<void> forward(const StagePlan& plan) {
        simulation.restore(first);
        auto last = forwardTurned(simulation, goal, plan, nullptr);
        if (!last)
            return tl::unexpected(last.error());
        passed.last = std::move(*last);
        const CoreReach& way = passed.last.passage;
        if (std::isfinite(way.reachedS))
            return {};
        return fail(Errc::refused, {"core_stops",
                                    {Temperature::kelvin(way.highestK),
                                     Number{programme.longestS / 3600, 0, "h"}}});
    }
    Result<Outcome> pulled(std::optional<double> turnAtS, double toleranceK) {
        if (const auto done = forward(planOf(programme.last(), turnAtS)); !done)
            return tl::unexpected(done.error());
        return pulledAgain(toleranceK);
    }
    /// On the way that was gone last.
    Result<Outcome> pulledAgain(double toleranceK) {
        if (target.readAt == food::GoalMoment::pull || target.readAt == food::GoalMoment::bath)
            return pullAt(simulation, passed, passed.last.passage.reachedS, programme);
        return solvePull(simulation, passed, programme, target, toleranceK, idea);
    }
};

/// Turned at half of the time that the last stage is on, by repetition with pulls that need not be
/// exact; exactly at the end.
Result<Outcome> pulledAtHalf(LastStage& last, std::optional<double> guessS, double firstGuess,
                             double nearShare) {
    constexpr int kMostRounds = 6;
    constexpr double kRoughly = 0.3, kTurnPeakK = 0.3;
    if (!guessS) {
        StagePlan plan = planOf(last.programme.last(), {});
        plan.guessS = firstGuess;
        plan.nearShare = kRoughly;
        if (const auto rough = last.forward(plan); !rough)
            return tl::unexpected(rough.error());
        guessS = last.passed.last.passage.reachedS - last.passed.startS;
    }
    double guess = *guessS;
    for (int round = 0; round < kMostRounds; ++round) {
        const auto outcome = last.pulled(guess / 2, kTurnPeakK);
        if (!outcome)
            return outcome;
        const double took = std::max(outcome->pullS - last.passed.startS, 1.0);
        if (std::abs(took - guess) < nearShare * guess)
            break;
        guess = took;
    }
    return last.pulledAgain(kPeakToleranceK);
}

} // namespace

bool seeksTurn(const Programme& programme) {
    return programme.last().turning == Turning::once && !programme.last().turnAtS &&
           !programme.last().turnAtCoreK;
}

Result<Outcome> solveLast(Simulation& simulation, CookedSoFar& passed,
                          const recipe::FoodPiece& piece, const Programme& programme,
                          const CookTarget& target, double guessS, const Effort& effort) {
    LastStage last{
        simulation,
        passed,
        programme,
        target,
        simulation.moment(),
        {target.coreK, passed.startS + programme.longestS, target.coreK - kMostCarryOverK}};
    if (!seeksTurn(programme)) {
        const auto turnAtS = saidTurnS(simulation, programme.last(), last.goal.untilS);
        if (!turnAtS)
            return tl::unexpected(turnAtS.error());
        return last.pulled(*turnAtS, kPeakToleranceK);
    }
    return pulledAtHalf(last, guessS > 0 ? std::optional(guessS) : std::nullopt, firstGuessS(piece),
                        nearShareOf(effort));
}

} // namespace dynamet::cook
