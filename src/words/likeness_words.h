// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/likeness.h"

namespace dynamet::words {

/// "core", "colour", "weight": what a check box says.
const char* qualityWord(food::Quality quality);
/// "The colour decides when it is done, then the weight it loses." Empty without any say.
std::string decidesWords(std::span<const cook::Say> says);
/// "paler and moister than the recipe", the most noticed first; empty where nobody would notice.
std::string differenceWords(std::span<const cook::Difference> differences);
/// "Paler and moister than the recipe", or that nobody would notice.
std::string likenessWords(const cook::Likeness& likeness);

} // namespace dynamet::words
