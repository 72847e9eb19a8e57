// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate {

/// "Wall fan oven · 190 °C": appliance, zone when it has several, setting.
std::string rowTitle(const Row& row, const kitchen::Kitchen& kitchen, Units units);
/// "pull at 61 °C", and with the turn "pull at 61 °C, turn at 12 min".
std::string pullAlone(const Row& row, Units units);
std::string pullWords(const Row& row, Units units);
/// "look 36, expect 48, latest 64 min" in the shortest form that is still unmistakable.
std::string windowWords(const Window& window);
/// Second line of a row: the window, and when to turn.
std::string timeWords(const Row& row);
/// "same crust", "paler" or "darker" than the recipe's.
std::string crustWords(const Row& row, const cook::Outcome& reference);
/// Lines of the opened row: what to do, when, why the window is as wide as it is, the rule of
/// thumb.
std::vector<std::string> detailLines(const Row& row, const Prepared& prepared, Units units);
/// Facts of the reference's outcome, label and value.
std::vector<std::pair<std::string, std::string>> outcomeFacts(const Prepared& prepared,
                                                              Units units);
/// The safety line of the reference with its sign ("! …" when below a minimum).
std::string safetyLine(const Prepared& prepared, Units units);
/// "Deck oven, middle, 225 °C", with several stages one a line, and the piece in a line.
std::string referenceWords(const Request& request, Units units);
std::string pieceWords(const Request& request, Units units);
/// When the goal is read, and what it is called.
std::string readWords(const Prepared& prepared);
/// "House methods: turn once, …": the book's side in each school.
std::string bookWords(const Prepared& prepared);
/// A cut in words: "core 57 °C", "golden and dark", "grey rim 4 mm, 20 % of it grey".
struct CutWords {
    std::string core, crust, rim;
};
CutWords cutWords(const cook::Outcome& outcome, Units units);
/// The moment of a slider's place out of so many, s.
double momentAt(double lastS, int place, int places);
/// A mark of the time axis: where along it, and the time in words.
struct AxisMark {
    double share = 0;
    std::string words;
};
/// Marks at round times from 0 on, `most` at most.
std::vector<AxisMark> axisMarks(double endS, int most);
/// Latest moment that any row shows, s: the end of the common time axis.
double axisEndS(const std::vector<Row>& rows);

} // namespace dynamet::translate
