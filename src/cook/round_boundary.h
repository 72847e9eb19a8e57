// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/programme.h"

namespace dynamet::cook {

/// How a round piece (a cylinder that lies, a ball) meets a plate: mean coefficient over its whole
/// skin, W/m²K, and the share of the skin that presses on the plate as flat food would.
struct RoundContact {
    double mean = 0;
    double share = 0;
};
/// Contact where it touches, then conduction through the wedge that opens with the angle, filled
/// with fat as far as that climbs. `contact` is that of flat food, W/m²K.
RoundContact roundContact(heat::Shape shape, double diameterM, double contact, bool inFat);

/// What the one face of a round piece sees on average while it is rolled or shaken: its underside
/// touches and sees what the appliance's bottom gives, its upper side the top, by their angles. A
/// plate's own radiation counts where the field names no radiator below.
heat::FaceBoundary roundBoundary(const kitchen::HeatField& field, const recipe::FoodPiece& piece,
                                 const kitchen::Site& site, double sinceS);

} // namespace dynamet::cook
