// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_time.h"

#include "formats/csv_fields.h"

#include <chrono>

namespace dynamet::formats {
namespace {

/// Exactly `count` digits at the start; cuts them off.
std::optional<int> takeDigits(std::string_view& text, std::size_t count) {
    if (text.size() < count)
        return std::nullopt;
    int value = 0;
    for (std::size_t i = 0; i < count; ++i) {
        if (text[i] < '0' || text[i] > '9')
            return std::nullopt;
        value = value * 10 + (text[i] - '0');
    }
    text.remove_prefix(count);
    return value;
}

bool takeChar(std::string_view& text, std::string_view any) {
    if (text.empty() || any.find(text.front()) == std::string_view::npos)
        return false;
    text.remove_prefix(1);
    return true;
}

double takeFraction(std::string_view& text) {
    if (!takeChar(text, ".,"))
        return 0;
    double value = 0, unit = 0.1;
    while (!text.empty() && text.front() >= '0' && text.front() <= '9') {
        value += unit * (text.front() - '0');
        unit /= 10;
        text.remove_prefix(1);
    }
    return value;
}

/// "h:mm" or "h:mm:ss" with fraction; hours of one to three digits.
std::optional<double> takeColons(std::string_view& text) {
    std::size_t width = 0;
    while (width < text.size() && text[width] >= '0' && text[width] <= '9')
        ++width;
    if (width == 0 || width > 3)
        return std::nullopt;
    const auto first = takeDigits(text, width);
    if (!takeChar(text, ":"))
        return std::nullopt;
    const auto second = takeDigits(text, 2);
    if (!second || *second > 59)
        return std::nullopt;
    double seconds = *first * 3600.0 + *second * 60.0;
    if (takeChar(text, ":")) {
        const auto third = takeDigits(text, 2);
        if (!third || *third > 59)
            return std::nullopt;
        seconds += *third + takeFraction(text);
    }
    return seconds;
}

std::optional<double> isoSeconds(std::string_view text) {
    const auto year = takeDigits(text, 4);
    if (!year || !takeChar(text, "-/."))
        return std::nullopt;
    const auto month = takeDigits(text, 2);
    if (!month || !takeChar(text, "-/."))
        return std::nullopt;
    const auto day = takeDigits(text, 2);
    if (!day || !takeChar(text, "T t"))
        return std::nullopt;
    const std::chrono::year_month_day date{std::chrono::year(*year),
                                           std::chrono::month(static_cast<unsigned>(*month)),
                                           std::chrono::day(static_cast<unsigned>(*day))};
    const auto clock = takeColons(text);
    if (!clock || !date.ok())
        return std::nullopt;
    double seconds =
        static_cast<double>(std::chrono::sys_days(date).time_since_epoch().count()) * 86400 +
        *clock;
    if (takeChar(text, "Zz"))
        return text.empty() ? std::optional(seconds) : std::nullopt;
    if (!text.empty()) {
        const double sign = text.front() == '-' ? -1 : 1;
        if (!takeChar(text, "+-"))
            return std::nullopt;
        const auto hours = takeDigits(text, 2);
        takeChar(text, ":");
        const auto minutes = takeDigits(text, 2);
        if (!hours)
            return std::nullopt;
        seconds -= sign * (*hours * 3600 + minutes.value_or(0) * 60);
    }
    return text.empty() ? std::optional(seconds) : std::nullopt;
}

std::optional<double> clockSeconds(std::string_view text, bool elapsed) {
    auto seconds = takeColons(text);
    if (!seconds)
        return std::nullopt;
    text = unquoted(text);
    if (text == "PM" || text == "pm" || text == "AM" || text == "am") {
        const bool afternoon = text.front() == 'P' || text.front() == 'p';
        if (*seconds >= 12 * 3600)
            *seconds -= 12 * 3600;
        if (afternoon)
            *seconds += 12 * 3600;
        text = {};
    }
    if (!text.empty() || (!elapsed && *seconds >= 86400))
        return std::nullopt;
    return seconds;
}

} // namespace

std::optional<double> readTime(std::string_view raw, TimeStyle style, bool decimalComma) {
    const std::string_view field = unquoted(raw);
    switch (style) {
    case TimeStyle::isoDateTime:
        return isoSeconds(field);
    case TimeStyle::clock:
        return clockSeconds(field, false);
    case TimeStyle::elapsedClock:
        return clockSeconds(field, true);
    case TimeStyle::elapsedSeconds:
        return readDecimal(field, decimalComma);
    case TimeStyle::elapsedMinutes: {
        const auto minutes = readDecimal(field, decimalComma);
        return minutes ? std::optional(*minutes * 60) : std::nullopt;
    }
    case TimeStyle::none:
        return std::nullopt;
    }
    return std::nullopt;
}

} // namespace dynamet::formats
