// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/water.h"

#include <optional>
#include <string>

namespace dynamet::kitchen {

/// A place where food is cooked: what of it changes the physics. SI; several per book.
struct Site {
    std::string id;
    std::string name;
    double altitudeM = 0;
    Temperature ambient = Temperature::celsius(22);
    double relativeHumidity = 0.5; ///< 0…1
    double windMPerS = 0;
    std::optional<double> measuredPressurePa; ///< barometer; else from the altitude
    double gasHeatingValueJPerM3 = 38e6;      ///< gross, as metered
    double gasPressurePa = 2000;              ///< at the meter, above the air's
    double mainsVoltageV = 230;
    bool operator==(const Site&) const = default;
};

/// The barometer's reading, or the standard atmosphere at the site's altitude (clamped to its
/// range).
double pressurePa(const Site& site);
Temperature boilingPointAt(const Site& site);
/// Vapour pressure of the room's air, Pa.
double roomVapourPa(const Site& site);

} // namespace dynamet::kitchen
