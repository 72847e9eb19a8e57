// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

namespace dynamet::food {

/// Rate of the browning index, 1/s, at a crust temperature: 1 golden, 2 dark, above 3 scorched,
/// above 5 charred. Tuned to common practice; trust it to a factor of 2 (docs/physics.md §2).
double browningRate(double crustK);
/// Black through: the index stays here, whatever follows.
inline constexpr double kBlackIndex = 10;

/// "pale", "lightly coloured", "golden", "dark", "scorched", "charred".
const char* crustWord(double browning);

/// Likeness of two crusts for one face: |ln((B + 0.05)/(B_ref + 0.05))|.
double crustDistance(double browning, double reference);

} // namespace dynamet::food
