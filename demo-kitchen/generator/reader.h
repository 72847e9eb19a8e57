// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "generator/bodies.h"

#include <algorithm>
#include <cmath>

namespace generator {

/// A sensor with its memory.
class Reader {
  public:
    Reader(const Sensor& sensor, double startC, std::uint64_t seed)
        : sensor_(sensor), shown_(startC), random_(seed) {}
    void follow(double celsius, double dt) {
        shown_ += (celsius - shown_) * (1 - std::exp(-dt / std::max(sensor_.lagS, 1e-6)));
    }
    double read() {
        const double wrong =
            20 + (shown_ - 20) * sensor_.gain + sensor_.biasC + sensor_.noiseC * normal_(random_);
        return std::round(wrong / sensor_.stepC) * sensor_.stepC;
    }

  private:
    Sensor sensor_;
    double shown_;
    std::mt19937_64 random_;
    std::normal_distribution<double> normal_;
};

} // namespace generator
