// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One ROS2 step: (I − γτA) k₁ = F(u), (I − γτA) k₂ = F(u + τk₁) − 2k₁, u⁺ = u + τ(3k₁ + k₂)/2; of
// second order whatever A is, so couplings may be left out of it.
#include "heat/piece_stepper.h"

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

/// Temperature of a row after the heat that would warm it by `change` at its present heat capacity.
double warmedBy(const PieceMesh& m, const PieceState& state, std::size_t row, double change) {
    const double t = state.kelvin[row], left = state.waterLeft[row];
    const Material& made = *m.made[row];
    const double capacity = made.heatCapacity(t, left);
    return made.warmed(t, left, capacity, change * capacity);
}

} // namespace

PieceStepper::PieceStepper(const PieceMesh& m, const PieceState& state)
    : rates(m), now_(m), later_(m), trial_{state.kelvin,     state.waterLeft, state.sidePlateK,
                                           state.evaporated, state.steam,     state.film} {
    for (auto* v : {&heatFirst_, &heatSecond_, &waterFirst_, &waterSecond_, &rhs_, &coupled_})
        v->assign(m.rows(), 0);
    plateFirst_.assign(m.nodes, 0);
}

void PieceStepper::start(const PieceMesh& m, const PieceState& state) {
    rates.evaluate(m, state, {state.kelvin, state.waterLeft, state.sidePlateK, state.timeS}, now_,
                   true);
    fresh_ = true;
}

void PieceStepper::settle(const PieceMesh& m, const PieceState& state) {
    const bool still = rates.waterStandsStill(m, state);
    if (still == rates.still && !still)
        return;
    fresh_ = fresh_ && still == rates.still;
    rates.still = still;
    trial_.water = state.waterLeft;
    trial_.evaporated = state.evaporated;
    trial_.steam = state.steam;
    trial_.film = state.film;
    for (auto* v : {&waterFirst_, &waterSecond_, &now_.water, &later_.water})
        std::fill(v->begin(), v->end(), 0.0);
}

double PieceStepper::tryStep(const PieceMesh& m, const PieceState& state, double dt) {
    if (!fresh_)
        start(m, state);
    const std::size_t rows = m.volume.size();
    const bool side = rates.hasSidePlate(m, state);
    const double boiling = m.vapour->boilingK(), freezing = m.material->freezingK();
    if (rates.waterMoves(m)) {
        rates.water.factor(kGamma * dt);
        rates.heat.factor(kGamma * dt);
        solveBoth(kGamma * dt, now_.water, now_.heat, waterFirst_, heatFirst_);
    } else {
        for (std::size_t i = 0; i < rows && !rates.still; ++i)
            waterFirst_[i] = m.volume[i] > 0 ? now_.water[i] / m.volume[i] : 0;
        rates.heat.factor(kGamma * dt);
        rates.heat.solve(now_.heat, heatFirst_);
    }
    for (std::size_t i = 0; i < rows; ++i) {
        const double t = state.kelvin[i];
        trial_.kelvin[i] = t + dt * heatFirst_[i];
        if ((t < freezing || trial_.kelvin[i] < freezing) && m.volume[i] > 0)
            trial_.kelvin[i] = warmedBy(m, state, i, dt * heatFirst_[i]);
    }
    for (std::size_t i = 0; i < rows && !rates.still; ++i) {
        trial_.water[i] = std::clamp(state.waterLeft[i] + dt * waterFirst_[i], 0.0, 1.0);
        if (m.watery && trial_.water[i] > 0 && m.volume[i] > 0)
            trial_.kelvin[i] = std::min(trial_.kelvin[i], boiling);
    }
    if (side)
        for (std::size_t y = 0; y < m.nodes; ++y) {
            plateFirst_[y] = now_.sidePlate[y] / (1 - kGamma * dt * rates.sidePlateSlope[y]);
            trial_.sidePlate[y] = state.sidePlateK[y] + dt * plateFirst_[y];
        }
    rates.evaluate(m, state, {trial_.kelvin, trial_.water, trial_.sidePlate, state.timeS + dt},
                   later_, false);
    return finish(m, state, dt);
}

/// The heat of a face's row follows its water in the same step; without that long steps would
/// swing.
void PieceStepper::solveHeat(double tau, const std::vector<double>& heatRates,
                             const std::vector<double>& waterRates, std::vector<double>& out) {
    for (std::size_t i = 0; i < heatRates.size(); ++i)
        coupled_[i] = heatRates[i] + tau * rates.heatByWater[i] * waterRates[i];
    rates.heat.solve(coupled_, out);
}

/// Water, then heat, then both again with what each does to the other at a face. One pass is
/// enough: the rest is the second stage's; without it a drying face lags behind its own cooling and
/// the error of a step is five times as large.
void PieceStepper::solveBoth(double tau, const std::vector<double>& water,
                             const std::vector<double>& heat, std::vector<double>& waterOut,
                             std::vector<double>& heatOut) {
    rates.water.solve(water, waterOut);
    solveHeat(tau, heat, waterOut, heatOut);
    for (std::size_t i = 0; i < water.size(); ++i)
        rhs_[i] = water[i] + tau * rates.waterByHeat[i] * heatOut[i];
    rates.water.solve(rhs_, waterOut);
    solveHeat(tau, heat, waterOut, heatOut);
}

double PieceStepper::finish(const PieceMesh& m, const PieceState& state, double dt) {
    const std::size_t rows = m.volume.size();
    const double freezing = m.material->freezingK();
    if (rates.waterMoves(m)) {
        for (std::size_t i = 0; i < rows; ++i) {
            later_.water[i] -= 2 * m.volume[i] * waterFirst_[i];
            later_.heat[i] -= 2 * rates.heat.mass[i] * heatFirst_[i];
        }
        solveBoth(kGamma * dt, later_.water, later_.heat, waterSecond_, heatSecond_);
    } else {
        for (std::size_t i = 0; i < rows && !rates.still; ++i)
            waterSecond_[i] =
                m.volume[i] > 0 ? later_.water[i] / m.volume[i] - 2 * waterFirst_[i] : 0;
        for (std::size_t i = 0; i < rows; ++i)
            rhs_[i] = later_.heat[i] - 2 * rates.heat.mass[i] * heatFirst_[i];
        rates.heat.solve(rhs_, heatSecond_);
    }
    double worst = 0, squares = 0;
    for (std::size_t i = 0; i < rows; ++i) {
        const double change = dt * (1.5 * heatFirst_[i] + 0.5 * heatSecond_[i]);
        const double error = 0.5 * dt * (heatFirst_[i] + heatSecond_[i]);
        worst = std::max(worst, std::abs(error));
        squares += m.volume[i] * error * error;
        const double t = state.kelvin[i];
        trial_.kelvin[i] = t + change;
        if (m.volume[i] > 0 && (t < freezing || t + change < freezing || change > 0.5)) {
            trial_.kelvin[i] = warmedBy(m, state, i, change);
        }
    }
    const double worstWater = rates.still ? 0 : finishWater(m, state, dt);
    worst = std::max(worst, finishSidePlate(m, state, dt));
    const double overshoot = rates.still ? 0 : settleWater(m);
    balanceWater(m, state);
    return std::max({std::sqrt(squares / m.totalVolume), worst / kNodeTolerances,
                     overshoot / kOvershootTolerances, worstWater / kWaterPerKelvin}) /
           m.options.toleranceK;
}

/// Water, film and what has left the faces at the step's end; returns the largest error of a share.
double PieceStepper::finishWater(const PieceMesh& m, const PieceState& state, double dt) {
    double worstWater = 0;
    for (std::size_t i = 0; i < m.volume.size(); ++i) {
        const double change = dt * (1.5 * waterFirst_[i] + 0.5 * waterSecond_[i]);
        worstWater = std::max(worstWater, std::abs(0.5 * dt * (waterFirst_[i] + waterSecond_[i])));
        trial_.water[i] = state.waterLeft[i] + change;
        if (std::abs(trial_.water[i] - 1) < kFull)
            trial_.water[i] = 1;
    }
    for (std::size_t f = 0; f < m.faceArea.size(); ++f) {
        trial_.evaporated[f] =
            state.evaporated[f] + dt / 2 * (now_.evaporation[f] + later_.evaporation[f]);
        trial_.steam[f] = state.steam[f] + dt / 2 * (now_.steam[f] + later_.steam[f]);
        trial_.film[f] = std::max(0.0, state.film[f] + dt / 2 * (now_.film[f] + later_.film[f]));
    }
    return worstWater;
}

/// A plate at the side at the step's end; returns its largest error, K.
double PieceStepper::finishSidePlate(const PieceMesh& m, const PieceState& state, double dt) {
    double worst = 0;
    if (rates.hasSidePlate(m, state))
        for (std::size_t y = 0; y < m.nodes; ++y) {
            const double second = (later_.sidePlate[y] - 2 * plateFirst_[y]) /
                                  (1 - kGamma * dt * rates.sidePlateSlope[y]);
            worst = std::max(worst, std::abs(0.5 * dt * (plateFirst_[y] + second)));
            trial_.sidePlate[y] = state.sidePlateK[y] + dt * (1.5 * plateFirst_[y] + 0.5 * second);
        }
    return worst;
}

/// Heat above the boiling point becomes steam as far as there is water, water that was overdrawn
/// becomes heat again, and condensate that the food cannot hold runs off. Returns the largest
/// temperature that had to be put right.
double PieceStepper::settleWater(const PieceMesh& m) {
    if (!m.watery) {
        for (double& left : trial_.water)
            left = std::clamp(left, 0.0, 1.0);
        return 0;
    }
    const double boiling = m.vapour->boilingK();
    double worst = 0;
    for (std::size_t i = 0; i < trial_.kelvin.size(); ++i) {
        double &t = trial_.kelvin[i], &left = trial_.water[i];
        if (m.volume[i] <= 0 || (t <= boiling && left >= 0 && left <= 1))
            continue;
        left = std::min(left, 1.0);
        if (left == 0 || (t <= boiling && left >= 0))
            continue;
        const double capacity = m.made[i]->heatCapacity(boiling, std::max(left, 0.0));
        const double latent = m.vapour->latentAtBoiling() * m.water0[i];
        const double steam = left < 0 ? left : std::min(left, capacity * (t - boiling) / latent);
        worst = std::max(worst, std::abs(steam) * latent / capacity);
        t -= steam * latent / capacity;
        left -= steam;
        if (left < 1e-12)
            left = 0;
        const std::size_t slot = m.slotOfRow[i];
        (m.onFace[i] ? trial_.evaporated : trial_.steam)[slot] +=
            m.throughFace(slot, i, steam * m.volume[i]);
    }
    return worst;
}

/// What left the faces is what the nodes lost: the rates at the step's ends say where, the nodes
/// how much.
void PieceStepper::balanceWater(const PieceMesh& m, const PieceState& state) {
    if (!rates.waterMoves(m))
        return;
    double lost = 0, left = 0;
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        lost += m.volume[i] * m.water0[i] * (state.waterLeft[i] - trial_.water[i]);
    const auto gone = [&](std::size_t f) {
        return trial_.evaporated[f] - state.evaporated[f] + trial_.steam[f] - state.steam[f];
    };
    for (std::size_t f = 0; f < m.faceArea.size(); ++f)
        left += m.faceArea[f] * gone(f);
    if (!(lost > 0 && left > 0) || left > 2 * lost || lost > 2 * left)
        return; // condensation runs off, a film gives its own water
    const double share = lost / left;
    for (std::size_t f = 0; f < m.faceArea.size(); ++f) {
        trial_.evaporated[f] =
            state.evaporated[f] + share * (trial_.evaporated[f] - state.evaporated[f]);
        trial_.steam[f] = state.steam[f] + share * (trial_.steam[f] - state.steam[f]);
    }
}

void PieceStepper::accept(const PieceMesh& m, PieceState& state, double dt) {
    std::swap(state.kelvin, trial_.kelvin);
    std::swap(state.waterLeft, trial_.water);
    std::swap(state.evaporated, trial_.evaporated);
    std::swap(state.steam, trial_.steam);
    std::swap(state.film, trial_.film);
    if (rates.boundary[sideFace].lumpedPlate)
        std::swap(state.sidePlateK, trial_.sidePlate);
    state.timeS += dt;
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        state.peakK[i] = std::max(state.peakK[i], state.kelvin[i]);
}

} // namespace dynamet::heat
