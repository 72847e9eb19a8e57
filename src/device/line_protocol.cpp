// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/line_protocol.h"

#include "device/words_of.h"

#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::device {
namespace {

Message hello(std::string_view rest) {
    Hello out;
    const std::string version = takeWord(rest);
    out.kind = takeWord(rest);
    out.serial = takeWord(rest);
    out.name = rest;
    if (version != "1" || out.kind.empty())
        return Unusable{Fault::notALine, {}};
    return out;
}

Message channel(std::string_view rest) {
    ChannelSpec out;
    out.key = takeWord(rest);
    const auto unit = lineUnit(takeWord(rest));
    const auto resolution = wholeNumber(takeWord(rest)), low = wholeNumber(takeWord(rest)),
               high = wholeNumber(takeWord(rest));
    if (out.key.empty() || !unit)
        return Unusable{Fault::notALine, {}};
    if (!resolution || *resolution < 0 || !low || !high || !(*low < *high))
        return Unusable{Fault::badNumber, {}};
    out.unit = *unit;
    out.resolution = *resolution;
    out.low = low;
    out.high = high;
    out.name = rest.empty() ? out.key : std::string(rest);
    return out;
}

std::optional<Value> valueOf(std::string_view word) {
    const std::size_t sign = word.find('=');
    if (sign == std::string_view::npos || sign == 0)
        return std::nullopt;
    const std::string_view text = word.substr(sign + 1);
    Value out{std::string(word.substr(0, sign)), std::numeric_limits<double>::quiet_NaN(),
              text == "open"    ? Gap::open
              : text == "over"  ? Gap::over
              : text == "under" ? Gap::under
                                : Gap::none};
    if (out.gap != Gap::none)
        return out;
    const auto number = wholeNumber(text);
    if (!number)
        return std::nullopt;
    out.value = *number;
    return out;
}

Message reading(std::string_view rest) {
    Reading out;
    out.deviceS = wholeNumber(takeWord(rest));
    if (!out.deviceS)
        return Unusable{Fault::badNumber, {}};
    while (!rest.empty()) {
        auto value = valueOf(takeWord(rest));
        if (!value)
            return Unusable{Fault::badNumber, {}};
        out.values.push_back(std::move(*value));
    }
    if (out.values.empty())
        return Unusable{Fault::notALine, {}};
    return out;
}

/// The text that the sum at the end of a line vouches for.
std::optional<std::string_view> vouchedFor(std::string_view line) {
    const std::size_t star = line.rfind('*');
    if (star == std::string_view::npos || line.size() - star != 3)
        return std::nullopt;
    unsigned sum = 0;
    const char* end = line.data() + line.size();
    const auto read = std::from_chars(line.data() + star + 1, end, sum, 16);
    if (read.ec != std::errc() || read.ptr != end || sum != lineSum(line.substr(0, star)))
        return std::nullopt;
    return line.substr(0, star);
}

} // namespace

unsigned lineSum(std::string_view text) {
    unsigned sum = 0;
    for (const char c : text)
        sum += static_cast<unsigned char>(c);
    return sum & 0xffU;
}

std::string withSum(std::string_view text) {
    return fmt::format("{}*{:02X}", text, lineSum(text));
}

Message readLine(std::string_view line) {
    const auto begins = [&](std::string_view word) { return line.substr(0, word.size()) == word; };
    const bool ours = begins("dynamet-line ") || begins("channel ") || begins("r ") || begins("x ");
    if (!ours)
        return Unusable{isText(line) ? Fault::notALine : Fault::notText, beginningOf(line)};
    auto text = vouchedFor(line);
    if (!text)
        return Unusable{Fault::badSum, beginningOf(line)};
    const std::string word = takeWord(*text);
    Message out = word == "r"         ? reading(*text)
                  : word == "channel" ? channel(*text)
                  : word == "x"       ? Message(Complaint{std::string(*text)})
                                      : hello(*text);
    if (auto* unusable = std::get_if<Unusable>(&out))
        unusable->line = beginningOf(line);
    return out;
}

} // namespace dynamet::device
