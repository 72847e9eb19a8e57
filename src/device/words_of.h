// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>

// Small readers of what stands on a line; shared by the dialects only.
namespace dynamet::device {

/// Cuts the first word off, and the blanks behind it.
std::string takeWord(std::string_view& rest);
/// A decimal number that is the whole text, with a point; inf and nan are none.
std::optional<double> wholeNumber(std::string_view text);
/// No control characters and valid enough to be shown.
bool isText(std::string_view line);
/// The beginning of a line with what cannot be shown as dots.
std::string beginningOf(std::string_view line);

} // namespace dynamet::device
