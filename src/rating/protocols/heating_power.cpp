// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/heating_power.h"

#include "numeric/statistics.h"

#include <algorithm>

namespace dynamet::rating {
namespace {
constexpr std::size_t kLeastReadings = 2; ///< that have a slope
}

double heatingPower(const Series& warming, const WarmingVessel& vessel, std::size_t stretches,
                    std::size_t without) {
    const double first = warming.timeS.front();
    const double width = (warming.timeS.back() - first) / static_cast<double>(stretches);
    double sum = 0, count = 0;
    for (std::size_t b = 0; b < stretches; ++b) {
        const Series piece = between(warming, first + static_cast<double>(b) * width,
                                     first + static_cast<double>(b + 1) * width);
        if (b == without || piece.size() < kLeastReadings)
            continue;
        const double middle = mean(piece.value);
        sum += vessel.capacityJ_K(middle) * fitLine(piece.timeS, piece.value).slope +
               vessel.lossW_K * (middle - vessel.ambientK);
        ++count;
    }
    return sum / std::max(count, 1.0);
}

} // namespace dynamet::rating
