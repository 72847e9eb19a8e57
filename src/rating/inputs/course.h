// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/protocols.h"

namespace dynamet::rating {

/// Until when a step of a test is what there is to do: the cook says so, the log has begun, so many
/// seconds have passed, it has settled, the leading reading is above a temperature (K) or has risen
/// by so much, as long again as the test had lasted when the step began, or until it is stopped.
struct Until {
    enum class What { hand, start, seconds, settled, above, rises, asLong, stop };
    What what = What::hand;
    double value = 0;
    bool operator==(const Until&) const = default;
};
/// One for each step of the protocol's page, from data/protocols.json; what it does not say is done
/// by hand.
std::vector<Until> courseOf(const Protocol& protocol);

/// What is known while it runs, s and K.
struct CourseNow {
    bool started = false, settled = false;
    double nowS = 0, stepBeganS = 0;
    double leading = 0, leadingAtFirst = 0; ///< the leading channel; NaN before a reading
};
/// Is the step over, so that the next one is due?
bool isOver(const Until& until, const CourseNow& now);

} // namespace dynamet::rating
