// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/outcome.h"

namespace dynamet::cook {

/// What a section measures when it is drawn, m. A slab has no width of its own: a strip of 2.4
/// times its thickness stands for it.
struct CutExtent {
    double widthM = 0, heightM = 0;
    bool round = false;
};
CutExtent extentOf(const Section& section);

/// A node field of a section at a place: `acrossM` from the middle (either way), `upM` from the
/// first face, or both from the centre of a round one. Bilinear, held at the faces.
double valueAt(const Section& section, const std::vector<double>& nodes, double acrossM,
               double upM);

/// Doneness as a picture shows it: 0 raw (20 K and more below greying), 1 at greying, 2 dried
/// through at 100 °C; linear between, beyond 2 in a crust.
double donenessOf(double kelvin, double greyingK);

/// A crust as a picture shows it along a face: places whose index has this mean and standard
/// deviation (never below 0), in patches as browning has them.
constexpr std::size_t kCrustPlaces = 20;
std::array<double, kCrustPlaces> crustAlong(double index, double spread);

/// The frame to show at a moment: the latest one not after it; none when there are no frames.
const Frame* frameAt(const std::vector<Frame>& frames, double timeS);

} // namespace dynamet::cook
