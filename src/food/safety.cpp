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

std::string printed(double kelvin, bool fahrenheit) {
    const Temperature t = Temperature::kelvin(kelvin);
    return fahrenheit ? fmt::format("{} °F", printFixed(t.fahrenheit(), 0))
                      : fmt::format("{} °C", printFixed(t.celsius(), 1));
}

/// Whether time has done what the minimum asks by temperature, organism by organism.
std::string byTime(const std::vector<Kill>& kills, double peakK, bool fahrenheit) {
    std::string out;
    for (const Kill& kill : kills) {
        const Organism& o = shippedOrganisms().at(kill.organism);
        const double hold = holdTimeS(o, peakK, o.targetLogs);
        if (kill.logs >= o.targetLogs)
            out += fmt::format("; by time this cook gives {:.1f} log reductions of {}", kill.logs,
                               o.name);
        else if (std::isfinite(hold) && hold < 12 * 3600)
            out += fmt::format("; about {} at {} would give the same reduction of {}",
                               printDuration(hold), printed(peakK, fahrenheit), o.name);
    }
    return out;
}

} // namespace

SafetyVerdict judgeSafety(const Food& food, Form form, double peakK, const std::vector<Kill>& kills,
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
    text += byTime(kills, peakK, fahrenheit);
    if (form != Form::intact)
        text += "; the inside of such a piece can carry bacteria";
    return {true, text + ". Local codes or a licensed authority decide"};
}

} // namespace dynamet::food
