// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::coals {

/// A wall of one sheet of metal: a film and radiation on either side, W/m²K and emissivities.
struct ThinWall {
    double insideW_m2K = 8, insideEmissivity = 0;
    double outsideW_m2K = 5, outsideEmissivity = 0.8;
};
/// What passes per area and kelvin from inside to room; the sheet's own temperature follows.
double throughWall_W_m2K(const ThinWall& wall, double insideK, double roomK);

} // namespace dynamet::coals
