// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"
#include "food/schools.h"
#include "kitchen/kitchen.h"

#include <cstdint>
#include <string>
#include <vector>

namespace dynamet::translate {

/// Where and how a recipe was written.
struct Reference {
    std::string applianceId;
    kitchen::Setting setting;
    std::string zone;
    std::string vesselId;
    bool lidOpen = false; ///< of a grill or kettle; it goes with the stage to others that have one
    bool operator==(const Reference&) const = default;
};

/// A stage of a recipe before its last one: where, and when it ends (after a time, at a core, or
/// whichever is first); then the food may wait.
struct WrittenStage {
    Reference place;
    double endsAfterS = 0; ///< 0 = by the core only
    std::optional<double> endsAtCoreK;
    bool edgesDown = false; ///< the sides stand on the plate
    double waitS = 0;
    bool waitTented = false;
    bool operator==(const WrittenStage&) const = default;
};

/// What the food must become. Browning and rim are those of the reference.
struct Goal {
    double coreK = 328.15;
    food::ReadAt readAt = food::ReadAt::peak;
    double bandLowK = 326.15, bandHighK = 330.15; ///< doneness band of the peak
    std::string words;                            ///< "medium rare, house scale"
    bool operator==(const Goal&) const = default;
};

/// The goal that a level of a scale names: the middle of its band, read when the scale says.
Goal goalOf(const food::DonenessScale& scale, const food::DonenessLevel& level);

/// How well the food is known: standard uncertainties that reference and target share.
struct FoodSpread {
    double thicknessRelative = 0.05;
    double startK = 3;
    double moistureLn = 0.47; ///< ln 1.6
    double modelLn = 0.04;    ///< what the model itself leaves open, on ln(time)
    bool operator==(const FoodSpread&) const = default;
};

/// Everything a translation is computed from, as one value.
struct Request {
    kitchen::Kitchen kitchen;
    std::string recipeText;
    cook::FoodPiece piece;
    std::vector<WrittenStage> before = {};
    Reference reference; ///< of the last stage
    /// The last stage ends after so long and the goal is what that gives; 0 = when the goal is met.
    double lastForS = 0;
    /// The stage that goes to another appliance while the others stay as written, counted from 0
    /// (`before.size()` = the last); none = the whole cook goes to one appliance, straight through.
    std::optional<std::size_t> moved = {};
    Goal goal;
    FoodSpread spread;
    cook::Rest rest;
    food::ChosenSchools schools; ///< the book's side in each, see schools.h
    std::uint64_t seed = 1;
    Units units; ///< the reader's; pull temperatures are rounded in them
};

/// A target: one appliance and zone, and for hobs the vessel.
struct Target {
    std::string applianceId;
    std::string zone;
    std::string vesselId;
    bool operator==(const Target&) const = default;
};
/// Every appliance and zone of the kitchen; first the place that the moved stage was written for.
std::vector<Target> allTargets(const Request& request);
/// Where the moved stage was written; the last stage's place when the whole cook moves.
const Reference& movedFrom(const Request& request);

} // namespace dynamet::translate
