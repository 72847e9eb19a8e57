// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/rated_field.h"

namespace dynamet::kitchen {

/// What the tests of an iron oven say about its coals: how many times more than the typical oven's
/// they raise its inside, whatever their number, with the standard uncertainty of its logarithm.
struct CoalTests {
    double factor = 1, uLn = 0;
    int count = 0;
};
/// What a heap of coals leaves open from one day to the next, of the rise (1 σ, from memory).
inline constexpr double kCoalDayU = 0.06;
CoalTests coalTestsIn(const Appliance& oven, const Place& place,
                      std::span<const RatedNumber> rated);

/// The inside with a count that was never tested, from tests with others; none without a test.
std::optional<FieldNumber> fromOtherCounts(const FieldNumber& typical, const Appliance& oven,
                                           const Place& place, std::span<const RatedNumber> rated);

} // namespace dynamet::kitchen
