// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/report/test_day.h"

#include <cstdint>

namespace dynamet::rating {

/// A test day that is under way, so that it outlives the program: what is wanted, with what, and
/// what is done of it.
struct DayState {
    std::int64_t beganMs = 0; ///< UTC
    DayMeans means;
    std::vector<Wanted> wanted;
    std::vector<DayTest> done; ///< over or under way
    std::vector<Wanted> ended; ///< of those, over
};
std::string dayStateJson(const DayState& state);
/// parse where it is none of ours.
Result<DayState> readDayState(const std::string& json);

} // namespace dynamet::rating
