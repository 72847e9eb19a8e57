// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/forecast.h"

namespace dynamet::run {

/// What a cook sees at a look. Words are kept in books: only ever append.
enum class Seen {
    pale,
    brown,
    tooDark,
    blackEdge,
    flare,
    whiteOoze, ///< albumin
    boilingHard,
    boilingHardly,
    smoke
};
const char* enumName(Seen seen);
std::optional<Seen> seenOf(const std::string& word);
/// What of it can be seen in a dish's stage: water does not flare.
std::vector<Seen> seenAt(const kitchen::Appliance& on, const recipe::FoodPiece& piece);

/// What can be done about it.
enum class Act {
    goOn,
    pullNow,
    turn,
    lower,
    higher,
    openLid,
    closeLid,
    toZone,
    cover,
    uncover,
    coolFirst,   ///< off the heat for a while, then back
    shorterNext, ///< the next stages are shortened so that the peak is what was asked
    giveUpCrust, ///< the last heat is left out: pulled at its core, whatever its crust is by then
    addCoals,    ///< so many lit ones, `count`; 0 = the fire is fed
    takeCoals    ///< away, `count` of them
};
const char* enumName(Act act);

/// One of them, simulated from where the cook stands.
struct Action {
    Act act = Act::goOn;
    std::vector<Entry> entries; ///< what is logged when it is taken; numbers come later
    std::optional<kitchen::Setting> setting;
    std::string zone;
    int count = 0;                ///< of coals
    double forS = 0;              ///< off the heat; or the next stage's new length
    double pullS = 0;             ///< from food in; infinite: it does not get there
    double lowS = 0, highS = 0;   ///< by the forecast's own share
    double pullK = 0;             ///< at which the peak is what was asked; 0 = by the clock
    double peakK = 0, darker = 0; ///< browning of the darker face
    double noticed = 0;           ///< distance from what was asked, just noticed differences
    bool peakKept = true;         ///< the peak is inside the band that was asked for
};

/// Ranked, the nearest first, at most `most`; `goOn` is always among them. Each is cooked from its
/// beginning with the most likely inputs, the browning moved by what is seen (trusted to a factor
/// of two). Errors: those of a cook.
Result<std::vector<Action>> actionsFor(const Question& question, const Forecast& forecast,
                                       std::optional<Seen> seen, const std::stop_token& stop = {},
                                       std::size_t most = 5);

} // namespace dynamet::run
