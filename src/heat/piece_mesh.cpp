// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/piece_mesh.h"

#include <algorithm>
#include <array>

namespace dynamet::heat {
namespace {

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

/// Depth of a node below the faces that a grid has: bottom, top, side, m; far where there is none.
std::array<double, 3> depthsOf(const Grid& grid, std::size_t x, std::size_t y) {
    constexpr double kFar = 1e9;
    return {grid.bottomArea > 0 ? grid.up[y] : kFar, grid.up.back() - grid.up[y],
            grid.sideArea > 0 ? grid.across.back() - grid.across[x] : kFar};
}

Result<void> check(const Piece& piece, const SolverOptions& options) {
    if (!(piece.startK >= 233.15 && piece.startK <= 473.15))
        return fail(Errc::unsupported, {"start_cannot_be",
                                        {Temperature::kelvin(piece.startK),
                                         Temperature::celsius(-40), Temperature::celsius(200)}});
    if (!(options.toleranceK > 0))
        return fail(Errc::invalidArgument, "the tolerance must be above 0 K");
    if (options.stoneLayers < 1 || options.stoneLayers > kMostStoneLayers)
        return fail(Errc::invalidArgument, "stone layers must be 1 to 16");
    if (!(piece.fatCapM >= 0 && piece.fatCapM < piece.thicknessM))
        return fail(Errc::invalidArgument, "a fat cap must be thinner than the piece");
    return {};
}

void measure(PieceMesh& m) {
    for (auto* v : {&m.volume, &m.reachUp, &m.reachAcross})
        v->assign(m.rows(), 0);
    for (std::size_t x = 0; x < m.columns; ++x)
        for (std::size_t y = 0; y < m.nodes; ++y) {
            const std::size_t i = m.row(x, y);
            m.volume[i] = m.grid.volumeUp[y] * m.grid.volumeAcross[x];
            m.totalVolume += m.volume[i];
            if (y + 1 < m.nodes)
                m.reachUp[i] =
                    m.grid.areaUp[y] * m.grid.volumeAcross[x] / (m.grid.up[y + 1] - m.grid.up[y]);
            if (x + 1 < m.columns)
                m.reachAcross[i] = m.grid.areaAcross[x] * m.grid.volumeUp[y] /
                                   (m.grid.across[x + 1] - m.grid.across[x]);
        }
    if (hasTwoFaces(m.piece.shape))
        for (double up : m.grid.up)
            m.capNodes += m.piece.thicknessM - up < m.piece.fatCapM;
}

/// Which rows are lid and which are what it covers.
void fillRows(PieceMesh& m) {
    const Material* lid = hasTwoFaces(m.piece.shape) ? m.material->lid() : nullptr;
    if (lid)
        for (double up : m.grid.up)
            m.lidNodes += m.piece.thicknessM - up < m.material->lidM();
    m.made.assign(m.rows(), m.material.get());
    for (std::size_t x = 0; x < m.columns; ++x)
        for (std::size_t y = m.nodes - m.lidNodes; y < m.nodes; ++y)
            m.made[m.row(x, y)] = lid;
    m.water0.assign(m.rows(), 0);
    for (std::size_t i = 0; i < m.rows(); ++i) {
        m.water0[i] = m.made[i]->waterPerVolume();
        m.totalWater += m.volume[i] * m.water0[i];
    }
}

/// Pieces of face in the order bottom, top (a column each), side (a node each), and which of them
/// is nearest to a node: that is where its steam leaves.
void numberSlots(PieceMesh& m) {
    m.faceArea.assign(m.faceSlots(), 0);
    for (std::size_t x = 0; x < m.columns; ++x) {
        m.faceArea[x] = m.grid.bottomArea * m.grid.volumeAcross[x];
        m.faceArea[m.columns + x] = m.grid.topArea * m.grid.volumeAcross[x];
    }
    for (std::size_t y = 0; y < m.nodes; ++y)
        m.faceArea[2 * m.columns + y] = m.grid.sideArea * m.grid.volumeUp[y];
    m.slotOfRow.assign(m.columns * m.stride, 0);
    m.onFace.assign(m.columns * m.stride, 0);
    for (std::size_t x = 0; x < m.columns; ++x)
        for (std::size_t y = 0; y < m.nodes; ++y) {
            const auto [below, above, out] = depthsOf(m.grid, x, y);
            const std::size_t upright = below < above ? x : m.columns + x;
            m.onFace[m.row(x, y)] = m.nearestFaceM(x, y) <= 0;
            m.slotOfRow[m.row(x, y)] = out < std::min(below, above) ? 2 * m.columns + y : upright;
        }
}

} // namespace

double PieceMesh::nearestFaceM(std::size_t column, std::size_t node) const {
    const auto depths = depthsOf(grid, column, node);
    return *std::min_element(depths.begin(), depths.end());
}

bool PieceMesh::hasFace(FaceIndex face, bool turned) const {
    const std::array<double, 3> areas{grid.bottomArea, grid.topArea, grid.sideArea};
    if (areas[face] == 0)
        return false;
    const FaceIndex boned = turned ? topFace : bottomFace;
    return !(piece.bone == Bone::firstFace && face == boned);
}

std::size_t PieceMesh::middleRow(FaceIndex face) const {
    if (face == sideFace)
        return row(columns - 1, nodes / 2);
    return row(grid.coreAcross, face == bottomFace ? 0 : nodes - 1);
}

std::size_t PieceMesh::middleSlot(FaceIndex face) const {
    if (face == sideFace)
        return 2 * columns + nodes / 2;
    return (face == bottomFace ? 0 : columns) + grid.coreAcross;
}

Result<PieceMesh> meshOf(const Piece& piece, std::shared_ptr<const Material> material,
                         std::shared_ptr<const Vapour> vapour, const SolverOptions& options) {
    if (const auto ok = check(piece, options); !ok)
        return tl::unexpected(ok.error());
    auto grid = gridFor(piece, options.cells, options.acrossCells, options.grading);
    if (!grid)
        return tl::unexpected(grid.error());
    PieceMesh m;
    m.material = std::move(material);
    m.vapour = std::move(vapour);
    m.options = options;
    m.piece = piece;
    m.grid = std::move(*grid);
    m.nodes = m.grid.up.size();
    m.columns = m.grid.across.size();
    m.plates = static_cast<std::size_t>(options.stoneLayers);
    m.stride = m.nodes + 2 * m.plates;
    m.coreRow = m.row(m.grid.coreAcross, m.grid.coreUp);
    m.stoneSpan = stoneSpans(options.stoneLayers);
    const bool water = m.material->waterPerVolume() > 0;
    m.watery = water && options.boiling;
    m.dry = !water || !options.moisture;
    measure(m);
    fillRows(m);
    numberSlots(m);
    return m;
}

} // namespace dynamet::heat
