// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/rates_at_moment.h"

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

void PieceRates::Work::properties() {
    for (std::size_t x = 0; x < m.columns; ++x) {
        const std::size_t first = m.row(x, 0);
        for (std::size_t i = first; i < first + m.nodes; ++i) {
            if (water[i] == 1)
                m.made[i]->full(kelvin[i], r.capacity_[i], r.conductivity_[i]);
            else
                m.made[i]->partial(kelvin[i], water[i], r.capacity_[i], r.conductivity_[i]);
        }
        if (!r.waterMoves(m))
            continue;
        for (std::size_t i = first; i < first + m.nodes; ++i)
            r.diffusivity_[i] = kelvin[i] > m.material->freezingK()
                                    ? m.options.moistureSupply * m.vapour->diffusivity(kelvin[i])
                                    : 0;
        if (m.material->mixesWater())
            for (std::size_t i = first; i < first + m.nodes; ++i)
                r.diffusivity_[i] += m.made[i]->movingShare(kelvin[i], water[i]) *
                                     r.conductivity_[i] / r.capacity_[i];
    }
}

/// Fat conducts and stores less than the lean below it and lets hardly any water through
/// (docs/physics.md): its nodes' properties are those of the food times these.
void PieceRates::Work::thinCap() {
    if (m.capNodes == 0)
        return;
    constexpr double kConductivity = 0.42, kCapacity = 0.6, kDiffusivity = 0.05;
    for (std::size_t x = 0; x < m.columns; ++x)
        for (std::size_t y = 0; y < m.nodes; ++y)
            if ((start.turned ? y : m.nodes - 1 - y) < m.capNodes) {
                const std::size_t i = m.row(x, y);
                r.conductivity_[i] *= kConductivity;
                r.capacity_[i] *= kCapacity;
                r.diffusivity_[i] *= kDiffusivity;
            }
}

void PieceRates::Work::clearSystems() {
    for (SplitSystem* s : {&r.heat, &r.water}) {
        if (s == &r.water && !r.waterMoves(m))
            continue;
        for (auto* v :
             {&s->up.low, &s->up.mid, &s->up.high, &s->across.low, &s->across.mid, &s->across.high})
            std::fill(v->begin(), v->end(), 0.0);
    }
    std::fill(r.heatByWater.begin(), r.heatByWater.end(), 0.0);
    std::fill(r.waterByHeat.begin(), r.waterByHeat.end(), 0.0);
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        if (m.volume[i] > 0) {
            r.heat.mass[i] = r.capacity_[i] * m.volume[i];
            r.water.mass[i] = m.volume[i];
        } else {
            r.heat.mass[i] = 1;
        }
}

void PieceRates::Work::pass(std::size_t i, std::size_t j, double reach,
                            SplitSystem::Coupling* heatCoupling,
                            SplitSystem::Coupling* waterCoupling) {
    const auto couple = [i, j](SplitSystem::Coupling* coupling, double g) {
        if (!coupling)
            return;
        coupling->high[i] = coupling->low[j] = g;
        coupling->mid[i] -= g;
        coupling->mid[j] -= g;
    };
    const double g =
        reach * between(r.conductivity_[i], r.conductivity_[j], water[i] > 0 && water[j] > 0);
    const double rise = kelvin[j] - kelvin[i];
    double into = g * rise, carried = 0;
    couple(heatCoupling, g);
    if (r.waterMoves(m) && m.made[i] == m.made[j]) { // a lid keeps what it has
        const double d = reach * 0.5 * (r.diffusivity_[i] + r.diffusivity_[j]);
        const double flow = d * (water[j] - water[i]);
        if (flow != 0 && arrivesHot(flow > 0 ? i : j)) {
            steamBetween(flow > 0 ? i : j, flow > 0 ? j : i, std::abs(flow));
        } else {
            carried = 0.5 * kWaterHeat * m.water0[i] * flow * rise;
            out.water[i] += flow;
            out.water[j] -= flow;
        }
        couple(waterCoupling, d);
    }
    out.heat[i] += carried + into;
    out.heat[j] += carried - into;
}

void PieceRates::Work::flows() {
    SplitSystem::Coupling *heatUp = jacobian ? &r.heat.up : nullptr,
                          *waterUp = jacobian ? &r.water.up : nullptr;
    SplitSystem::Coupling *heatAcross = jacobian ? &r.heat.across : nullptr,
                          *waterAcross = jacobian ? &r.water.across : nullptr;
    for (std::size_t x = 0; x < m.columns; ++x) {
        const std::size_t first = m.row(x, 0), end = first + m.nodes;
        for (std::size_t i = first; i + 1 < end; ++i)
            pass(i, i + 1, m.reachUp[i], heatUp, waterUp);
        if (x + 1 < m.columns)
            for (std::size_t i = first; i < end; ++i)
                pass(i, i + m.stride, m.reachAcross[i], heatAcross, waterAcross);
    }
}

bool PieceRates::Work::arrivesHot(std::size_t row) const {
    return m.watery && water[row] <= 0 && kelvin[row] >= m.vapour->boilingK() - kBoilingSlackK;
}

/// Water that flows from a wet node towards a dry one hotter than boiling becomes steam where the
/// boiling point lies between them: its heat, from the wet node's temperature on, is taken from
/// both by the lever, and the way is the shorter the nearer that point is to the wet node. Both
/// vanish with the cell; without them the dry front lags half a cell.
void PieceRates::Work::steamBetween(std::size_t dry, std::size_t wet, double flow) const {
    const double boiling = m.vapour->boilingK();
    const double warming = kWaterHeat * std::max(0.0, boiling - kelvin[wet]);
    const double each = (m.vapour->latentAtBoiling() + warming) * m.water0[wet];
    const double over = kelvin[dry] - boiling, span = kelvin[dry] - kelvin[wet];
    const double lever = span > 0 ? std::clamp(over / span, 0.0, 1.0) : 0.5;
    flow /= 1 - kShorterWay * lever;
    out.water[wet] -= flow;
    out.heat[wet] -= lever * flow * each;
    out.heat[dry] -= (1 - lever) * flow * each;
    const std::size_t slot = m.slotOfRow[dry];
    out.steam[slot] += m.throughFace(slot, wet, flow);
}

/// A wet node at the boiling point that still gains heat stays there: the heat makes steam.
void PieceRates::Work::boil() {
    if (!m.watery)
        return;
    const double boiling = m.vapour->boilingK() - kBoilingSlackK;
    const double latent = m.vapour->latentAtBoiling();
    for (std::size_t x = 0; x < m.columns; ++x) {
        const std::size_t first = m.row(x, 0);
        for (std::size_t i = first; i < first + m.nodes; ++i) {
            if (kelvin[i] < boiling)
                continue;
            if (water[i] <= 0) {
                if (jacobian)
                    r.water.freezeRow(i);
                continue;
            }
            if (out.heat[i] <= 0)
                continue;
            const double steam = out.heat[i] / (latent * m.water0[i]); // (share of water) m³/s
            out.heat[i] = 0;
            const std::size_t slot = m.slotOfRow[i];
            const bool film = start.film[slot] > 0;
            const double mass = m.throughFace(slot, i, steam);
            auto& leaves = film ? out.film : m.onFace[i] ? out.evaporation : out.steam;
            leaves[slot] += film ? -mass : mass;
            if (!film)
                out.water[i] -= steam;
            if (jacobian) {
                r.heat.freezeRow(i);
                r.heatByWater[i] = 0;
                r.waterByHeat[i] = 0;
            }
        }
    }
}

void PieceRates::Work::run() {
    properties();
    thinCap();
    for (auto* v : {&out.heat, &out.water, &out.evaporation, &out.steam, &out.film})
        std::fill(v->begin(), v->end(), 0.0);
    if (jacobian)
        clearSystems();
    flows();
    addFaces();
    boil();
}

Rates::Rates(const PieceMesh& mesh)
    : heat(mesh.rows(), 0), water(mesh.rows(), 0), sidePlate(mesh.nodes, 0),
      evaporation(mesh.faceSlots(), 0), steam(mesh.faceSlots(), 0), film(mesh.faceSlots(), 0) {}

PieceRates::PieceRates(const PieceMesh& mesh)
    : heat(mesh.columns, mesh.stride), water(mesh.columns, mesh.stride),
      heatByWater(mesh.rows(), 0), waterByHeat(mesh.rows(), 0), sidePlateSlope(mesh.nodes, 0),
      capacity_(mesh.rows(), 0), conductivity_(mesh.rows(), 0), diffusivity_(mesh.rows(), 0) {}

void PieceRates::evaluate(const PieceMesh& mesh, const PieceState& start, const Moment& at,
                          Rates& out, bool jacobian) {
    Work{*this, mesh, start, at.kelvin, at.water, at.sidePlate, at.timeS, out, jacobian}.run();
}

bool PieceRates::waterStandsStill(const PieceMesh& m, const PieceState& state) const {
    if (m.watery)
        return false;
    if (m.dry)
        return true;
    for (const FaceBoundary& face : boundary)
        if (face.vapourPa && face.air)
            return false;
    const auto& left = state.waterLeft;
    return std::all_of(state.film.begin(), state.film.end(), [](double f) { return f <= 0; }) &&
           std::all_of(left.begin(), left.end(), [](double w) { return w == 1; });
}

} // namespace dynamet::heat
