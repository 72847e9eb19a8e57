// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"

namespace dynamet::food {

/// Log reductions of Salmonella in beef per second at a temperature: D60 = 1.95 min, z = 5.56 K,
/// nothing below 54.4 °C (chosen so that 6.5 logs are never shorter than FSIS Appendix A).
double beefLogReductionRate(double kelvin);

/// Time at one temperature for so many log reductions in beef, s; infinite below 54.4 °C.
double beefHoldTimeS(double kelvin, double logs);

/// What must be said about a core temperature. `below` = under the official minimum.
struct SafetyVerdict {
    bool below = false;
    std::string text;
};
/// Compares a peak core temperature with the official minimum of class and form; `logReductions`
/// (beef only, else negative) tells how far the cook went by time. Always defers to local codes.
SafetyVerdict judgeSafety(const Food& food, Form form, double peakK, double logReductions,
                          bool fahrenheit);

} // namespace dynamet::food
