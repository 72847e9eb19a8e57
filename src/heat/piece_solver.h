// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/boundary.h"
#include "heat/material.h"
#include "quantity/result.h"

#include <array>
#include <functional>
#include <memory>
#include <vector>

namespace dynamet::heat {

enum class Shape { slab, cylinder, sphere };

/// A piece of food in one dimension: a slab of this thickness with two faces, or a long cylinder or
/// sphere of this diameter with one.
struct Piece {
    Shape shape = Shape::slab;
    double thicknessM = 0.03;
    double startK = 278.15;
};

/// Cells must be even (the core is a node). The step's error is held near `toleranceK`; what
/// remains at the end is about a tenth of it.
struct SolverOptions {
    int cells = 60;
    double toleranceK = 0.1;
    double pressurePa = 101325;
    bool boiling = true;
    double moistureSupply = 1;
    double firstStepS = 0.05;
    double longestStepS = 300;
};

/// Index of a face in the solver: slab bottom and top; the one face of a cylinder or sphere is top.
enum FaceIndex : std::size_t { bottomFace = 0, topFace = 1 };

/// Everything that changes while a piece cooks; copied to come back to a moment.
struct State {
    double timeS = 0;
    std::vector<double> kelvin; ///< bottom plate, nodes from bottom (or centre) to top, top plate
    std::vector<double> waterLeft; ///< share of the node's water, 1…0
    std::vector<double> peakK;     ///< highest temperature of each node so far
    std::array<double, 2> evaporated{};
    double nextStepS = 0;
};

/// What an observer is told after every accepted step.
struct StepReport {
    double startS, endS;
    double coreStartK, coreEndK;       ///< geometric centre
    double coreStartRate, coreEndRate; ///< K/s
};
/// Returns false to stop after this step.
using StepObserver = std::function<bool(const StepReport&)>;

/// Solves docs/physics.md §1 for one piece between boundaries: finite volumes with a node on every
/// face, ROS2 in time (L-stable, order 2, error-controlled), started anew at every known event. No
/// allocation while stepping.
class PieceSolver {
  public:
    /// invalidArgument: thickness, start temperature, cells or tolerance out of range.
    static Result<PieceSolver> create(const Piece& piece, std::shared_ptr<const Material> material,
                                      std::shared_ptr<const Vapour> vapour,
                                      const SolverOptions& options);

    /// New surroundings from now on; lumped plates start at their own temperature.
    void setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top);
    /// Turns the food over; the surroundings stay.
    void turn();
    /// Steps up to a time exactly; false when the observer stopped it earlier. notConverged when
    /// the step size falls under 1 µs.
    Result<bool> advance(double untilS, const StepObserver& observer = {});

    const State& state() const { return state_; }
    void restore(const State& state);

    double timeS() const { return state_.timeS; }
    double coreK() const { return state_.kelvin[core_ + 1]; }
    double surfaceK(FaceIndex face) const { return state_.kelvin[surfaceRow(face)]; }
    double plateK(FaceIndex face) const {
        return state_.kelvin[face == bottomFace ? 0 : nodes_ + 1];
    }
    double meanK() const;
    /// Flux and dryness at a face now, for browning.
    FaceFlux faceNow(FaceIndex face) const;
    double water0() const { return material_->waterPerVolume(); }
    /// Heat in the food relative to 0 °C and its original water, J per m² of slab (property tests).
    double heatContent() const;
    long steps() const { return steps_; }
    std::size_t nodes() const { return nodes_; }
    double nodePositionM(std::size_t node) const { return static_cast<double>(node) * dx_; }

  private:
    PieceSolver() = default;
    struct Rates {
        std::vector<double> kelvin, boil; // K/s by row; share of water per s by node
        std::array<double, 2> evaporation{};
    };
    std::size_t surfaceRow(FaceIndex face) const { return face == bottomFace ? 1 : nodes_; }
    FaceMoisture moistureAt(FaceIndex face, const std::array<double, 2>& evaporated) const;
    void evaluate(const std::vector<double>& kelvin, const std::vector<double>& water,
                  const std::array<double, 2>& evaporated, double timeS, Rates& out, bool jacobian);
    void conductances(const std::vector<double>& kelvin, const std::vector<double>& water);
    void addFace(FaceIndex face, const std::vector<double>& kelvin,
                 const std::array<double, 2>& evaporated, double timeS, Rates& out, bool jacobian);
    void addPlate(FaceIndex face, const std::vector<double>& kelvin, Rates& out, bool jacobian);
    void finishRows(const std::vector<double>& kelvin, const std::vector<double>& water, Rates& out,
                    bool jacobian);
    void factor(double gammaDt);
    void solve(const std::vector<double>& rhs, std::vector<double>& out) const;
    double tryStep(double dt);
    double settleWater();
    void accept(double dt);
    std::size_t faceOfNode(std::size_t node) const;

    std::shared_ptr<const Material> material_;
    std::shared_ptr<const Vapour> vapour_;
    SolverOptions options_;
    Shape shape_ = Shape::slab;
    std::size_t nodes_ = 0, core_ = 0;
    double dx_ = 0;
    std::vector<double> volume_, area_; // by node; by interface (n − 1)
    std::array<double, 2> faceArea_{};
    std::array<double, 2> most_{};
    std::array<FaceBoundary, 2> boundary_;
    std::vector<double> kinks_;

    State state_;
    bool fresh_ = false; // `now_` and the Jacobian belong to the present state
    Rates now_, later_;
    std::vector<double> capacity_, conductivity_, conductance_;
    std::vector<double> lower_, diagonal_, upper_;
    std::vector<double> factorLower_, factorDiagonal_, factorUpper_;
    std::vector<double> k1_, k2_, trial_, rhs_, waterTrial_;
    std::array<double, 2> evaporatedTrial_{};
    long steps_ = 0;
};

/// Time inside a step at which the core first reaches `kelvin` (cubic between the step's ends);
/// NaN when it does not.
double crossingTime(const StepReport& step, double kelvin);
/// Highest core temperature inside a step and when (the same cubic).
std::pair<double, double> highestInside(const StepReport& step);

} // namespace dynamet::heat
