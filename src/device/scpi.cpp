// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/scpi.h"

#include "device/words_of.h"

#include <cmath>
#include <limits>

namespace dynamet::device {
namespace {

constexpr double kInfinity = 9.9e37, kNotANumber = 9.91e37, kNear = 1e33;

std::vector<std::string_view> fieldsOf(std::string_view line) {
    std::vector<std::string_view> out;
    while (true) {
        const std::size_t comma = line.find(',');
        std::string_view field = line.substr(0, comma);
        while (!field.empty() && field.front() == ' ')
            field.remove_prefix(1);
        out.push_back(field);
        if (comma == std::string_view::npos)
            return out;
        line.remove_prefix(comma + 1);
    }
}

Value valueOf(const std::string& channel, double number) {
    const auto is = [&](double special) { return std::abs(number - special) < kNear; };
    const Gap gap = is(kNotANumber)  ? Gap::open
                    : is(kInfinity)  ? Gap::over
                    : is(-kInfinity) ? Gap::under
                                     : Gap::none;
    return {channel, gap == Gap::none ? number : std::numeric_limits<double>::quiet_NaN(), gap};
}

} // namespace

Message readIdentity(std::string_view line) {
    const auto fields = fieldsOf(line);
    if (fields.size() != 4)
        return Unusable{isText(line) ? Fault::notALine : Fault::notText, beginningOf(line)};
    return Hello{"bench", std::string(fields[0]) + " " + std::string(fields[1]),
                 std::string(fields[2])};
}

Message readScpi(const ScpiSetup& setup, std::string_view line) {
    const auto fields = fieldsOf(line);
    if (fields.size() != setup.channels.size())
        return Unusable{isText(line) ? Fault::otherColumns : Fault::notText, beginningOf(line)};
    Reading out;
    for (std::size_t i = 0; i < fields.size(); ++i) {
        std::string_view text = fields[i];
        if (!text.empty() && text.front() == '+')
            text.remove_prefix(1);
        const auto number = wholeNumber(text);
        if (!number)
            return Unusable{Fault::badNumber, beginningOf(line)};
        out.values.push_back(valueOf(setup.channels[i].key, *number));
    }
    return out;
}

} // namespace dynamet::device
