// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/safety.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::food {
namespace {

constexpr double kD60S = 1.95 * 60, kZ = 5.56, kCountedFromK = 54.4 + kZeroCelsiusK;
constexpr double kOfficialLogs = 6.5;

std::string printed(double kelvin, bool fahrenheit) {
    const Temperature t = Temperature::kelvin(kelvin);
    return fahrenheit ? fmt::format("{} °F", printFixed(t.fahrenheit(), 0))
                      : fmt::format("{} °C", printFixed(t.celsius(), 1));
}

} // namespace

double beefLogReductionRate(double kelvin) {
    if (kelvin < kCountedFromK)
        return 0;
    return std::pow(10.0, (kelvin - kZeroCelsiusK - 60) / kZ) / kD60S;
}

double beefHoldTimeS(double kelvin, double logs) {
    const double rate = beefLogReductionRate(kelvin);
    return rate > 0 ? logs / rate : std::numeric_limits<double>::infinity();
}

SafetyVerdict judgeSafety(const Food& food, Form form, double peakK, double logReductions,
                          bool fahrenheit) {
    const auto minimum = officialMinimum(food.foodClass, form);
    if (!minimum)
        return {false, "no official minimum for this food; wash and cook as local codes say"};
    const std::string rest =
        minimum->holdS > 0 ? fmt::format(" + {} rest", printDuration(minimum->holdS)) : "";
    const std::string limit = printed(minimum->kelvin, fahrenheit) + rest;
    if (peakK >= minimum->kelvin - 0.05)
        return {false, fmt::format("reaches the official {} ({}, {}); local codes decide", limit,
                                   food.foodClass, word(form))};
    std::string text = fmt::format("{} is below the official {} for {}, {}",
                                   printed(peakK, fahrenheit), limit, food.foodClass, word(form));
    if (food.foodClass == "beef") {
        const double hold = beefHoldTimeS(peakK, kOfficialLogs);
        if (logReductions >= kOfficialLogs)
            text += fmt::format("; by time this cook gives {:.1f} log reductions", logReductions);
        else if (std::isfinite(hold) && hold < 12 * 3600)
            text += fmt::format("; about {} at {} would give the same reduction",
                                printDuration(hold), printed(peakK, fahrenheit));
    }
    if (form != Form::intact)
        text += "; the inside of such a piece can carry bacteria";
    return {true, text + ". Local codes or a licensed authority decide"};
}

} // namespace dynamet::food
