// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Heat and water through the faces of a piece, into its plates and stones.
#include "heat/rates_at_moment.h"

namespace dynamet::heat {

Surface surfaceAt(const PieceMesh& m, std::size_t row, double kelvin, double waterLeft) {
    Surface out{kelvin};
    if (!m.dry && kelvin > m.material->freezingK())
        out.activity = m.made[row]->waterActivity(waterLeft, out.activitySlope);
    return out;
}

void PieceRates::Work::addSlot(FaceIndex face, std::size_t slot, std::size_t row, double area) {
    // A standing film gives its water before the food does.
    const bool film = start.film[slot] > 0;
    const FaceFlux q = fluxInto(r.boundary[face], *m.vapour,
                                surfaceAt(m, row, kelvin[row], film ? 1 : water[row]), timeS);
    out.heat[row] += area * q.flux;
    if (!film)
        out.evaporation[slot] = q.evaporation;
    if (jacobian)
        (face == sideFace ? r.heat.across.mid : r.heat.up.mid)[row] += area * q.slope;
    if (m.dry || q.evaporation == 0)
        return;
    if (film) {
        out.film[slot] -= q.evaporation;
        return;
    }
    const double share = area / m.water0[row];
    out.water[row] -= share * q.evaporation;
    if (jacobian) {
        (face == sideFace ? r.water.across.mid : r.water.up.mid)[row] -= share * q.evaporationSlope;
        r.heatByWater[row] += area * q.fluxByWater;
        r.waterByHeat[row] -= share * q.evaporationByHeat;
    }
}

void PieceRates::Work::addPlate(FaceIndex face, std::size_t column) {
    const LumpedPlate& plate = *r.boundary[face].lumpedPlate;
    const bool below = face == bottomFace;
    const std::size_t node = m.row(column, below ? 0 : m.nodes - 1),
                      own = below ? node - 1 : node + 1;
    const double area = m.faceArea[below ? column : m.columns + column];
    const double contact = area * plate.contact, passed = contact * (kelvin[own] - kelvin[node]);
    const auto [burner, slope] = burnerOf(plate, kelvin[own], timeS);
    const double plateArea = plate.areaRatio * area;
    out.heat[node] += passed;
    out.heat[own] = plateArea * (burner - plate.loss * (kelvin[own] - plate.ambientK)) - passed;
    if (!jacobian)
        return;
    r.heat.mass[own] = plateArea * plate.heatCapacity;
    r.heat.up.mid[node] -= contact;
    r.heat.up.mid[own] = plateArea * (slope - plate.loss) - contact;
    (below ? r.heat.up.high : r.heat.up.low)[own] = contact;
    (below ? r.heat.up.low : r.heat.up.high)[node] = contact;
}

void PieceRates::Work::addStone(FaceIndex face, std::size_t column) {
    const StoneFloor& stone = *r.boundary[face].stone;
    const bool below = face == bottomFace;
    const double area = m.faceArea[below ? column : m.columns + column];
    std::size_t from = m.row(column, below ? 0 : m.nodes - 1);
    double resistance = 1 / stone.contact;
    for (std::size_t layer = 0; layer < m.plates; ++layer) {
        const double thick = m.stoneSpan[layer] * stone.thicknessM;
        resistance += thick / 2 / stone.conductivity;
        const std::size_t own = below ? from - 1 : from + 1;
        const double g = area / resistance, passed = g * (kelvin[own] - kelvin[from]);
        out.heat[from] += passed;
        out.heat[own] = -passed;
        if (jacobian) {
            r.heat.mass[own] = area * stone.heatCapacity * thick;
            r.heat.up.mid[from] -= g;
            r.heat.up.mid[own] = -g;
            (below ? r.heat.up.high : r.heat.up.low)[own] = g;
            (below ? r.heat.up.low : r.heat.up.high)[from] = g;
        }
        from = own;
        resistance = thick / 2 / stone.conductivity;
    }
    out.heat[from] += area * (stone.underFlux - stone.underLoss * (kelvin[from] - stone.ambientK));
    if (jacobian)
        r.heat.up.mid[from] -= area * stone.underLoss;
}

/// A plate at the side keeps rows of its own: its coupling to the food is taken as it was at the
/// step's start, which ROS2 allows at full order.
void PieceRates::Work::addSidePlate(std::size_t node) {
    const LumpedPlate& plate = *r.boundary[sideFace].lumpedPlate;
    const std::size_t i = m.row(m.columns - 1, node);
    const double area = m.faceArea[2 * m.columns + node];
    const double flux = plate.contact * (sidePlate[node] - kelvin[i]);
    const auto [burner, slope] = burnerOf(plate, sidePlate[node], timeS);
    const double capacity = plate.areaRatio * plate.heatCapacity;
    out.heat[i] += area * flux;
    out.sidePlate[node] =
        (plate.areaRatio * (burner - plate.loss * (sidePlate[node] - plate.ambientK)) - flux) /
        capacity;
    if (!jacobian)
        return;
    r.heat.across.mid[i] -= area * plate.contact;
    r.sidePlateSlope[node] = (plate.areaRatio * (slope - plate.loss) - plate.contact) / capacity;
}

void PieceRates::Work::addFaces() {
    for (const FaceIndex face : {bottomFace, topFace}) {
        if (!m.hasFace(face, start.turned))
            continue;
        for (std::size_t x = 0; x < m.columns; ++x) {
            const std::size_t slot = face == bottomFace ? x : m.columns + x;
            addSlot(face, slot, m.row(x, face == bottomFace ? 0 : m.nodes - 1), m.faceArea[slot]);
            if (r.boundary[face].lumpedPlate)
                addPlate(face, x);
            if (r.boundary[face].stone)
                addStone(face, x);
        }
    }
    if (!m.hasFace(sideFace, start.turned))
        return;
    for (std::size_t y = 0; y < m.nodes; ++y) {
        const std::size_t slot = 2 * m.columns + y;
        addSlot(sideFace, slot, m.row(m.columns - 1, y), m.faceArea[slot]);
        if (r.boundary[sideFace].lumpedPlate)
            addSidePlate(y);
    }
}

} // namespace dynamet::heat
