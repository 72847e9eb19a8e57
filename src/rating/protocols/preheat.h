// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "trace/settled.h"

namespace dynamet::rating {

/// An oven, air fryer or plate heated from cold to a dial setting, its air (or plate) logged.
struct Preheat {
    Series air;                   ///< K
    std::optional<double> setK;   ///< what the dial says; none = the knob names no temperature
    SettledRule rule;             ///< air by default; plates 1 K/min, coals 2
    double uBiasK = 0.8;          ///< standard uncertainty of the probe's bias
    bool plate = false;           ///< the number is a plate's, not the air's
    bool liquid = false;          ///< the number is a bath's or an oil's
    std::optional<double> limitK; ///< readings at or above it only bound
};

/// Time to reach and to settle (s), overshoot, mean, half-swing, period and offset from the dial.
/// Refused: never settled, probe at its limit, time backwards, unit suspected.
Result<Reduction> reducePreheat(const Preheat& test);

} // namespace dynamet::rating
