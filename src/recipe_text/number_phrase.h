// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

namespace dynamet::recipe_text {

/// A number as recipes write it, without groups, for RE2: "4", "2.5", "1 1/2", "1½", "twenty",
/// "two and a half", "a dozen". "a" alone is no number.
extern const char* const kNumber;
/// Between the two ends of a range.
extern const char* const kBetween;

/// The worth of what `kNumber` matched, in any letter case; 0 for text it does not match.
double numberOf(const std::string& text);

} // namespace dynamet::recipe_text
