// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/setting.h"

namespace dynamet::kitchen {

/// What a mark's number means: a share of full power, a usual temperature, or nothing.
enum class MarkMeaning { share, temperature, none };
MarkMeaning meaningOf(ControlKind kind);

/// A control's marks as a line that a cook edits: "low 15 %, medium 50 %, full", "quarter 115 °C".
std::string marksLine(const Control& control, TemperatureUnit unit);

/// The marks of such a line. Shares that are not written are spread between their neighbours; with
/// none at all they rise with the power 1.5 of the place (from memory), "off" is 0 and the last one
/// full. "1-9" is nine marks. invalidArgument names the mark that is none; there must be 1 to 24.
Result<std::vector<Label>> marksFrom(const std::string& line, ControlKind kind,
                                     TemperatureUnit unit);

/// Names in a line, "left, middle, right"; invalidArgument when there are none, two alike or more
/// than `most`.
Result<std::vector<std::string>> namesFrom(const std::string& line, std::size_t most);
std::string namesLine(const std::vector<std::string>& names);

} // namespace dynamet::kitchen
