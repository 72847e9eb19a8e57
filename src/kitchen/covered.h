// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

/// What a cover is like: how much of the steam it keeps, whether its inside is bright, and whether
/// water was added under it.
struct CoverHeat {
    double vapourPa = 35000, uVapourPa = 10000;
    bool bright = false;
    bool wet = false;
};
/// A pan's lid, a dome on a plate, foil over a dish: from memory (docs/physics.md, "Covers").
inline constexpr CoverHeat kLid{35000, 10000, false, false};
inline constexpr CoverHeat kDome{25000, 9000, false, false};
inline constexpr CoverHeat kFoil{30000, 10000, true, false};

/// A place's heat under a cover: still, steamy air above and beside the food, as hot as what heats
/// the cover, and the cover's own radiation. From below nothing changes. The changed numbers are
/// assumed and wide.
HeatField withCover(HeatField field, const CoverHeat& cover, const Site& site);

} // namespace dynamet::kitchen
