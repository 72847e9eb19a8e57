// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What flows where at a moment: between nodes, through faces, into plates, into steam.
#include "heat/piece_solver.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {
constexpr double kBoilingSlackK = 1e-7;
constexpr double kWaterHeat = 4180; // J/kgK, of water on its way through the food

/// Between two wet nodes conductivity changes smoothly; where one is dry, much the worse conductor,
/// heat passes half of either cell.
double between(double a, double b, bool bothWet) {
    return bothWet ? (a + b) / 2 : 2 * a * b / (a + b);
}
/// How much of its way steam is spared by the lever of the boiling point; the value with the
/// smallest error of space on four cooks in ovens and a pan.
constexpr double kShorterWay = 0.55;
} // namespace

void PieceSolver::properties(const std::vector<double>& kelvin, const std::vector<double>& water) {
    for (std::size_t x = 0; x < columns_; ++x) {
        const std::size_t first = row(x, 0);
        for (std::size_t i = first; i < first + nodes_; ++i) {
            if (water[i] == 1)
                material_->full(kelvin[i], capacity_[i], conductivity_[i]);
            else
                material_->partial(kelvin[i], water[i], capacity_[i], conductivity_[i]);
        }
        if (!waterMoves())
            continue;
        for (std::size_t i = first; i < first + nodes_; ++i)
            diffusivity_[i] = kelvin[i] > material_->freezingK()
                                  ? options_.moistureSupply * vapour_->diffusivity(kelvin[i])
                                  : 0;
    }
}

/// Fat conducts and stores less than the lean below it and lets hardly any water through
/// (docs/physics.md): its nodes' properties are those of the food times these.
void PieceSolver::thinCap() {
    if (capNodes_ == 0)
        return;
    constexpr double kConductivity = 0.42, kCapacity = 0.6, kDiffusivity = 0.05;
    for (std::size_t x = 0; x < columns_; ++x)
        for (std::size_t y = 0; y < nodes_; ++y)
            if ((state_.turned ? y : nodes_ - 1 - y) < capNodes_) {
                const std::size_t i = row(x, y);
                conductivity_[i] *= kConductivity;
                capacity_[i] *= kCapacity;
                diffusivity_[i] *= kDiffusivity;
            }
}

void PieceSolver::clearSystems() {
    for (SplitSystem* s : {&heat_, &water_}) {
        if (s == &water_ && !waterMoves())
            continue;
        for (auto* v :
             {&s->up.low, &s->up.mid, &s->up.high, &s->across.low, &s->across.mid, &s->across.high})
            std::fill(v->begin(), v->end(), 0.0);
    }
    std::fill(heatByWater_.begin(), heatByWater_.end(), 0.0);
    std::fill(waterByHeat_.begin(), waterByHeat_.end(), 0.0);
    for (std::size_t i = 0; i < volume_.size(); ++i)
        if (volume_[i] > 0) {
            heat_.mass[i] = capacity_[i] * volume_[i];
            water_.mass[i] = volume_[i];
        } else {
            heat_.mass[i] = 1;
        }
}

void PieceSolver::pass(std::size_t i, std::size_t j, double reach,
                       const std::vector<double>& kelvin, const std::vector<double>& water,
                       Rates& out, SplitSystem::Coupling* heatCoupling,
                       SplitSystem::Coupling* waterCoupling) {
    const auto couple = [i, j](SplitSystem::Coupling* coupling, double g) {
        if (!coupling)
            return;
        coupling->high[i] = coupling->low[j] = g;
        coupling->mid[i] -= g;
        coupling->mid[j] -= g;
    };
    const double g =
        reach * between(conductivity_[i], conductivity_[j], water[i] > 0 && water[j] > 0);
    const double rise = kelvin[j] - kelvin[i];
    double into = g * rise, carried = 0;
    couple(heatCoupling, g);
    if (waterMoves()) {
        const double d = reach * 0.5 * (diffusivity_[i] + diffusivity_[j]);
        const double flow = d * (water[j] - water[i]);
        if (flow != 0 && arrivesHot(kelvin, water, flow > 0 ? i : j)) {
            steamBetween(flow > 0 ? i : j, flow > 0 ? j : i, std::abs(flow), kelvin, out);
        } else {
            carried = 0.5 * kWaterHeat * material_->waterPerVolume() * flow * rise;
            out.water[i] += flow;
            out.water[j] -= flow;
        }
        couple(waterCoupling, d);
    }
    out.heat[i] += carried + into;
    out.heat[j] += carried - into;
}

void PieceSolver::flows(const std::vector<double>& kelvin, const std::vector<double>& water,
                        Rates& out, bool jacobian) {
    SplitSystem::Coupling *heatUp = jacobian ? &heat_.up : nullptr,
                          *waterUp = jacobian ? &water_.up : nullptr;
    SplitSystem::Coupling *heatAcross = jacobian ? &heat_.across : nullptr,
                          *waterAcross = jacobian ? &water_.across : nullptr;
    for (std::size_t x = 0; x < columns_; ++x) {
        const std::size_t first = row(x, 0), end = first + nodes_;
        for (std::size_t i = first; i + 1 < end; ++i)
            pass(i, i + 1, reachUp_[i], kelvin, water, out, heatUp, waterUp);
        if (x + 1 < columns_)
            for (std::size_t i = first; i < end; ++i)
                pass(i, i + stride_, reachAcross_[i], kelvin, water, out, heatAcross, waterAcross);
    }
}

void PieceSolver::addSlot(FaceIndex face, std::size_t slot, std::size_t row, double area,
                          const std::vector<double>& kelvin, const std::vector<double>& water,
                          double timeS, Rates& out, bool jacobian) {
    // A standing film gives its water before the food does.
    const bool film = state_.film[slot] > 0;
    const FaceFlux q =
        fluxInto(boundary_[face], *vapour_, surfaceAt(kelvin[row], film ? 1 : water[row]), timeS);
    out.heat[row] += area * q.flux;
    if (!film)
        out.evaporation[slot] = q.evaporation;
    if (jacobian)
        (face == sideFace ? heat_.across.mid : heat_.up.mid)[row] += area * q.slope;
    if (dry_ || q.evaporation == 0)
        return;
    if (film) {
        out.film[slot] -= q.evaporation;
        return;
    }
    const double share = area / material_->waterPerVolume();
    out.water[row] -= share * q.evaporation;
    if (jacobian) {
        (face == sideFace ? water_.across.mid : water_.up.mid)[row] -= share * q.evaporationSlope;
        heatByWater_[row] += area * q.fluxByWater;
        waterByHeat_[row] -= share * q.evaporationByHeat;
    }
}

void PieceSolver::addPlate(FaceIndex face, std::size_t column, const std::vector<double>& kelvin,
                           Rates& out, bool jacobian) {
    const LumpedPlate& plate = *boundary_[face].lumpedPlate;
    const bool below = face == bottomFace;
    const std::size_t node = row(column, below ? 0 : nodes_ - 1), own = below ? node - 1 : node + 1;
    const double area = faceArea_[below ? column : columns_ + column];
    const double contact = area * plate.contact, passed = contact * (kelvin[own] - kelvin[node]);
    const auto [burner, slope] = burnerOf(plate, kelvin[own]);
    const double plateArea = plate.areaRatio * area;
    out.heat[node] += passed;
    out.heat[own] = plateArea * (burner - plate.loss * (kelvin[own] - plate.ambientK)) - passed;
    if (!jacobian)
        return;
    heat_.mass[own] = plateArea * plate.heatCapacity;
    heat_.up.mid[node] -= contact;
    heat_.up.mid[own] = plateArea * (slope - plate.loss) - contact;
    (below ? heat_.up.high : heat_.up.low)[own] = contact;
    (below ? heat_.up.low : heat_.up.high)[node] = contact;
}

void PieceSolver::addStone(FaceIndex face, std::size_t column, const std::vector<double>& kelvin,
                           Rates& out, bool jacobian) {
    const StoneFloor& stone = *boundary_[face].stone;
    const bool below = face == bottomFace;
    const double area = faceArea_[below ? column : columns_ + column];
    std::size_t from = row(column, below ? 0 : nodes_ - 1);
    double resistance = 1 / stone.contact;
    for (std::size_t layer = 0; layer < plates_; ++layer) {
        const double thick = stoneSpan_[layer] * stone.thicknessM;
        resistance += thick / 2 / stone.conductivity;
        const std::size_t own = below ? from - 1 : from + 1;
        const double g = area / resistance, passed = g * (kelvin[own] - kelvin[from]);
        out.heat[from] += passed;
        out.heat[own] = -passed;
        if (jacobian) {
            heat_.mass[own] = area * stone.heatCapacity * thick;
            heat_.up.mid[from] -= g;
            heat_.up.mid[own] = -g;
            (below ? heat_.up.high : heat_.up.low)[own] = g;
            (below ? heat_.up.low : heat_.up.high)[from] = g;
        }
        from = own;
        resistance = thick / 2 / stone.conductivity;
    }
    out.heat[from] += area * (stone.underFlux - stone.underLoss * (kelvin[from] - stone.ambientK));
    if (jacobian)
        heat_.up.mid[from] -= area * stone.underLoss;
}

/// A plate at the side keeps rows of its own: its coupling to the food is taken as it was at the
/// step's start, which ROS2 allows at full order.
void PieceSolver::addSidePlate(std::size_t node, const std::vector<double>& kelvin,
                               const std::vector<double>& sidePlate, Rates& out, bool jacobian) {
    const LumpedPlate& plate = *boundary_[sideFace].lumpedPlate;
    const std::size_t i = row(columns_ - 1, node);
    const double area = faceArea_[2 * columns_ + node];
    const double flux = plate.contact * (sidePlate[node] - kelvin[i]);
    const auto [burner, slope] = burnerOf(plate, sidePlate[node]);
    const double capacity = plate.areaRatio * plate.heatCapacity;
    out.heat[i] += area * flux;
    out.sidePlate[node] =
        (plate.areaRatio * (burner - plate.loss * (sidePlate[node] - plate.ambientK)) - flux) /
        capacity;
    if (!jacobian)
        return;
    heat_.across.mid[i] -= area * plate.contact;
    sidePlateSlope_[node] = (plate.areaRatio * (slope - plate.loss) - plate.contact) / capacity;
}

void PieceSolver::addFaces(const std::vector<double>& kelvin, const std::vector<double>& water,
                           const std::vector<double>& sidePlate, double timeS, Rates& out,
                           bool jacobian) {
    for (const FaceIndex face : {bottomFace, topFace}) {
        if (!hasFace(face))
            continue;
        for (std::size_t x = 0; x < columns_; ++x) {
            const std::size_t slot = face == bottomFace ? x : columns_ + x;
            addSlot(face, slot, row(x, face == bottomFace ? 0 : nodes_ - 1), faceArea_[slot],
                    kelvin, water, timeS, out, jacobian);
            if (boundary_[face].lumpedPlate)
                addPlate(face, x, kelvin, out, jacobian);
            if (boundary_[face].stone)
                addStone(face, x, kelvin, out, jacobian);
        }
    }
    if (!hasFace(sideFace))
        return;
    for (std::size_t y = 0; y < nodes_; ++y) {
        const std::size_t slot = 2 * columns_ + y;
        addSlot(sideFace, slot, row(columns_ - 1, y), faceArea_[slot], kelvin, water, timeS, out,
                jacobian);
        if (boundary_[sideFace].lumpedPlate)
            addSidePlate(y, kelvin, sidePlate, out, jacobian);
    }
}

bool PieceSolver::arrivesHot(const std::vector<double>& kelvin, const std::vector<double>& water,
                             std::size_t row) const {
    return watery_ && water[row] <= 0 && kelvin[row] >= vapour_->boilingK() - kBoilingSlackK;
}

/// Water that flows from a wet node towards a dry one hotter than boiling becomes steam where the
/// boiling point lies between them: its heat, from the wet node's temperature on, is taken from
/// both by the lever, and the way is the shorter the nearer that point is to the wet node. Both
/// vanish with the cell; without them the dry front lags half a cell.
void PieceSolver::steamBetween(std::size_t dry, std::size_t wet, double flow,
                               const std::vector<double>& kelvin, Rates& out) const {
    const double boiling = vapour_->boilingK();
    const double warming = kWaterHeat * std::max(0.0, boiling - kelvin[wet]);
    const double each = (vapour_->latentAtBoiling() + warming) * material_->waterPerVolume();
    const double over = kelvin[dry] - boiling, span = kelvin[dry] - kelvin[wet];
    const double lever = span > 0 ? std::clamp(over / span, 0.0, 1.0) : 0.5;
    flow /= 1 - kShorterWay * lever;
    out.water[wet] -= flow;
    out.heat[wet] -= lever * flow * each;
    out.heat[dry] -= (1 - lever) * flow * each;
    const std::size_t slot = slotOfRow_[dry];
    out.steam[slot] += throughFace(slot, flow);
}

/// A wet node at the boiling point that still gains heat stays there: the heat makes steam.
void PieceSolver::boil(const std::vector<double>& kelvin, const std::vector<double>& water,
                       Rates& out, bool jacobian) {
    if (!watery_)
        return;
    const double boiling = vapour_->boilingK() - kBoilingSlackK;
    const double latent = vapour_->latentAtBoiling() * material_->waterPerVolume();
    for (std::size_t x = 0; x < columns_; ++x) {
        const std::size_t first = row(x, 0);
        for (std::size_t i = first; i < first + nodes_; ++i) {
            if (kelvin[i] < boiling)
                continue;
            if (water[i] <= 0) {
                if (jacobian)
                    water_.freezeRow(i);
                continue;
            }
            if (out.heat[i] <= 0)
                continue;
            const double steam = out.heat[i] / latent; // (share of water) m³/s
            out.heat[i] = 0;
            const std::size_t slot = slotOfRow_[i];
            const bool film = state_.film[slot] > 0;
            const double mass = throughFace(slot, steam);
            auto& leaves = film ? out.film : onFace_[i] ? out.evaporation : out.steam;
            leaves[slot] += film ? -mass : mass;
            if (!film)
                out.water[i] -= steam;
            if (jacobian) {
                heat_.freezeRow(i);
                heatByWater_[i] = 0;
                waterByHeat_[i] = 0;
            }
        }
    }
}

void PieceSolver::evaluate(const std::vector<double>& kelvin, const std::vector<double>& water,
                           const std::vector<double>& sidePlate, double timeS, Rates& out,
                           bool jacobian) {
    properties(kelvin, water);
    thinCap();
    for (auto* v : {&out.heat, &out.water, &out.evaporation, &out.steam, &out.film})
        std::fill(v->begin(), v->end(), 0.0);
    if (jacobian)
        clearSystems();
    flows(kelvin, water, out, jacobian);
    addFaces(kelvin, water, sidePlate, timeS, out, jacobian);
    boil(kelvin, water, out, jacobian);
}

} // namespace dynamet::heat
