// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What comes over a serial line: the same bytes say the same however they are cut, and numbers are
// finite.
#include "device/line_protocol.h"
#include "device/talk.h"
#include "fuzz/seeds.h"

#include <cmath>
#include <sstream>

using namespace dynamet;

namespace {

std::size_t check(const std::vector<device::Message>& messages) {
    for (const device::Message& message : messages)
        if (const auto* reading = std::get_if<device::Reading>(&message))
            for (const device::Value& value : reading->values)
                MUST(value.gap != device::Gap::none || std::isfinite(value.value));
    return messages.size();
}

/// Each line with the sum that it wants.
std::string summed(const std::string& text) {
    std::string out;
    std::istringstream in(text);
    for (std::string line; std::getline(in, line);)
        out += device::withSum(line) + "\n";
    return out;
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    const std::string lines = "dynamet-line 1 thermometer 0017 Four probes\n"
                              "channel 1 C 0.1 -50 300 left probe\nchannel 2 F 0.1 -58 572 right\n"
                              "r 12.4 1=21.3 2=over\nr 13.4 1=open 2=70.5\nx probe 2 is wet\n";
    const std::string plain = "12,21.10,70.5\r\n13;21.2;-\r\nhello\r\n";
    const std::string scpi = "+2.130E+01,+7.050E+01\n9.9E37,21\n";
    return {std::string("\3\1", 2) + lines, std::string("\0\1", 2) + summed(lines),
            std::string("\1\5", 2) + plain, std::string("\2\5", 2) + scpi};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 2)
        return 0;
    std::string text(textOf(data + 2, size - 2));
    device::Connection connection;
    connection.dialect = static_cast<device::Dialect>(data[0] % 3);
    if (data[0] / 3 % 2) // else hardly a changed line would be looked at
        text = summed(text);
    connection.plain.channels = connection.scpi.channels = *device::parseChannels("a C, b g");
    device::Talk whole(connection), cut(connection);
    const std::size_t at = text.empty() ? 0 : data[1] % text.size();
    const std::size_t all = check(whole.feed(text));
    const std::size_t parts =
        check(cut.feed(text.substr(0, at))) + check(cut.feed(text.substr(at)));
    MUST(all == parts);
    return 0;
}
