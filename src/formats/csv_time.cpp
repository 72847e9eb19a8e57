// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_time.h"

#include "formats/csv_fields.h"

#include <chrono>
#include <string>

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

/// A number of one to `most` digits; cuts it off.
std::optional<int> takeNumber(std::string_view& text, std::size_t most) {
    std::size_t width = 0;
    while (width < most && width < text.size() && text[width] >= '0' && text[width] <= '9')
        ++width;
    return width > 0 ? takeDigits(text, width) : std::nullopt;
}

std::optional<double> dayNumber(int year, int month, int day) {
    const std::chrono::year_month_day date{std::chrono::year(year),
                                           std::chrono::month(static_cast<unsigned>(month)),
                                           std::chrono::day(static_cast<unsigned>(day))};
    if (!date.ok() || year < 1970 || year > 2200)
        return std::nullopt;
    return static_cast<double>(std::chrono::sys_days(date).time_since_epoch().count()) * 86400;
}

/// Cuts a date off: year first, or two figures and then the year in the order of the style.
std::optional<double> takeDate(std::string_view& text, TimeStyle order) {
    constexpr std::string_view kBetween = "-/.";
    const std::size_t first = text.find_first_of(kBetween);
    if (first == 4) {
        const auto year = takeDigits(text, 4);
        if (!year || !takeChar(text, kBetween))
            return std::nullopt;
        const auto month = takeNumber(text, 2);
        if (!month || !takeChar(text, kBetween))
            return std::nullopt;
        const auto day = takeNumber(text, 2);
        return day ? dayNumber(*year, *month, *day) : std::nullopt;
    }
    if (order == TimeStyle::isoDateTime)
        return std::nullopt;
    const auto a = takeNumber(text, 2);
    if (!a || !takeChar(text, kBetween))
        return std::nullopt;
    const auto b = takeNumber(text, 2);
    if (!b || !takeChar(text, kBetween))
        return std::nullopt;
    auto year = takeNumber(text, 4);
    if (!year || (*year > 99 && *year < 1970))
        return std::nullopt;
    if (*year < 100)
        *year += 2000;
    return order == TimeStyle::dayFirst ? dayNumber(*year, *b, *a) : dayNumber(*year, *a, *b);
}

/// "AM", "pm", "a.m." behind a clock: its hour is put right. False: something else stands there.
bool applyHalfOfDay(std::string_view text, double& seconds) {
    text = unquoted(text);
    std::string letters;
    for (const char c : text)
        if (c != '.' && c != ' ')
            letters += static_cast<char>(c >= 'A' && c <= 'Z' ? c + 32 : c);
    if (letters.empty())
        return true;
    if ((letters != "am" && letters != "pm") || seconds >= 13 * 3600)
        return false;
    if (seconds >= 12 * 3600)
        seconds -= 12 * 3600;
    if (letters == "pm")
        seconds += 12 * 3600;
    return true;
}

std::optional<double> isoSeconds(std::string_view text) {
    const auto date = takeDate(text, TimeStyle::isoDateTime);
    if (!date || !takeChar(text, "T t"))
        return std::nullopt;
    const auto clock = takeColons(text);
    if (!clock)
        return std::nullopt;
    double seconds = *date + *clock;
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

/// "03.04.2026 14:05:00", "4/3/26, 2:05 PM".
std::optional<double> dateSeconds(std::string_view text, TimeStyle order) {
    const auto date = takeDate(text, order);
    if (!date || !takeChar(text, " ,T\t"))
        return std::nullopt;
    text = unquoted(text);
    auto clock = takeColons(text);
    if (!clock || !applyHalfOfDay(text, *clock) || *clock >= 86400)
        return std::nullopt;
    return *date + *clock;
}

/// "12:05.5": minutes of any length, then seconds.
std::optional<double> minuteSeconds(std::string_view text) {
    const auto minutes = takeNumber(text, 4);
    if (!minutes || !takeChar(text, ":"))
        return std::nullopt;
    const auto seconds = takeDigits(text, 2);
    if (!seconds || *seconds > 59)
        return std::nullopt;
    const double fraction = takeFraction(text);
    return text.empty() ? std::optional(*minutes * 60.0 + *seconds + fraction) : std::nullopt;
}

std::optional<double> clockSeconds(std::string_view text, bool elapsed) {
    auto seconds = takeColons(text);
    if (!seconds)
        return std::nullopt;
    if (!applyHalfOfDay(text, *seconds))
        return std::nullopt;
    if (!elapsed && *seconds >= 86400)
        return std::nullopt;
    return seconds;
}

} // namespace

std::optional<double> readDate(std::string_view raw, TimeStyle order) {
    std::string_view field = unquoted(raw);
    const auto date = takeDate(field, order);
    return date && field.empty() ? date : std::nullopt;
}

std::optional<double> readThousands(std::string_view raw) {
    const std::string_view field = unquoted(raw);
    std::string digits;
    char between = 0;
    std::size_t since = 0;
    for (const char c : field) {
        if (c >= '0' && c <= '9') {
            digits += c;
            ++since;
        } else if ((c == ',' || c == '.' || c == '\'' || c == ' ') &&
                   (between == 0 || c == between) &&
                   (between == 0 ? since >= 1 && since <= 3 : since == 3)) {
            between = c;
            since = 0;
        } else {
            return std::nullopt;
        }
    }
    if (between == 0 || since != 3 || digits.size() > 15)
        return std::nullopt;
    return readDecimal(digits, false);
}

std::optional<double> readTime(std::string_view raw, TimeStyle style, bool decimalComma) {
    const std::string_view field = unquoted(raw);
    const auto number = [&](double unit) -> std::optional<double> {
        const auto value = readDecimal(field, decimalComma);
        const auto apart = value ? std::nullopt : readThousands(field);
        return value   ? std::optional(*value * unit)
               : apart ? std::optional(*apart * unit)
                       : std::nullopt;
    };
    switch (style) {
    case TimeStyle::isoDateTime:
        return isoSeconds(field);
    case TimeStyle::dayFirst:
    case TimeStyle::monthFirst:
        return dateSeconds(field, style);
    case TimeStyle::clock:
        return clockSeconds(field, false);
    case TimeStyle::elapsedClock:
        return clockSeconds(field, true);
    case TimeStyle::minuteClock:
        return minuteSeconds(field);
    case TimeStyle::elapsedMilliseconds:
    case TimeStyle::unixMilliseconds:
        return number(1e-3);
    case TimeStyle::elapsedSeconds:
    case TimeStyle::unixSeconds:
        return number(1);
    case TimeStyle::elapsedMinutes:
        return number(60);
    case TimeStyle::elapsedHours:
        return number(3600);
    case TimeStyle::none:
        return std::nullopt;
    }
    return std::nullopt;
}

} // namespace dynamet::formats
