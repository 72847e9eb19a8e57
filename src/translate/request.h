// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"
#include "evidence/belief.h"
#include "evidence/priors.h"
#include "food/schools.h"
#include "kitchen/kitchen.h"

#include <cstdint>
#include <memory>
#include <string>
#include <vector>

namespace dynamet::translate {

/// How well a piece is known before it is cooked: what its recipe and food share with other cooks,
/// and what is this cook's own.
struct FoodSpread {
    evidence::Priors priors = {};
    double thicknessLn = evidence::kByEye;
    double startK = evidence::kStartByHandK;
    /// Of the thickness as a cook meets it: the real piece's shape and how it was found.
    double wholeThicknessLn() const;
    bool operator==(const FoodSpread&) const = default;
};
FoodSpread spreadOf(const evidence::Priors& priors, const recipe::FoodPiece& piece);

/// What is believed once the recipe's own time is used; see own_time.h.
struct Believed;

/// Everything a translation is computed from, as one value.
struct Request {
    kitchen::Kitchen kitchen;
    recipe::Recipe recipe;
    /// The stage that goes to another appliance while the others stay as written, counted from 0;
    /// none = the whole cook goes to one appliance, straight through.
    std::optional<std::size_t> moved = {};
    evidence::Priors priors;
    /// What cooks of the book have shown; the times of other recipes and of this one are added.
    evidence::Belief belief;
    /// Other recipes whose authors' times bear on this one; see `bearsOn`.
    std::vector<recipe::Recipe> others = {};
    /// The piece that the recipe was written with, where a what-if has another: its author's time
    /// was that one's. `believed` is what came of it before, so that it is not worked out anew.
    std::optional<recipe::FoodPiece> writtenPiece = {};
    std::shared_ptr<const Believed> believed = {};
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
