// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "heat/geometry.h"

namespace dynamet::recipe {

/// What the face is like as it meets the heat: patted, wet from a rinse or marinade, dried in air
/// for hours, or salted hours ahead (dry as well, and it keeps more of its juice).
enum class SurfaceState { patted, wet, dried, salted };
const char* enumName(SurfaceState surface);
std::optional<SurfaceState> surfaceOf(const std::string& word);

inline constexpr double kMostPieces = 500;

/// How a thickness was found. Words are kept in books: only ever append.
enum class KnownBy { eye, ruler, calipers };
const char* enumName(KnownBy known);
std::optional<KnownBy> knownByOf(const std::string& word);

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
    int pieces = 1;                   ///< alike, cooked together as far as the place holds them
    double coversM2 = 0;              ///< that each takes up on a pan or shelf; 0 = not said
    double besideM2 = 0;              ///< that other food takes up beside them
    KnownBy thicknessBy = KnownBy::eye;
    bool startProbed = false; ///< its start was read with a probe, and not by hand or habit
    bool operator==(const FoodPiece&) const = default;
};

/// What a piece takes up on a pan or shelf, m²: as it was said, else by its shape; nullopt where
/// the shape does not tell (a slab's length, a roll's).
std::optional<double> coverOf(const FoodPiece& piece);

} // namespace dynamet::recipe
