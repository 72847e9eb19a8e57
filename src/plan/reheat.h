// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu.h"

namespace dynamet::plan {

/// Food that was cooked and chilled is reheated for hot holding to this core: 74 °C, FDA Food Code
/// 2022, 3-403.11 (A). Local codes decide.
inline constexpr double kReheatedK = 347.15;
/// Of the oven that a reheating is measured by, where there is one: gentle; common practice, no
/// source.
inline constexpr double kReheatHeatK = 423.15;

/// The recipe's dish as it comes out of the refrigerator, to be reheated: in an oven of the menu's
/// site about `kReheatHeatK`, else where its last stage was. Its piece is cooked as the raw one
/// would be (its water is all still there), so that times are a little long.
translate::Request reheated(translate::Request request, const Menu& menu);

} // namespace dynamet::plan
