// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/burn.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// The air that coals burn in at a place.
inline coals::Air airAt(const Site& site) {
    return {pressurePa(site), site.ambient.kelvin(), site.windMPerS};
}

} // namespace dynamet::kitchen
