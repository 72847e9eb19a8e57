// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/series.h"

#include <optional>

namespace dynamet {

/// What is wrong with a stretch of readings.
enum class FlawKind {
    code,   ///< −999.9, 9999, 1372…: what a logger writes for "no probe"
    spike,  ///< away from its neighbours on both sides, faster than any probe
    stuck,  ///< one value repeated where the rest of the log moves
    step,   ///< another level from one minute to the next, and flat on both sides
    ceiling ///< never above one value, and often exactly there: the end of its range
};
struct Flaw {
    FlawKind kind = FlawKind::code;
    double fromS = 0, toS = 0;
    std::size_t count = 0; ///< readings
    double kelvin = 0;     ///< the value that repeats, or the first that is out of place
    double toK = 0;        ///< of a step: where it goes
};

/// A log of temperatures (K) with codes and spikes taken out (NaN), and what was found in it.
struct Screened {
    Series series;
    std::vector<Flaw> flaws;
};
Screened screenReadings(const Series& log);

/// A fall that no heated space makes: more than half of the excess over 20 °C lost within two
/// minutes, from at least 45 °C. nullopt when there is none; else its moment, s.
struct Fall {
    double atS = 0, fromK = 0, toK = 0;
    bool recovers = false; ///< comes back to nine tenths of where it was
};
std::optional<Fall> findFall(const Series& series);
/// The first fall by more than `leastK` after the coldest reading: what is only heated never falls.
std::optional<Fall> findDip(const Series& series, double leastK);

} // namespace dynamet
