// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/simulation.h"

#include "food/browning.h"
#include "food/safety.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

constexpr double kDangerLowK = kZeroCelsiusK + 5, kDangerHighK = kZeroCelsiusK + 54;

bool touches(const heat::FaceBoundary& face) {
    return face.plate || face.lumpedPlate || face.liquid;
}

} // namespace

Result<Simulation> Simulation::create(const FoodPiece& piece, const Programme& programme,
                                      const Effort& effort) {
    return create(piece, programme, effort,
                  std::make_shared<heat::Material>(piece.food.composition),
                  std::make_shared<heat::Vapour>(pressurePa(programme.site)));
}

Result<Simulation> Simulation::create(const FoodPiece& piece, const Programme& programme,
                                      const Effort& effort,
                                      std::shared_ptr<const heat::Material> material,
                                      std::shared_ptr<const heat::Vapour> vapour) {
    heat::SolverOptions options;
    options.cells = effort.cells;
    options.toleranceK = effort.toleranceK;
    options.pressurePa = vapour->pressurePa();
    options.moistureSupply = piece.moistureSupply;
    auto solver = heat::PieceSolver::create({piece.shape, piece.thicknessM, piece.startK},
                                            std::move(material), std::move(vapour), options);
    if (!solver)
        return tl::unexpected(solver.error());
    Simulation out(std::move(*solver));
    out.piece_ = piece;
    out.rest_ = programme.rest;
    out.site_ = programme.site;
    out.beef_ = piece.food.foodClass == "beef";
    const bool slab = piece.shape == heat::Shape::slab;
    const auto bottom = slab ? boundaryOf(programme.field, kitchen::Face::bottom, programme.site)
                             : heat::FaceBoundary{};
    const auto top = boundaryOf(programme.field, slab ? kitchen::Face::top : kitchen::Face::side,
                                programme.site);
    out.cooking_ = {bottom, top};
    out.surround(bottom, top);
    return out;
}

void Simulation::surround(const heat::FaceBoundary& bottom, const heat::FaceBoundary& top) {
    solver_.setBoundaries(bottom, top);
    touching_ = {touches(bottom), touches(top)};
    rateBefore_ = {crustRate(heat::bottomFace), crustRate(heat::topFace)};
}

const Simulation::Moment& Simulation::moment() {
    moment_.state = solver_.state();
    return moment_;
}

void Simulation::restore(const Moment& moment) {
    moment_ = moment;
    surround(cooking_[0], cooking_[1]);
    solver_.restore(moment.state);
    rateBefore_ = {crustRate(heat::bottomFace), crustRate(heat::topFace)};
}

double Simulation::crustRate(heat::FaceIndex face) const {
    const double surface = solver_.surfaceK(face);
    if (touching_[face])
        return food::browningRate(surface);
    const heat::FaceFlux flux = solver_.faceNow(face);
    return food::browningRate(food::crustTemperature(surface, flux.dryFlux, flux.dryCoefficient,
                                                     solver_.state().evaporated[face],
                                                     solver_.water0()));
}

void Simulation::addUp(double seconds) {
    for (const auto face : {heat::bottomFace, heat::topFace}) {
        const double rate = crustRate(face);
        moment_.browning[moment_.foodFace[face]] += seconds * (rate + rateBefore_[face]) / 2;
        rateBefore_[face] = rate;
    }
    const double core = solver_.coreK();
    if (beef_)
        moment_.logReductions += seconds * food::beefLogReductionRate(core);
    if (core > kDangerLowK && core < kDangerHighK)
        moment_.dangerS += seconds;
}

Result<bool> Simulation::cookUntil(double untilS, const heat::StepObserver& stop) {
    return solver_.advance(untilS, [&](const heat::StepReport& step) {
        addUp(step.endS - step.startS);
        return !stop || stop(step);
    });
}

void Simulation::turn() {
    solver_.turn();
    std::swap(moment_.foodFace[0], moment_.foodFace[1]);
    rateBefore_ = {crustRate(heat::bottomFace), crustRate(heat::topFace)};
}

void Simulation::beginRest() {
    const bool slab = piece_.shape == heat::Shape::slab;
    surround(slab ? restingBoundary(rest_, site_, true) : heat::FaceBoundary{},
             restingBoundary(rest_, site_, false));
}

Sample Simulation::sample() const {
    const std::array<double, 2> faces{solver_.surfaceK(heat::bottomFace),
                                      solver_.surfaceK(heat::topFace)};
    Sample out{timeS(), solver_.coreK(), 0, 0};
    out.bottomK = moment_.foodFace[0] == 0 ? faces[0] : faces[1];
    out.topK = moment_.foodFace[0] == 0 ? faces[1] : faces[0];
    return out;
}

void Simulation::fill(Outcome& outcome) const {
    outcome.browning = moment_.browning;
    const bool slab = piece_.shape == heat::Shape::slab;
    if (!slab)
        outcome.browning[0] = outcome.browning[1];
    outcome.logReductions = moment_.logReductions;
    outcome.dangerS = moment_.dangerS;
    outcome.peakProfileK = solver_.state().peakK;
    if (slab && moment_.foodFace[0] == 1)
        std::reverse(outcome.peakProfileK.begin(), outcome.peakProfileK.end());
    const double grey = piece_.food.greyingK;
    const std::vector<double>& peak = outcome.peakProfileK;
    outcome.coldestPeakK = *std::min_element(peak.begin(), peak.end());
    const double cell = solver_.nodePositionM(1);
    const double length = cell * static_cast<double>(peak.size() - 1);
    const auto depth = [&](bool fromStart) {
        for (std::size_t i = 0; i < peak.size(); ++i) {
            const std::size_t at = fromStart ? i : peak.size() - 1 - i;
            if (peak[at] >= grey)
                continue;
            if (i == 0)
                return 0.0;
            const std::size_t before = fromStart ? at - 1 : at + 1;
            return cell * (static_cast<double>(i) -
                           (grey - peak[at]) / std::max(peak[before] - peak[at], 1e-9));
        }
        return cell * static_cast<double>(peak.size() - 1);
    };
    double second = depth(false), first = slab ? depth(true) : 0;
    // Grey all the way through: each face owns its half.
    if (slab && outcome.coldestPeakK >= grey)
        first = second = length / 2;
    outcome.rimM = std::max(first, second);
    outcome.rimShare = std::min(1.0, (first + second) / length);
    const auto& evaporated = solver_.state().evaporated;
    const double water = solver_.water0() * piece_.thicknessM;
    outcome.waterLossShare =
        water > 0 ? std::clamp((evaporated[0] + evaporated[1]) / water, 0.0, 1.0) : 0;
}

} // namespace dynamet::cook
