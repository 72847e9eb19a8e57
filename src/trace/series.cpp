// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/series.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace dynamet {

Series between(const Series& series, double fromS, double toS) {
    Series out;
    const auto begin = series.timeS.begin(), end = series.timeS.end();
    const auto first = static_cast<std::size_t>(std::lower_bound(begin, end, fromS) - begin);
    const auto last = static_cast<std::size_t>(std::upper_bound(begin, end, toS) - begin);
    if (first < last) {
        out.timeS.reserve(last - first);
        out.value.reserve(last - first);
    }
    for (std::size_t i = first; i < last; ++i)
        if (series.timeS[i] >= fromS && series.timeS[i] <= toS && std::isfinite(series.value[i])) {
            out.timeS.push_back(series.timeS[i]);
            out.value.push_back(series.value[i]);
        }
    return out;
}

double valueAt(const Series& series, double timeS) {
    if (series.empty())
        return std::numeric_limits<double>::quiet_NaN();
    const auto above = std::upper_bound(series.timeS.begin(), series.timeS.end(), timeS);
    if (above == series.timeS.begin())
        return series.value.front();
    if (above == series.timeS.end())
        return series.value.back();
    const auto high = static_cast<std::size_t>(above - series.timeS.begin());
    const double share =
        (timeS - series.timeS[high - 1]) / (series.timeS[high] - series.timeS[high - 1]);
    return std::lerp(series.value[high - 1], series.value[high], share);
}

BlockMeans blockMeans(const Series& series, std::size_t most) {
    BlockMeans out;
    const std::size_t per = std::max<std::size_t>(1, (series.size() + most - 1) / most);
    for (std::size_t at = 0; at < series.size(); at += per) {
        double time = 0, value = 0, count = 0;
        for (std::size_t i = at; i < std::min(at + per, series.size()); ++i)
            if (std::isfinite(series.value[i])) {
                time += series.timeS[i];
                value += series.value[i];
                ++count;
            }
        if (count == 0)
            continue;
        out.means.timeS.push_back(time / count);
        out.means.value.push_back(value / count);
        out.counts.push_back(count);
    }
    return out;
}

} // namespace dynamet
