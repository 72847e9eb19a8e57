// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn.h"
#include "kitchen/coal_tests.h"
#include "kitchen/kitchen.h"

#include <optional>

namespace dynamet::kitchen {

/// What an iron oven is to do: a bake is browned from its lid, a roast heated evenly, a stew kept
/// simmering from below, and frying needs the floor alone. Words are stable.
enum class CoalJob { bake, roast, simmer, fry };
const char* enumName(CoalJob job);
std::optional<CoalJob> coalJob(const std::string& word);

/// The oven that is cooked in: the diameter that its makers call it by, m, and whether it is deep.
struct IronOvenSize {
    double diameterM = 0.305;
    bool deep = false;
};

/// Coals that are laid or added at a moment of the cook.
struct CoalsLaid {
    double atS = 0;
    int under = 0, lid = 0;
};

/// How to lay, feed and look after an iron oven's coals for an inside temperature.
struct CoalPlan {
    CoalsLaid first;
    std::vector<CoalsLaid> added;       ///< each brings the heat back to what is wanted
    double insideK = 0, u = 0;          ///< over the first half hour with so many
    int commonUnder = 0, commonLid = 0; ///< the common rule, for this size and job alone
    double perCoalK = 0;                ///< what one raises the inside by, here and today
    double testsFactor = 1;             ///< of it, from this kitchen's own tests
    int tests = 0;
    double airFactor = 1; ///< of it, by height, wind and cold
    double lookS = 0, turnEveryS = 0;
    std::vector<int> layers; ///< of a stack: coals under the lowest, then on each lid
};

/// What is asked for.
struct CoalWish {
    double insideK = 450;
    CoalJob job = CoalJob::bake;
    IronOvenSize size;
    double lastsS = 3600; ///< how long the cook takes
    coals::Fuel fuel;
    int stacked = 1; ///< ovens of this size one on another: a lid's coals heat the next from below
};

/// Share of the coals that lies on the lid: two thirds for a bake (a little more over a deep one,
/// whose lid is farther from the food), half for a roast, a third for a stew, none for frying.
/// Common practice, no source.
double lidShare(CoalJob job, bool deep);
/// What a coal raises the inside by at sea level in still air of 20 °C, K: an oven of 12 in with 25
/// comes to some 350 °F, smaller ones need fewer with the power 1.2 of the diameter (common
/// practice, no source).
double commonPerCoalK(double diameterM);

/// Starts from the common rule and what height, wind and cold make of it; tests of `oven` in the
/// book move it. Whole coals only. invalidArgument: a temperature or a size that no iron oven has;
/// refused where more than 60 coals would be needed.
Result<CoalPlan> coalPlan(const Kitchen& kitchen, const Appliance& oven, const CoalWish& wish,
                          const Site& site);

CoalTests coalTests(const Kitchen& kitchen, const Appliance& oven);

/// Correction by eye, in whole coals under and on the lid: what a tenth more or less heat takes.
CoalsLaid correctedByEye(const CoalPlan& plan, double moreHeat);

/// Where coals lie, for a picture: points in parts of the oven's radius; those below in a ring
/// under the rim and a few inside it, those on the lid around the rim and in the middle.
struct CoalSpot {
    double x = 0, y = 0;
};
std::vector<CoalSpot> placementUnder(int coals);
std::vector<CoalSpot> placementOnLid(int coals);

} // namespace dynamet::kitchen
