// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::food {

/// Share of its water that meat or fish can no longer hold once it has been at a temperature:
/// 1 − y/y₀ with y = 0.745 − 0.345/(1 + 30 exp(−0.25 (T − 52 °C))), y₀ its value raw (van der Sman
/// 2007, Meat Science 76, from memory; beef). It runs out as juice.
double juiceLoss(double kelvin);
/// Relative standard uncertainty of a loss estimated so: cuts, ages and salt differ.
/// Meat that was salted hours ahead loses about this share of the juice that it would (from memory,
/// ±0.1).
inline constexpr double kSaltedJuice = 0.8;
inline constexpr double kJuiceLossU = 0.5;

} // namespace dynamet::food
