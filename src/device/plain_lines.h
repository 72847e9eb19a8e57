// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/message.h"
#include "quantity/result.h"

#include <string_view>

namespace dynamet::device {

/// Loggers that write bare numbers, "12,21.10,22.20": what stands in which column.
struct PlainLayout {
    bool timeFirst = true; ///< the first column is the instrument's seconds
    std::vector<ChannelSpec> channels;
    bool operator==(const PlainLayout&) const = default;
};

/// Channels as a cook names them: "left C, right C, pot g", a unit at the end of each (°C without).
/// parse names the one that cannot be read.
Result<std::vector<ChannelSpec>> parseChannels(const std::string& text);

/// Commas, semicolons, tabs or blanks between the numbers; an empty column or a dash is a channel
/// that is open. Another number of columns than the layout has is no reading: half lines have
/// fewer.
Message readPlain(const PlainLayout& layout, std::string_view line);

/// The layout of lines seen: how many columns all of them have, and whether the first one only ever
/// grows. nullopt when they do not agree or are no numbers.
std::optional<PlainLayout> guessLayout(const std::vector<std::string>& lines);

} // namespace dynamet::device
