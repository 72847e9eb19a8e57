// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

#include <stop_token>

namespace dynamet::plan {

/// What waiting costs in one place, from two waits that were simulated.
struct WaitCurve {
    std::optional<recipe::Place> place;
    double shortS = 0, longS = 0, shortD = 0, longD = 0, shortK = 0, longK = 0;
};

/// Hundredths of a noticed difference after each minute, 0 to `longest`; never falls.
std::vector<int> costsOf(const WaitCurve& curve, int longest);
/// Seconds of waiting until the core falls below hot holding; none = not as long as was looked.
std::optional<double> safeUntil(const WaitCurve& curve, double coreK, double hotK);
/// Under foil, and the one warm place that costs least; waits beyond the shortest rest.
std::vector<WaitCurve> waitsOf(const translate::Prepared& prepared, const translate::Row& row,
                               const cook::Programme& programme, double longestS,
                               const std::stop_token& stop);

} // namespace dynamet::plan
