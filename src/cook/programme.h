// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "heat/piece_solver.h"
#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::cook {

/// The piece of food that is cooked. SI.
struct FoodPiece {
    food::Food food;
    food::Form form = food::Form::intact;
    heat::Shape shape = heat::Shape::slab;
    double thicknessM = 0.03; ///< of a slab; the diameter of a cylinder or sphere
    double startK = 278.15;
    double moistureSupply = 1; ///< factor on how fast water reaches the face
    bool operator==(const FoodPiece&) const = default;
};

/// How often the food is turned over: never, once at half of the time, or every so often.
enum class Turning { never, once, often };
const char* word(Turning turning);
inline constexpr double kOftenTurnS = 60; ///< "often" means every minute

/// What the food sees while it rests.
struct Rest {
    bool tented = false;
    bool onBoard = false;
    double shortestS = 300;
    double longestS = 3600;
    bool operator==(const Rest&) const = default;
};

/// Straight through: one field, turned or not, then a rest at the site.
struct Programme {
    kitchen::HeatField field;
    kitchen::Site site;
    Turning turning = Turning::never;
    /// With it, "once" happens at this moment and not at half of the solved time.
    std::optional<double> turnAtS;
    /// Where to begin looking for half of the time; 0 = no idea.
    double guessS = 0;
    Rest rest;
    double longestS = 6 * 3600;
};

/// How exactly to compute; `quick` is for searches (about 0.1 K), `full` for what is shown.
struct Effort {
    int cells = 60;
    double toleranceK = 0.1;
};
inline constexpr Effort kQuick{28, 0.5};
inline constexpr Effort kFull{60, 0.1};

/// Boundary of one face of the appliance under a field; numbers that are missing add nothing.
heat::FaceBoundary boundaryOf(const kitchen::HeatField& field, kitchen::Face face,
                              const kitchen::Site& site);
/// Boundary while resting: bottom (rack or board) and top (open or under a tent).
heat::FaceBoundary restingBoundary(const Rest& rest, const kitchen::Site& site, bool bottom);

} // namespace dynamet::cook
