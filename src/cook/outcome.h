// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/programme.h"
#include "food/safety.h"

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

/// The cross-section as it would look when cut, highest temperatures through cooking and rest. The
/// food's first face is at `up` 0; a one-dimensional piece has one column.
struct Section {
    heat::Shape shape = heat::Shape::slab;
    double thicknessM = 0, widthM = 0;
    bool halved = true;               ///< `across` runs from the middle, the other half mirrors it
    std::vector<double> upM, acrossM; ///< nodes from the first face (or centre); from the middle
    std::vector<double> upShare, acrossShare; ///< of the volume
    std::vector<double> peakK;                ///< [across × up]
    double at(std::size_t across, std::size_t up) const { return peakK[across * upM.size() + up]; }
};

/// A section at a moment, for the slider through time.
struct Frame {
    double timeS = 0;
    std::vector<double> peakSoFarK; ///< as `Section::peakK`, highest until then
    std::array<double, 3> browning{};
    std::array<double, 3> crustSpread{}; ///< standard deviation of the index over each face
};

/// A stage as it went.
struct StageOutcome {
    double startS = 0, endS = 0;
    double leaveK = 0;                                       ///< core as it left
    double turnS = std::numeric_limits<double>::quiet_NaN(); ///< first turn, NaN = none
};

/// What a cook came to. Faces are the food's: `first` lay down at the start, then second and side.
struct Outcome {
    double pullS = 0;        ///< from the first stage's start
    double pullK = 0;        ///< core at the pull
    double meanAtPullK = 0;  ///< volume mean at the pull
    double peakK = 0;        ///< of the core, through all stages, waits and the rest
    double peakS = 0;        ///< when it is reached
    double lastStartS = 0;   ///< when the last stage begins, waits included
    double plateK = 0;       ///< of the core at the end of the shortest rest
    double coldestPeakK = 0; ///< the least hot place's highest temperature
    double turnS = std::numeric_limits<double>::quiet_NaN(); ///< first turn, NaN = none
    std::vector<StageOutcome> stages;                        ///< those before the last
    std::array<double, 3> browning{};                        ///< index by face, mean over it
    std::array<double, 3> crustSpread{}; ///< its standard deviation over the face
    std::array<double, 3> charred{};     ///< share of the face that is black
    std::array<double, 3> dryLayerM{};   ///< thickness of the crisp layer as it is served
    std::array<double, 3> raised{};      ///< the same for what rides proud of the face
    std::array<double, 3> markedShare{}; ///< of the face that ridges or bars marked; 0 = none
    std::array<double, 3> markIndex{};   ///< index of the marks; `browning` is the whole face's
    std::array<bool, 3> hasFace{true, true, false};
    double rimM = 0;                   ///< deepest grey rim of first and second face
    double rimShare = 0;               ///< share of the section that greyed
    std::vector<food::Kill> kills;     ///< at the coldest point inside, rest included
    double evaporatedShare = 0;        ///< of its water
    double juiceShare = 0, juiceU = 0; ///< of its water, run out; standard uncertainty
    double softened = 0, rendered = 0; ///< shares of what can soften at the core, of the fat
    double dangerS =
        0; ///< time of the core between 5 and 54 °C, tempering, waits and rest included
    /// Of the plate below it as it is pulled; NaN where none touches.
    double touchAtPullK = std::numeric_limits<double>::quiet_NaN();
    double hottestTouchK = 0; ///< hottest plate or liquid that touched it
    double smokesFromS = std::numeric_limits<double>::quiet_NaN(); ///< fat past its smoke point
    Section section;
    std::vector<Sample> samples; ///< only when asked for
    std::vector<Frame> frames;   ///< only when asked for
    bool topAlone = false; ///< stands in a dish: the colour of `second`, on top, is what counts
    double darker() const {
        return topAlone || browning[1] >= browning[0] ? browning[1] : browning[0];
    }
    double paler() const {
        return topAlone || browning[1] < browning[0] ? browning[1] : browning[0];
    }
    std::size_t darkerFace() const { return !topAlone && browning[0] > browning[1] ? 0 : 1; }
    /// How crisp the darker face is as it is served, from 0 to 1: the share of a dry layer in it
    /// and half a millimetre more (our own measure, to compare by; the layer is an effective one).
    double crisp() const;
    double weightLossShare = 0; ///< all water that left, of the raw weight
    double waterLossShare() const { return evaporatedShare + juiceShare; }
};

/// Share of the section whose peak lies inside a doneness band.
double evennessOf(const Section& section, double lowK, double highK);

/// Likeness of two crusts: the larger distance of the darker and of the paler faces.
double crustDistance(const Outcome& a, const Outcome& b);

} // namespace dynamet::cook
