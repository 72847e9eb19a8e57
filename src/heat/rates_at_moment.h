// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_rates.h"

namespace dynamet::heat {

/// One evaluation of PieceRates: the moment and where its rates go.
struct PieceRates::Work {
    PieceRates& r;
    const PieceMesh& m;
    const PieceState& start;
    const std::vector<double>&kelvin, &water, &sidePlate;
    double timeS;
    Rates& out;
    bool jacobian;

    void run();
    void properties();
    void thinCap();
    void clearSystems();
    /// Heat and water between two neighbours; the couplings may be null.
    void pass(std::size_t i, std::size_t j, double reach, SplitSystem::Coupling* heatCoupling,
              SplitSystem::Coupling* waterCoupling);
    void flows();
    void addFaces();
    void addSlot(FaceIndex face, std::size_t slot, std::size_t row, double area);
    void addPlate(FaceIndex face, std::size_t column);
    void addStone(FaceIndex face, std::size_t column);
    void addSidePlate(std::size_t node);
    bool arrivesHot(std::size_t row) const;
    void steamBetween(std::size_t dry, std::size_t wet, double flow) const;
    void boil();
};

/// A face as its surroundings see it.
Surface surfaceAt(const PieceMesh& mesh, std::size_t row, double kelvin, double waterLeft);

} // namespace dynamet::heat
