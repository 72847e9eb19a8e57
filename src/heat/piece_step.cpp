// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One ROS2 step: (I − γτA) k₁ = F(u), (I − γτA) k₂ = F(u + τk₁) − 2k₁, u⁺ = u + τ(3k₁ + k₂)/2; of
// second order whatever A is, so couplings may be left out of it.
#include "heat/piece_solver.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {

constexpr double kGamma = 0.29289321881345254; // 1 − 1/√2
/// A node may pass the boiling point by this many tolerances inside a step before it is retried.
constexpr double kOvershootTolerances = 15;
/// The tolerance holds for the whole piece (root mean square); one node may miss it by this factor.
constexpr double kNodeTolerances = 8;
/// A node this near to all of its water counts as full.
constexpr double kFull = 1e-7;
/// This change of a node's share of water counts as one kelvin of error.
constexpr double kWaterPerKelvin = 0.1;

} // namespace

/// Temperature of a row after the heat that would warm it by `change` at its present heat capacity.
double PieceSolver::warmedBy(std::size_t row, double change) const {
    const double t = state_.kelvin[row], left = state_.waterLeft[row];
    const double capacity = material_->heatCapacity(t, left);
    return material_->warmed(t, left, capacity, change * capacity);
}

double PieceSolver::tryStep(double dt) {
    if (!fresh_) {
        evaluate(state_.kelvin, state_.waterLeft, state_.sidePlateK, state_.timeS, now_, true);
        fresh_ = true;
    }
    const std::size_t rows = volume_.size();
    const bool side = boundary_[sideFace].lumpedPlate && hasFace(sideFace);
    const double boiling = vapour_->boilingK(), freezing = material_->freezingK();
    if (waterMoves()) {
        water_.factor(kGamma * dt);
        heat_.factor(kGamma * dt);
        solveBoth(kGamma * dt, now_.water, now_.heat, waterFirst_, heatFirst_);
    } else {
        for (std::size_t i = 0; i < rows && !still_; ++i)
            waterFirst_[i] = volume_[i] > 0 ? now_.water[i] / volume_[i] : 0;
        heat_.factor(kGamma * dt);
        heat_.solve(now_.heat, heatFirst_);
    }
    for (std::size_t i = 0; i < rows; ++i) {
        const double t = state_.kelvin[i];
        trial_.kelvin[i] = t + dt * heatFirst_[i];
        if ((t < freezing || trial_.kelvin[i] < freezing) && volume_[i] > 0)
            trial_.kelvin[i] = warmedBy(i, dt * heatFirst_[i]);
    }
    for (std::size_t i = 0; i < rows && !still_; ++i) {
        trial_.water[i] = std::clamp(state_.waterLeft[i] + dt * waterFirst_[i], 0.0, 1.0);
        if (watery_ && trial_.water[i] > 0 && volume_[i] > 0)
            trial_.kelvin[i] = std::min(trial_.kelvin[i], boiling);
    }
    if (side)
        for (std::size_t y = 0; y < nodes_; ++y) {
            plateFirst_[y] = now_.sidePlate[y] / (1 - kGamma * dt * sidePlateSlope_[y]);
            trial_.sidePlate[y] = state_.sidePlateK[y] + dt * plateFirst_[y];
        }
    evaluate(trial_.kelvin, trial_.water, trial_.sidePlate, state_.timeS + dt, later_, false);
    return finish(dt);
}

/// The heat of a face's row follows its water in the same step; without that long steps would
/// swing.
void PieceSolver::solveHeat(double tau, const std::vector<double>& rates,
                            const std::vector<double>& waterRates, std::vector<double>& out) {
    for (std::size_t i = 0; i < rates.size(); ++i)
        coupled_[i] = rates[i] + tau * heatByWater_[i] * waterRates[i];
    heat_.solve(coupled_, out);
}

/// Water, then heat, then both again with what each does to the other at a face. One pass is
/// enough: the rest is the second stage's; without it a drying face lags behind its own cooling and
/// the error of a step is five times as large.
void PieceSolver::solveBoth(double tau, const std::vector<double>& water,
                            const std::vector<double>& heat, std::vector<double>& waterOut,
                            std::vector<double>& heatOut) {
    water_.solve(water, waterOut);
    solveHeat(tau, heat, waterOut, heatOut);
    for (std::size_t i = 0; i < water.size(); ++i)
        rhs_[i] = water[i] + tau * waterByHeat_[i] * heatOut[i];
    water_.solve(rhs_, waterOut);
    solveHeat(tau, heat, waterOut, heatOut);
}

double PieceSolver::finish(double dt) {
    const std::size_t rows = volume_.size();
    const double freezing = material_->freezingK();
    if (waterMoves()) {
        for (std::size_t i = 0; i < rows; ++i) {
            later_.water[i] -= 2 * volume_[i] * waterFirst_[i];
            later_.heat[i] -= 2 * heat_.mass[i] * heatFirst_[i];
        }
        solveBoth(kGamma * dt, later_.water, later_.heat, waterSecond_, heatSecond_);
    } else {
        for (std::size_t i = 0; i < rows && !still_; ++i)
            waterSecond_[i] =
                volume_[i] > 0 ? later_.water[i] / volume_[i] - 2 * waterFirst_[i] : 0;
        for (std::size_t i = 0; i < rows; ++i)
            rhs_[i] = later_.heat[i] - 2 * heat_.mass[i] * heatFirst_[i];
        heat_.solve(rhs_, heatSecond_);
    }
    double worst = 0, squares = 0;
    for (std::size_t i = 0; i < rows; ++i) {
        const double change = dt * (1.5 * heatFirst_[i] + 0.5 * heatSecond_[i]);
        const double error = 0.5 * dt * (heatFirst_[i] + heatSecond_[i]);
        worst = std::max(worst, std::abs(error));
        squares += volume_[i] * error * error;
        const double t = state_.kelvin[i];
        trial_.kelvin[i] = t + change;
        if (volume_[i] > 0 && (t < freezing || t + change < freezing || change > 0.5)) {
            trial_.kelvin[i] = warmedBy(i, change);
        }
    }
    const double worstWater = still_ ? 0 : finishWater(dt);
    worst = std::max(worst, finishSidePlate(dt));
    const double overshoot = still_ ? 0 : settleWater();
    balanceWater();
    return std::max({std::sqrt(squares / totalVolume_), worst / kNodeTolerances,
                     overshoot / kOvershootTolerances, worstWater / kWaterPerKelvin}) /
           options_.toleranceK;
}

/// Water, film and what has left the faces at the step's end; returns the largest error of a share.
double PieceSolver::finishWater(double dt) {
    double worstWater = 0;
    for (std::size_t i = 0; i < volume_.size(); ++i) {
        const double change = dt * (1.5 * waterFirst_[i] + 0.5 * waterSecond_[i]);
        worstWater = std::max(worstWater, std::abs(0.5 * dt * (waterFirst_[i] + waterSecond_[i])));
        trial_.water[i] = state_.waterLeft[i] + change;
        if (std::abs(trial_.water[i] - 1) < kFull)
            trial_.water[i] = 1;
    }
    for (std::size_t f = 0; f < faceArea_.size(); ++f) {
        trial_.evaporated[f] =
            state_.evaporated[f] + dt / 2 * (now_.evaporation[f] + later_.evaporation[f]);
        trial_.steam[f] = state_.steam[f] + dt / 2 * (now_.steam[f] + later_.steam[f]);
        trial_.film[f] = std::max(0.0, state_.film[f] + dt / 2 * (now_.film[f] + later_.film[f]));
    }
    return worstWater;
}

/// A plate at the side at the step's end; returns its largest error, K.
double PieceSolver::finishSidePlate(double dt) {
    double worst = 0;
    if (boundary_[sideFace].lumpedPlate && hasFace(sideFace))
        for (std::size_t y = 0; y < nodes_; ++y) {
            const double second =
                (later_.sidePlate[y] - 2 * plateFirst_[y]) / (1 - kGamma * dt * sidePlateSlope_[y]);
            worst = std::max(worst, std::abs(0.5 * dt * (plateFirst_[y] + second)));
            trial_.sidePlate[y] = state_.sidePlateK[y] + dt * (1.5 * plateFirst_[y] + 0.5 * second);
        }
    return worst;
}

/// Heat above the boiling point becomes steam as far as there is water, water that was overdrawn
/// becomes heat again, and condensate that the food cannot hold runs off. Returns the largest
/// temperature that had to be put right.
double PieceSolver::settleWater() {
    if (!watery_) {
        for (double& left : trial_.water)
            left = std::clamp(left, 0.0, 1.0);
        return 0;
    }
    const double boiling = vapour_->boilingK();
    const double latent = vapour_->latentAtBoiling() * material_->waterPerVolume();
    double worst = 0;
    for (std::size_t i = 0; i < trial_.kelvin.size(); ++i) {
        double &t = trial_.kelvin[i], &left = trial_.water[i];
        if (volume_[i] <= 0 || (t <= boiling && left >= 0 && left <= 1))
            continue;
        left = std::min(left, 1.0);
        if (left == 0 || (t <= boiling && left >= 0))
            continue;
        const double capacity = material_->heatCapacity(boiling, std::max(left, 0.0));
        const double steam = left < 0 ? left : std::min(left, capacity * (t - boiling) / latent);
        worst = std::max(worst, std::abs(steam) * latent / capacity);
        t -= steam * latent / capacity;
        left -= steam;
        if (left < 1e-12)
            left = 0;
        const std::size_t slot = slotOfRow_[i];
        (onFace_[i] ? trial_.evaporated : trial_.steam)[slot] +=
            throughFace(slot, steam * volume_[i]);
    }
    return worst;
}

/// What left the faces is what the nodes lost: the rates at the step's ends say where, the nodes
/// how much.
void PieceSolver::balanceWater() {
    if (!waterMoves())
        return;
    double lost = 0, left = 0;
    for (std::size_t i = 0; i < volume_.size(); ++i)
        lost += volume_[i] * (state_.waterLeft[i] - trial_.water[i]);
    lost *= material_->waterPerVolume();
    const auto gone = [this](std::size_t f) {
        return trial_.evaporated[f] - state_.evaporated[f] + trial_.steam[f] - state_.steam[f];
    };
    for (std::size_t f = 0; f < faceArea_.size(); ++f)
        left += faceArea_[f] * gone(f);
    if (!(lost > 0 && left > 0) || left > 2 * lost || lost > 2 * left)
        return; // condensation runs off, a film gives its own water
    const double share = lost / left;
    for (std::size_t f = 0; f < faceArea_.size(); ++f) {
        trial_.evaporated[f] =
            state_.evaporated[f] + share * (trial_.evaporated[f] - state_.evaporated[f]);
        trial_.steam[f] = state_.steam[f] + share * (trial_.steam[f] - state_.steam[f]);
    }
}

void PieceSolver::accept(double dt) {
    std::swap(state_.kelvin, trial_.kelvin);
    std::swap(state_.waterLeft, trial_.water);
    std::swap(state_.evaporated, trial_.evaporated);
    std::swap(state_.steam, trial_.steam);
    std::swap(state_.film, trial_.film);
    if (boundary_[sideFace].lumpedPlate)
        std::swap(state_.sidePlateK, trial_.sidePlate);
    state_.timeS += dt;
    for (std::size_t i = 0; i < volume_.size(); ++i)
        state_.peakK[i] = std::max(state_.peakK[i], state_.kelvin[i]);
    ++steps_;
}

} // namespace dynamet::heat
