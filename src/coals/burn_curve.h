// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>

namespace dynamet::coals {

/// A fire past its peak: a quick decay of the coals and a slow one of stone and metal, over the
/// air around. Times in s from the peak, temperatures in K.
struct BurnCurve {
    double ambientK = 293.15;
    double excessK = 300;    ///< at the peak
    double quickShare = 0.5; ///< of the excess
    double quickS = 900;     ///< time constant
    double slowS = 7200;
};

double temperatureAt(const BurnCurve& curve, double sincePeakS);
/// Kelvins a second; negative while it falls.
double slopeAt(const BurnCurve& curve, double sincePeakS);
/// When it falls through a temperature; nullopt when it starts below it or takes over a day.
std::optional<double> passes(const BurnCurve& curve, double kelvin);

} // namespace dynamet::coals
