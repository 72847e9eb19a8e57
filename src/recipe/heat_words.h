// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace dynamet::recipe {

/// What a marked stretch of a recipe's text is about.
enum class HeatWordKind { ovenTemperature, coreTemperature, gasMark, level, length, time };

/// A stretch of the text (byte offsets) that says heat, thickness or time.
struct HeatWord {
    std::size_t begin = 0, end = 0;
    HeatWordKind kind = HeatWordKind::ovenTemperature;
    std::string text;
};

/// Finds temperatures with their unit, gas marks, heat levels ("medium-high"), lengths and times,
/// in the order of the text. A temperature below 100 °C, or one behind "until" or "core", is a core
/// temperature.
std::vector<HeatWord> findHeatWords(std::string_view text);

} // namespace dynamet::recipe
