// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/simulation.h"

#include "food/browning.h"
#include "food/seasoning.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

/// A plate larger than the food, as so many times the food's area at most: in iron heat gets some
/// 30 mm sideways in a minute.
constexpr double kMostBare = 2;

constexpr std::array kFaces{heat::bottomFace, heat::topFace, heat::sideFace};
constexpr int kStoneLayers = 8;
/// Water that stands on a piece that was not patted dry, kg/m² (a film of a tenth of a millimetre).
constexpr double kWetFilm = 0.1;
/// Water that left each face of a piece that stood on a rack for hours, kg/m²: about 1 % of a
/// steak's weight a side (from memory, ±0.1).
constexpr double kDriedAway = 0.2;

/// How fast water comes to the face beside cut lean meat: skin, fat and dough hold it back (a
/// guess, from the trade).
double surfaceSupply(const recipe::FoodPiece& piece) {
    constexpr double kHeldBack = 0.3, kFat = 0.25;
    const bool dough = piece.food.body == food::Body::dough ||
                       piece.food.body == food::Body::baked ||
                       piece.food.body == food::Body::batter;
    return dough || piece.food.composition.fat > kFat ? kHeldBack : 1;
}

/// What was poured touches its pan through a film of fat alone (a tenth of a millimetre of 0.17
/// W/mK: 1,700 W/m²K, less for steam bubbles; from memory), not at a few points as what was laid.
void wet(heat::FaceBoundary& face) {
    constexpr double kWets = 3;
    if (face.lumpedPlate)
        face.lumpedPlate->contact *= kWets;
    if (face.plate)
        face.plate->contact *= kWets;
    if (face.stone)
        face.stone->contact *= kWets;
}

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
    const heat::Material& skin = out.solver_.skin();
    out.traits_ = {skin.waterPerVolume(), skin.dryRatio(),
                   piece.moistureSupply * surfaceSupply(piece), piece.food.browning};
    out.moment_.crust.fill(
        FaceCrust(piece.startK, options.driedKgM2, skin.waterPerVolume(), effort.crustParts));
    if (const auto fat = food::findFat(piece.fat))
        out.smokeK_ = fat->smokeK;
    out.crustStepShare_ = effort.crustStepShare;
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

Simulation::Surroundings Simulation::surroundingsIn(const kitchen::HeatField& field) const {
    auto bottom = boundaryOf(field, kitchen::Face::bottom, site_, fieldSinceS_);
    const auto top = boundaryOf(field, kitchen::Face::top, site_, fieldSinceS_);
    auto side = boundaryOf(field, kitchen::Face::side, site_, fieldSinceS_);
    if (covered_ > 0 &&
        bottom.lumpedPlate) // bare iron beside it helps as far as heat gets sideways
        bottom.lumpedPlate->areaRatio = std::clamp(1 / covered_, 1.0, kMostBare);
    if (food::isPoured(piece_.food))
        for (heat::FaceBoundary* face : {&bottom, &side})
            wet(*face);
    if (food::standsInDish(piece_.food)) // which lets no vapour through
        for (heat::FaceBoundary* closed : {&bottom, &side})
            closed->vapourPa.reset();
    if (!hasTwoFaces(piece_.shape))
        return {heat::FaceBoundary{}, roundBoundary(field, piece_, site_, fieldSinceS_),
                heat::FaceBoundary{}};
    if (edgesDown_) // both faces look sideways while an edge is on the plate
        return {top, top, bottom};
    return {bottom, top, side};
}

void Simulation::beginStage(const Stage& stage) {
    if (!(stage.field == field_))
        fieldSinceS_ = timeS();
    field_ = stage.field;
    site_ = stage.site;
    edgesDown_ = stage.written.edgesDown;
    covered_ = stage.covered;
    // The pan goes along as hot as it is; it cools while the food waits.
    const std::string& vessel = stage.written.place.vesselId;
    const bool samePan = !vessel.empty() && vessel == vesselId_;
    vesselId_ = vessel;
    const Surroundings before = around_;
    const heat::PieceState state = solver_.state();
    surround(surroundingsIn(field_));
    if (samePan)
        solver_.restore(withPlatesOf(state, before));
    segments_.assign(1, {field_, fieldSinceS_, around_});
    moment_.segment = 0;
}

void Simulation::change(const Change& change) {
    catchUp();
    if (change.quarterTurn)
        for (FaceCrust& crust : moment_.crust)
            crust.quarterTurn();
    if (!change.field)
        return;
    if (change.newCourse)
        fieldSinceS_ = timeS();
    field_ = *change.field;
    const Surroundings before = around_;
    const heat::PieceState state = solver_.state();
    surround(surroundingsIn(field_));
    solver_.restore(withPlatesOf(state, before));
    segments_.resize(moment_.segment + 1);
    segments_.push_back({field_, fieldSinceS_, around_});
    ++moment_.segment;
}

heat::PieceState Simulation::withPlatesOf(const heat::PieceState& before,
                                          const Surroundings& were) const {
    heat::PieceState out = solver_.state();
    const std::size_t plates = solver_.row(0, 0), nodes = solver_.grid().up.size();
    const auto keeps = [&](heat::FaceIndex face) {
        const auto has = [](const heat::FaceBoundary& b) { return b.lumpedPlate || b.stone; };
        return has(were[face]) && has(around_[face]);
    };
    for (std::size_t x = 0; x < solver_.grid().across.size(); ++x)
        for (std::size_t layer = 0; layer < plates; ++layer) {
            const std::size_t below = solver_.row(x, 0) - plates + layer;
            const std::size_t above = solver_.row(x, nodes - 1) + 1 + layer;
            if (keeps(heat::bottomFace))
                out.kelvin[below] = before.kelvin[below];
            if (keeps(heat::topFace))
                out.kelvin[above] = before.kelvin[above];
        }
    if (keeps(heat::sideFace))
        out.sidePlateK = before.sidePlateK;
    return out;
}

void Simulation::surround(const Surroundings& around) {
    catchUp();
    moment_.crustSinceS = timeS();
    around_ = around;
    solver_.setBoundaries(around[0], around[1], around[2]);
    noteTouch();
}

const Simulation::Moment& Simulation::moment() {
    moment_.state = solver_.state();
    return moment_;
}

void Simulation::restore(const Moment& moment) {
    const Segment& segment = segments_[moment.segment];
    if (moment.segment != moment_.segment) {
        field_ = segment.field;
        fieldSinceS_ = segment.sinceS;
    }
    moment_ = moment;
    around_ = segment.around;
    solver_.setBoundaries(around_[0], around_[1], around_[2]);
    solver_.restore(moment.state);
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

/// What rides proud of the face takes the temperature of a plate that presses on it.
void Simulation::addCrust(heat::FaceIndex face, double seconds) {
    const auto front = solver_.wetFrontUnder(face);
    const auto touch = touchingPlate(face);
    CrustMoment at;
    at.timeS = timeS();
    at.around = &around_[face];
    at.touchK = touch ? touch->kelvin : 0;
    at.touch = touch ? touch->contact : 0;
    at.touchedShare = around_[face].touchedShare;
    at.frontK = front.kelvin;
    at.inwardFlux = front.inwardFlux;
    at.waterLeft = front.waterLeft;
    at.driedThrough = front.none;
    at.filmed = front.filmed;
    const std::size_t own = foodFace(face);
    FaceCrust& crust = moment_.crust[own];
    crust.advance(at, traits_, solver_.vapour(), seconds);
    const double proud = std::max(touch ? touch->kelvin : 0, crust.topK());
    moment_.raised[own] =
        std::min(food::kBlackIndex, moment_.raised[own] + seconds * food::browningRate(proud));
}

void Simulation::catchUp() {
    if (moment_.crustBehindS > 0)
        for (const heat::FaceIndex face : kFaces)
            if (solver_.hasFace(face))
                addCrust(face, moment_.crustBehindS);
    moment_.crustBehindS = 0;
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
    // A crust changes more slowly the longer it has been at one heat.
    constexpr double kLeastS = 0.5, kMostS = 200;
    moment_.crustBehindS += seconds;
    const double sinceS = timeS() - moment_.crustSinceS;
    if (moment_.crustBehindS >=
        std::clamp(crustStepShare_ * sinceS, kLeastS, kMostS * crustStepShare_))
        catchUp();
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
    if (piece_.food.softening)
        moment_.softening += seconds * piece_.food.softening->rate(core);
    if (piece_.food.rendering)
        moment_.rendering += seconds * piece_.food.rendering->rate(solver_.meanK());
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
    catchUp();
    moment_.crustSinceS = timeS();
    solver_.turn();
}

void Simulation::beginRest(const recipe::Rest& rest, const kitchen::Site& site) {
    vesselId_.clear();
    const auto top = restingBoundary(rest, site, false);
    if (hasTwoFaces(piece_.shape))
        surround({restingBoundary(rest, site, true), top, top});
    else
        surround({heat::FaceBoundary{}, top, heat::FaceBoundary{}});
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
