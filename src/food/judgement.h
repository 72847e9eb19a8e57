// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"

namespace dynamet::food {

/// What a cook judges a finished food by, safety apart. Words are kept in books: only ever append.
enum class Quality { core, mean, crust, weight, softness, fat };
const char* enumName(Quality quality);
std::optional<Quality> qualityOf(const std::string& word);

/// A difference that somebody who tastes just notices: K of core and mean, ln of the crust's index,
/// share of the weight, share of what can soften or melt out.
struct Tolerance {
    Quality quality;
    double justNoticed = 1;
    bool operator==(const Tolerance&) const = default;
};

/// What this food is judged by: every one its core, mean, crust and weight (finer where dryness
/// makes it crisp), tough meat and plants their softness, what has much fat the fat that is left.
/// Common practice, no source.
std::vector<Tolerance> judgementOf(const Food& food);

} // namespace dynamet::food
