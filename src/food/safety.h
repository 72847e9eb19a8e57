// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "food/organism.h"

namespace dynamet::food {

/// What a cook did to one organism at the coldest point inside.
struct Kill {
    std::size_t organism = 0; ///< index into the shipped organisms
    double logs = 0;
    bool operator==(const Kill&) const = default;
};

/// What must be said about a core temperature. `below` = under the official minimum.
struct SafetyVerdict {
    bool below = false;
    std::optional<SafeMinimum> minimum; ///< none for this food
    std::string foodClass;
    Form form = Form::intact;
    double peakK = 0;
    /// What time does to an organism: its name, the log reductions of this cook, and how long at
    /// the peak would give the wanted ones (0 = this cook gives them).
    struct ByTime {
        std::string organism;
        double logs = 0, holdS = 0;
    };
    std::vector<ByTime> byTime;
};
/// A hold longer than this is no advice.
inline constexpr double kLongestHoldS = 12 * 3600;
/// Compares a peak temperature of the coldest point with the official minimum of class and form;
/// the kills tell how far the cook went by time. Always defers to local codes.
SafetyVerdict judgeSafety(const Food& food, Form form, double peakK,
                          const std::vector<Kill>& kills);

/// Hours that the core may spend between 5 and 54 °C before this program warns: 2 h, our own
/// reading of common advice.
inline constexpr double kDangerLimitS = 2 * 3600;
inline constexpr double kDangerLowK = 278.15, kDangerHighK = 327.15;

} // namespace dynamet::food
