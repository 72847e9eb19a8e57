// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_solver.h"
#include "recipe/recipe.h"

#include <span>

namespace dynamet::cook {

/// How often the food is turned over: never, once at half of the time, or every so often; a round
/// piece is rolled (or shaken) all the while. Words are kept in books: only ever append.
enum class Turning { never, once, often, rolled };
const char* enumName(Turning turning);
inline constexpr double kOftenTurnS = 60; ///< "often" means every minute

/// What changes within a stage, `atS` after it began: the heat (a plate keeps its temperature), a
/// turn crosswise, which brings other parts of a face to where the heat is strong.
struct Change {
    double atS = 0;
    std::optional<kitchen::HeatField> field;
    bool quarterTurn = false;
    bool turned = false; ///< over
    /// Other fuel or another setting: the field's curves begin here. A lid or a door that changes
    /// leaves a fire on its course.
    bool newCourse = false;
};

/// One stage as it is cooked: what was written, the heat of its place, and how it is turned.
struct Stage {
    recipe::Stage written;
    kitchen::HeatField field;
    kitchen::Site site;
    std::string heatId; ///< whose heat it is: stages of one appliance and zone err alike
    Turning turning = Turning::never;
    /// With it, "once" happens so long after the stage's start and not at half of its time.
    std::optional<double> turnAtS;
    std::optional<double> turnAtCoreK; ///< "once" when the core first comes here
    double everyS = kOftenTurnS;       ///< "often" means every so long
    bool turnsAsItLeaves = false;
    std::vector<Change> changes; ///< by time
    /// Share of the plate or shelf that food covers; 0 = not said: each piece has its own area of a
    /// plate, no more.
    double covered = 0;
};

/// Stages one after another, the last one for as long as it takes or says, then a rest at its site.
struct Programme {
    std::vector<Stage> stages = std::vector<Stage>(1); ///< never empty
    recipe::Rest rest;
    double guessS = 0;          ///< where to begin looking for the last stage's time; 0 = no idea
    double longestS = 6 * 3600; ///< of the last stage

    Stage& last() { return stages.back(); }
    const Stage& last() const { return stages.back(); }
    std::span<const Stage> beforeLast() const { return std::span(stages).first(stages.size() - 1); }
    /// Does the last stage end by the clock, whatever the core?
    bool endsByClock() const { return last().written.end.afterS > 0; }
};

/// How exactly to compute; `quick` is for searches (about 0.3 K), `full` for what is shown.
struct Effort {
    int cells = 48;
    double toleranceK = 0.1;
    int acrossCells = 16;
    std::size_t crustParts = 5;   ///< of a face, at most FaceCrust::kParts
    double crustStepShare = 0.05; ///< of the time since the surroundings changed
};
inline constexpr Effort kQuick{16, 0.4, 6, 3, 0.1};
inline constexpr Effort kFull{48, 0.1, 16};

/// Boundary of one face of the appliance under a field; numbers that are missing add nothing. What
/// changes in time (a fire burning down) began at `sinceS`.
heat::FaceBoundary boundaryOf(const kitchen::HeatField& field, kitchen::Face face,
                              const kitchen::Site& site, double sinceS = 0);
/// Boundary while resting: bottom (rack or board) and top (open or under a tent).
heat::FaceBoundary restingBoundary(const recipe::Rest& rest, const kitchen::Site& site,
                                   bool bottom);

} // namespace dynamet::cook
