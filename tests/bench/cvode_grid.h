// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/geometry.h"
#include "heat/material.h"

/// The rival of bench_heat where nothing dries: one state per node on the product's own graded grid
/// and tables, CVODE BDF with a band Jacobian or GMRES. As lean as we know how to make it.
namespace bench {

struct GridCase {
    dynamet::heat::Piece piece{dynamet::heat::Shape::slab, 0.03, 278.15, 0.08};
    int cells = 24, acrossCells = 12;
    double grading = 0.75;
    double hBottom = 20, bottomK = 473.15, view = 0.9;
    double hTop = 12, topK = 493.15; ///< the side sees what the top sees
    double durationS = 3600, turnAtS = 1800;
};

enum class Linear { band, gmres };

/// Core at the end, K; the absolute tolerance is ten times the relative one in K.
double solveGrid(const GridCase& problem, const dynamet::heat::Material& material,
                 double relativeTolerance, Linear linear, long& steps);

} // namespace bench
