// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/crust.h"
#include "cook/outcome.h"
#include "cook/round_boundary.h"

#include <stop_token>

namespace dynamet::cook {

/// A piece on a programme, second by second: the solver plus what the outcome adds up. Copies of
/// `Moment` come back to a moment of the cook.
class Simulation {
  public:
    /// Material and vapour tables depend on food and pressure only; many cooks share them.
    static Result<Simulation> create(const recipe::FoodPiece& piece, const Programme& programme,
                                     const Effort& effort,
                                     std::shared_ptr<const heat::Material> material,
                                     std::shared_ptr<const heat::Vapour> vapour);

    struct Moment {
        heat::PieceState state;
        std::array<FaceCrust, 3> crust{};
        double crustBehindS = 0, crustSinceS = 0; ///< not yet added; last change of surroundings
        std::array<double, 3> raised{};           ///< browning of what rides proud of a face
        std::vector<double> logs;                 ///< by organism of this food
        double softening = 0, rendering = 0;      ///< sums of rate × time
        double dangerS = 0, hottestTouchK = 0;
        double smokesFromS = std::numeric_limits<double>::quiet_NaN();
        double corePeakK = 0, corePeakS = 0; ///< so far, at the ends of steps
        std::size_t segment = 0;             ///< of the stage: how often its heat has changed
    };
    const Moment& moment();
    double coreOf(const Moment& moment) const { return solver_.coreOf(moment.state); }
    /// Back to a moment of the last stage, before any rest: what follows is what followed then, to
    /// the last bit.
    void restore(const Moment& moment);

    /// Changes the surroundings: a stage's field, or its edges on the plate. A fire's curve begins
    /// with the stage, or goes on when the stage before had the same field.
    void beginStage(const Stage& stage);
    /// Within a stage: other heat, in which a plate keeps its temperature, or a turn crosswise.
    void change(const Change& change);
    /// A rest, or a wait between stages.
    void beginRest(const recipe::Rest& rest, const kitchen::Site& site);
    /// Cooks up to a time; `stop` (may be empty) ends it early and is asked after every step.
    Result<bool> cookUntil(double untilS, const heat::StepObserver& stop = {});
    /// `cookUntil` is refused once a stop is asked for.
    void stopOn(std::stop_token stop) { stop_ = std::move(stop); }
    void turn();

    const heat::PieceSolver& solver() const { return solver_; }
    double timeS() const { return solver_.timeS(); }
    /// Reads the outcome's sums as they stand.
    void fill(Outcome& outcome);
    /// Of the plate under the food now; NaN where none touches it.
    double plateUnderK() const;
    Sample sample() const;
    Frame frame() const;

  private:
    explicit Simulation(heat::PieceSolver solver) : solver_(std::move(solver)) {}
    /// The food's face that looks this way now.
    std::size_t foodFace(heat::FaceIndex face) const;
    using Surroundings = std::array<heat::FaceBoundary, 3>; ///< bottom, top, side
    Surroundings surroundingsIn(const kitchen::HeatField& field) const;
    void surround(const Surroundings& around);
    /// The state now, with the temperatures that plates had before where they are still there.
    heat::PieceState withPlatesOf(const heat::PieceState& before, const Surroundings& were) const;
    struct Touch {
        double kelvin, contact;
    };
    std::optional<Touch> touchingPlate(heat::FaceIndex face) const;
    void addCrust(heat::FaceIndex face, double seconds);
    /// Brings the crusts up to now.
    void catchUp();
    double coldestInsideK() const;
    /// Kills per second now, by organism of this food.
    std::vector<double> killRates() const;
    void noteTouch();
    void addUp(double seconds);
    /// Highest temperatures so far, node by node in the order of `Section::peakK`.
    std::vector<double> peakNodes() const;
    Section section() const;

    heat::PieceSolver solver_;
    recipe::FoodPiece piece_;
    std::vector<std::size_t> organisms_;
    double smokeK_ = std::numeric_limits<double>::infinity();
    kitchen::HeatField field_; ///< of the stage
    kitchen::Site site_;
    std::string vesselId_; ///< that it lies in
    bool edgesDown_ = false;
    double fieldSinceS_ = 0;
    Surroundings around_;
    struct Segment { ///< of a stage, between two changes of its heat
        kitchen::HeatField field;
        double sinceS = 0;
        Surroundings around;
    };
    std::vector<Segment> segments_; ///< of the stage so far, to come back to
    CrustTraits traits_;
    double covered_ = 0; ///< share of its plate that food covers; 0 = not said
    double crustStepShare_ = kFull.crustStepShare;
    std::vector<double> killBefore_;
    Moment moment_;
    std::stop_token stop_;
};

} // namespace dynamet::cook
