// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_stepper.h"
#include "heat/step_report.h"

namespace dynamet::heat {

/// Solves docs/physics.md §1 for one piece between boundaries: finite volumes with a node on every
/// face, heat and moisture, steps with an error control that start anew at every known event. No
/// allocation while stepping. Copies share the mesh.
class PieceSolver {
  public:
    /// invalidArgument: measures, start temperature, cells or tolerance out of range.
    static Result<PieceSolver> create(const Piece& piece, std::shared_ptr<const Material> material,
                                      std::shared_ptr<const Vapour> vapour,
                                      const SolverOptions& options);

    /// New surroundings from now on; plates and stones start at their own temperature. Without a
    /// side of its own a section's side sees what the top sees, plates apart.
    void setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top);
    void setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top,
                       const FaceBoundary& side);
    /// Turns the food over; the surroundings stay.
    void turn();
    /// Steps up to a time exactly; false when the observer stopped it earlier. notConverged when
    /// the step size falls under 1 µs.
    Result<bool> advance(double untilS, const StepObserver& observer = {});

    const PieceState& state() const { return state_; }
    void restore(const PieceState& state);

    double timeS() const { return state_.timeS; }
    double coreK() const { return coreOf(state_); }
    double coreOf(const PieceState& state) const { return state.kelvin[mesh_->coreRow]; }
    /// Of the middle of a face.
    double surfaceK(FaceIndex face) const { return state_.kelvin[mesh_->middleRow(face)]; }
    double plateK(FaceIndex face) const;
    double evaporatedAt(FaceIndex face) const { return state_.evaporated[mesh_->middleSlot(face)]; }
    double meanK() const { return heat::meanK(state_, *mesh_); }
    /// Share of its water that the piece has lost since the cook began.
    double waterLostShare() const { return waterGoneShare(state_, *mesh_) - goneBefore_; }
    /// The outermost wet food under the middle of a face, for its crust.
    struct WetFront {
        double kelvin = 0;
        double inwardFlux = 0; ///< W/m², conducted from there on
        double waterLeft = 1;
        bool none = false;   ///< dried through (or a food without water): the face itself
        bool filmed = false; ///< water stands on the face
    };
    WetFront wetFrontUnder(FaceIndex face) const;
    const Vapour& vapour() const { return *mesh_->vapour; }
    /// Of what it is made at its top face, for its crust.
    const Material& skin() const { return mesh_->madeOf(topFace); }
    double boilingK() const { return mesh_->vapour->boilingK(); }
    double heatContent() const { return heat::heatContent(state_, *mesh_); }
    long steps() const { return steps_; }
    const Grid& grid() const { return mesh_->grid; }
    bool hasFace(FaceIndex face) const { return mesh_->hasFace(face, state_.turned); }
    std::size_t row(std::size_t column, std::size_t node) const { return mesh_->row(column, node); }

  private:
    explicit PieceSolver(std::shared_ptr<const PieceMesh> mesh);
    std::shared_ptr<const PieceMesh> mesh_;
    PieceState state_;
    PieceStepper stepper_;
    std::vector<double> kinks_; ///< moments at which the surroundings bend
    double goneBefore_ = 0;     ///< share of the water that dried off before the cook
    long steps_ = 0;
};

} // namespace dynamet::heat
