// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/window.h"

#include <cmath>

namespace dynamet::translate::testing {

/// A piece whose thickness, start and moisture are known so well; what no input says is `restLn`.
inline FoodSpread spreadWith(double thicknessLn, double startK, double moistureLn, double restLn) {
    FoodSpread out;
    out.priors = {};
    out.priors.shape = out.priors.foodLn = out.priors.foodWayLn = out.priors.wayLn =
        out.priors.modelLn = out.priors.probeM = 0;
    out.priors.moistureLn = moistureLn;
    out.priors.cookLn = restLn;
    out.thicknessLn = thicknessLn;
    out.startK = startK;
    return out;
}

/// Of ln(time), what no input of a window says.
inline double restLnOf(const Window& window) {
    double squares = 0;
    for (const evidence::Effect& one : window.effects)
        for (const char* part : {"food:", "way:", "model", "cook:", "probe:"})
            if (one.unknown.starts_with(part))
                squares += one.lnTime * one.lnTime;
    return std::sqrt(squares);
}

} // namespace dynamet::translate::testing
