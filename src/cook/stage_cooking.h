// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/recorder.h"

namespace dynamet::cook {

/// The moments at which the food is turned in a stage that began at `startS` and is thought to take
/// `takesS`: "once" at `turnAtS` from its start or at half of it; none after `untilS`.
std::vector<double> turnTimes(Turning turning, std::optional<double> turnAtS, double startS,
                              double takesS, double untilS);

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
/// Forward in the surroundings that are set, turning at `turns`, until the core passes the goal.
Result<CoreReach> forward(Simulation& simulation, const CoreGoal& goal,
                          const std::vector<double>& turns, std::vector<Simulation::Moment>* kept,
                          Recorder* recorder);

/// How the food is turned in a stage that begins now.
struct TurnPlan {
    Turning turning = Turning::never;
    std::optional<double> turnAtS; ///< from the stage's start
    double guessS = 0;             ///< how long it may take
    double nearShare = 0.02;       ///< "once" is settled when the time repeats this closely
};
struct TurnedStage {
    CoreReach passage;
    std::vector<double> turns;
    std::vector<Simulation::Moment> kept; ///< to come back to; the first is the stage's start
};
/// `forward`, with the turn of "once" put at half of the time the stage takes, by repetition.
Result<TurnedStage> forwardTurned(Simulation& simulation, const CoreGoal& goal,
                                  const TurnPlan& plan, Recorder* recorder);

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
