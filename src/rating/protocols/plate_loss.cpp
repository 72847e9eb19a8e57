// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/plate_loss.h"

#include <cmath>

namespace dynamet::rating {

double losingExcess(const PlateLoss& loss, double kelvin) {
    const double excess = kelvin - loss.ambientK, full = loss.referenceK - loss.ambientK;
    const double convective = std::copysign(std::pow(std::abs(excess) / full, 1.25), excess);
    const double radiant = (std::pow(kelvin, 4) - std::pow(loss.ambientK, 4)) /
                           (std::pow(loss.referenceK, 4) - std::pow(loss.ambientK, 4));
    return full * ((1 - loss.radiantShare) * convective + loss.radiantShare * radiant);
}

} // namespace dynamet::rating
