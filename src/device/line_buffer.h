// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace dynamet::device {

/// Bytes that came and are not yet a line. A line that never ends is cut off and skipped, so that
/// noise cannot fill the memory.
struct LineBuffer {
    static constexpr std::size_t kLongest = 1000;
    std::string rest;
    bool skipping = false;
};

/// A whole line, or the beginning of one that was too long.
struct RawLine {
    std::string text;
    bool tooLong = false;
    bool operator==(const RawLine&) const = default;
};

/// Takes what came, in any portions; gives the lines that it ended (LF, CR or CR LF; empty ones are
/// left out). The same bytes give the same lines however they are cut.
std::vector<RawLine> takeLines(LineBuffer& buffer, std::string_view bytes);

} // namespace dynamet::device
