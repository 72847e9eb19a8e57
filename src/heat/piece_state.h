// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_mesh.h"

namespace dynamet::heat {

/// Everything that changes while a piece cooks; copied to come back to a moment. Rows and pieces of
/// face are the mesh's.
struct PieceState {
    double timeS = 0;
    std::vector<double> kelvin;
    std::vector<double> waterLeft; ///< share of the node's water, 1…0
    std::vector<double> peakK;     ///< highest temperature of each node so far
    std::vector<double> sidePlateK;
    /// kg/m² by piece of face (bottom, top, side): what left the face's own node, which is its dry
    /// skin, and what came as steam from further in.
    std::vector<double> evaporated, steam;
    std::vector<double> film; ///< kg/m² of water still standing on each piece of face
    bool turned = false;      ///< the food's first face looks up
    double nextStepS = 0;
};

/// As it goes in: at its start temperature, its faces dried or wet as the options say.
PieceState startOf(const PieceMesh& mesh);
/// Turns the food over; what surrounds it stays.
void turnOver(PieceState& state, const PieceMesh& mesh);
/// A plate's or a stone's rows at a face, all at one temperature.
void setPlates(PieceState& state, const PieceMesh& mesh, FaceIndex face, double kelvin);

double meanK(const PieceState& state, const PieceMesh& mesh);
/// Share of its water that is not in the nodes.
double waterGoneShare(const PieceState& state, const PieceMesh& mesh);
/// Heat in the food relative to its freezing point and original water, J per m² of slab, per
/// metre of half a block, per radian of a cylinder.
double heatContent(const PieceState& state, const PieceMesh& mesh);

} // namespace dynamet::heat
