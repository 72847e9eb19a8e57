// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/boundary.h"
#include "heat/geometry.h"
#include "heat/material.h"
#include "heat/split_system.h"
#include "heat/step_report.h"

#include <array>
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

/// Everything that changes while a piece cooks; copied to come back to a moment. Rows: for each
/// column the bottom plate's, the nodes from bottom (or centre) to top, the top plate's.
struct State {
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

/// Solves docs/physics.md §1 for one piece between boundaries: finite volumes with a node on every
/// face, heat and moisture, ROS2 in time (L-stable in one dimension, order 2, error-controlled),
/// split by direction in a cross-section, started anew at every known event. No allocation while
/// stepping.
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

    const State& state() const { return state_; }
    void restore(const State& state);

    double timeS() const { return state_.timeS; }
    double coreK() const { return coreOf(state_); }
    double coreOf(const State& state) const { return state.kelvin[coreRow_]; }
    /// Of the middle of a face.
    double surfaceK(FaceIndex face) const { return state_.kelvin[middleRow(face)]; }
    double plateK(FaceIndex face) const;
    double evaporatedAt(FaceIndex face) const { return state_.evaporated[middleSlot(face)]; }
    double meanK() const;
    /// Share of its water that the piece has lost since the cook began.
    double waterLostShare() const;
    /// Flux and dryness at the middle of a face now, for browning.
    FaceFlux faceNow(FaceIndex face) const;
    double boilingK() const { return vapour_->boilingK(); }
    double water0() const { return material_->waterPerVolume(); }
    /// Heat in the food relative to its freezing point and original water, J per m² of slab, per
    /// metre of half a block, per radian of a cylinder (property tests).
    double heatContent() const;
    long steps() const { return steps_; }
    const Grid& grid() const { return grid_; }
    bool hasFace(FaceIndex face) const;
    std::size_t row(std::size_t column, std::size_t node) const {
        return column * stride_ + plates_ + node;
    }

  private:
    PieceSolver() = default;
    struct Rates {
        std::vector<double> heat;  ///< W into each row
        std::vector<double> water; ///< (share of water) m³/s into each node
        std::vector<double> sidePlate;
        std::vector<double> evaporation; ///< kg/m²s by piece of face
        std::vector<double> steam;       ///< the same, from further in
        std::vector<double> film;        ///< kg/m²s by piece of face
    };
    struct Values {
        std::vector<double> kelvin, water, sidePlate, evaporated, steam, film;
    };
    void allocate(double startK);
    void numberSlots();
    void dryFaces();
    bool waterStandsStill() const;
    void settleStill();
    bool waterMoves() const { return !dry_ && !still_; }
    std::size_t middleRow(FaceIndex face) const;
    std::size_t middleSlot(FaceIndex face) const;
    Surface surfaceAt(double kelvin, double waterLeft) const;

    void evaluate(const std::vector<double>& kelvin, const std::vector<double>& water,
                  const std::vector<double>& sidePlate, double timeS, Rates& out, bool jacobian);
    void thinCap();
    void properties(const std::vector<double>& kelvin, const std::vector<double>& water);
    /// Heat and water between two neighbours; the couplings may be null.
    void pass(std::size_t i, std::size_t j, double reach, const std::vector<double>& kelvin,
              const std::vector<double>& water, Rates& out, SplitSystem::Coupling* heatCoupling,
              SplitSystem::Coupling* waterCoupling);
    void flows(const std::vector<double>& kelvin, const std::vector<double>& water, Rates& out,
               bool jacobian);
    /// kg/m² through a piece of face of so much water, in shares of a full node times m³.
    double throughFace(std::size_t slot, double shareM3) const {
        const double area = faceArea_[slot];
        return area > 0 ? shareM3 * material_->waterPerVolume() / area : 0;
    }
    void addFaces(const std::vector<double>& kelvin, const std::vector<double>& water,
                  const std::vector<double>& sidePlate, double timeS, Rates& out, bool jacobian);
    void addSlot(FaceIndex face, std::size_t slot, std::size_t row, double area,
                 const std::vector<double>& kelvin, const std::vector<double>& water, double timeS,
                 Rates& out, bool jacobian);
    void addPlate(FaceIndex face, std::size_t column, const std::vector<double>& kelvin, Rates& out,
                  bool jacobian);
    void addStone(FaceIndex face, std::size_t column, const std::vector<double>& kelvin, Rates& out,
                  bool jacobian);
    void addSidePlate(std::size_t node, const std::vector<double>& kelvin,
                      const std::vector<double>& sidePlate, Rates& out, bool jacobian);
    bool arrivesHot(const std::vector<double>& kelvin, const std::vector<double>& water,
                    std::size_t row) const;
    void steamBetween(std::size_t dry, std::size_t wet, double flow,
                      const std::vector<double>& kelvin, Rates& out) const;
    void boil(const std::vector<double>& kelvin, const std::vector<double>& water, Rates& out,
              bool jacobian);
    void clearSystems();
    double warmedBy(std::size_t row, double change) const;
    double tryStep(double dt);
    void solveHeat(double tau, const std::vector<double>& rates,
                   const std::vector<double>& waterRates, std::vector<double>& out);
    void solveBoth(double tau, const std::vector<double>& water, const std::vector<double>& heat,
                   std::vector<double>& waterOut, std::vector<double>& heatOut);
    double finish(double dt);
    double finishWater(double dt);
    double finishSidePlate(double dt);
    double settleWater();
    void balanceWater();
    void accept(double dt);

    std::shared_ptr<const Material> material_;
    std::shared_ptr<const Vapour> vapour_;
    SolverOptions options_;
    Piece piece_;
    Grid grid_;
    std::size_t nodes_ = 0, columns_ = 0, plates_ = 1, stride_ = 0, coreRow_ = 0;
    std::vector<double> volume_, reachUp_, reachAcross_; ///< by row; area/distance to the next
    double totalVolume_ = 0, driedShare_ = 0;
    std::vector<double> faceArea_;       ///< by piece of face
    std::vector<std::size_t> slotOfRow_; ///< nearest piece of face
    std::vector<char> onFace_;           ///< a row that is the face itself
    std::array<FaceBoundary, 3> boundary_;
    std::size_t capNodes_ = 0;      ///< fat, counted from the food's second face
    std::vector<double> stoneSpan_; ///< thickness of a stone's layers as a share of the whole
    std::vector<double> kinks_;

    State state_;
    bool fresh_ = false;  ///< `now_` and the systems belong to the present state
    bool dry_ = true;     ///< no water or none that moves
    bool still_ = false;  ///< nothing in these surroundings moves or boils the water
    bool watery_ = false; ///< water can boil
    Rates now_, later_;
    std::vector<double> capacity_, conductivity_, diffusivity_, sidePlateSlope_;
    SplitSystem heat_, water_;
    /// Change of a row's heat by its water and of its water by its temperature, at faces.
    std::vector<double> heatByWater_, waterByHeat_;
    std::vector<double> heatFirst_, heatSecond_, waterFirst_, waterSecond_, rhs_, coupled_,
        plateFirst_;
    Values trial_;
    long steps_ = 0;
};

} // namespace dynamet::heat
