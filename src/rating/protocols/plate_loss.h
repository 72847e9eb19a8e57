// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::rating {

/// How an open plate loses heat to the room: natural convection with the power 1.25 of the excess
/// (McAdams, from memory) and radiation, in a stated share at a reference temperature.
struct PlateLoss {
    double ambientK = 295.15;
    double referenceK = 503.15;
    double radiantShare =
        0.6; ///< of the loss at the reference (docs/physics.md: 14 of 22–25 W/m²K)
};
/// Excess over the room that would lose as much in proportion, K; the excess itself at the
/// reference.
double losingExcess(const PlateLoss& loss, double kelvin);

} // namespace dynamet::rating
