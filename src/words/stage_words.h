// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "words/translation_words.h"

namespace dynamet::words {

/// "Deck oven, middle, 120 °C, steel pan": appliance, zone where it has several, setting, vessel.
std::string placeWords(const kitchen::Kitchen& kitchen, const recipe::Place& place, Units units);

/// "until the core reads 46 °C", "for 3 min", or both; of the last stage "until the goal is met".
std::string endWords(const recipe::StageEnd& end, Units units);

/// The recipe's stages as they were written, one line each; one line without number for a recipe of
/// a single stage.
std::vector<std::string> writtenStageLines(const translate::Request& request, Units units);

/// The stages of a row with the times and cores at which they are left, one line each; none for a
/// cook that goes straight through.
std::vector<std::string> rowStageLines(const translate::Row& row,
                                       const translate::Prepared& prepared, Units units);

/// What to mind before a row is cooked, each once, under the stage that needs it first.
std::vector<std::string> rowCautions(const translate::Row& row,
                                     const translate::Prepared& prepared);

/// What can move to another appliance: the whole cook, or one of the stages.
std::vector<std::string> movableWords(const translate::Request& request);

} // namespace dynamet::words
