// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/line_buffer.h"

namespace dynamet::device {

std::vector<RawLine> takeLines(LineBuffer& buffer, std::string_view bytes) {
    std::vector<RawLine> out;
    while (!bytes.empty()) {
        const std::size_t end = bytes.find_first_of("\r\n");
        const std::string_view part = bytes.substr(0, end);
        const std::size_t room = LineBuffer::kLongest - buffer.rest.size();
        buffer.rest += part.substr(0, room);
        buffer.skipping = buffer.skipping || part.size() > room;
        if (end == std::string_view::npos)
            return out;
        if (!buffer.rest.empty())
            out.push_back({std::move(buffer.rest), buffer.skipping});
        buffer = {};
        bytes.remove_prefix(end + 1);
    }
    return out;
}

} // namespace dynamet::device
