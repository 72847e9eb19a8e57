// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::heat {

/// One dimension: slab, long cylinder, sphere. Cross-section: a long block (thickness × width) and
/// a cylinder with flat ends. Words are kept in books: only ever append.
enum class Shape { slab, cylinder, sphere, block, finiteCylinder };
const char* enumName(Shape shape);
/// notFound for a word that is no shape.
Result<Shape> shapeOf(const std::string& word);
/// Has a lower and an upper face that a cook can turn.
inline bool hasTwoFaces(Shape shape) {
    return shape == Shape::slab || shape == Shape::block || shape == Shape::finiteCylinder;
}
inline bool isCrossSection(Shape shape) {
    return shape == Shape::block || shape == Shape::finiteCylinder;
}

/// A face covered by bone lets no heat or water through: the food's first face, or one of a
/// block's two sides.
enum class Bone { none, firstFace, oneSide };
const char* enumName(Bone bone);
std::optional<Bone> boneOf(const std::string& word);

/// A piece of food. `thicknessM` is the diameter of a cylinder or sphere, the height of the others;
/// `widthM` the width of a block or the diameter of a finite cylinder.
struct Piece {
    Shape shape = Shape::slab;
    double thicknessM = 0.03;
    double startK = 278.15;
    double widthM = 0.1;
    Bone bone = Bone::none;
    double fatCapM = 0; ///< fat on the food's second face, part of the thickness (two faces only)
};

/// Nodes on a product of two axes: `up` from the bottom face (or a centre) to the top face,
/// `across` from the middle (or the bone) to the side. A node sits on every face; cells are finer
/// towards faces. A node's volume is volumeUp × volumeAcross, and so are the areas between nodes.
struct Grid {
    std::vector<double> up, across;                   ///< positions, m
    std::vector<double> volumeUp, volumeAcross;       ///< by node
    std::vector<double> areaUp, areaAcross;           ///< by interface (one fewer than nodes)
    double bottomArea = 0, topArea = 0, sideArea = 0; ///< 0 = no such face
    std::size_t coreUp = 0, coreAcross = 0;           ///< the geometric centre
};

/// `cells` through the thickness (even); a section has `acrossCells` more from middle to side.
/// Cells grow from the face inwards by a quadratic map, the first `1 − grading` of the mean.
/// invalidArgument: a measure outside 0.1 mm to 1 m, odd cells, too few or too many.
Result<Grid> gridFor(const Piece& piece, int cells, int acrossCells, double grading);

} // namespace dynamet::heat
