// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/outcome.h"

namespace dynamet::cook {

/// A piece on a programme, second by second: the solver plus what the outcome adds up. Copies of
/// `Moment` come back to a moment of the cook.
class Simulation {
  public:
    static Result<Simulation> create(const FoodPiece& piece, const Programme& programme,
                                     const Effort& effort);
    /// With material and vapour tables made before (they depend on food and pressure only).
    static Result<Simulation> create(const FoodPiece& piece, const Programme& programme,
                                     const Effort& effort,
                                     std::shared_ptr<const heat::Material> material,
                                     std::shared_ptr<const heat::Vapour> vapour);

    struct Moment {
        heat::State state;
        std::array<double, 2> browning{};
        double logReductions = 0, dangerS = 0;
        std::array<std::size_t, 2> foodFace{0, 1}; ///< which of the food's faces looks down, up
    };
    const Moment& moment();
    /// Back to a moment of the cook, before any rest.
    void restore(const Moment& moment);

    /// Cooks up to a time; `stop` (may be empty) ends it early and is asked after every step.
    Result<bool> cookUntil(double untilS, const heat::StepObserver& stop = {});
    void turn();
    /// Changes over to the rest's surroundings.
    void beginRest();

    const heat::PieceSolver& solver() const { return solver_; }
    double timeS() const { return solver_.timeS(); }
    /// Reads the outcome's sums as they stand.
    void fill(Outcome& outcome) const;
    Sample sample() const;

  private:
    explicit Simulation(heat::PieceSolver solver) : solver_(std::move(solver)) {}
    void surround(const heat::FaceBoundary& bottom, const heat::FaceBoundary& top);
    void addUp(double seconds);
    double crustRate(heat::FaceIndex face) const;

    heat::PieceSolver solver_;
    FoodPiece piece_;
    Rest rest_;
    kitchen::Site site_;
    bool beef_ = false;
    std::array<heat::FaceBoundary, 2> cooking_; // bottom and top while cooking
    std::array<bool, 2> touching_{};            // contact or liquid: no dry skin above the face
    std::array<double, 2> rateBefore_{};
    Moment moment_;
};

} // namespace dynamet::cook
