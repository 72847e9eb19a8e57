// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/report/test_day.h"
#include "words/sheets.h"

namespace dynamet::words {

/// "09:05": a moment of a day that begins so many seconds after midnight.
std::string timeOfDay(double beganS, double atS);
/// "Deck oven, 180 °C: begin “Preheat and wait” (4 min of your hands)", or how it ends.
std::string dayStepWords(const rating::TestDay& day, const rating::DayStep& step,
                         const kitchen::Kitchen& kitchen, Units units);
/// The day to print: time, what to do, a box to tick.
Sheet testDaySheet(const rating::TestDay& day, double beganS, const kitchen::Kitchen& kitchen,
                   Units units);
/// What there was no time for, in a line; empty for nothing.
std::string leftWords(const rating::TestDay& day, const kitchen::Kitchen& kitchen);

} // namespace dynamet::words
