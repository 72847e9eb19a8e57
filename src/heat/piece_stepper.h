// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_rates.h"

namespace dynamet::heat {

/// One step of ROS2 in time (L-stable in one dimension, order 2), split by direction in a
/// cross-section, with its own error; the caller takes it or tries a shorter one. No allocation
/// after the constructor.
class PieceStepper {
  public:
    PieceStepper(const PieceMesh& mesh, const PieceState& state);

    PieceRates rates;
    /// State or surroundings were changed from outside: the next step begins with new rates.
    void renew() { fresh_ = false; }
    /// Finds out whether water moves at all in these surroundings.
    void settle(const PieceMesh& mesh, const PieceState& state);
    /// Rates and systems at the state.
    void start(const PieceMesh& mesh, const PieceState& state);
    /// Tries a step; its error over the tolerance (above 1: too long).
    double tryStep(const PieceMesh& mesh, const PieceState& state, double dt);
    /// Takes the step that was tried last.
    void accept(const PieceMesh& mesh, PieceState& state, double dt);
    /// K/s of the core at the last start.
    double coreRate(const PieceMesh& mesh) const {
        return now_.heat[mesh.coreRow] / rates.heat.mass[mesh.coreRow];
    }

  private:
    struct Values {
        std::vector<double> kelvin, water, sidePlate, evaporated, steam, film;
    };
    void solveHeat(double tau, const std::vector<double>& heatRates,
                   const std::vector<double>& waterRates, std::vector<double>& out);
    void solveBoth(double tau, const std::vector<double>& water, const std::vector<double>& heat,
                   std::vector<double>& waterOut, std::vector<double>& heatOut);
    double finish(const PieceMesh& m, const PieceState& state, double dt);
    double finishWater(const PieceMesh& m, const PieceState& state, double dt);
    double finishSidePlate(const PieceMesh& m, const PieceState& state, double dt);
    double settleWater(const PieceMesh& m);
    void balanceWater(const PieceMesh& m, const PieceState& state);

    bool fresh_ = false; ///< `now_` and the systems belong to the present state
    Rates now_, later_;
    std::vector<double> heatFirst_, heatSecond_, waterFirst_, waterSecond_, rhs_, coupled_,
        plateFirst_;
    Values trial_;
};

} // namespace dynamet::heat
