// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/recorder.h"

namespace dynamet::cook {

/// How the food is turned, and what else changes, in a stage that begins now.
struct StagePlan {
    Turning turning = Turning::never;
    std::optional<double> turnAtS; ///< from the stage's start
    double everyS = kOftenTurnS;
    std::span<const Change> changes;
    double guessS = 0;       ///< how long it may take
    double nearShare = 0.02; ///< "once" is settled when the time repeats this closely
};
StagePlan planOf(const Stage& stage, std::optional<double> turnAtS);

/// What happens at a moment: a change, or without one the food is turned over.
struct Event {
    double atS = 0;
    const Change* change = nullptr;
};
/// By time, in a stage that began at `startS` and is thought to take `takesS`: "once" is turned at
/// `turnAtS` from its start or at half of it; none after `untilS`.
std::vector<Event> eventsOf(const StagePlan& plan, double startS, double takesS, double untilS);
/// When it was first turned over, before `endS`; NaN = never.
double firstTurnS(const std::vector<Event>& events, double endS);
/// When a stage that begins now is turned, from its start, where a time or a core says so; the
/// simulation stays where it is. A core that is never reached is no turn.
Result<std::optional<double>> saidTurnS(Simulation& simulation, const Stage& stage, double untilS);
void happen(Simulation& simulation, const Event& event);

/// How far the core came and when it passed what was asked for.
struct CoreReach {
    double reachedS = std::numeric_limits<double>::infinity();
    double highestK = 0;
};
struct CoreGoal {
    double coreK = 1e9;
    double untilS = 0;
    double keepAboveK = 1e9; ///< moments with a hotter core are kept to come back to
};
/// Forward in the surroundings that are set, through the events, until the core passes the goal.
Result<CoreReach> forward(Simulation& simulation, const CoreGoal& goal,
                          const std::vector<Event>& events, std::vector<Simulation::Moment>* kept,
                          Recorder* recorder);

struct TurnedStage {
    CoreReach passage;
    std::vector<Event> events;
    std::vector<Simulation::Moment> kept; ///< to come back to; the first is the stage's start
};
/// `forward`, with the turn of "once" put at half of the time the stage takes, by repetition.
Result<TurnedStage> forwardTurned(Simulation& simulation, const CoreGoal& goal,
                                  const StagePlan& plan, Recorder* recorder);

/// A first idea of how long a stage takes, s, and how near a turn is settled.
double firstGuessS(const recipe::FoodPiece& piece);
double nearShareOf(const Effort& effort);

/// Cooks the stages before the last one, with their waits, and sets the last one's surroundings.
/// refused, naming the stage, when its core never comes to where it is left.
Result<std::vector<StageOutcome>> cookEarlierStages(Simulation& simulation,
                                                    const recipe::FoodPiece& piece,
                                                    const Programme& programme,
                                                    const Effort& effort, Recorder* recorder);

/// Rests until the core has turned round (and the shortest rest is over); fills pull, peak and
/// plate; the sums are read by `Simulation::fill`.
Result<void> restAfter(Simulation& simulation, const Programme& programme, Outcome& outcome,
                       Recorder* recorder);

} // namespace dynamet::cook
