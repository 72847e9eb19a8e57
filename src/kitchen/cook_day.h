// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// The weather at one of the book's places on the day of the cook, and how high it is cooked.
struct CookDay {
    std::string siteId;
    Temperature air = Temperature::celsius(20);
    double windMPerS = 0;
    std::optional<double> altitudeM = std::nullopt; ///< where that is not the book's
    bool operator==(const CookDay&) const = default;
};

/// The kitchen on that day: the place's air, wind and height are the day's, and what was rated
/// there on another day moves as a typical one of its kind does; the doubt grows with the change.
/// Indoor appliances and those with a thermostat hardly notice. An unknown place changes nothing.
Kitchen onDay(Kitchen kitchen, const CookDay& day);

/// Does weather reach this kind: grills, kettles, coals and wood fires?
bool standsOutside(ApplianceKind kind);

} // namespace dynamet::kitchen
