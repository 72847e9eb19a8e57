// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/boundary.h"
#include "heat/piece_state.h"
#include "heat/split_system.h"

#include <array>

namespace dynamet::heat {

/// What flows at a moment.
struct Rates {
    std::vector<double> heat;  ///< W into each row
    std::vector<double> water; ///< (share of water) m³/s into each node
    std::vector<double> sidePlate;
    std::vector<double> evaporation; ///< kg/m²s by piece of face
    std::vector<double> steam;       ///< the same, from further in
    std::vector<double> film;        ///< kg/m²s by piece of face
    explicit Rates(const PieceMesh& mesh);
};

/// What flows where at a moment (between nodes, through faces, into plates, into steam), and the
/// linear systems of a step that starts there. No allocation after the constructor.
class PieceRates {
  public:
    explicit PieceRates(const PieceMesh& mesh);

    std::array<FaceBoundary, 3> boundary;
    SplitSystem heat, water;
    /// Change of a row's heat by its water and of its water by its temperature, at faces.
    std::vector<double> heatByWater, waterByHeat;
    std::vector<double> sidePlateSlope;
    bool still = false; ///< nothing in these surroundings moves or boils the water

    /// A piece at a moment of a step; film and the side that is up are the step's start's.
    struct Moment {
        const std::vector<double>&kelvin, &water, &sidePlate;
        double timeS;
    };
    void evaluate(const PieceMesh& mesh, const PieceState& start, const Moment& at, Rates& out,
                  bool jacobian);
    bool waterMoves(const PieceMesh& mesh) const { return !mesh.dry && !still; }
    /// No water, or none that a face, a film, a front or a gradient moves.
    bool waterStandsStill(const PieceMesh& mesh, const PieceState& state) const;
    bool hasSidePlate(const PieceMesh& mesh, const PieceState& state) const {
        return boundary[sideFace].lumpedPlate && mesh.hasFace(sideFace, state.turned);
    }

  private:
    struct Work; ///< one evaluation: mesh, moment and where the rates go
    std::vector<double> capacity_, conductivity_, diffusivity_;
};

} // namespace dynamet::heat
