// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/simulation.h"

#include "food/browning.h"
#include "food/seasoning.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

constexpr std::array kFaces{heat::bottomFace, heat::topFace, heat::sideFace};
constexpr int kStoneLayers = 8;
/// Water that stands on a piece that was not patted dry, kg/m² (a film of a tenth of a millimetre).
constexpr double kWetFilm = 0.1;
/// Water that left each face of a piece that stood on a rack for hours, kg/m²: about 1 % of a
/// steak's weight a side (from memory, ±0.1).
constexpr double kDriedAway = 0.2;

bool anyStone(const Programme& programme, const recipe::FoodPiece& piece) {
    const auto has = [](const kitchen::HeatField& field, const kitchen::Site& site) {
        return boundaryOf(field, kitchen::Face::bottom, site).stone.has_value();
    };
    bool out = hasTwoFaces(piece.shape) && has(programme.last().field, programme.last().site);
    for (const Stage& stage : programme.beforeLast())
        out = out || has(stage.field, stage.site);
    return out;
}

} // namespace

Result<Simulation> Simulation::create(const recipe::FoodPiece& piece, const Programme& programme,
                                      const Effort& effort,
                                      std::shared_ptr<const heat::Material> material,
                                      std::shared_ptr<const heat::Vapour> vapour) {
    heat::SolverOptions options;
    options.cells = effort.cells;
    options.acrossCells = effort.acrossCells;
    options.toleranceK = effort.toleranceK;
    options.pressurePa = vapour->pressurePa();
    options.moistureSupply = piece.moistureSupply;
    options.filmKgM2 = piece.surface == recipe::SurfaceState::wet ? kWetFilm : 0;
    const bool driedBefore = piece.surface == recipe::SurfaceState::dried ||
                             piece.surface == recipe::SurfaceState::salted;
    options.driedKgM2 = driedBefore ? kDriedAway : 0;
    options.stoneLayers = anyStone(programme, piece) ? kStoneLayers : 1;
    auto solver = heat::PieceSolver::create(
        {piece.shape, piece.thicknessM, piece.startK, piece.widthM, piece.bone, piece.fatCapM},
        std::move(material), std::move(vapour), options);
    if (!solver)
        return tl::unexpected(solver.error());
    Simulation out(std::move(*solver));
    out.piece_ = piece;
    out.organisms_ = food::organismsOf(piece.food.foodClass);
    out.moment_.logs.assign(out.organisms_.size(), 0);
    out.moment_.dangerS = piece.temperedS;
    if (const auto fat = food::findFat(piece.fat))
        out.smokeK_ = fat->smokeK;
    out.beginStage(programme.stages.front());
    out.killBefore_ = out.killRates();
    return out;
}

std::size_t Simulation::foodFace(heat::FaceIndex face) const {
    if (face == heat::sideFace)
        return 2;
    const bool turned = solver_.state().turned;
    return (face == heat::bottomFace) != turned ? 0 : 1;
}

void Simulation::beginStage(const Stage& stage) {
    const kitchen::HeatField& field = stage.field;
    const kitchen::Site& site = stage.site;
    const bool twoFaces = hasTwoFaces(piece_.shape);
    if (!(field == field_)) {
        field_ = field;
        fieldSinceS_ = timeS();
    }
    const auto bottom = boundaryOf(field, kitchen::Face::bottom, site, fieldSinceS_);
    const auto top = boundaryOf(field, kitchen::Face::top, site, fieldSinceS_);
    const auto side = boundaryOf(field, kitchen::Face::side, site, fieldSinceS_);
    if (!twoFaces) {
        const auto* contact = seenBy(field, kitchen::Face::bottom, kitchen::Term::contact);
        flatContact_ = contact ? contact->value : 0;
        roundContact_ = contact ? roundContact(piece_.shape, piece_.thicknessM, flatContact_,
                                               !piece_.fat.empty())
                                : RoundContact{};
        surround({}, roundBoundary(field, piece_, site, fieldSinceS_), {});
    } else if (stage.written.edgesDown) // both faces look sideways while an edge is on the plate
        surround(top, top, bottom);
    else
        surround(bottom, top, side);
    stage_ = around_;
}

void Simulation::surround(const heat::FaceBoundary& bottom, const heat::FaceBoundary& top,
                          const heat::FaceBoundary& side) {
    around_ = {bottom, top, side};
    solver_.setBoundaries(bottom, top, side);
    noteTouch();
    before_ = crustRates();
}

const Simulation::Moment& Simulation::moment() {
    moment_.state = solver_.state();
    return moment_;
}

void Simulation::restore(const Moment& moment) {
    moment_ = moment;
    solver_.setBoundaries(stage_[0], stage_[1], stage_[2]);
    around_ = stage_;
    solver_.restore(moment.state);
    before_ = crustRates();
    killBefore_ = killRates();
}

std::optional<Simulation::Touch> Simulation::touchingPlate(heat::FaceIndex face) const {
    const heat::FaceBoundary& around = around_[face];
    if (around.lumpedPlate)
        return Touch{solver_.plateK(face), around.lumpedPlate->contact};
    if (around.stone)
        return Touch{solver_.plateK(face), around.stone->contact};
    if (around.plate)
        return Touch{around.plate->kelvin.at(timeS()), around.plate->contact};
    return std::nullopt;
}

/// A dry skin is hotter than the face below it, under air as on a plate; what rides proud of the
/// face takes the plate's temperature.
Simulation::CrustRates Simulation::crustRates() const {
    CrustRates out;
    for (const heat::FaceIndex face : kFaces) {
        if (!solver_.hasFace(face))
            continue;
        double crust = solver_.surfaceK(face), raised = crust;
        const auto plate = touchingPlate(face);
        if (plate && !hasTwoFaces(piece_.shape)) {
            addRoundCrust(out, *plate, bareCrustK(face));
            continue;
        }
        if (plate) {
            raised = plate->kelvin;
            const double flux = plate->contact * (plate->kelvin - crust);
            crust = food::crustTemperature(crust, flux, plate->contact, solver_.evaporatedAt(face),
                                           solver_.water0());
        } else if (!around_[face].liquid) {
            crust = raised = bareCrustK(face);
        }
        const std::size_t own = foodFace(face);
        out.browning[own] = piece_.food.browning * food::browningRate(crust);
        out.raised[own] = food::browningRate(std::max(raised, crust));
    }
    return out;
}

/// A face that has dried through is itself the top of its dry layer: the skin stands on the boiling
/// point then, and only the hotter of the two is seen.
double Simulation::bareCrustK(heat::FaceIndex face) const {
    const double crust = solver_.surfaceK(face);
    const heat::FaceFlux flux = solver_.faceNow(face);
    const double skin =
        food::crustTemperature(std::min(crust, solver_.boilingK()), flux.dryFlux,
                               flux.dryCoefficient, solver_.evaporatedAt(face), solver_.water0());
    return std::max(crust, skin);
}

void Simulation::addRoundCrust(CrustRates& rates, const Touch& plate, double bareK) const {
    const double surface = solver_.surfaceK(heat::topFace);
    const double flux = flatContact_ * (plate.kelvin - surface);
    const double strip = std::max(bareK, food::crustTemperature(surface, flux, flatContact_,
                                                                solver_.evaporatedAt(heat::topFace),
                                                                solver_.water0()));
    const double share = roundContact_.share;
    const auto mean = [share](double touching, double bare) {
        return share * food::browningRate(touching) + (1 - share) * food::browningRate(bare);
    };
    const std::size_t own = foodFace(heat::topFace);
    rates.browning[own] = piece_.food.browning * mean(strip, bareK);
    rates.raised[own] = mean(std::max(plate.kelvin, strip), bareK);
}

double Simulation::plateUnderK() const {
    const auto plate = touchingPlate(heat::bottomFace);
    return plate ? plate->kelvin : std::numeric_limits<double>::quiet_NaN();
}

double Simulation::coldestInsideK() const {
    const heat::Grid& grid = solver_.grid();
    const std::size_t from = hasTwoFaces(piece_.shape) ? 1 : 0;
    double coldest = std::numeric_limits<double>::infinity();
    for (std::size_t x = 0; x < std::max<std::size_t>(1, grid.across.size() - 1); ++x)
        for (std::size_t y = from; y + 1 < grid.up.size(); ++y)
            coldest = std::min(coldest, solver_.state().kelvin[solver_.row(x, y)]);
    return coldest;
}

std::vector<double> Simulation::killRates() const {
    std::vector<double> out;
    if (organisms_.empty())
        return out;
    const double coldest = coldestInsideK();
    for (const std::size_t organism : organisms_)
        out.push_back(food::killRate(food::shippedOrganisms()[organism], coldest));
    return out;
}

void Simulation::noteTouch() {
    for (const heat::FaceIndex face : kFaces) {
        if (!solver_.hasFace(face))
            continue;
        const auto plate = touchingPlate(face);
        double hottest = plate ? plate->kelvin : 0;
        if (around_[face].liquid && !piece_.fat.empty())
            hottest = std::max(hottest, around_[face].liquid->kelvin.at(timeS()));
        moment_.hottestTouchK = std::max(moment_.hottestTouchK, hottest);
        if (hottest > smokeK_ && std::isnan(moment_.smokesFromS))
            moment_.smokesFromS = timeS();
    }
}

void Simulation::addUp(double seconds) {
    const CrustRates now = crustRates();
    for (std::size_t f = 0; f < 3; ++f) {
        const auto add = [seconds](double& sum, double was, double is) {
            sum = std::min(food::kBlackIndex, sum + seconds * (was + is) / 2);
        };
        add(moment_.browning[f], before_.browning[f], now.browning[f]);
        add(moment_.raised[f], before_.raised[f], now.raised[f]);
    }
    before_ = now;
    const double core = solver_.coreK();
    if (core > moment_.corePeakK) {
        moment_.corePeakK = core;
        moment_.corePeakS = timeS();
    }
    const std::vector<double> kills = killRates();
    for (std::size_t i = 0; i < kills.size(); ++i)
        moment_.logs[i] += seconds * (kills[i] + killBefore_[i]) / 2;
    killBefore_ = kills;
    if (core > food::kDangerLowK && core < food::kDangerHighK)
        moment_.dangerS += seconds;
    noteTouch();
}

Result<bool> Simulation::cookUntil(double untilS, const heat::StepObserver& stop) {
    auto done = solver_.advance(untilS, [&](const heat::StepReport& step) {
        addUp(step.endS - step.startS);
        return !stop_.stop_requested() && (!stop || stop(step));
    });
    if (stop_.stop_requested())
        return fail(Errc::refused, Finding{"stopped"});
    return done;
}

void Simulation::turn() {
    solver_.turn();
    before_ = crustRates();
}

void Simulation::beginRest(const recipe::Rest& rest, const kitchen::Site& site) {
    const auto top = restingBoundary(rest, site, false);
    if (hasTwoFaces(piece_.shape))
        surround(restingBoundary(rest, site, true), top, top);
    else
        surround({}, top, {});
}

Sample Simulation::sample() const {
    Sample out{timeS(), solver_.coreK(), 0, 0};
    const double bottom = solver_.surfaceK(heat::bottomFace), top = solver_.surfaceK(heat::topFace);
    const bool turned = solver_.state().turned;
    out.bottomK = turned ? top : bottom;
    out.topK = turned ? bottom : top;
    return out;
}

} // namespace dynamet::cook
