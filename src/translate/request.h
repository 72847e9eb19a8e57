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
    bool operator==(const Reference&) const = default;
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
    Reference reference;
    Goal goal;
    FoodSpread spread;
    cook::Rest rest;
    food::ChosenSchools schools; ///< the book's side in each, see schools.h
    std::uint64_t seed = 1;
    bool fahrenheit = false; ///< the unit that pull temperatures are printed (and rounded) in
};

/// A target: one appliance and zone, and for hobs the vessel.
struct Target {
    std::string applianceId;
    std::string zone;
    std::string vesselId;
    bool operator==(const Target&) const = default;
};
/// Every appliance and zone of the kitchen, the reference's own first.
std::vector<Target> allTargets(const Request& request);

} // namespace dynamet::translate
