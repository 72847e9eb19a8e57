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

StagePlan planOf(const Stage& stage, std::optional<double> turnAtS) {
    StagePlan out;
    out.turning = stage.turning;
    out.turnAtS = turnAtS;
    out.everyS = stage.everyS;
    out.changes = stage.changes;
    if (stage.turnAtCoreK && !turnAtS) // its core never comes there
        out.turning = Turning::never;
    return out;
}

std::vector<Event> eventsOf(const StagePlan& plan, double startS, double takesS, double untilS) {
    std::vector<Event> out;
    if (plan.turning == Turning::once)
        out.push_back({startS + plan.turnAtS.value_or(takesS / 2)});
    if (plan.turning == Turning::often && plan.everyS > 0)
        for (double t = startS + plan.everyS; t < untilS; t += plan.everyS)
            out.push_back({t});
    for (const Change& change : plan.changes)
        if (startS + change.atS < untilS)
            out.push_back({startS + change.atS, &change});
    std::stable_sort(out.begin(), out.end(),
                     [](const Event& a, const Event& b) { return a.atS < b.atS; });
    return out;
}

double firstTurnS(const std::vector<Event>& events, double endS) {
    for (const Event& event : events)
        if (event.atS < endS && (!event.change || event.change->turned))
            return event.atS;
    return std::numeric_limits<double>::quiet_NaN();
}

Result<std::optional<double>> saidTurnS(Simulation& simulation, const Stage& stage, double untilS) {
    if (stage.turnAtS || !stage.turnAtCoreK || stage.turning != Turning::once)
        return stage.turnAtS;
    const Simulation::Moment first = simulation.moment();
    StagePlan plan = planOf(stage, {});
    plan.turning = Turning::never;
    const auto passed = forward(simulation, {*stage.turnAtCoreK, untilS, 1e9},
                                eventsOf(plan, first.state.timeS, 0, untilS), nullptr, nullptr);
    if (!passed)
        return tl::unexpected(passed.error());
    simulation.restore(first);
    if (!std::isfinite(passed->reachedS))
        return std::optional<double>{};
    return std::optional(passed->reachedS - first.state.timeS);
}

void happen(Simulation& simulation, const Event& event) {
    if (!event.change || event.change->turned)
        simulation.turn();
    if (event.change)
        simulation.change(*event.change);
}

Result<CoreReach> forward(Simulation& simulation, const CoreGoal& goal,
                          const std::vector<Event>& events, std::vector<Simulation::Moment>* kept,
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
    std::size_t passed = 0;
    while (true) {
        const double next =
            passed < events.size() ? std::min(events[passed].atS, goal.untilS) : goal.untilS;
        const auto done = simulation.cookUntil(next, watch);
        if (!done)
            return tl::unexpected(done.error());
        if (!*done || simulation.timeS() >= goal.untilS)
            return out;
        happen(simulation, events[passed++]);
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
                                  const StagePlan& plan, Recorder* recorder) {
    constexpr int kMostRounds = 6;
    const double start = simulation.timeS();
    const Simulation::Moment first = simulation.moment();
    const bool seek = plan.turning == Turning::once && !plan.turnAtS;
    double guess = plan.guessS;
    TurnedStage out;
    const auto once = [&](Recorder* noting) -> Result<void> {
        simulation.restore(first);
        out.kept.assign(1, first);
        out.events = eventsOf(plan, start, guess, goal.untilS);
        const auto passed = forward(simulation, goal, out.events, &out.kept, noting);
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
    const auto turnAtS = saidTurnS(simulation, stage, goal.untilS);
    if (!turnAtS)
        return tl::unexpected(turnAtS.error());
    StagePlan plan = planOf(stage, *turnAtS);
    plan.guessS = timed ? end.afterS : firstGuessS(piece);
    plan.nearShare = nearShareOf(effort);
    const auto settled = forwardTurned(simulation, goal, plan, recorder);
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
    out.turnS = firstTurnS(settled->events, out.endS);
    if (stage.turnsAsItLeaves)
        simulation.turn();
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
