// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <vector>

namespace dynamet {

/// A growing series as a picture needs it: lowest and highest of even stretches of time, never more
/// than so many stretches however long it gets. Adding costs the same after a minute and after a
/// day.
class Thinned {
  public:
    explicit Thinned(std::size_t most = 800) : most_(most) {}
    /// Times ascend; NaN is nothing.
    void add(double timeS, double value);
    struct Stretch {
        double fromS = 0, low = 0, high = 0, last = 0;
    };
    const std::vector<Stretch>& stretches() const { return stretches_; }

  private:
    void halve();
    std::size_t most_;
    double widthS_ = 0; ///< 0: every reading is a stretch of its own
    std::vector<Stretch> stretches_;
};

} // namespace dynamet
