// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/likeness.h"
#include "cook/rounds.h"
#include "translate/own_time.h"
#include "translate/programmes.h"
#include "translate/room.h"
#include "translate/row.h"
#include "translate/waiting.h"
#include "translate/ways.h"

#include <stop_token>

namespace dynamet::translate {

/// The recipe on its own appliance, and the tables that all rows share.
struct Prepared {
    Request request;
    cook::Programme programme; ///< of the reference
    cook::Outcome outcome;     ///< of the reference, with curves
    cook::Outcome quick;       ///< of the reference on the search's grid, to compare like with like
    cook::Outcome sketch;      ///< and on the coarsest, on which a search begins
    /// What the recipe gives is carried over in all that it is judged by; empty where a core or a
    /// later stage of its own decides.
    std::vector<food::Tolerance> judged;
    std::vector<cook::Say> says; ///< which of it decides the recipe's own time, largest first
    bool byLikeness() const { return !judged.empty(); }
    cook::Tables tables; ///< at the reference's pressure
    /// With what all that is shown is cooked: hours change so slowly that a third of the cells tell
    /// the same within 0.2 K.
    cook::Effort effort = cook::kFull;
    std::vector<Target> targets;
    evidence::Belief ofOthers; ///< the request's, and the times of other recipes
    evidence::Belief belief;   ///< that, and the recipe's own time
    std::optional<OwnTime> ownTime;
    Shifted shifted; ///< where a time gives the goal
};

/// Simulates the recipe where it was written. A last stage that a time ends sets the goal to what
/// came out. Errors: unknown appliance, a stage or the target not reached there, refused when it is
/// stopped. Every call below asks its stop token after each step of a cook.
Result<Prepared> prepare(const Request& request, std::stop_token stop = {});

/// The best setting of one target (without its window). Never fails: what cannot be reached is a
/// row with a reason. A stopped search returns what it has.
Row solveRow(const Prepared& prepared, const Target& target, std::stop_token stop = {});

/// The row at a setting that is held, one cook instead of a search: what a slider shows first.
/// `stageS` as of `Instruction`; `guessS` of the last stage, where a cook of nearly the same took
/// so long (0 = no idea).
Row solveRowAt(const Prepared& prepared, const Target& target, const kitchen::Setting& setting,
               double stageS = 0, std::stop_token stop = {}, double guessS = 0);

/// A row as a hand tries it, one cook on fewer cells; its window comes with `addWindow`, whose
/// cooks are as coarse. Nothing tried = the row at its setting.
Row rowTried(const Prepared& prepared, const Row& row, const Tried& tried,
             std::stop_token stop = {});

/// Adds window, overshoot time and the rule of thumb to a reached row.
void addWindow(const Prepared& prepared, Row& row, std::stop_token stop = {});

/// All rows with their windows, ranked.
std::vector<Row> translateAll(const Prepared& prepared, std::stop_token stop = {});

/// A pull temperature onto whole degrees of the reader, K.
double printedPull(double kelvin, bool fahrenheit);

/// The place of a row with the lid as it is, and its stages; the programme of them, as simulated.
recipe::Place placeOf(const Request& request, const Row& row);
std::vector<recipe::Stage> stagesOf(const Request& request, const Row& row);
Result<cook::Programme> programmeOf(const Request& request, const Row& row);

/// Of places and methods in their first round: every point is compared with the reference on the
/// same grid.
inline constexpr cook::Effort kSketch{8, 1.2, 4, 3, 0.25};

/// On how many cells a row is shown: fewer while a hand tries something.
cook::Effort effortOf(const Prepared& prepared, const Row& row);

/// Curves and profile of a row or of the reference, for drawing.
Result<cook::Outcome> fullOutcome(const Prepared& prepared, const Row& row,
                                  std::stop_token stop = {});

/// What an opened row shows beside its numbers: the cook with curves, its rounds (one for a piece
/// cooked at once is left out) and where finished pieces wait for the last ones, and the piece's
/// companions at the row's setting, thinner ones first.
struct RowDetail {
    std::optional<cook::Outcome> outcome;
    std::vector<cook::Round> rounds;
    std::optional<Error> roundless; ///< why there are no rounds
    struct Companion {
        double thicknessM = 0;
        Result<cook::Outcome> outcome;
    };
    std::vector<Companion> companions;
    std::optional<Room> room;     ///< where the number of pieces is known
    std::vector<Waiting> waiting; ///< of the first round's pieces until the last is done
    std::optional<Ways> ways;     ///< asked for apart: see `waysOn`
};
RowDetail detailOf(const Prepared& prepared, const Row& row, std::stop_token stop = {});

} // namespace dynamet::translate
