// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/temperature.h"

#include <string>
#include <variant>
#include <vector>

namespace dynamet {

/// A length of a recipe, m.
struct Metres {
    double value = 0;
};
struct Seconds {
    double value = 0;
};
/// A bare number with its decimals and, where it has one, its unit.
struct Number {
    double value = 0;
    int decimals = 0;
    std::string unit = {};
};
/// A result with its 95 % half-width; `point`: a point of the temperature scale, K.
struct Estimate {
    double value = 0, halfWidth = 0;
    std::string unit;
    bool point = false;
    int decimals = 1; ///< where there is no half-width
};
/// A name, or a word of the trade.
struct Name {
    std::string text;
};
using Measure = std::variant<Temperature, KelvinDelta, Metres, Seconds, Number, Estimate, Name>;

/// Something found out, as the core hands it on: a stable code with its quantities in SI and its
/// names, in a fixed order. The sentence is made in words/.
struct Finding {
    std::string code;
    std::vector<Measure> measures = {};
};

/// Code and quantities in SI, for logs and for whoever has no words: "core_stops: 323.15 K".
std::string bareText(const Finding& finding);

} // namespace dynamet
