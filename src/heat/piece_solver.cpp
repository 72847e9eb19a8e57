// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/piece_solver.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::heat {
namespace {

constexpr double kSafety = 0.9, kMostGrowth = 2.5, kLeastShrink = 0.3;
constexpr int kMostStoneLayers = 16;
constexpr double kStoneGrowth = 1.7; // each layer of a stone is this much thicker than the last

std::vector<double> stoneSpans(int layers) {
    std::vector<double> out;
    double sum = 0, span = 1;
    for (int i = 0; i < layers; ++i, span *= kStoneGrowth) {
        out.push_back(span);
        sum += span;
    }
    for (double& s : out)
        s /= sum;
    return out;
}

void addKinks(const FaceBoundary& face, std::vector<double>& out) {
    if (face.air)
        face.air->airK.kinks(out);
    for (const Radiator& r : face.radiators)
        r.kelvin.kinks(out);
    if (face.plate)
        face.plate->kelvin.kinks(out);
    if (face.liquid)
        face.liquid->kelvin.kinks(out);
}

FaceBoundary withoutPlates(FaceBoundary face) {
    face.plate.reset();
    face.lumpedPlate.reset();
    face.stone.reset();
    return face;
}

/// Depth of a node below the faces that a grid has: bottom, top, side, m; far where there is none.
std::array<double, 3> depthsOf(const Grid& grid, std::size_t x, std::size_t y) {
    constexpr double kFar = 1e9;
    return {grid.bottomArea > 0 ? grid.up[y] : kFar, grid.up.back() - grid.up[y],
            grid.sideArea > 0 ? grid.across.back() - grid.across[x] : kFar};
}

double nearestFaceM(const Grid& grid, std::size_t x, std::size_t y) {
    const auto depths = depthsOf(grid, x, y);
    return *std::min_element(depths.begin(), depths.end());
}

} // namespace

Result<PieceSolver> PieceSolver::create(const Piece& piece,
                                        std::shared_ptr<const Material> material,
                                        std::shared_ptr<const Vapour> vapour,
                                        const SolverOptions& options) {
    if (!(piece.startK >= 233.15 && piece.startK <= 473.15))
        return fail(Errc::unsupported, fmt::format("a start of {:.1f} °C is outside −40 to 200 °C",
                                                   piece.startK - 273.15));
    if (!(options.toleranceK > 0))
        return fail(Errc::invalidArgument, "the tolerance must be above 0 K");
    if (options.stoneLayers < 1 || options.stoneLayers > kMostStoneLayers)
        return fail(Errc::invalidArgument, "stone layers must be 1 to 16");
    if (!(piece.fatCapM >= 0 && piece.fatCapM < piece.thicknessM))
        return fail(Errc::invalidArgument, "a fat cap must be thinner than the piece");
    auto grid = gridFor(piece, options.cells, options.acrossCells, options.grading);
    if (!grid)
        return tl::unexpected(grid.error());
    PieceSolver s;
    s.material_ = std::move(material);
    s.vapour_ = std::move(vapour);
    s.options_ = options;
    s.piece_ = piece;
    s.grid_ = std::move(*grid);
    s.nodes_ = s.grid_.up.size();
    s.columns_ = s.grid_.across.size();
    s.plates_ = static_cast<std::size_t>(options.stoneLayers);
    s.stride_ = s.nodes_ + 2 * s.plates_;
    s.coreRow_ = s.row(s.grid_.coreAcross, s.grid_.coreUp);
    s.stoneSpan_ = stoneSpans(options.stoneLayers);
    const bool water = s.material_->waterPerVolume() > 0;
    s.watery_ = water && options.boiling;
    s.dry_ = !water || !options.moisture;
    s.allocate(piece.startK);
    s.numberSlots();
    if (options.driedKgM2 > 0 && !s.dry_)
        s.dryFaces();
    return s;
}

void PieceSolver::allocate(double startK) {
    const std::size_t rows = columns_ * stride_, slots = 2 * columns_ + nodes_;
    heat_ = SplitSystem(columns_, stride_);
    water_ = SplitSystem(columns_, stride_);
    for (auto* v :
         {&volume_, &reachUp_, &reachAcross_, &capacity_, &conductivity_, &diffusivity_,
          &heatByWater_, &waterByHeat_, &heatFirst_, &heatSecond_, &waterFirst_, &waterSecond_,
          &rhs_, &coupled_, &now_.heat, &now_.water, &later_.heat, &later_.water})
        v->assign(rows, 0);
    for (auto* v : {&now_.sidePlate, &later_.sidePlate, &sidePlateSlope_, &plateFirst_})
        v->assign(nodes_, 0);
    for (auto* v : {&now_.evaporation, &later_.evaporation, &now_.steam, &later_.steam, &now_.film,
                    &later_.film, &faceArea_})
        v->assign(slots, 0);
    for (std::size_t x = 0; x < columns_; ++x)
        for (std::size_t y = 0; y < nodes_; ++y) {
            const std::size_t i = row(x, y);
            volume_[i] = grid_.volumeUp[y] * grid_.volumeAcross[x];
            totalVolume_ += volume_[i];
            if (y + 1 < nodes_)
                reachUp_[i] =
                    grid_.areaUp[y] * grid_.volumeAcross[x] / (grid_.up[y + 1] - grid_.up[y]);
            if (x + 1 < columns_)
                reachAcross_[i] = grid_.areaAcross[x] * grid_.volumeUp[y] /
                                  (grid_.across[x + 1] - grid_.across[x]);
        }
    state_.kelvin.assign(rows, startK);
    state_.peakK = state_.kelvin;
    state_.waterLeft.assign(rows, 1);
    state_.sidePlateK.assign(nodes_, startK);
    state_.evaporated.assign(slots, 0);
    state_.steam.assign(slots, 0);
    state_.film.assign(slots, dry_ ? 0 : options_.filmKgM2);
    state_.nextStepS = options_.firstStepS;
    trial_ = {state_.kelvin,     state_.waterLeft, state_.sidePlateK,
              state_.evaporated, state_.steam,     state_.film};
    if (hasTwoFaces(piece_.shape))
        for (double up : grid_.up)
            capNodes_ += piece_.thicknessM - up < piece_.fatCapM;
}

/// Pieces of face in the order bottom, top (a column each), side (a node each), and which of them
/// is nearest to a node: that is where its steam leaves.
void PieceSolver::numberSlots() {
    for (std::size_t x = 0; x < columns_; ++x) {
        faceArea_[x] = grid_.bottomArea * grid_.volumeAcross[x];
        faceArea_[columns_ + x] = grid_.topArea * grid_.volumeAcross[x];
    }
    for (std::size_t y = 0; y < nodes_; ++y)
        faceArea_[2 * columns_ + y] = grid_.sideArea * grid_.volumeUp[y];
    slotOfRow_.assign(columns_ * stride_, 0);
    onFace_.assign(columns_ * stride_, 0);
    for (std::size_t x = 0; x < columns_; ++x)
        for (std::size_t y = 0; y < nodes_; ++y) {
            const auto [below, above, out] = depthsOf(grid_, x, y);
            const std::size_t upright = below < above ? x : columns_ + x;
            onFace_[row(x, y)] = nearestFaceM(grid_, x, y) <= 0;
            slotOfRow_[row(x, y)] = out < std::min(below, above) ? 2 * columns_ + y : upright;
        }
}

/// A face that dried in air: the water that left is missing most at the face, less with each
/// millimetre; it counts as its dry skin.
void PieceSolver::dryFaces() {
    constexpr double kDepthM = 1e-3, kDriest = 0.9; // of the face's water at most
    const double missing =
        std::min(kDriest, options_.driedKgM2 / (kDepthM * material_->waterPerVolume()));
    for (std::size_t x = 0; x < columns_; ++x)
        for (std::size_t y = 0; y < nodes_; ++y) {
            state_.waterLeft[row(x, y)] =
                1 - missing * std::exp(-nearestFaceM(grid_, x, y) / kDepthM);
        }
    std::fill(state_.evaporated.begin(), state_.evaporated.end(), options_.driedKgM2);
    driedShare_ = waterLostShare();
}

bool PieceSolver::hasFace(FaceIndex face) const {
    const std::array<double, 3> areas{grid_.bottomArea, grid_.topArea, grid_.sideArea};
    if (areas[face] == 0)
        return false;
    const FaceIndex boned = state_.turned ? topFace : bottomFace;
    return !(piece_.bone == Bone::firstFace && face == boned);
}

std::size_t PieceSolver::middleRow(FaceIndex face) const {
    if (face == sideFace)
        return row(columns_ - 1, nodes_ / 2);
    return row(grid_.coreAcross, face == bottomFace ? 0 : nodes_ - 1);
}

std::size_t PieceSolver::middleSlot(FaceIndex face) const {
    if (face == sideFace)
        return 2 * columns_ + nodes_ / 2;
    return (face == bottomFace ? 0 : columns_) + grid_.coreAcross;
}

double PieceSolver::plateK(FaceIndex face) const {
    if (face == sideFace)
        return state_.sidePlateK[nodes_ / 2];
    const std::size_t node = middleRow(face);
    return state_.kelvin[face == bottomFace ? node - 1 : node + 1];
}

void PieceSolver::setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top) {
    setBoundaries(bottom, top, withoutPlates(top));
}

void PieceSolver::setBoundaries(const FaceBoundary& bottom, const FaceBoundary& top,
                                const FaceBoundary& side) {
    boundary_ = {bottom, top, side};
    kinks_.clear();
    for (const FaceBoundary& face : boundary_)
        addKinks(face, kinks_);
    std::sort(kinks_.begin(), kinks_.end());
    for (const FaceIndex face : {bottomFace, topFace}) {
        const FaceBoundary& b = boundary_[face];
        if (!b.lumpedPlate && !b.stone)
            continue;
        const double start = b.lumpedPlate ? b.lumpedPlate->startK : b.stone->startK;
        for (std::size_t x = 0; x < columns_; ++x) {
            const std::size_t first = face == bottomFace ? x * stride_ : row(x, nodes_);
            std::fill_n(state_.kelvin.begin() + static_cast<std::ptrdiff_t>(first), plates_, start);
        }
    }
    if (side.lumpedPlate)
        std::fill(state_.sidePlateK.begin(), state_.sidePlateK.end(), side.lumpedPlate->startK);
    state_.nextStepS = options_.firstStepS;
    fresh_ = false;
}

void PieceSolver::turn() {
    for (auto* v : {&state_.kelvin, &state_.waterLeft, &state_.peakK})
        for (std::size_t x = 0; x < columns_; ++x) {
            const auto first = v->begin() + static_cast<std::ptrdiff_t>(row(x, 0));
            std::reverse(first, first + static_cast<std::ptrdiff_t>(nodes_));
        }
    const auto columns = static_cast<std::ptrdiff_t>(columns_);
    for (auto* v : {&state_.evaporated, &state_.steam, &state_.film}) {
        std::swap_ranges(v->begin(), v->begin() + columns, v->begin() + columns);
        std::reverse(v->begin() + 2 * columns, v->end());
    }
    state_.turned = !state_.turned;
    state_.nextStepS = options_.firstStepS;
    fresh_ = false;
}

void PieceSolver::restore(const State& state) {
    state_ = state;
    fresh_ = false;
}

double PieceSolver::meanK() const {
    double sum = 0;
    for (std::size_t i = 0; i < volume_.size(); ++i)
        sum += volume_[i] * state_.kelvin[i];
    return sum / totalVolume_;
}

double PieceSolver::waterLostShare() const {
    double sum = 0;
    for (std::size_t i = 0; i < volume_.size(); ++i)
        sum += volume_[i] * (1 - state_.waterLeft[i]);
    return sum / totalVolume_ - driedShare_;
}

double PieceSolver::heatContent() const {
    double sum = 0;
    for (std::size_t i = 0; i < volume_.size(); ++i)
        if (volume_[i] > 0)
            sum += volume_[i] * material_->enthalpy(state_.kelvin[i], state_.waterLeft[i]);
    return sum;
}

Surface PieceSolver::surfaceAt(double kelvin, double waterLeft) const {
    Surface out{kelvin};
    if (!dry_ && kelvin > material_->freezingK())
        out.activity = material_->waterActivity(waterLeft, out.activitySlope);
    return out;
}

FaceFlux PieceSolver::faceNow(FaceIndex face) const {
    const std::size_t i = middleRow(face);
    return fluxInto(boundary_[face], *vapour_, surfaceAt(state_.kelvin[i], state_.waterLeft[i]),
                    state_.timeS);
}

/// No water, or none that a face, a film, a front or a gradient moves.
bool PieceSolver::waterStandsStill() const {
    if (watery_)
        return false;
    if (dry_)
        return true;
    for (const FaceBoundary& face : boundary_)
        if (face.vapourPa && face.air)
            return false;
    const auto& left = state_.waterLeft;
    return std::all_of(state_.film.begin(), state_.film.end(), [](double f) { return f <= 0; }) &&
           std::all_of(left.begin(), left.end(), [](double w) { return w == 1; });
}

void PieceSolver::settleStill() {
    const bool still = waterStandsStill();
    if (still == still_ && !still)
        return;
    fresh_ = fresh_ && still == still_;
    still_ = still;
    trial_.water = state_.waterLeft;
    trial_.evaporated = state_.evaporated;
    trial_.steam = state_.steam;
    trial_.film = state_.film;
    for (auto* v : {&waterFirst_, &waterSecond_, &now_.water, &later_.water})
        std::fill(v->begin(), v->end(), 0.0);
}

Result<bool> PieceSolver::advance(double untilS, const StepObserver& observer) {
    settleStill();
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
        const double mass = heat_.mass[coreRow_];
        StepReport report{state_.timeS, 0, coreK(), 0, now_.heat[coreRow_] / mass, 0};
        accept(dt);
        if (last)
            state_.timeS = goal;
        state_.nextStepS = last && dt < wanted ? std::max(wanted, dt * change) : dt * change;
        if (last && atKink)
            state_.nextStepS = options_.firstStepS;
        evaluate(state_.kelvin, state_.waterLeft, state_.sidePlateK, state_.timeS, now_, true);
        report.endS = state_.timeS;
        report.coreEndK = coreK();
        report.coreEndRate = now_.heat[coreRow_] / heat_.mass[coreRow_];
        if (observer && !observer(report))
            return false;
    }
    return true;
}

} // namespace dynamet::heat
