// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <string>
#include <string_view>

namespace dynamet {

/// A stretch of time, or the two ends of "25-30 min"; seconds, low ≤ high.
struct DurationRange {
    double lowS = 0;
    double highS = 0;
    bool operator==(const DurationRange&) const = default;
};

/// "1 h 10", "1h10", "12:30" (min:s), "1:12:30" (h:min:s), "90 s", "25-30 min", "2 hours"; a bare
/// number is minutes. Error::parse otherwise.
Result<DurationRange> parseDuration(std::string_view text);

/// "14 min", "1 h 05 min", and below five minutes "3 min 20 s": what a cook reads.
std::string printDuration(double seconds);

/// How far apart readings are, s: "5", "5 s", "1 min"; a bare number is seconds. Above 0 and a day
/// at most; Error::parse names the text.
Result<double> parseInterval(const std::string& text);

} // namespace dynamet
