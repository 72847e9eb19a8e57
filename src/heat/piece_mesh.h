// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/geometry.h"
#include "heat/material.h"
#include "heat/vapour.h"

#include <memory>
#include <vector>

namespace dynamet::heat {

/// `cells` through the thickness must be even (the core is a node); a cross-section has
/// `acrossCells` more from its middle to its side. The step's error (root mean square over the
/// piece) is held near `toleranceK`; what remains at the end is about as much where water boils, a
/// tenth of it where not.
struct SolverOptions {
    int cells = 60;
    int acrossCells = 20;
    double grading = 0.75; ///< how much finer cells are at a face, 0 = even
    double toleranceK = 0.1;
    double pressurePa = 101325;
    bool boiling = true;
    bool moisture = true;      ///< false: water leaves by boiling only
    double moistureSupply = 1; ///< factor on the diffusivity (an uncertain input)
    double firstStepS = 0.05;
    double longestStepS = 300;
    double filmKgM2 = 0;  ///< water standing on a wet piece's faces
    double driedKgM2 = 0; ///< water that left each face before the cook, from its first millimetre
    int stoneLayers = 1;  ///< rows kept for a plate or a stone's layers at each face
};

/// Faces of the appliance. A cylinder or sphere has one, `topFace`; only sections have a side.
enum FaceIndex : std::size_t { bottomFace = 0, topFace = 1, sideFace = 2 };

/// What stays as it is while a piece cooks: its grid, what it is made of, and how rows and pieces
/// of face are numbered. Rows: for each column the bottom plate's layers, the nodes from bottom (or
/// centre) to top, the top plate's. Pieces of face: bottom, top (a column each), side (a node
/// each).
struct PieceMesh {
    Piece piece;
    std::shared_ptr<const Material> material;
    std::shared_ptr<const Vapour> vapour;
    SolverOptions options;
    Grid grid;
    std::size_t nodes = 0, columns = 0, plates = 1, stride = 0, coreRow = 0;
    std::vector<double> volume, reachUp, reachAcross; ///< by row; area/distance to the next
    double totalVolume = 0, totalWater = 0; ///< m³ and kg, per what a row's volume is per
    std::vector<const Material*> made;      ///< by row
    std::vector<double> water0;             ///< kg/m³ by row at the start
    std::size_t lidNodes = 0;               ///< counted from the top
    std::vector<double> faceArea;           ///< by piece of face
    std::vector<std::size_t> slotOfRow;     ///< nearest piece of face: where a node's steam leaves
    std::vector<char> onFace;               ///< a row that is the face itself
    std::size_t capNodes = 0;               ///< fat, counted from the food's second face
    std::vector<double> stoneSpan; ///< thickness of a stone's layers as a share of the whole
    bool dry = true;               ///< no water or none that moves
    bool watery = false;           ///< water can boil

    std::size_t rows() const { return columns * stride; }
    std::size_t faceSlots() const { return 2 * columns + nodes; }
    std::size_t row(std::size_t column, std::size_t node) const {
        return column * stride + plates + node;
    }
    std::size_t middleRow(FaceIndex face) const;
    std::size_t middleSlot(FaceIndex face) const;
    bool hasFace(FaceIndex face, bool turned) const;
    /// How far a node lies from the nearest face, m.
    double nearestFaceM(std::size_t column, std::size_t node) const;
    /// kg/m² through a piece of face of so much water of a row, in shares of a full node times m³.
    double throughFace(std::size_t slot, std::size_t ofRow, double shareM3) const {
        const double area = faceArea[slot];
        return area > 0 ? shareM3 * water0[ofRow] / area : 0;
    }
    /// What a face is made of; only the upper one may be a lid.
    const Material& madeOf(FaceIndex face) const { return *made[middleRow(face)]; }
};

/// invalidArgument: measures, start temperature, cells or tolerance out of range.
Result<PieceMesh> meshOf(const Piece& piece, std::shared_ptr<const Material> material,
                         std::shared_ptr<const Vapour> vapour, const SolverOptions& options);

} // namespace dynamet::heat
