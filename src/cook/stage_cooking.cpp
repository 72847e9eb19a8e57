// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/stage_cooking.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::cook {
namespace {

constexpr double kLongestStageS = 6 * 3600;
constexpr double kTurnedRoundK = 0.05;
constexpr double kNearLeavingK = 8;

} // namespace

std::vector<double> turnTimes(Turning turning, std::optional<double> turnAtS, double startS,
                              double takesS, double untilS) {
    std::vector<double> out;
    if (turning == Turning::once)
        out.push_back(startS + turnAtS.value_or(takesS / 2));
    if (turning == Turning::often)
        for (double t = startS + kOftenTurnS; t < untilS; t += kOftenTurnS)
            out.push_back(t);
    return out;
}

Result<CoreReach> forward(Simulation& simulation, const CoreGoal& goal,
                          const std::vector<double>& turns, std::vector<Simulation::Moment>* kept,
                          Recorder* recorder) {
    CoreReach out;
    const auto watch = [&](const heat::StepReport& step) {
        out.highestK = std::max(out.highestK, step.coreEndK);
        if (recorder)
            recorder->note(simulation);
        if (step.coreEndK >= goal.coreK) {
            out.reachedS = heat::crossingTime(step, goal.coreK);
            return false;
        }
        if (kept && step.coreEndK > goal.keepAboveK)
            kept->push_back(simulation.moment());
        return true;
    };
    if (simulation.solver().coreK() >= goal.coreK) {
        out.reachedS = simulation.timeS();
        return out;
    }
    std::size_t turned = 0;
    while (true) {
        const double next =
            turned < turns.size() ? std::min(turns[turned], goal.untilS) : goal.untilS;
        const auto done = simulation.cookUntil(next, watch);
        if (!done)
            return tl::unexpected(done.error());
        if (!*done || simulation.timeS() >= goal.untilS)
            return out;
        simulation.turn();
        ++turned;
        if (kept && simulation.solver().coreK() > goal.keepAboveK)
            kept->push_back(simulation.moment());
    }
}

double firstGuessS(const recipe::FoodPiece& piece) {
    constexpr double kPerMetre = 22.5e3; // 1.5 min for 4 mm, for want of a better one
    return kPerMetre * piece.thicknessM;
}

double nearShareOf(const Effort& effort) {
    constexpr double kNear = 0.02;
    return effort.cells < kFull.cells ? 3 * kNear : kNear;
}

Result<TurnedStage> forwardTurned(Simulation& simulation, const CoreGoal& goal,
                                  const TurnPlan& plan, Recorder* recorder) {
    constexpr int kMostRounds = 6;
    const double start = simulation.timeS();
    const Simulation::Moment first = simulation.moment();
    const bool seek = plan.turning == Turning::once && !plan.turnAtS;
    double guess = plan.guessS;
    TurnedStage out;
    const auto once = [&](Recorder* noting) -> Result<void> {
        simulation.restore(first);
        out.kept.assign(1, first);
        out.turns = turnTimes(plan.turning, plan.turnAtS, start, guess, goal.untilS);
        const auto passed = forward(simulation, goal, out.turns, &out.kept, noting);
        if (!passed)
            return tl::unexpected(passed.error());
        out.passage = *passed;
        return {};
    };
    for (int round = 0; round < (seek ? kMostRounds : 1); ++round) {
        if (const auto done = once(seek ? nullptr : recorder); !done)
            return tl::unexpected(done.error());
        const double took = out.passage.reachedS - start;
        if (!std::isfinite(took) || std::abs(took - guess) < plan.nearShare * guess)
            break;
        guess = took;
    }
    if (seek && recorder)
        if (const auto done = once(recorder); !done)
            return tl::unexpected(done.error());
    return out;
}

namespace {

/// One stage to where it ends; the simulation stands there.
Result<StageOutcome> cookStage(Simulation& simulation, const recipe::FoodPiece& piece,
                               const Stage& stage, const Effort& effort, Recorder* recorder) {
    StageOutcome out;
    out.startS = simulation.timeS();
    const recipe::StageEnd& end = stage.written.end;
    const bool timed = end.afterS > 0;
    const double leaveK = end.coreK.value_or(1e9);
    const CoreGoal goal{leaveK, out.startS + (timed ? end.afterS : kLongestStageS),
                        leaveK - kNearLeavingK};
    const auto settled =
        forwardTurned(simulation, goal,
                      {stage.turning, stage.turnAtS, timed ? end.afterS : firstGuessS(piece),
                       nearShareOf(effort)},
                      recorder);
    if (!settled)
        return tl::unexpected(settled.error());
    const CoreReach& passage = settled->passage;
    if (!timed && !std::isfinite(passage.reachedS))
        return fail(Errc::refused,
                    {"core_stops_short",
                     {Temperature::kelvin(passage.highestK), Temperature::kelvin(leaveK)}});
    if (passage.reachedS < simulation.timeS()) { // the last step went past the core it leaves at
        simulation.restore(settled->kept.back());
        if (const auto exact = simulation.cookUntil(passage.reachedS); !exact)
            return tl::unexpected(exact.error());
    }
    out.endS = simulation.timeS();
    out.leaveK = simulation.solver().coreK();
    if (!settled->turns.empty() && settled->turns.front() < out.endS)
        out.turnS = settled->turns.front();
    return out;
}

} // namespace

Result<std::vector<StageOutcome>> cookEarlierStages(Simulation& simulation,
                                                    const recipe::FoodPiece& piece,
                                                    const Programme& programme,
                                                    const Effort& effort, Recorder* recorder) {
    std::vector<StageOutcome> out;
    for (const Stage& stage : programme.beforeLast()) {
        simulation.beginStage(stage);
        const auto passed = cookStage(simulation, piece, stage, effort, recorder);
        if (!passed)
            return tl::unexpected(passed.error().in(fmt::format("stage {}", out.size() + 1)));
        out.push_back(*passed);
        const double waitS = stage.written.waitS;
        if (waitS <= 0)
            continue;
        simulation.beginRest({stage.written.waitTented, false, 0, waitS}, programme.last().site);
        const auto waited = simulation.cookUntil(passed->endS + waitS, [&](const auto&) {
            if (recorder)
                recorder->note(simulation);
            return true;
        });
        if (!waited)
            return tl::unexpected(waited.error());
    }
    simulation.beginStage(programme.last());
    return out;
}

Result<void> restAfter(Simulation& simulation, const Programme& programme, Outcome& outcome,
                       Recorder* recorder) {
    const double pull = simulation.timeS();
    const Simulation::Moment& now = simulation.moment();
    const double earlierK = now.corePeakK, earlierS = now.corePeakS;
    outcome.pullS = outcome.peakS = pull;
    outcome.pullK = simulation.solver().coreK();
    double risenK = outcome.pullK; // since the pull
    outcome.meanAtPullK = simulation.solver().meanK();
    outcome.touchAtPullK = simulation.plateUnderK();
    simulation.beginRest(programme.rest, programme.last().site);
    if (recorder)
        recorder->note(simulation, true);
    bool served = false;
    const auto watch = [&](const heat::StepReport& step) {
        const auto [peak, when] = heat::highestInside(step);
        if (peak > risenK) {
            risenK = peak;
            outcome.peakS = when;
        }
        if (recorder)
            recorder->note(simulation);
        return !served || step.coreEndK >= risenK - kTurnedRoundK;
    };
    const auto shortest = simulation.cookUntil(pull + programme.rest.shortestS, watch);
    if (!shortest)
        return tl::unexpected(shortest.error());
    outcome.plateK = simulation.solver().coreK();
    served = true;
    if (outcome.plateK >= risenK - kTurnedRoundK)
        if (const auto done = simulation.cookUntil(pull + programme.rest.longestS, watch); !done)
            return tl::unexpected(done.error());
    outcome.peakK = risenK;
    if (earlierK > risenK) { // it was hotter once, in a stage or a wait before
        outcome.peakK = earlierK;
        outcome.peakS = earlierS;
    }
    if (recorder)
        recorder->note(simulation, true);
    return {};
}

} // namespace dynamet::cook
