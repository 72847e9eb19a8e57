// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/words_of.h"

#include "device/message.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>

namespace dynamet::device {
namespace {

/// Spellings on a line, and the unit as readings have it.
constexpr std::array<std::pair<const char*, const char*>, 17> kUnits{{{"C", "°C"},
                                                                      {"degC", "°C"},
                                                                      {"°C", "°C"},
                                                                      {"F", "°F"},
                                                                      {"degF", "°F"},
                                                                      {"°F", "°F"},
                                                                      {"K", "K"},
                                                                      {"g", "g"},
                                                                      {"kg", "kg"},
                                                                      {"oz", "oz"},
                                                                      {"lb", "lb"},
                                                                      {"W", "W"},
                                                                      {"kW", "kW"},
                                                                      {"Wh", "Wh"},
                                                                      {"kWh", "kWh"},
                                                                      {"J", "J"},
                                                                      {"kJ", "kJ"}}};

} // namespace

std::optional<std::string> lineUnit(const std::string& written) {
    for (const auto& [spelling, unit] : kUnits)
        if (written == spelling)
            return unit;
    return std::nullopt;
}

std::string takeWord(std::string_view& rest) {
    const std::size_t end = rest.find(' ');
    std::string out(rest.substr(0, end));
    rest.remove_prefix(end == std::string_view::npos ? rest.size() : end);
    while (!rest.empty() && rest.front() == ' ')
        rest.remove_prefix(1);
    return out;
}

std::optional<double> wholeNumber(std::string_view text) {
    double out = 0;
    const char* end = text.data() + text.size();
    const auto read = std::from_chars(text.data(), end, out);
    if (text.empty() || read.ec != std::errc() || read.ptr != end || !std::isfinite(out))
        return std::nullopt;
    return out;
}

bool isText(std::string_view line) {
    return std::all_of(line.begin(), line.end(), [](char c) {
        const auto byte = static_cast<unsigned char>(c);
        return (byte >= 0x20 && byte < 0x7f) || c == '\t' || byte == 0xc2 || byte == 0xb0;
    });
}

std::string beginningOf(std::string_view line) {
    constexpr std::size_t kShown = 60;
    std::string out;
    for (const char c : line.substr(0, kShown)) {
        const auto byte = static_cast<unsigned char>(c);
        out += byte >= 0x20 && byte < 0x7f ? c : '.';
    }
    return out;
}

} // namespace dynamet::device
