// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/dish_ways.h"

namespace dynamet::plan {

/// Before the food goes in: from the board to the place.
inline constexpr int kPrepareMin = 2;

/// The work of hands of a way, from its stages, its looks and its turns; none of it overlaps. How
/// long each takes: common practice, no source.
void addHands(DishWay& way);

} // namespace dynamet::plan
