// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe_text/filled.h"

namespace dynamet::recipe_text {

/// What a stage is set to, takes and ends at: where it was written, and where it goes.
struct StageNumbers {
    std::optional<double> heatK; ///< of a dial in degrees
    std::string heatWords;       ///< of any other: "level 6"
    bool gasMarks = false;       ///< its dial has them
    TemperatureUnit dial = TemperatureUnit::celsius;
    double timeS = 0;           ///< 0 = not known
    std::optional<double> endK; ///< core at which it is left
};

struct Change {
    std::size_t oldBegin = 0, oldEnd = 0, newBegin = 0, newEnd = 0; ///< bytes of either text
};
struct Rewritten {
    std::string text;
    std::vector<Change> changes;
};

/// The text with the words of its stages changed from what they say to what holds elsewhere, in the
/// writer's units and rounding; everything else stays. `from` and `to` have a stage for each of the
/// recipe's; what is the same in both is not touched.
Rewritten rewritten(const Filled& recipe, const std::vector<StageNumbers>& from,
                    const std::vector<StageNumbers>& to);

} // namespace dynamet::recipe_text
