// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/simulation.h"

namespace dynamet::cook {

/// Keeps curves and frames of a cook for drawing: about one every ten seconds at first; whenever
/// there are too many frames every second one goes and the pace halves.
class Recorder {
  public:
    void note(const Simulation& simulation, bool always = false);
    void moveInto(Outcome& outcome);

  private:
    std::vector<Sample> samples_;
    std::vector<Frame> frames_;
    double sampledS_ = -1e9, framedS_ = -1e9, frameEveryS_ = 10;
};

} // namespace dynamet::cook
