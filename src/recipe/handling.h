// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/setting.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::recipe {

/// What lies over the food. Words are kept in books: only ever append.
enum class Cover { none, lid, dome, foil };
const char* enumName(Cover cover);
std::optional<Cover> coverOf(const std::string& word);

/// When the food is turned over: as the book's school has it; never; once after a time, at a core,
/// at half of the stage or as it leaves; or every so often.
enum class TurnWhen { asUsual, never, after, atCore, half, every, leaving };
const char* enumName(TurnWhen when);
std::optional<TurnWhen> turnWhenOf(const std::string& word);
struct Turning {
    TurnWhen when = TurnWhen::asUsual;
    double seconds = 0; ///< after, every
    double coreK = 0;   ///< atCore
    bool operator==(const Turning&) const = default;
};

/// What a cook does to a stage while it goes on.
enum class Move {
    setTo,       ///< another setting of the same appliance: a burner off or down, a fire fed
    toZone,      ///< another place on it: near and far, the hot and the cool end change
    quarterTurn, ///< crosswise, the same face down
    shake,       ///< or roll: every side meets every heat
    press,
    baste,   ///< fat or juice of the pan over the top
    offHeat, ///< and back, `forS` later
    cover,
    uncover,
    openLid, ///< the appliance's own
    closeLid,
    openDoor, ///< and shut, `forS` later
    turnOver  ///< once more than `Turning` says
};
const char* enumName(Move move);
std::optional<Move> moveOf(const std::string& word);
/// Once `atS` after the stage began, or every `atS`.
struct Step {
    Move move = Move::setTo;
    double atS = 0;
    bool again = false;
    double forS = 0;
    std::optional<kitchen::Setting> setting = {}; ///< setTo
    std::string zone = {};                        ///< toZone
    Cover cover = Cover::none;                    ///< cover
    bool operator==(const Step&) const = default;
};

/// How a stage is handled; empty is as it always was.
struct Handling {
    Cover cover = Cover::none; ///< from its beginning
    bool waterAdded = false;   ///< a splash under it, or in the pan
    Turning turning;
    std::vector<Step> steps; ///< by time
    bool operator==(const Handling&) const = default;
};

} // namespace dynamet::recipe
