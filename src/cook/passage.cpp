// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/passage.h"

#include <algorithm>

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

Result<Passage> forward(Simulation& simulation, const PassageGoal& goal,
                        const std::vector<double>& turns, std::vector<Simulation::Moment>* kept,
                        Recorder* recorder) {
    Passage out;
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

Result<std::vector<StagePassed>> passStages(Simulation& simulation, const Programme& programme,
                                            Recorder* recorder) {
    std::vector<StagePassed> out;
    for (const Stage& stage : programme.before) {
        simulation.beginStage(stage.field, stage.site, stage.edgesDown);
        StagePassed passed;
        passed.startS = simulation.timeS();
        const double takes = stage.endsAfterS > 0 ? stage.endsAfterS : kLongestStageS;
        const double leaveK = stage.endsAtCoreK.value_or(1e9);
        const PassageGoal goal{leaveK, passed.startS + takes, leaveK - kNearLeavingK};
        std::vector<Simulation::Moment> kept{simulation.moment()};
        const auto turns =
            turnTimes(stage.turning, stage.turnAtS, passed.startS, takes, goal.untilS);
        const auto done = forward(simulation, goal, turns, &kept, recorder);
        if (!done)
            return tl::unexpected(done.error());
        if (done->reachedS < simulation.timeS()) { // the last step went past the core it leaves at
            simulation.restore(kept.back());
            if (const auto exact = simulation.cookUntil(done->reachedS); !exact)
                return tl::unexpected(exact.error());
        }
        passed.endS = simulation.timeS();
        passed.leaveK = simulation.solver().coreK();
        out.push_back(passed);
        if (stage.waitS <= 0)
            continue;
        simulation.beginRest({stage.waitTented, false, 0, stage.waitS}, programme.site);
        const auto waited = simulation.cookUntil(passed.endS + stage.waitS, [&](const auto&) {
            if (recorder)
                recorder->note(simulation);
            return true;
        });
        if (!waited)
            return tl::unexpected(waited.error());
    }
    simulation.beginStage(programme.field, programme.site, false);
    return out;
}

Result<bool> restAfter(Simulation& simulation, const Programme& programme, Outcome& outcome,
                       Recorder* recorder) {
    const double pull = simulation.timeS();
    outcome.pullS = outcome.peakS = pull;
    outcome.pullK = outcome.peakK = simulation.solver().coreK();
    outcome.meanAtPullK = simulation.solver().meanK();
    outcome.touchAtPullK = simulation.plateUnderK();
    simulation.beginRest(programme.rest, programme.site);
    if (recorder)
        recorder->note(simulation, true);
    bool served = false;
    const auto watch = [&](const heat::StepReport& step) {
        const auto [peak, when] = heat::highestInside(step);
        if (peak > outcome.peakK) {
            outcome.peakK = peak;
            outcome.peakS = when;
        }
        if (recorder)
            recorder->note(simulation);
        return !served || step.coreEndK >= outcome.peakK - kTurnedRoundK;
    };
    const auto shortest = simulation.cookUntil(pull + programme.rest.shortestS, watch);
    if (!shortest)
        return shortest;
    outcome.plateK = simulation.solver().coreK();
    served = true;
    if (outcome.plateK >= outcome.peakK - kTurnedRoundK)
        if (const auto done = simulation.cookUntil(pull + programme.rest.longestS, watch); !done)
            return done;
    if (recorder)
        recorder->note(simulation, true);
    return true;
}

} // namespace dynamet::cook
