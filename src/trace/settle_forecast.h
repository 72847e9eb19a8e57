// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/settled.h"

namespace dynamet {

/// When a log that is still moving will have settled, s from its newest reading.
struct SettleForecast {
    double inS = 0;
    double uS = 0; ///< standard uncertainty
};

/// From the means of three stretches that follow one another: a slope that falls as an exponential
/// (one slow mass) comes to the rule's limit after τ·ln(slope / limit), τ from the fall. A
/// thermostat's cycles are averaged over whole ones. nullopt before it slows down measurably, and
/// where it has settled.
std::optional<SettleForecast> forecastSettling(const Series& series, const SettledRule& rule);

} // namespace dynamet
