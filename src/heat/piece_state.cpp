// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/piece_state.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {

/// A face that dried in air: the water that left is missing most at the face, less with each
/// millimetre; it counts as its dry skin.
void dryFaces(PieceState& state, const PieceMesh& m) {
    constexpr double kDepthM = 1e-3, kDriest = 0.9; // of the face's water at most
    for (std::size_t x = 0; x < m.columns; ++x)
        for (std::size_t y = 0; y < m.nodes; ++y) {
            const std::size_t i = m.row(x, y);
            const double missing = std::min(kDriest, m.options.driedKgM2 / (kDepthM * m.water0[i]));
            state.waterLeft[i] = 1 - missing * std::exp(-m.nearestFaceM(x, y) / kDepthM);
        }
    std::fill(state.evaporated.begin(), state.evaporated.end(), m.options.driedKgM2);
}

} // namespace

PieceState startOf(const PieceMesh& m) {
    PieceState state;
    state.kelvin.assign(m.rows(), m.piece.startK);
    state.peakK = state.kelvin;
    state.waterLeft.assign(m.rows(), 1);
    state.sidePlateK.assign(m.nodes, m.piece.startK);
    state.evaporated.assign(m.faceSlots(), 0);
    state.steam.assign(m.faceSlots(), 0);
    state.film.assign(m.faceSlots(), m.dry ? 0 : m.options.filmKgM2);
    state.nextStepS = m.options.firstStepS;
    if (m.options.driedKgM2 > 0 && !m.dry)
        dryFaces(state, m);
    return state;
}

void turnOver(PieceState& state, const PieceMesh& m) {
    for (auto* v : {&state.kelvin, &state.waterLeft, &state.peakK})
        for (std::size_t x = 0; x < m.columns; ++x) {
            const auto first = v->begin() + static_cast<std::ptrdiff_t>(m.row(x, 0));
            std::reverse(first, first + static_cast<std::ptrdiff_t>(m.nodes));
        }
    const auto columns = static_cast<std::ptrdiff_t>(m.columns);
    for (auto* v : {&state.evaporated, &state.steam, &state.film}) {
        std::swap_ranges(v->begin(), v->begin() + columns, v->begin() + columns);
        std::reverse(v->begin() + 2 * columns, v->end());
    }
    state.turned = !state.turned;
    state.nextStepS = m.options.firstStepS;
}

void setPlates(PieceState& state, const PieceMesh& m, FaceIndex face, double kelvin) {
    for (std::size_t x = 0; x < m.columns; ++x) {
        const std::size_t first = face == bottomFace ? x * m.stride : m.row(x, m.nodes);
        std::fill_n(state.kelvin.begin() + static_cast<std::ptrdiff_t>(first), m.plates, kelvin);
    }
}

double meanK(const PieceState& state, const PieceMesh& m) {
    double sum = 0;
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        sum += m.volume[i] * state.kelvin[i];
    return sum / m.totalVolume;
}

double waterGoneShare(const PieceState& state, const PieceMesh& m) {
    double sum = 0;
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        sum += m.volume[i] * m.water0[i] * (1 - state.waterLeft[i]);
    return m.totalWater > 0 ? sum / m.totalWater : 0;
}

double heatContent(const PieceState& state, const PieceMesh& m) {
    double sum = 0;
    for (std::size_t i = 0; i < m.volume.size(); ++i)
        if (m.volume[i] > 0)
            sum += m.volume[i] * m.made[i]->enthalpy(state.kelvin[i], state.waterLeft[i]);
    return sum;
}

} // namespace dynamet::heat
