// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/burn_curve.h"

#include "numeric/roots.h"

#include <cmath>

namespace dynamet::coals {
namespace {
constexpr double kDayS = 86400;
}

double temperatureAt(const BurnCurve& c, double t) {
    return c.ambientK + c.excessK * (c.quickShare * std::exp(-t / c.quickS) +
                                     (1 - c.quickShare) * std::exp(-t / c.slowS));
}

double slopeAt(const BurnCurve& c, double t) {
    return -c.excessK * (c.quickShare / c.quickS * std::exp(-t / c.quickS) +
                         (1 - c.quickShare) / c.slowS * std::exp(-t / c.slowS));
}

std::optional<double> passes(const BurnCurve& c, double kelvin) {
    const auto above = [&](double t) { return temperatureAt(c, t) - kelvin; };
    if (above(0) <= 0 || above(kDayS) >= 0)
        return std::nullopt;
    const auto at = solveBracketed(above, 0, kDayS, 0.01);
    return at ? std::optional<double>(*at) : std::nullopt;
}

} // namespace dynamet::coals
