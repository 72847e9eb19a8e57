// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn.h"

namespace dynamet::coals {

/// A chimney of coals that its own draught fans: size as most are built, 2.5 kg of coals burnt in
/// about an hour (from memory).
struct Chimney {
    double radiusM = 0.09;
    double heightM = 0.30;
    double fullW = 12000;   ///< what a full one gives off while it glows
    double excessAir = 1.5; ///< of what the coals need
};

/// Top of the bed, K: what burns leaves with the gas, through the walls and as radiation upwards.
/// `filled` 0…1 of the height, `burning` 0…1 of the glowing rate.
double bedKelvin(const Chimney& chimney, double filled, double burning, const Air& air);
/// Gas at a height over it, K: it takes in air on its way up.
double plumeKelvin(double bedK, double heightM, const Air& air);
/// What a piece of 120 mm across at that height sees of the bed, its emissivity included.
double viewOfBed(const Chimney& chimney, double heightM);

} // namespace dynamet::coals
