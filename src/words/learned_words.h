// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/judged.h"

namespace dynamet::words {

/// What a cook says: "60 °C after 52 min; 47 were expected (11 % longer)."
std::string toldWords(const run::Told& told, Units units);
/// What all accepted cooks together have moved, in words, one line each: foods, heats.
std::vector<std::string> learnedLines(const evidence::Belief& belief);
/// What one cook moved: food and heats whose estimate is another without it, "pork loin +2 % (+1 %
/// without it)".
std::vector<std::string> changedLines(const evidence::Belief& belief, const std::string& cookId);
/// Which of appliance and food is likelier to be off, where cooks miss to one side; empty where
/// nothing stands out.
std::vector<std::string> blameLines(const evidence::Belief& belief,
                                    const kitchen::Kitchen& kitchen = {}, std::int64_t utcMs = 0);

} // namespace dynamet::words
