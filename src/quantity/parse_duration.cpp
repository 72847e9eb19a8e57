// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_duration.h"

#include "quantity/number_text.h"

#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <optional>
#include <vector>

namespace dynamet {
namespace {

std::optional<double> secondsPerUnit(std::string_view word) {
    if (word == "s" || word == "sec" || word == "secs" || word == "second" || word == "seconds")
        return 1;
    if (word == "min" || word == "mins" || word == "m" || word == "minute" || word == "minutes" ||
        word == "'")
        return 60;
    if (word == "h" || word == "hr" || word == "hrs" || word == "hour" || word == "hours")
        return 3600;
    if (word == "d" || word == "day" || word == "days")
        return 86400;
    return std::nullopt;
}

std::string takeWord(std::string_view& rest) {
    rest = trimmed(rest);
    std::string word;
    while (!rest.empty() &&
           (std::isalpha(static_cast<unsigned char>(rest.front())) || rest.front() == '\'')) {
        word += static_cast<char>(std::tolower(static_cast<unsigned char>(rest.front())));
        rest.remove_prefix(1);
    }
    return word;
}

std::optional<double> clockSeconds(std::string_view text) {
    std::vector<double> parts;
    while (true) {
        const auto colon = text.find(':');
        std::string_view part = trimmed(text.substr(0, colon));
        const auto number = takeNumber(part);
        if (!number || !part.empty() || *number < 0)
            return std::nullopt;
        parts.push_back(*number);
        if (colon == std::string_view::npos)
            break;
        text.remove_prefix(colon + 1);
    }
    for (std::size_t i = 1; i < parts.size(); ++i)
        if (parts[i] >= 60)
            return std::nullopt;
    if (parts.size() == 2)
        return parts[0] * 60 + parts[1];
    if (parts.size() == 3)
        return parts[0] * 3600 + parts[1] * 60 + parts[2];
    return std::nullopt;
}

/// One end of a range: number-unit pairs; a number without a unit takes the next smaller unit, or
/// `bareUnitS`. `lastUnitS` tells which unit was written last (0 = none).
Result<double> sumOfPairs(std::string_view text, double bareUnitS, double& lastUnitS) {
    double total = 0;
    lastUnitS = 0;
    std::string_view rest = trimmed(text);
    while (!rest.empty()) {
        const auto number = takeNumber(rest);
        if (!number)
            return fail(Errc::parse, fmt::format("\"{}\" is not a time", trimmed(text)));
        const std::string word = takeWord(rest);
        double unitS = lastUnitS == 86400 ? 3600 : lastUnitS > 0 ? lastUnitS / 60 : bareUnitS;
        if (!word.empty()) {
            const auto known = secondsPerUnit(word);
            if (!known)
                return fail(Errc::parse,
                            fmt::format("\"{}\" is not a time: the unit \"{}\" is not known",
                                        trimmed(text), word));
            unitS = *known;
        }
        if (*number < 0 || unitS < 1)
            return fail(Errc::parse, fmt::format("\"{}\" is not a time", trimmed(text)));
        total += *number * unitS;
        if (!word.empty() || lastUnitS > 0)
            lastUnitS = unitS;
        rest = trimmed(rest);
        for (std::string_view filler : {"and ", ", "})
            if (rest.starts_with(filler))
                rest = trimmed(rest.substr(filler.size()));
    }
    return total;
}

std::size_t rangeDash(std::string_view text, std::size_t& length) {
    for (std::string_view dash : {"–", "-", " to "})
        if (const auto at = text.find(dash); at != std::string_view::npos && at > 0) {
            length = dash.size();
            return at;
        }
    return std::string_view::npos;
}

} // namespace

namespace {

Result<DurationRange> anyDuration(std::string_view text) {
    if (text.empty())
        return fail(Errc::parse, "no time was given");
    if (text.find(':') != std::string_view::npos) {
        if (const auto seconds = clockSeconds(text))
            return DurationRange{*seconds, *seconds};
        return fail(Errc::parse, fmt::format("\"{}\" is not a time (min:s or h:min:s)", text));
    }
    std::size_t length = 0;
    const auto dash = rangeDash(text, length);
    double unitS = 0;
    if (dash == std::string_view::npos) {
        const auto seconds = sumOfPairs(text, 60, unitS);
        if (!seconds)
            return tl::unexpected(seconds.error());
        return DurationRange{*seconds, *seconds};
    }
    const auto high = sumOfPairs(text.substr(dash + length), 60, unitS);
    if (!high)
        return tl::unexpected(high.error());
    const double shared = unitS > 0 ? unitS : 60;
    const auto low = sumOfPairs(text.substr(0, dash), shared, unitS);
    if (!low)
        return tl::unexpected(low.error());
    if (*low > *high)
        return fail(Errc::parse, fmt::format("\"{}\": the first time is the longer one", text));
    return DurationRange{*low, *high};
}

} // namespace

Result<DurationRange> parseDuration(std::string_view text) {
    constexpr double kTenYearsS = 315576000;
    text = trimmed(text);
    auto out = anyDuration(text);
    if (out && !(out->highS <= kTenYearsS))
        return fail(Errc::parse, fmt::format("\"{}\" is longer than ten years", text));
    return out;
}

std::string printDuration(double seconds) {
    if (!std::isfinite(seconds))
        return "–";
    const bool fine = seconds < 300;
    const long total = std::lround(fine ? seconds : seconds / 60) * (fine ? 1 : 60);
    const long h = total / 3600, min = total / 60 % 60, s = total % 60;
    if (h > 0)
        return min > 0 ? fmt::format("{} h {:02} min", h, min) : fmt::format("{} h", h);
    if (!fine || s == 0)
        return fmt::format("{} min", min);
    return min > 0 ? fmt::format("{} min {:02} s", min, s) : fmt::format("{} s", s);
}

Result<double> parseInterval(const std::string& text) {
    constexpr double kLongestS = 86400;
    std::string_view rest = text;
    const auto bare = takeNumber(rest);
    const auto written = parseDuration(text);
    const double seconds = bare && trimmed(rest).empty() ? *bare : written ? written->lowS : 0;
    if (!(seconds > 0 && seconds <= kLongestS))
        return fail(Errc::parse, fmt::format("\"{}\": write seconds, or \"5 s\", \"1 min\"", text));
    return seconds;
}

} // namespace dynamet
