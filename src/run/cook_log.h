// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe/recipe.h"

#include <cstdint>

namespace dynamet::run {

/// What is kept of a cook while it happens. Words are kept in books: only ever append.
enum class What {
    foodIn,    ///< the first stage begins
    stageOn,   ///< the next stage begins; `stage` counts from 0
    stageLeft, ///< off the heat, to wait for the next
    reading,   ///< of the core, typed; K in `value`
    turned,
    opened, ///< door or lid; `value` is for how long, s (0 = until it is shut)
    shut,
    moved, ///< to another zone, `words`
    setTo, ///< to another setting, as the kitchen's controls write it in `words`
    coals, ///< so many lit ones added; taken away where negative; 0 = the fire is fed
    basted,
    covered, ///< `words` is the cover
    uncovered,
    paused, ///< off the heat, to come back
    resumed,
    pulled,
    served,
    saw,     ///< what is seen, `words` of `Seen`
    weighed, ///< kg in `value`
    note,
    takenBack, ///< the entry whose number is `value` counts no more
    lasts,     ///< the last stage takes so long, s in `value`
    pullAt,    ///< the last stage is left at this core instead, K in `value`
    probeOut,  ///< from here on the probe is not to be trusted; `value` 1 = it is again
    leftOut    ///< stages after the first `value` are not cooked
};
const char* enumName(What what);
std::optional<What> whatOf(const std::string& word);

/// One entry of a cook's log. Time is counted from the run's beginning on a clock that never jumps
/// (UTC), so that midnight and summer time change nothing.
struct Entry {
    std::int64_t number = 0; ///< in the order they were made, from 1
    double atS = 0;
    What what = What::note;
    double value = 0;
    std::string words = {};
    bool operator==(const Entry&) const = default;
};
/// Those that count, by time: what was taken back is left out, and so are the entries that took it.
std::vector<Entry> standing(const std::vector<Entry>& all);

/// Where a dish stands after the entries so far.
struct Standing {
    bool begun = false, pulled = false, served = false, paused = false, waiting = false;
    std::size_t stage = 0; ///< the one it is in, or waits for
    double foodInS = 0, stageBeganS = 0, pulledS = 0, servedS = 0, pausedS = 0;
    int turns = 0; ///< in this stage
    bool open = false;
    std::optional<double> lastCoreK; ///< typed
    double lastCoreS = 0;
};
Standing standingOf(const std::vector<Entry>& standing);

/// A core that was read, s after the food went in.
struct CoreReading {
    double atS = 0, kelvin = 0;
    bool typed = false;
};

} // namespace dynamet::run
