// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What comes over a serial line: the same bytes say the same however they are cut, and numbers are
// finite.
#include "device/talk.h"
#include "fuzz/must.h"

#include <cmath>

using namespace dynamet;

namespace {

std::size_t check(const std::vector<device::Message>& messages) {
    for (const device::Message& message : messages)
        if (const auto* reading = std::get_if<device::Reading>(&message))
            for (const device::Value& value : reading->values)
                MUST(value.gap != device::Gap::none || std::isfinite(value.value));
    return messages.size();
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 2)
        return 0;
    const std::string_view text = textOf(data + 2, size - 2);
    device::Connection connection;
    connection.dialect = static_cast<device::Dialect>(data[0] % 3);
    connection.plain.channels = connection.scpi.channels = *device::parseChannels("a C, b g");
    device::Talk whole(connection), cut(connection);
    const std::size_t at = text.empty() ? 0 : data[1] % text.size();
    const std::size_t all = check(whole.feed(text));
    const std::size_t parts =
        check(cut.feed(text.substr(0, at))) + check(cut.feed(text.substr(at)));
    MUST(all == parts);
    return 0;
}
