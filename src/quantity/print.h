// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/parse_temperature.h"

#include <string>

namespace dynamet {

/// How many decimals a 95 % half-width allows (negative = rounded to tens, hundreds…): two
/// significant digits of the half-width when it starts with 1, else one (JCGM 100, 7.2.6).
int decimalsFor(double halfWidth);

/// "1.41 ± 0.10 kW": both sides to the same decimals; a half-width of 0 or NaN prints the value to
/// `plainDecimals` and no ±. Large numbers share an exponent: "(1.41 ± 0.10)×10⁶ J".
std::string printPlusMinus(double value, double halfWidth, const std::string& unit,
                           int plainDecimals = 0);

/// A number with a fixed count of decimals (negative = rounded to tens…) and a true minus sign.
std::string printFixed(double value, int decimals);

/// A point in the chosen unit, with its ± (95 %, kelvin) when that is above 0: "203 ± 4 °C".
std::string printTemperature(Temperature temperature, TemperatureUnit unit, double halfWidthK = 0);
/// The same from kelvins, in °C or °F.
std::string printDegrees(double kelvin, Units units);
/// A difference in the chosen unit with sign when asked: "+3 °C".
std::string printDifference(KelvinDelta difference, TemperatureUnit unit, bool sign = false);
/// "°C", "°F" or "K".
const char* unitSign(TemperatureUnit unit);
/// A number of kelvins as a number of the unit's degrees.
double degreesOf(KelvinDelta difference, TemperatureUnit unit);
/// A point as a number in the unit.
double numberIn(Temperature temperature, TemperatureUnit unit);

/// mm, or inches to the nearest 1/16 ("1 1/4 in").
std::string printLength(double metres, bool inches);
/// A rim or a crust: whole millimetres, or inches to the nearest 1/16.
std::string printThin(double metres, Units units);
/// A number rounded up (or down) onto whole minutes, below five minutes onto 10 s; seconds.
double roundedUpTime(double seconds);
double roundedDownTime(double seconds);

} // namespace dynamet
