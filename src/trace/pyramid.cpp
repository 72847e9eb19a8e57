// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/pyramid.h"

#include <algorithm>
#include <cmath>

namespace dynamet {
namespace {

Pyramid::Level pairsOf(const Series& s) {
    Pyramid::Level out;
    for (std::size_t i = 0; i < s.size(); i += 2) {
        const std::size_t j = std::min(i + 1, s.size() - 1);
        out.fromS.push_back(s.timeS[i]);
        out.toS.push_back(s.timeS[j]);
        out.low.push_back(std::min(s.value[i], s.value[j]));
        out.high.push_back(std::max(s.value[i], s.value[j]));
        out.lowFirst.push_back(s.value[i] <= s.value[j]);
    }
    return out;
}

Pyramid::Level coarser(const Pyramid::Level& fine) {
    Pyramid::Level out;
    for (std::size_t i = 0; i < fine.low.size(); i += 2) {
        const std::size_t j = std::min(i + 1, fine.low.size() - 1);
        out.fromS.push_back(fine.fromS[i]);
        out.toS.push_back(fine.toS[j]);
        const std::size_t lowest = fine.low[i] <= fine.low[j] ? i : j;
        const std::size_t highest = fine.high[i] >= fine.high[j] ? i : j;
        out.low.push_back(fine.low[lowest]);
        out.high.push_back(fine.high[highest]);
        out.lowFirst.push_back(lowest == highest ? fine.lowFirst[lowest] : lowest < highest);
    }
    return out;
}

std::size_t indexAt(const std::vector<double>& times, double at) {
    return static_cast<std::size_t>(std::lower_bound(times.begin(), times.end(), at) -
                                    times.begin());
}

} // namespace

Pyramid buildPyramid(const Series& raw) {
    Pyramid out;
    for (std::size_t i = 0; i < raw.size(); ++i)
        if (std::isfinite(raw.value[i])) {
            out.series.timeS.push_back(raw.timeS[i]);
            out.series.value.push_back(raw.value[i]);
        }
    if (out.series.size() < 4)
        return out;
    out.levels.push_back(pairsOf(out.series));
    while (out.levels.back().low.size() > 64)
        out.levels.push_back(coarser(out.levels.back()));
    return out;
}

Series drawnPoints(const Pyramid& p, double fromS, double toS, std::size_t pixels) {
    const auto first = indexAt(p.series.timeS, fromS), last = indexAt(p.series.timeS, toS);
    const std::size_t readings = last > first ? last - first : 0;
    if (readings <= 2 * pixels || p.levels.empty())
        return between(p.series, fromS, toS);
    const Pyramid::Level* level = &p.levels.front();
    for (const Pyramid::Level& next : p.levels) {
        level = &next;
        if (indexAt(next.fromS, toS) - indexAt(next.fromS, fromS) <= pixels)
            break;
    }
    Series out;
    const std::size_t end = std::min(indexAt(level->fromS, toS), level->low.size());
    for (std::size_t i = indexAt(level->fromS, fromS); i < end; ++i) {
        const double a = level->lowFirst[i] ? level->low[i] : level->high[i];
        const double b = level->lowFirst[i] ? level->high[i] : level->low[i];
        out.timeS.insert(out.timeS.end(), {level->fromS[i], level->toS[i]});
        out.value.insert(out.value.end(), {a, b});
    }
    return out;
}

} // namespace dynamet
