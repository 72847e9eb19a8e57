// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/piece_solver.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::heat {
namespace {

constexpr double kGamma = 0.29289321881345254; // 1 − 1/√2, L-stable ROS2
constexpr double kSafety = 0.9, kMostGrowth = 2.5, kLeastShrink = 0.3;
constexpr double kBoilingSlackK = 1e-7;
/// A node may pass the boiling point by this many tolerances inside a step before it is retried.
constexpr double kOvershootTolerances = 15;

} // namespace

Result<PieceSolver> PieceSolver::create(const Piece& piece,
                                        std::shared_ptr<const Material> material,
                                        std::shared_ptr<const Vapour> vapour,
                                        const SolverOptions& options) {
    if (!(piece.thicknessM >= 1e-4 && piece.thicknessM <= 1))
        return fail(Errc::invalidArgument,
                    fmt::format("a thickness of {} m is outside 0.1 mm to 1 m", piece.thicknessM));
    const double coldest = material->waterPerVolume() > 0 ? 273.15 : 233.15;
    if (!(piece.startK >= coldest && piece.startK <= 473.15))
        return fail(
            Errc::unsupported,
            fmt::format("a start of {:.1f} °C is outside {:.0f} to 200 °C (from frozen is not "
                        "computed yet)",
                        piece.startK - 273.15, coldest - 273.15));
    if (options.cells < 4 || options.cells % 2 != 0 || options.cells > 20000)
        return fail(Errc::invalidArgument, "cells must be even, 4 to 20000");
    if (!(options.toleranceK > 0))
        return fail(Errc::invalidArgument, "the tolerance must be above 0 K");
    PieceSolver s;
    s.material_ = std::move(material);
    s.vapour_ = std::move(vapour);
    s.options_ = options;
    s.shape_ = piece.shape;
    const bool slab = piece.shape == Shape::slab;
    // A cylinder or sphere is solved from its centre out.
    const auto cells = static_cast<std::size_t>(slab ? options.cells : options.cells / 2);
    const double length = slab ? piece.thicknessM : piece.thicknessM / 2;
    s.nodes_ = cells + 1;
    s.core_ = slab ? cells / 2 : 0;
    s.dx_ = length / static_cast<double>(cells);
    const int m = slab ? 0 : (piece.shape == Shape::cylinder ? 1 : 2);
    double total = 0;
    for (std::size_t i = 0; i < s.nodes_; ++i) {
        const double in = i == 0 ? 0 : (static_cast<double>(i) - 0.5) * s.dx_;
        const double out = i == cells ? length : (static_cast<double>(i) + 0.5) * s.dx_;
        s.volume_.push_back((std::pow(out, m + 1) - std::pow(in, m + 1)) / (m + 1));
        total += s.volume_.back();
        if (i < cells)
            s.area_.push_back(std::pow(out, m));
    }
    s.faceArea_ = {slab ? 1.0 : 0.0, std::pow(length, m)};
    const double water = s.material_->waterPerVolume();
    s.most_ = {slab ? water * total / 2 : 0, water * total / s.faceArea_[topFace] / (slab ? 2 : 1)};
    const std::size_t rows = s.nodes_ + 2;
    for (auto* v :
         {&s.now_.kelvin, &s.later_.kelvin, &s.lower_, &s.diagonal_, &s.upper_, &s.factorLower_,
          &s.factorDiagonal_, &s.factorUpper_, &s.k1_, &s.k2_, &s.trial_, &s.rhs_})
        v->assign(rows, 0);
    for (auto* v : {&s.now_.boil, &s.later_.boil, &s.capacity_, &s.conductivity_, &s.conductance_,
                    &s.waterTrial_})
        v->assign(s.nodes_, 0);
    s.state_.kelvin.assign(rows, piece.startK);
    s.state_.peakK.assign(s.nodes_, piece.startK);
    s.state_.waterLeft.assign(s.nodes_, 1);
    s.state_.nextStepS = options.firstStepS;
    return s;
}

void PieceSolver::setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top) {
    boundary_ = {bottom, top};
    kinks_.clear();
    for (const FaceBoundary& face : boundary_) {
        if (face.air)
            face.air->airK.kinks(kinks_);
        for (const Radiator& r : face.radiators)
            r.kelvin.kinks(kinks_);
        if (face.plate)
            face.plate->kelvin.kinks(kinks_);
        if (face.liquid)
            face.liquid->kelvin.kinks(kinks_);
    }
    std::sort(kinks_.begin(), kinks_.end());
    if (bottom.lumpedPlate)
        state_.kelvin.front() = bottom.lumpedPlate->startK;
    if (top.lumpedPlate)
        state_.kelvin.back() = top.lumpedPlate->startK;
    state_.nextStepS = options_.firstStepS;
    fresh_ = false;
}

void PieceSolver::turn() {
    std::reverse(state_.kelvin.begin() + 1, state_.kelvin.end() - 1);
    std::reverse(state_.waterLeft.begin(), state_.waterLeft.end());
    std::reverse(state_.peakK.begin(), state_.peakK.end());
    std::swap(state_.evaporated[0], state_.evaporated[1]);
    state_.nextStepS = options_.firstStepS;
    fresh_ = false;
}

void PieceSolver::restore(const State& state) {
    state_ = state;
    fresh_ = false;
}

FaceMoisture PieceSolver::moistureAt(FaceIndex face,
                                     const std::array<double, 2>& evaporated) const {
    return {material_->waterPerVolume(), evaporated[face], most_[face], options_.moistureSupply};
}

FaceFlux PieceSolver::faceNow(FaceIndex face) const {
    return fluxInto(boundary_[face], *vapour_, moistureAt(face, state_.evaporated), surfaceK(face),
                    state_.timeS);
}

std::size_t PieceSolver::faceOfNode(std::size_t node) const {
    return shape_ == Shape::slab && node <= core_ ? bottomFace : topFace;
}

double PieceSolver::meanK() const {
    double sum = 0, volume = 0;
    for (std::size_t i = 0; i < nodes_; ++i) {
        sum += volume_[i] * state_.kelvin[i + 1];
        volume += volume_[i];
    }
    return sum / volume;
}

double PieceSolver::heatContent() const {
    double sum = 0;
    for (std::size_t i = 0; i < nodes_; ++i) {
        const double t = state_.kelvin[i + 1], left = state_.waterLeft[i];
        // Simpson's rule over the sensible heat; the missing water took its latent heat with it.
        const double zero = 273.15;
        const double mid = (t + zero) / 2;
        const double mean =
            (material_->heatCapacity(zero, left) + 4 * material_->heatCapacity(mid, left) +
             material_->heatCapacity(t, left)) /
            6;
        sum += volume_[i] * mean * (t - zero);
    }
    return sum;
}

void PieceSolver::conductances(const std::vector<double>& kelvin,
                               const std::vector<double>& water) {
    for (std::size_t i = 0; i < nodes_; ++i) {
        if (water[i] == 1) {
            material_->full(kelvin[i + 1], capacity_[i], conductivity_[i]);
        } else {
            capacity_[i] = material_->heatCapacity(kelvin[i + 1], water[i]);
            conductivity_[i] = material_->conductivity(kelvin[i + 1], water[i]);
        }
    }
    for (std::size_t i = 0; i + 1 < nodes_; ++i) {
        const double a = conductivity_[i], b = conductivity_[i + 1];
        conductance_[i] = area_[i] * 2 * a * b / (a + b) / dx_;
    }
}

void PieceSolver::addPlate(FaceIndex face, const std::vector<double>& kelvin, Rates& out,
                           bool jacobian) {
    const LumpedPlate& plate = *boundary_[face].lumpedPlate;
    const std::size_t row = surfaceRow(face), own = face == bottomFace ? 0 : nodes_ + 1;
    const double area = faceArea_[face];
    out.kelvin[row] += area * plate.contact * (kelvin[own] - kelvin[row]);
    const auto [burner, slope] = burnerOf(plate, kelvin[own]);
    const double capacity = plate.areaRatio * plate.heatCapacity;
    const double net = plate.areaRatio * (burner - plate.loss * (kelvin[own] - plate.ambientK)) -
                       plate.contact * (kelvin[own] - kelvin[row]);
    out.kelvin[own] = net / capacity;
    if (!jacobian)
        return;
    diagonal_[row] -= area * plate.contact;
    diagonal_[own] = (plate.areaRatio * (slope - plate.loss) - plate.contact) / capacity;
    (face == bottomFace ? upper_ : lower_)[own] = plate.contact / capacity;
    (face == bottomFace ? lower_ : upper_)[row] = area * plate.contact;
}

void PieceSolver::addFace(FaceIndex face, const std::vector<double>& kelvin,
                          const std::array<double, 2>& evaporated, double timeS, Rates& out,
                          bool jacobian) {
    const std::size_t row = surfaceRow(face), own = face == bottomFace ? 0 : nodes_ + 1;
    out.kelvin[own] = 0;
    if (jacobian)
        lower_[own] = diagonal_[own] = upper_[own] = 0;
    if (faceArea_[face] == 0)
        return;
    const FaceFlux q =
        fluxInto(boundary_[face], *vapour_, moistureAt(face, evaporated), kelvin[row], timeS);
    out.kelvin[row] += faceArea_[face] * q.flux;
    out.evaporation[face] = q.evaporation;
    if (jacobian)
        diagonal_[row] += faceArea_[face] * q.slope;
    if (boundary_[face].lumpedPlate)
        addPlate(face, kelvin, out, jacobian);
}

/// Turns net heat into rates: of temperature, or of boiling where a wet node is at the boiling
/// point and still gains heat.
void PieceSolver::finishRows(const std::vector<double>& kelvin, const std::vector<double>& water,
                             Rates& out, bool jacobian) {
    const double water0 = material_->waterPerVolume();
    const double boiling = options_.boiling && water0 > 0 ? vapour_->boilingK() - kBoilingSlackK
                                                          : std::numeric_limits<double>::infinity();
    for (std::size_t i = 0; i < nodes_; ++i) {
        const std::size_t row = i + 1;
        const double net = out.kelvin[row];
        out.boil[i] = 0;
        if (kelvin[row] >= boiling && water[i] > 0 && net > 0) {
            const double mass = net / vapour_->latentAtBoiling();
            out.boil[i] = mass / (volume_[i] * water0);
            const std::size_t face = faceOfNode(i);
            out.evaporation[face] += mass / faceArea_[face];
            out.kelvin[row] = 0;
            if (jacobian)
                lower_[row] = diagonal_[row] = upper_[row] = 0;
            continue;
        }
        const double scale = 1 / (capacity_[i] * volume_[i]);
        out.kelvin[row] = net * scale;
        if (jacobian) {
            lower_[row] *= scale;
            diagonal_[row] *= scale;
            upper_[row] *= scale;
        }
    }
}

void PieceSolver::evaluate(const std::vector<double>& kelvin, const std::vector<double>& water,
                           const std::array<double, 2>& evaporated, double timeS, Rates& out,
                           bool jacobian) {
    conductances(kelvin, water);
    double before = 0;
    for (std::size_t i = 0; i < nodes_; ++i) {
        const double flow =
            i + 1 < nodes_ ? conductance_[i] * (kelvin[i + 2] - kelvin[i + 1]) : 0.0;
        out.kelvin[i + 1] = flow - before;
        before = flow;
    }
    if (jacobian)
        for (std::size_t i = 0; i < nodes_; ++i) {
            const double below = i > 0 ? conductance_[i - 1] : 0.0;
            const double above = i + 1 < nodes_ ? conductance_[i] : 0.0;
            lower_[i + 1] = below;
            upper_[i + 1] = above;
            diagonal_[i + 1] = -below - above;
        }
    out.evaporation = {};
    addFace(bottomFace, kelvin, evaporated, timeS, out, jacobian);
    addFace(topFace, kelvin, evaporated, timeS, out, jacobian);
    finishRows(kelvin, water, out, jacobian);
}

void PieceSolver::factor(double gammaDt) {
    const std::size_t rows = nodes_ + 2;
    double reciprocal = 0;
    for (std::size_t i = 0; i < rows; ++i) {
        const double low = -gammaDt * lower_[i];
        const double previous = i > 0 ? -gammaDt * upper_[i - 1] : 0.0;
        factorLower_[i] = low * reciprocal;
        reciprocal = 1 / (1 - gammaDt * diagonal_[i] - factorLower_[i] * previous);
        factorDiagonal_[i] = reciprocal;
        factorUpper_[i] = -gammaDt * upper_[i];
    }
}

void PieceSolver::solve(const std::vector<double>& rhs, std::vector<double>& out) const {
    const std::size_t rows = nodes_ + 2;
    out[0] = rhs[0];
    for (std::size_t i = 1; i < rows; ++i)
        out[i] = rhs[i] - factorLower_[i] * out[i - 1];
    out[rows - 1] *= factorDiagonal_[rows - 1];
    for (std::size_t i = rows - 1; i-- > 0;)
        out[i] = (out[i] - factorUpper_[i] * out[i + 1]) * factorDiagonal_[i];
}

/// One ROS2 step into trial_, waterTrial_ and evaporatedTrial_; returns the error in tolerances.
double PieceSolver::tryStep(double dt) {
    if (!fresh_) {
        evaluate(state_.kelvin, state_.waterLeft, state_.evaporated, state_.timeS, now_, true);
        fresh_ = true;
    }
    const std::size_t rows = nodes_ + 2;
    const bool wet = options_.boiling && material_->waterPerVolume() > 0;
    const double boiling = vapour_->boilingK();
    factor(kGamma * dt);
    solve(now_.kelvin, k1_);
    for (std::size_t i = 0; i < rows; ++i)
        trial_[i] = state_.kelvin[i] + dt * k1_[i];
    for (std::size_t i = 0; i < nodes_; ++i) {
        waterTrial_[i] = std::max(0.0, state_.waterLeft[i] - dt * now_.boil[i]);
        if (wet && waterTrial_[i] > 0)
            trial_[i + 1] = std::min(trial_[i + 1], boiling);
    }
    for (std::size_t f = 0; f < 2; ++f)
        evaporatedTrial_[f] = state_.evaporated[f] + dt * now_.evaporation[f];
    evaluate(trial_, waterTrial_, evaporatedTrial_, state_.timeS + dt, later_, false);
    for (std::size_t i = 0; i < rows; ++i)
        rhs_[i] = later_.kelvin[i] - 2 * k1_[i];
    solve(rhs_, k2_);
    double worst = 0;
    for (std::size_t i = 0; i < rows; ++i) {
        trial_[i] = state_.kelvin[i] + dt * (1.5 * k1_[i] + 0.5 * k2_[i]);
        worst = std::max(worst, std::abs(0.5 * dt * (k1_[i] + k2_[i])));
    }
    for (std::size_t i = 0; i < nodes_; ++i)
        waterTrial_[i] = state_.waterLeft[i] - dt / 2 * (now_.boil[i] + later_.boil[i]);
    for (std::size_t f = 0; f < 2; ++f)
        evaporatedTrial_[f] =
            state_.evaporated[f] + dt / 2 * (now_.evaporation[f] + later_.evaporation[f]);
    const double overshoot = wet ? settleWater() : 0;
    return std::max(worst, overshoot / kOvershootTolerances) / options_.toleranceK;
}

/// Heat above the boiling point becomes steam, and water that was overdrawn becomes heat again.
/// Returns the largest temperature that had to be put right.
double PieceSolver::settleWater() {
    const double boiling = vapour_->boilingK(), latent = vapour_->latentAtBoiling();
    const double water0 = material_->waterPerVolume();
    double worst = 0;
    for (std::size_t i = 0; i < nodes_; ++i) {
        double& t = trial_[i + 1];
        double& left = waterTrial_[i];
        const bool over = t > boiling && left > 0;
        if (!over && left >= 0)
            continue;
        const double capacity = material_->heatCapacity(boiling, std::max(left, 0.0));
        const double heat = over ? capacity * (t - boiling) : 0;
        const double after = left - heat / (latent * water0);
        worst = std::max(worst, std::abs(over ? t - boiling : left * latent * water0 / capacity));
        const std::size_t face = faceOfNode(i);
        evaporatedTrial_[face] +=
            (left - std::max(after, 0.0)) * water0 * volume_[i] / faceArea_[face];
        left = std::max(after, 0.0);
        if (over)
            t = boiling;
        if (after < 0)
            t += -after * latent * water0 / capacity;
    }
    return worst;
}

void PieceSolver::accept(double dt) {
    std::swap(state_.kelvin, trial_);
    std::swap(state_.waterLeft, waterTrial_);
    state_.evaporated = evaporatedTrial_;
    state_.timeS += dt;
    for (std::size_t i = 0; i < nodes_; ++i)
        state_.peakK[i] = std::max(state_.peakK[i], state_.kelvin[i + 1]);
    ++steps_;
}

Result<bool> PieceSolver::advance(double untilS, const StepObserver& observer) {
    while (state_.timeS < untilS) {
        double goal = untilS;
        const auto kink = std::upper_bound(kinks_.begin(), kinks_.end(), state_.timeS + 1e-9);
        const bool atKink = kink != kinks_.end() && *kink < untilS;
        if (atKink)
            goal = *kink;
        const double remaining = goal - state_.timeS;
        const double wanted = std::min(state_.nextStepS, options_.longestStepS);
        // Two even steps rather than a long one and a crumb.
        double dt =
            remaining <= wanted ? remaining : std::min(wanted, std::max(remaining / 2, 1e-6));
        if (remaining > 2 * wanted)
            dt = wanted;
        const double error = tryStep(dt);
        const double change =
            std::clamp(kSafety / std::sqrt(std::max(error, 1e-12)), kLeastShrink, kMostGrowth);
        if (!(error <= 1)) {
            state_.nextStepS = dt * (std::isfinite(error) ? std::min(change, 0.9) : kLeastShrink);
            if (state_.nextStepS < 1e-6)
                return fail(Errc::notConverged,
                            fmt::format("the step fell under 1 µs at {:.1f} s", state_.timeS));
            continue;
        }
        const bool last = dt == remaining;
        StepReport report{state_.timeS, 0, coreK(), 0, now_.kelvin[core_ + 1], 0};
        accept(dt);
        if (last)
            state_.timeS = goal;
        state_.nextStepS = last && dt < wanted ? std::max(wanted, dt * change) : dt * change;
        if (last && atKink)
            state_.nextStepS = options_.firstStepS;
        evaluate(state_.kelvin, state_.waterLeft, state_.evaporated, state_.timeS, now_, true);
        report.endS = state_.timeS;
        report.coreEndK = coreK();
        report.coreEndRate = now_.kelvin[core_ + 1];
        if (observer && !observer(report))
            return false;
    }
    return true;
}

namespace {

/// Cubic through both ends of a step with their slopes; share 0…1 of the step.
double cubicAt(const StepReport& step, double share) {
    const double h = step.endS - step.startS, s2 = share * share, s3 = s2 * share;
    return (2 * s3 - 3 * s2 + 1) * step.coreStartK +
           (s3 - 2 * s2 + share) * h * step.coreStartRate + (-2 * s3 + 3 * s2) * step.coreEndK +
           (s3 - s2) * h * step.coreEndRate;
}

} // namespace

double crossingTime(const StepReport& step, double kelvin) {
    if (!(step.coreStartK < kelvin && step.coreEndK >= kelvin))
        return step.coreStartK >= kelvin ? step.startS : std::numeric_limits<double>::quiet_NaN();
    double low = 0, high = 1;
    for (int i = 0; i < 40; ++i) {
        const double mid = (low + high) / 2;
        (cubicAt(step, mid) < kelvin ? low : high) = mid;
    }
    return step.startS + (step.endS - step.startS) * high;
}

std::pair<double, double> highestInside(const StepReport& step) {
    if (!(step.coreStartRate > 0 && step.coreEndRate < 0))
        return step.coreEndK >= step.coreStartK ? std::pair{step.coreEndK, step.endS}
                                                : std::pair{step.coreStartK, step.startS};
    double low = 0, high = 1; // one maximum: narrow it by thirds
    for (int i = 0; i < 40; ++i) {
        const double a = low + (high - low) / 3, b = high - (high - low) / 3;
        (cubicAt(step, a) < cubicAt(step, b) ? low : high) =
            cubicAt(step, a) < cubicAt(step, b) ? a : b;
    }
    return {cubicAt(step, low), step.startS + (step.endS - step.startS) * low};
}

} // namespace dynamet::heat
