// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <vector>

namespace dynamet::rating {

/// The uncertainty of a result as a run went on.
struct SpreadAt {
    double timeS = 0, u = 0;
};

/// What half as much time again would make of it: u² = a + b / t through what was seen (what
/// averages out falls with time, what the instrument and the inputs leave does not). nullopt while
/// too little was seen.
std::optional<double> laterSpread(const std::vector<SpreadAt>& seen);

/// More time buys nothing: half as much again would make it less than a twentieth better.
bool isEnough(const std::vector<SpreadAt>& seen);

} // namespace dynamet::rating
