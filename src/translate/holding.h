// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

namespace dynamet::translate {

/// Thinner food has no middle that a probe finds.
inline constexpr double kThinnestProbedM = 0.012;
/// Whether a core can be read in the piece; else time and colour decide.
bool probeFits(const recipe::FoodPiece& piece);

/// Why a place cannot hold the food (batter on a grate, stew in a fryer), as a sentence; empty when
/// it can. Common practice, no source.
std::string whyNotHeld(const recipe::FoodPiece& piece, double goalK, const kitchen::Appliance& on,
                       const kitchen::Zone& zone);

} // namespace dynamet::translate
