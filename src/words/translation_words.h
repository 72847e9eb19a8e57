// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/safety.h"
#include "translate/translate.h"

namespace dynamet::words {

/// "Wall fan oven · 190 °C": appliance, zone when it has several, setting.
std::string rowTitle(const translate::Row& row, const kitchen::Kitchen& kitchen, Units units);
/// "pull at 61 °C", and with the turn "pull at 61 °C, turn at 12 min".
std::string pullAlone(const translate::Row& row, Units units);
std::string pullWords(const translate::Row& row, Units units);
/// "look 36, expect 48, latest 64 min" in the shortest form that is still unmistakable.
std::string windowWords(const translate::Window& window);
/// Second line of a row: the window, and when to turn.
std::string timeWords(const translate::Row& row);
/// "same crust", "paler" or "darker" than the recipe's.
std::string crustWords(const translate::Row& row, const cook::Outcome& reference);
/// Lines of the opened row: what to do, when, why the window is as wide as it is, the rule of
/// thumb.
std::vector<std::string> detailLines(const translate::Row& row, const translate::Prepared& prepared,
                                     Units units);
/// Facts of the reference's outcome, label and value.
std::vector<std::pair<std::string, std::string>> outcomeFacts(const translate::Prepared& prepared,
                                                              Units units);
/// Why a row is not reached: "not for this food: …", "not known: …", "not reached: …".
std::string reasonWords(const translate::Row& row, Units units);
/// Its warnings, gravest first.
std::vector<std::string> warningLines(const translate::Row& row,
                                      const translate::Prepared& prepared, Units units);
/// What a rule of thumb would set: "rule of thumb: 160 °C, a fifth less time".
std::string ruleWords(const translate::Row& row, const kitchen::Kitchen& kitchen, Units units);
/// Rounds and companions, one line each.
std::vector<std::string> detailLines(const translate::RowDetail& detail,
                                     const translate::Prepared& prepared, Units units);
/// What must be said of a core temperature; defers to local codes.
std::string safetyWords(const food::SafetyVerdict& verdict, Units units);
/// The safety line of the reference with its sign ("! …" when below a minimum).
std::string safetyLine(const translate::Prepared& prepared, Units units);
/// "Deck oven, middle, 225 °C", with several stages one a line, and the piece in a line.
std::string referenceWords(const translate::Request& request, Units units);
std::string pieceWords(const translate::Request& request, Units units);
/// When the goal is read, and what it is called.
std::string readWords(const translate::Prepared& prepared);
/// "House methods: turn once, …": the book's side in each school.
std::string bookWords(const translate::Prepared& prepared);
/// A cut in words: "core 57 °C", "golden and dark", "grey rim 4 mm (20 % grey)"; what is no
/// meat or fish has no rim, but the weight it lost.
struct CutWords {
    std::string core, crust, rim;
};
CutWords cutWords(const cook::Outcome& outcome, const food::Food& food, Units units);
} // namespace dynamet::words
