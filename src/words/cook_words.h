// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/judged.h"
#include "run/moves.h"
#include "run/steering.h"

namespace dynamet::words {

/// The wall clock where a run began: UTC ms and the offset then; the offset stands for the whole
/// run, so that no summer time moves its clocks.
struct RunClock {
    std::int64_t beganMs = 0;
    int offsetMin = 0;
    /// "18:42" of a moment of the run, s.
    std::string at(double s) const;
};

/// What is to be done, as large as it can be read: "Turn the rump now", "Pull the rump at 54 °C".
std::string dueWords(const run::Move& move, const std::string& dish, bool now,
                     const run::PlannedCook& planned, const kitchen::Kitchen& kitchen, Units units);
/// Its window: "between 18:42 and 18:51, most likely 18:46"; empty where there is none.
std::string dueWindow(const run::Move& move, const RunClock& clock);
/// "in 6 min", "now", "3 min ago".
std::string inWords(double seconds);

/// What is expected: "Pull in about 6 min (4 to 9).", "Then 57 °C ± 1 after the rest.", what was
/// read and what was set aside.
std::vector<std::string> forecastLines(const run::Forecast& forecast,
                                       const run::PlannedCook& planned, double nowS, Units units);
/// "! 58 °C inside is below the official 74 °C for it": a peak under the official minimum of its
/// food and form; empty where there is none, or it is reached.
std::string minimumWords(const run::PlannedCook& planned, double peakK, Units units);
/// What is wrong with the probe, and what to do; empty where nothing is.
std::string probeWords(run::ProbeState state, Units units);

/// "too dark", "white beads on it".
const char* seenWords(run::Seen seen);
/// Two lines: "Lid open" and "pull in 9 min: 56 °C inside, dark".
std::string actionWords(const run::Action& action, const run::PlannedCook& planned,
                        const kitchen::Kitchen& kitchen, double nowS, Units units);
/// An entry of the log: "18:42 turned".
std::string entryWords(const run::Entry& entry, const RunClock& clock, Units units);

} // namespace dynamet::words
