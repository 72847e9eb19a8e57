// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/timed_readings.h"

#include "quantity/number_text.h"
#include "quantity/print.h"

#include <fmt/format.h>

namespace dynamet::rating {
namespace {

std::vector<std::string> pairsOf(const std::string& typed) {
    std::vector<std::string> out(1);
    for (std::size_t i = 0; i < typed.size(); ++i) {
        const bool comma = typed[i] == ',' && (i + 1 == typed.size() || typed[i + 1] == ' ');
        if (comma || typed[i] == ';' || typed[i] == '\n')
            out.emplace_back();
        else
            out.back() += typed[i];
    }
    std::erase_if(out, [](const std::string& pair) { return trimmed(pair).empty(); });
    return out;
}

/// Minutes, or minutes:seconds.
Result<double> takeMoment(std::string_view& rest, const std::string& pair) {
    const auto minutes = takeNumber(rest);
    if (!minutes || *minutes < 0)
        return fail(Errc::invalidArgument,
                    fmt::format("\"{}\": write the minute and then what was read", pair));
    double seconds = *minutes * 60;
    if (rest.starts_with(':')) {
        rest.remove_prefix(1);
        const auto behind = takeNumber(rest);
        if (!behind || *behind >= 60)
            return fail(Errc::invalidArgument, fmt::format("\"{}\" is no time", pair));
        seconds += *behind;
    }
    return seconds;
}

} // namespace

Result<TimedReadings> parseTimed(const std::string& typed, TemperatureUnit bare) {
    TimedReadings out;
    out.unit = bare;
    bool named = false;
    for (const std::string& pair : pairsOf(typed)) {
        std::string_view rest = pair;
        const auto moment = takeMoment(rest, pair);
        if (!moment)
            return tl::unexpected(moment.error());
        const auto unit = trimmed(rest).ends_with('F')   ? TemperatureUnit::fahrenheit
                          : trimmed(rest).ends_with('C') ? TemperatureUnit::celsius
                                                         : out.unit;
        if (unit != out.unit && named)
            return fail(Errc::invalidArgument,
                        fmt::format("\"{}\": all readings should be in one unit", pair));
        if (unit != out.unit && !out.readings.empty())
            return fail(Errc::invalidArgument,
                        fmt::format("\"{}\": write the unit behind the first reading", pair));
        named = named || unit != bare;
        out.unit = unit;
        const auto reading = parseTemperature(rest, unit);
        if (!reading)
            return tl::unexpected(reading.error().in(pair));
        if (!out.readings.empty() && *moment <= out.readings.back().timeS)
            return fail(Errc::invalidArgument,
                        fmt::format("\"{}\": its time is not later than the one before", pair));
        out.readings.push_back({*moment, numberIn(*reading, unit)});
    }
    if (out.readings.empty())
        return fail(Errc::invalidArgument, "no reading was typed");
    return out;
}

} // namespace dynamet::rating
