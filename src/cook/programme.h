// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "heat/piece_solver.h"
#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::cook {

/// What the face is like as it meets the heat: patted, wet from a rinse or marinade, dried in air
/// for hours, or salted hours ahead (dry as well, and it keeps more of its juice).
enum class SurfaceState { patted, wet, dried, salted };
const char* word(SurfaceState surface);
std::optional<SurfaceState> surfaceOf(const std::string& word);

/// The piece of food that is cooked. SI.
struct FoodPiece {
    food::Food food;
    food::Form form = food::Form::intact;
    heat::Shape shape = heat::Shape::slab;
    double thicknessM = 0.03; ///< of a slab, block or finite cylinder; else the diameter
    double widthM = 0.1;      ///< of a block; the diameter of a finite cylinder
    heat::Bone bone = heat::Bone::none;
    double fatCapM = 0; ///< on the face that looks up at the start
    SurfaceState surface = SurfaceState::patted;
    double startK = 278.15;
    double temperedS = 0;      ///< out of the refrigerator before the cook; counts as danger time
    double moistureSupply = 1; ///< factor on how fast water reaches the face
    std::vector<std::string> seasonings = {}; ///< ids of data/seasonings.json
    std::string fat = {};                     ///< id of the fat it is fried in
    int rounds = 1;                           ///< batches, one after another on the same plate
    std::vector<double> othersM = {}; ///< thickness of its companions, each with its own pull
    bool operator==(const FoodPiece&) const = default;
};

/// How often the food is turned over: never, once at half of the time, or every so often; a round
/// piece is rolled (or shaken) all the while. Words are kept in books: only ever append.
enum class Turning { never, once, often, rolled };
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

/// A stage before the last one: it ends after a time or when the core has come far enough,
/// whichever is first; then the food may wait, in a room, open or under foil, before the next.
struct Stage {
    kitchen::HeatField field;
    kitchen::Site site;
    Turning turning = Turning::never;
    std::optional<double> turnAtS; ///< from the stage's start; without it half of `endsAfterS`
    double endsAfterS = 0;         ///< 0 = by the core only, six hours at most
    std::optional<double> endsAtCoreK;
    bool edgesDown = false; ///< the sides stand on the plate, one after the other
    double waitS = 0;
    bool waitTented = false;
    std::string heat = {}; ///< whose heat it is: stages of one appliance err alike
};

/// Earlier stages, then one field, turned or not, for as long as it takes, then a rest at the site.
struct Programme {
    std::vector<Stage> before;
    kitchen::HeatField field;
    kitchen::Site site;
    std::string heat = {}; ///< as of `Stage`
    Turning turning = Turning::never;
    /// With it, "once" happens at this moment of the last stage and not at half of its solved time.
    std::optional<double> turnAtS;
    /// Where to begin looking for the last stage's time; 0 = no idea.
    double guessS = 0;
    Rest rest;
    double longestS = 6 * 3600; ///< of the last stage
    double lastForS = 0; ///< the last stage ends after so long, whatever the core; 0 = by the goal
};

/// How exactly to compute; `quick` is for searches (about 0.3 K), `full` for what is shown.
struct Effort {
    int cells = 48;
    double toleranceK = 0.1;
    int acrossCells = 16;
};
inline constexpr Effort kQuick{16, 0.4, 6};
inline constexpr Effort kFull{48, 0.1, 16};

/// Boundary of one face of the appliance under a field; numbers that are missing add nothing. What
/// changes in time (a fire burning down) began at `sinceS`.
heat::FaceBoundary boundaryOf(const kitchen::HeatField& field, kitchen::Face face,
                              const kitchen::Site& site, double sinceS = 0);
/// Boundary while resting: bottom (rack or board) and top (open or under a tent).
heat::FaceBoundary restingBoundary(const Rest& rest, const kitchen::Site& site, bool bottom);

} // namespace dynamet::cook
