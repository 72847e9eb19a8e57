// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/doneness.h"
#include "food/judgement.h"
#include "kitchen/kitchen.h"
#include "recipe/handling.h"
#include "recipe/piece.h"

namespace dynamet::recipe {

/// Where a stage cooks, and at what.
struct Place {
    std::string applianceId;
    kitchen::Setting setting;
    std::string zone;
    std::string vesselId; ///< a hob needs one; elsewhere what the food lies in, empty = nothing
    bool lidOpen = false; ///< of a grill or kettle; it goes with the stage to others that have one
    std::string insertId = {}; ///< a plate, a stone, raised grates: what is put in for it
    double heightM = 0;        ///< of the grate over open coals; 0 = as it usually is
    bool operator==(const Place&) const = default;
};

/// When a stage ends: at a core, after a time, or whichever is first; with neither, when the goal
/// is met. Only the last stage may end by the goal, and its goal says at which core.
struct StageEnd {
    double afterS = 0; ///< 0 = not by the clock
    std::optional<double> coreK;
    bool byGoal() const { return afterS <= 0 && !coreK; }
    bool operator==(const StageEnd&) const = default;
};

/// One stage: where, until when, and then the food may wait, open or under foil, before the next.
struct Stage {
    Place place;
    StageEnd end;
    bool edgesDown = false; ///< the sides stand on the plate, one after the other
    double waitS = 0;       ///< after it; the last stage has a rest instead
    bool waitTented = false;
    Handling handling = {};
    bool operator==(const Stage&) const = default;
};

/// What the food must become. Browning and rim are those of the reference.
struct Goal {
    double coreK = 328.15;
    food::GoalMoment readAt = food::GoalMoment::peak;
    double bandLowK = 326.15, bandHighK = 330.15; ///< doneness band of the peak
    std::string words;                            ///< "medium rare, house scale"
    /// Where a time ends it; empty = what its food is judged by.
    std::vector<food::Quality> judgedBy = {};
    bool operator==(const Goal&) const = default;
};

/// The goal that a level of a scale names: the middle of its band, read when the scale says.
Goal goalOf(const food::DonenessScale& scale, const food::DonenessLevel& level);

/// What the food sees while it rests.
struct Rest {
    bool tented = false;
    bool onBoard = false;
    double shortestS = 300;
    double longestS = 3600;
    bool operator==(const Rest&) const = default;
};

/// How long its author says the last stage took until its goal, where the goal is stated apart from
/// it (a core, a doneness): an observation of that cook. 0 = not said.
struct WrittenTime {
    double lowS = 0, highS = 0; ///< the same where one figure is written
    bool setAside = false;      ///< by the cook: it counts for nothing
    bool said() const { return lowS > 0; }
    bool operator==(const WrittenTime&) const = default;
};

/// A stretch of the text that the cook says means something else than was read: nothing (an empty
/// kind), or so much in SI. It holds while the text has those words at that place.
struct Correction {
    std::size_t begin = 0;
    std::string text, kind;
    std::optional<double> low, high;
    bool operator==(const Correction&) const = default;
};

/// A recipe as it was written: what is cooked, to what, where and how; SI.
struct Recipe {
    std::string id, name, author, text;
    FoodPiece piece;
    Goal goal;
    std::vector<Stage> stages =
        std::vector<Stage>(1); ///< in the order they are cooked; never empty
    Rest rest;
    WrittenTime time = {};
    std::vector<Correction> corrections = {};
    const Stage& last() const { return stages.back(); }
    Stage& last() { return stages.back(); }
    /// Does the last stage end by the clock? Then the goal is what that gives.
    bool endsByClock() const { return last().end.afterS > 0; }
    bool operator==(const Recipe&) const = default;
};

/// Is the recipe whole: a name, known places, stages that end, one that turns to the plate only
/// where there is one, a goal above the cores before it? invalidArgument with the reason if not.
Result<void> checkRecipe(const Recipe& recipe, const kitchen::Kitchen& kitchen);

} // namespace dynamet::recipe
