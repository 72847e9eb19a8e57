// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/passage.h"

#include <map>

namespace dynamet::run {

/// A probe that the forecast no longer rests on, and why.
enum class ProbeState { none, fine, lost, misplaced };
const char* enumName(ProbeState state);

/// A time with its 95 %, s from food in.
struct TimeRange {
    double s = 0, lowS = 0, highS = 0; ///< infinite where it may never come
};
struct HeatRange {
    double kelvin = 0, lowK = 0, highK = 0;
};
struct BandPoint {
    double timeS = 0;
    HeatRange core;
};

/// What is expected of a cook from all that was read so far. Times count from food in.
struct Forecast {
    TimeRange stage; ///< the end of the stage that goes on
    TimeRange pull;  ///< of the last stage
    double neverShare = 0;
    HeatRange peak;       ///< after the rest, if it is pulled as printed (or was)
    HeatRange plate;      ///< as the shortest rest ends
    HeatRange core;       ///< now
    double overShare = 0; ///< chance that the peak passes the doneness band
    double pullK = 0;     ///< at which the goal is met after the rest, as this cook goes
    std::vector<BandPoint> band;
    ProbeState probe = ProbeState::none;
    double sureUntilS = 0; ///< the newest reading that counts
    std::size_t readings = 0, setAside = 0;
    /// The most likely cook: each input's deviation, in its standard deviations, by its name; and
    /// what else moves its time, ln.
    std::map<std::string, double> deviations;
    double restLn = 0;
};

/// What a forecast is made from: as values, so that it can be made beside the window.
struct Question {
    translate::Request request; ///< kitchen, priors, belief, units
    PlannedCook planned;
    std::vector<Entry> entries;        ///< those that stand
    std::vector<CoreReading> readings; ///< of the probe; typed ones come with the entries
    double nowS = 0;                   ///< from the run's beginning
    double probeSilentS = 0;           ///< since the probe's last reading; 0 = none is used
    std::uint64_t seed = 1;
    int draws = 48;
};

/// One cook's own unknowns, updated by its readings: a Gauss-Newton fit of the whole cook to all
/// readings about what is believed of kitchen and food, then draws about it that are cooked and
/// weighed by how well they agree (evidence.md; our own). Not a straight line: plateaus included.
/// Deterministic. Errors: those of a cook, "stopped".
Result<Forecast> forecastOf(const Question& question, const std::stop_token& stop = {});

/// The most likely cook so far, with a course that may differ from here on: what `steering` tries.
struct Likely {
    recipe::FoodPiece piece;
    Course course;
    cook::Tables tables;
};
Result<Likely> likelyOf(const Question& question, const Forecast& forecast,
                        const std::vector<Entry>& entries, const std::stop_token& stop = {});

/// The most likely cook as exactly as a row is shown: section, crust, safety.
Result<cook::Outcome> outcomeOf(const Question& question, const Forecast& forecast,
                                const std::stop_token& stop = {});

} // namespace dynamet::run
