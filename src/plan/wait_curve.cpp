// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/wait_curve.h"

#include "translate/waiting.h"

#include <algorithm>
#include <cmath>

namespace dynamet::plan {
namespace {

constexpr double kMinute = 60;
constexpr double kShortWaitS = 12 * 60;

} // namespace

std::vector<int> costsOf(const WaitCurve& curve, int longest) {
    std::vector<int> out{0};
    for (int m = 1; m <= longest; ++m) {
        const double s = m * kMinute;
        const double d = s <= curve.shortS
                             ? curve.shortD * s / curve.shortS
                             : curve.shortD + (curve.longD - curve.shortD) * (s - curve.shortS) /
                                                  std::max(1.0, curve.longS - curve.shortS);
        out.push_back(std::max(out.back(), m / 2 + static_cast<int>(std::lround(100 * d))));
    }
    return out;
}

std::optional<double> safeUntil(const WaitCurve& curve, double coreK, double hotK) {
    double at = 0, k = coreK;
    for (const auto& [nextS, nextK] :
         {std::pair{curve.shortS, curve.shortK}, std::pair{curve.longS, curve.longK}}) {
        if (k < hotK)
            return at;
        if (nextK < hotK)
            return at + (nextS - at) * (k - hotK) / std::max(0.01, k - nextK);
        at = nextS;
        k = nextK;
    }
    return std::nullopt;
}

std::vector<WaitCurve> waitsOf(const translate::Prepared& prepared, const translate::Row& row,
                               const cook::Programme& programme, double longestS,
                               const std::stop_token& stop) {
    const double shortS = std::min(kShortWaitS, longestS / 2);
    const double restS = prepared.request.recipe.rest.shortestS;
    const auto soon = waitingPlaces(prepared, row, programme, restS + shortS, stop);
    const auto late = waitingPlaces(prepared, row, programme, restS + longestS, stop);
    std::vector<WaitCurve> out;
    for (const bool foil : {true, false})
        for (const translate::Waiting& a : soon) {
            const auto b = std::find_if(late.begin(), late.end(),
                                        [&](const auto& one) { return one.place == a.place; });
            if (a.place.has_value() == foil || b == late.end())
                continue;
            out.push_back({a.place, shortS, longestS, a.distance, std::max(a.distance, b->distance),
                           a.coreK, b->coreK});
            break;
        }
    return out;
}

} // namespace dynamet::plan
