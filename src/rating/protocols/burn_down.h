// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn_curve.h"
#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A fire that rises, peaks and burns down, logged. SI.
struct BurnDown {
    Series log; ///< K
    double ambientK = 288.15;
    double targetK = 0;               ///< a temperature of interest; 0 = none
    double bandK = 15;                ///< how far it may fall below it before the fire is fed
    bool floor = false;               ///< the number is the floor's, not the air's
    double uBiasK = 2, uPlaceK = 5;   ///< probe, and how the zone differs from the probe's place
    double probeLagS = 20, uLagS = 8; ///< in the fire's draught
    double uAmbientK = 3;
    std::optional<double> limitK;
};

/// Peak (K) and when (s), both time constants (s), and for the target: when it is passed, falling
/// how fast (K/min) and when to feed the fire. The field carries the curve from that moment on.
/// Refused: never past its peak, fell by less than 40 K, fewer than 60 readings.
Result<Reduction> reduceBurnDown(const BurnDown& test);

} // namespace dynamet::rating
