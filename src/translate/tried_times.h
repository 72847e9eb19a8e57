// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::translate {

/// How long a hand can try to leave a last stage that takes `ownS`: from a quarter of it to three
/// times as long, s, in steps as a cook reads a clock.
struct TriedTimes {
    double ownS = 0, shortestS = 0, longestS = 0, stepS = 60;
};
TriedTimes triedTimes(double tookS);

} // namespace dynamet::translate
