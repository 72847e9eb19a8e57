// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/forecast.h"

namespace dynamet::run {

/// Something that a dish asks for, when; s from the run's beginning.
enum class Due {
    start, ///< put the food in
    turn,
    look,
    leaveStage,
    nextStage,
    pull,
    overshoot, ///< it will pass its band: pull sooner
    serve,     ///< rested enough
    probe      ///< lost or misplaced
};
const char* enumName(Due due);
struct Move {
    Due due = Due::start;
    std::size_t dish = 0;
    double atS = 0, lowS = 0, highS = 0; ///< its window; equal where there is none
    std::size_t stage = 0;
    double coreK = 0; ///< of a pull or a stage that a core ends; 0 = by the clock
};

/// What one dish asks for from now on, by time. `startsS` is when it should go in (0 = at once).
std::vector<Move> movesOf(const PlannedCook& asPlanned, const std::vector<Entry>& entries,
                          const std::optional<Forecast>& forecast, double startsS, double nowS,
                          std::size_t dish);
/// What is due, or next, of all: the most urgent first.
void sortMoves(std::vector<Move>& moves);
/// Is it likely enough to pass its band that the cook is told, and what can be done about it?
bool isWarned(const Forecast& forecast);
/// What is logged when a move is made; none where making it is reading or looking.
std::optional<What> madeBy(const Move& move);
/// Between cold and hot holding so far: its core as forecast, tempering before it included, s.
double coldToHotS(const Forecast& forecast, const recipe::FoodPiece& piece, double fromInS,
                  double coldK, double hotK);

/// Due now, or so soon that a hand is wanted there.
bool isUrgent(const Move& move, double nowS);

} // namespace dynamet::run
