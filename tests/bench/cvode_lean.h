// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/material.h"

/// The rival of bench_heat where nothing dries: one state per node on the product's own grid and
/// tables, CVODE BDF with a band Jacobian. As lean as we know how to make it.
namespace bench {

struct LeanCase {
    double thicknessM = 0.03;
    double startK = 278.15;
    int cells = 60;
    double hAir = 20, airK = 473.15, view = 0.9;
    double hTop = 12, airTopK = 493.15;
    double durationS = 3600, turnAtS = 1800;
};

/// Core at the end, K. `relativeTolerance` with an absolute one of ten times it in K.
double solveLean(const LeanCase& problem, const dynamet::heat::Material& material,
                 double relativeTolerance, long& steps);

} // namespace bench
