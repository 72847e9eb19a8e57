// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// Vapour pressure from a wet and a dry thermometer, Pa: p_v = p_sat(T_wet) − A p (T_dry − T_wet)
/// with A = 6.62e-4 /K for a ventilated wick (WMO Guide No. 8, from memory); never below 0.
double vapourPa(double dryK, double wetK, double pressurePa);
/// Adds the vapour pressure of a settled space to a reduction, from the wet probe's steadiest
/// stretch; warns when the wick has dried out.
void addVapour(Reduction& reduction, const Series& wet, double dryK, double pressurePa);

} // namespace dynamet::rating
