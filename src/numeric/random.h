// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>

namespace dynamet {

/// Seeded random numbers, the same on every machine (SplitMix64, Steele et al. 2014).
class Random {
  public:
    explicit Random(std::uint64_t seed) : state_(seed) {}
    std::uint64_t next();
    /// Even on (0, 1).
    double uniform();
    double uniform(double low, double high) { return low + (high - low) * uniform(); }
    /// Standard normal by inversion, so that one draw uses one number.
    double normal();

  private:
    std::uint64_t state_;
};

} // namespace dynamet
