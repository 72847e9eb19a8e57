// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/worth_waiting.h"

#include <algorithm>
#include <cmath>

namespace dynamet::rating {
namespace {

constexpr std::size_t kLeast = 4;
constexpr double kMore = 1.5, kWorth = 0.05;

} // namespace

std::optional<double> laterSpread(const std::vector<SpreadAt>& seen) {
    if (seen.size() < kLeast || !(seen.front().timeS > 0))
        return std::nullopt;
    // The newer half: early results rest on other parts of the course.
    const auto from = seen.begin() + static_cast<std::ptrdiff_t>(seen.size() / 2);
    const auto n = static_cast<double>(seen.end() - from);
    double x = 0, y = 0;
    for (auto at = from; at != seen.end(); ++at) {
        x += 1 / at->timeS / n;
        y += at->u * at->u / n;
    }
    double xx = 0, xy = 0;
    for (auto at = from; at != seen.end(); ++at) {
        xx += std::pow(1 / at->timeS - x, 2);
        xy += (1 / at->timeS - x) * (at->u * at->u - y);
    }
    const double last = seen.back().u * seen.back().u;
    const double b = xx > 0 ? std::max(0.0, xy / xx) : 0;
    const double saved = b * (1 / seen.back().timeS) * (1 - 1 / kMore);
    return std::sqrt(std::max(0.0, last - saved));
}

bool isEnough(const std::vector<SpreadAt>& seen) {
    const auto later = laterSpread(seen);
    return later && *later > (1 - kWorth) * seen.back().u;
}

} // namespace dynamet::rating
