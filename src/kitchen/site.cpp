// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/site.h"

#include <algorithm>

namespace dynamet::kitchen {

double pressurePa(const Site& site) {
    if (site.measuredPressurePa)
        return *site.measuredPressurePa;
    return *standardPressurePa(std::clamp(site.altitudeM, -500.0, 9000.0));
}

Temperature boilingPointAt(const Site& site) {
    return boilingPoint(pressurePa(site));
}

double roomVapourPa(const Site& site) {
    return site.relativeHumidity * saturationPressurePa(site.ambient);
}

} // namespace dynamet::kitchen
