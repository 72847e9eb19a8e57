// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/protocols/block.h"

namespace dynamet::rating {

/// A bright and a black block of one make, side by side in the same heat. SI.
struct BlockPair {
    BlockTest bright, black;              ///< of `black` the air's log is used
    double uBright = 0.03, uBlack = 0.03; ///< standard uncertainties of the emissivities
    double uHeat = 0.01, uBiasK = 0.6;    ///< of each block, apart
    double uAirLag = 0.3;
};

/// Temperature of the moving air, its coefficient and the temperature of what radiates, known
/// jointly; and the effective temperature of the black block. Refused as reduceBlock, and when the
/// emissivities are closer than 0.3.
Result<Reduction> reduceBlockPair(const BlockPair& test);

} // namespace dynamet::rating
