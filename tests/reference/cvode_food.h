// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/composition.h"

#include <optional>
#include <vector>

/// The product's equations (docs/physics.md §1, moisture-field form) written a second time for
/// SUNDIALS CVODE, from the text alone: it includes nothing of src/heat. Cell-centred, boiling as a
/// fast relaxation, the face's temperature and water found from the half cell.
namespace reference {

struct Side {
    double airK = 293.15, hAir = 0;
    double radiantK = 293.15, view = 0;
    double plateK = 0, contact = 0;
    std::optional<double> vapourPa;
    /// A lumped plate: its start, J/m²K, W/m², W/m²K, ambient; contact as above.
    bool lumped = false;
    double heatCapacity = 0, burnerFlux = 0, loss = 0, ambientK = 293.15;
};

struct Case {
    double thicknessM = 0.03;
    double startK = 278.15;
    dynamet::food::Composition composition;
    double pressurePa = 101325;
    bool boiling = true;
    int cells = 200;
    double grading = 0.85; ///< 0 = even cells
    double relativeTolerance = 1e-7;
    Side bottom, top;
    double durationS = 3600;
    double turnAtS = -1; ///< food turned over once; negative = never
    std::vector<double> reportS;
};

struct Result {
    std::vector<double> coreK, bottomK, topK, meanK;
    long steps = 0;
};

Result solve(const Case& problem);

} // namespace reference
