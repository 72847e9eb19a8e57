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
    recipe::Recipe recipe;
    /// The stage that goes to another appliance while the others stay as written, counted from 0;
    /// none = the whole cook goes to one appliance, straight through.
    std::optional<std::size_t> moved = {};
    FoodSpread spread;
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
/// The stage that moves as it was written; the last one when the whole cook moves.
const recipe::Stage& movedStage(const Request& request);
/// Where it was written for.
const recipe::Place& movedFrom(const Request& request);
/// Is it the last one, or the whole cook, that moves?
bool lastMoves(const Request& request);

} // namespace dynamet::translate
