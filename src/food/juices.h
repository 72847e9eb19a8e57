// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::food {

/// Share of its water that meat or fish can no longer hold once it has been at a temperature:
/// 1 − y/y₀ with y = 0.745 − 0.345/(1 + 30 exp(−0.25 (T − 52 °C))), y₀ its value raw (van der Sman
/// 2007, Meat Science 76, from memory; beef). It runs out as juice.
double juiceLoss(double kelvin);
/// Relative standard uncertainty of a loss estimated so: cuts, ages and salt differ.
inline constexpr double kJuiceLossU = 0.5;

} // namespace dynamet::food
