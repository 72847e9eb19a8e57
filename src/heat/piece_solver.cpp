// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/piece_solver.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::heat {
namespace {

constexpr double kSafety = 0.9, kMostGrowth = 2.5, kLeastShrink = 0.3;

void addKinks(const FaceBoundary& face, std::vector<double>& out) {
    if (face.air)
        face.air->airK.kinks(out);
    for (const Radiator& r : face.radiators)
        r.kelvin.kinks(out);
    if (face.plate)
        face.plate->kelvin.kinks(out);
    if (face.lumpedPlate)
        face.lumpedPlate->burnerFlux.kinks(out);
    if (face.liquid)
        face.liquid->kelvin.kinks(out);
}

FaceBoundary withoutPlates(FaceBoundary face) {
    face.plate.reset();
    face.lumpedPlate.reset();
    face.stone.reset();
    return face;
}

} // namespace

PieceSolver::PieceSolver(std::shared_ptr<const PieceMesh> mesh)
    : mesh_(std::move(mesh)), state_(startOf(*mesh_)), stepper_(*mesh_, state_),
      goneBefore_(waterGoneShare(state_, *mesh_)) {}

Result<PieceSolver> PieceSolver::create(const Piece& piece,
                                        std::shared_ptr<const Material> material,
                                        std::shared_ptr<const Vapour> vapour,
                                        const SolverOptions& options) {
    auto mesh = meshOf(piece, std::move(material), std::move(vapour), options);
    if (!mesh)
        return tl::unexpected(mesh.error());
    return PieceSolver(std::make_shared<const PieceMesh>(std::move(*mesh)));
}

double PieceSolver::plateK(FaceIndex face) const {
    if (face == sideFace)
        return state_.sidePlateK[mesh_->nodes / 2];
    const std::size_t node = mesh_->middleRow(face);
    return state_.kelvin[face == bottomFace ? node - 1 : node + 1];
}

PieceSolver::WetFront PieceSolver::wetFrontUnder(FaceIndex face) const {
    const PieceMesh& m = *mesh_;
    const std::size_t first = m.middleRow(face);
    const bool across = face == sideFace;
    const std::vector<double>& place = across ? m.grid.across : m.grid.up;
    const std::size_t count = across ? m.columns : m.nodes;
    const auto rowAt = [&](std::size_t depth) { // from the face inwards
        return across               ? first - depth * m.stride
               : face == bottomFace ? first + depth
                                    : first - depth;
    };
    const auto placeAt = [&](std::size_t depth) {
        return face == bottomFace ? place[depth] : place[place.size() - 1 - depth];
    };
    WetFront out;
    out.filmed = state_.film[m.middleSlot(face)] > 0;
    std::size_t depth = 0;
    while (depth < count && state_.waterLeft[rowAt(depth)] <= 0)
        ++depth;
    const std::size_t deepest = face == topFace && m.lidNodes > 0 ? m.lidNodes : count / 2;
    out.none = m.dry || depth >= deepest;
    const std::size_t at = rowAt(out.none ? 0 : depth);
    out.kelvin = state_.kelvin[at];
    if (out.none || depth + 1 >= count)
        return out;
    out.waterLeft = state_.waterLeft[at];
    double capacity = 0, conductivity = 0;
    m.made[at]->partial(out.kelvin, out.waterLeft, capacity, conductivity);
    out.inwardFlux = conductivity * (out.kelvin - state_.kelvin[rowAt(depth + 1)]) /
                     std::abs(placeAt(depth) - placeAt(depth + 1));
    return out;
}

void PieceSolver::setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top) {
    setBoundaries(bottom, top, withoutPlates(top));
}

void PieceSolver::setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top,
                                const FaceBoundary& side) {
    stepper_.rates.boundary = {bottom, top, side};
    kinks_.clear();
    for (const FaceBoundary& face : stepper_.rates.boundary)
        addKinks(face, kinks_);
    std::sort(kinks_.begin(), kinks_.end());
    for (const FaceIndex face : {bottomFace, topFace}) {
        const FaceBoundary& b = stepper_.rates.boundary[face];
        if (b.lumpedPlate || b.stone)
            setPlates(state_, *mesh_, face,
                      b.lumpedPlate ? b.lumpedPlate->startK : b.stone->startK);
    }
    if (side.lumpedPlate)
        std::fill(state_.sidePlateK.begin(), state_.sidePlateK.end(), side.lumpedPlate->startK);
    state_.nextStepS = mesh_->options.firstStepS;
    stepper_.renew();
}

void PieceSolver::turn() {
    turnOver(state_, *mesh_);
    stepper_.renew();
}

void PieceSolver::restore(const PieceState& state) {
    state_ = state;
    stepper_.renew();
}

Result<bool> PieceSolver::advance(double untilS, const StepObserver& observer) {
    const PieceMesh& m = *mesh_;
    stepper_.settle(m, state_);
    while (state_.timeS < untilS) {
        double goal = untilS;
        const auto kink = std::upper_bound(kinks_.begin(), kinks_.end(), state_.timeS + 1e-9);
        const bool atKink = kink != kinks_.end() && *kink < untilS;
        if (atKink)
            goal = *kink;
        const double remaining = goal - state_.timeS;
        const double wanted = std::min(state_.nextStepS, m.options.longestStepS);
        // Two even steps rather than a long one and a crumb.
        double dt =
            remaining <= wanted ? remaining : std::min(wanted, std::max(remaining / 2, 1e-6));
        const double error = stepper_.tryStep(m, state_, dt);
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
        StepReport report{state_.timeS, 0, coreK(), 0, stepper_.coreRate(m), 0};
        stepper_.accept(m, state_, dt);
        ++steps_;
        if (last)
            state_.timeS = goal;
        state_.nextStepS = last && dt < wanted ? std::max(wanted, dt * change) : dt * change;
        if (last && atKink)
            state_.nextStepS = m.options.firstStepS;
        stepper_.start(m, state_);
        report.endS = state_.timeS;
        report.coreEndK = coreK();
        report.coreEndRate = stepper_.coreRate(m);
        if (observer && !observer(report))
            return false;
    }
    return true;
}

} // namespace dynamet::heat
