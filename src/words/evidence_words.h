// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/narrowing.h"
#include "translate/next_test.h"
#include "translate/translate.h"

namespace dynamet::words {

/// What became of the time that the recipe's author gives: used, strained, a misfit with what would
/// explain it, set aside. Empty where none is given.
std::vector<std::string> ownTimeLines(const translate::Prepared& prepared, Units units);
/// "Your 50 min there are used: without them 27–45, with them 31–49 min." Empty where what was
/// seen tells nothing of this row.
std::string usedWords(const translate::Row& row, const translate::Prepared& prepared);
/// "with calipers on the piece: look 33, latest 44 min (4 min narrower)", the best first.
std::vector<std::string> narrowingLines(const std::vector<translate::Narrowing>& narrowings,
                                        const kitchen::Kitchen& kitchen, Units units);
/// "Shelf oven at 180 °C: “A bright and …”, 24 min narrower over 3 recipes".
std::string nextTestWords(const translate::NextTest& test, const kitchen::Kitchen& kitchen,
                          Units units);
/// How thickness and start are known: "thickness by ruler, start by hand".
std::string knownWords(const recipe::FoodPiece& piece);

} // namespace dynamet::words
