// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "trace/settled.h"

#include <optional>

namespace dynamet::rating {

/// Keyed readings of one zone at one setting, with the built-in dial (lid, door) beside; or logs of
/// one probe or several in it, of which what was read after they had settled counts.
struct ZoneSweep {
    std::vector<double> readingsK; ///< of the probe at the grate
    std::vector<Series> logs;      ///< K, a probe each
    std::optional<Series> dialLog, thickLog;
    SettledRule rule;
    std::vector<double> dialK;             ///< of the lid's dial, may be empty
    std::vector<double> thickK;            ///< of a thick probe beside it: splits air and radiation
    double thinM = 0.0015, thickM = 0.004; ///< diameters of both
    double limitK = 623.15;                ///< probe's upper limit: readings there only bound
    double accuracyK = 1.5;                ///< standard uncertainty of the probe (bias)
    double placementK = 6;                 ///< how much a hand's breadth matters (1 σ)
    double settledForS = 1500;             ///< how long the setting had been on
    double levelK = 0;        ///< 1 σ of the level that logs tell (its creep, a swing not seen)
    bool someAtLimit = false; ///< a log that reached the limit: its mean is a lower bound
};

/// The zone's operative temperature (between air and radiation, not air), K, and the dial's bias.
/// With a thick probe: air and mean radiant temperature apart, jointly (probe_split.h).
/// Censored readings count as "at least" (definitions §2); with nothing else the result is a lower
/// bound. Refused: no readings, less than 10 minutes of waiting, unit suspected.
Result<Reduction> reduceZoneSweep(const ZoneSweep& test);

} // namespace dynamet::rating
