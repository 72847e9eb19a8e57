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

/// A sensor whose readings go into a log at even times.
class Recorder {
  public:
    Recorder(Log& log, double everyS, const Sensor& sensor, double startC, std::uint64_t seed)
        : log_(log), everyS_(everyS), reader_(sensor, startC, seed) {}
    /// Takes a reading when one is due at `t`; says whether it did.
    bool look(double t) {
        if (t < next_)
            return false;
        log_.seconds.push_back(next_);
        log_.celsius.push_back(reader_.read());
        next_ += everyS_;
        return true;
    }
    void follow(double celsius, double dt) { reader_.follow(celsius, dt); }

  private:
    Log& log_;
    double everyS_, next_ = 0;
    Reader reader_;
};

} // namespace generator
