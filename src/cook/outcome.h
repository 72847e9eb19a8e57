// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/programme.h"

#include <array>
#include <limits>
#include <string>
#include <vector>

namespace dynamet::cook {

/// One moment of a cook, for curves.
struct Sample {
    double timeS = 0;
    double coreK = 0, topK = 0, bottomK = 0; ///< the food's own faces, which turn with it
};

/// What a cook came to. Faces are the food's: `first` lay down at the start.
struct Outcome {
    double pullS = 0;
    double pullK = 0;       ///< core at the pull
    double meanAtPullK = 0; ///< volume mean at the pull
    double peakK = 0;       ///< of the core, after the rest
    double peakS = 0;       ///< when it is reached
    double coldestPeakK = 0;
    double turnS = std::numeric_limits<double>::quiet_NaN(); ///< first turn, NaN = none
    std::array<double, 2> browning{};                        ///< index by face, first and second
    double rimM = 0;                                         ///< deepest grey rim of the two faces
    double rimShare = 0;                                     ///< share of the section that greyed
    double logReductions = 0; ///< Salmonella in beef at the core; 0 for other foods
    double waterLossShare = 0;
    double dangerS = 0;               ///< time of the core between 5 and 54 °C until the pull
    std::vector<double> peakProfileK; ///< through the thickness, first face to second
    std::vector<Sample> samples;      ///< only when asked for
    double darker() const { return browning[0] > browning[1] ? browning[0] : browning[1]; }
    double paler() const { return browning[0] > browning[1] ? browning[1] : browning[0]; }
};

/// Likeness of two crusts: the larger distance of the darker and of the paler faces.
double crustDistance(const Outcome& a, const Outcome& b);

} // namespace dynamet::cook
