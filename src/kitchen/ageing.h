// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// The kitchen as it is believed on a day: each measured number is less certain by what its
/// appliance may have drifted since its test, (0.5 K or 0.5 %)² a month (from memory). Values stay;
/// what errs jointly goes on doing so. A number without a date, or of the future, does not age.
Kitchen aged(Kitchen kitchen, std::int64_t utcMs);

/// Months, of 30.44 days, since the newest test of an appliance; none where nothing was measured.
std::optional<double> monthsSinceRated(const Kitchen& kitchen, const std::string& applianceId,
                                       std::int64_t utcMs);

} // namespace dynamet::kitchen
