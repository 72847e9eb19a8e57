// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace dynamet::formats {

/// A decimal number that fills the field (quotes and blanks cut). Point, or comma where
/// `decimalComma`; nullopt otherwise. Never the locale.
std::optional<double> readDecimal(std::string_view field, bool decimalComma);
/// True for what loggers write when they have no reading: empty, "-", "--", "NaN", "OL", "open",
/// "err".
bool isMissing(std::string_view field);
/// The field without blanks and without one pair of quotes.
std::string_view unquoted(std::string_view field);
/// Splits a line at the delimiter into `out` (cleared first); quoted delimiters stay inside.
void splitLine(std::string_view line, char delimiter, std::vector<std::string_view>& out);
/// Cuts the next line (without \r\n) off `text`.
std::string_view takeLine(std::string_view& text);

} // namespace dynamet::formats
