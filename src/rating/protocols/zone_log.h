// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/protocols/zone_sweep.h"

namespace dynamet::rating {

/// The same test with a reading for each log: the mean of what was logged after it had settled, the
/// dial's and the thick probe's over the same time. A log at its limit for a part of that time
/// gives a lower bound. Refused: a log that never settled.
Result<ZoneSweep> readingsFromLogs(ZoneSweep test, std::vector<Finding>& warnings);

} // namespace dynamet::rating
