// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/thin_wall.h"

#include "quantity/water.h"

namespace dynamet::coals {
namespace {

constexpr int kRounds = 20; ///< more than it needs to settle

double radiation_W_m2K(double oneK, double otherK, double emissivity) {
    return emissivity * kStefanBoltzmann * (oneK * oneK + otherK * otherK) * (oneK + otherK);
}

} // namespace

double throughWall_W_m2K(const ThinWall& wall, double insideK, double roomK) {
    double wallK = (insideK + roomK) / 2, overall = 0;
    for (int i = 0; i < kRounds; ++i) {
        const double in = wall.insideW_m2K + radiation_W_m2K(insideK, wallK, wall.insideEmissivity);
        const double out =
            wall.outsideW_m2K + radiation_W_m2K(wallK, roomK, wall.outsideEmissivity);
        overall = in * out / (in + out);
        wallK = roomK + (insideK - roomK) * in / (in + out);
    }
    return overall;
}

} // namespace dynamet::coals
