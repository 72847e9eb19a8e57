// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <cstdint>
#include <span>
#include <string>
#include <vector>

namespace dynamet {

/// Whole numbers as deltas, zigzag, in 7-bit groups (least first): small for slow signals.
std::string packIntegers(std::span<const std::int64_t> values);
/// The way back; corruptData when the text ends in mid-number or holds another count.
Result<std::vector<std::int64_t>> unpackIntegers(std::string_view packed, std::size_t count);

/// Readings in the instrument's own unit as multiples of `scale` from `offset`; a missing reading
/// becomes `kMissingReading`. False when a value is off the grid (then keep float64).
inline constexpr std::int64_t kMissingReading = INT64_MIN / 4;
bool onGrid(std::span<const double> values, double scale, double offset,
            std::vector<std::int64_t>& out);

} // namespace dynamet
