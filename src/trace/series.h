// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <span>
#include <string>
#include <vector>

namespace dynamet {

/// Readings of one probe: seconds from the start of the log (ascending), and values in SI; NaN =
/// nothing was recorded there.
struct Series {
    std::vector<double> timeS;
    std::vector<double> value;
    std::size_t size() const { return timeS.size(); }
    bool empty() const { return timeS.empty(); }
};

/// A named series ("oven air") and how fine its instrument reads (same unit as the values).
struct Channel {
    std::string name;
    Series series;
    double resolution = 0;
};

/// The part of a series with from ≤ t ≤ to, without missing values.
Series between(const Series& series, double fromS, double toS);
/// Value at a time, linear between readings, held outside; NaN when empty.
double valueAt(const Series& series, double timeS);

/// At most `most` means over equal counts of readings, with the count each rests on.
struct BlockMeans {
    Series means;
    std::vector<double> counts;
};
BlockMeans blockMeans(const Series& series, std::size_t most);

} // namespace dynamet
