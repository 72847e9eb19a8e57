// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/ageing.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kMonthMs = 30.44 * 86400e3;
/// Of one month, 1 σ; from memory.
constexpr double kDriftK = 0.5, kDriftShare = 0.005;

double monthsBetween(std::int64_t thenMs, std::int64_t nowMs) {
    return std::max(0.0, static_cast<double>(nowMs - thenMs) / kMonthMs);
}

} // namespace

Kitchen aged(Kitchen kitchen, std::int64_t utcMs) {
    for (auto& [appliance, numbers] : kitchen.rated)
        for (RatedNumber& one : numbers) {
            if (one.measuredMs <= 0)
                continue;
            const double step = isTemperature(one.number.key.term)
                                    ? kDriftK
                                    : kDriftShare * std::abs(one.number.value);
            one.number.u =
                std::hypot(one.number.u, step * std::sqrt(monthsBetween(one.measuredMs, utcMs)));
        }
    return kitchen;
}

std::optional<double> monthsSinceRated(const Kitchen& kitchen, const std::string& applianceId,
                                       std::int64_t utcMs) {
    const auto at = kitchen.rated.find(applianceId);
    if (at == kitchen.rated.end() || at->second.empty())
        return std::nullopt;
    std::int64_t newest = 0;
    for (const RatedNumber& one : at->second)
        newest = std::max(newest, one.measuredMs);
    return newest > 0 ? std::optional(monthsBetween(newest, utcMs)) : std::nullopt;
}

} // namespace dynamet::kitchen
