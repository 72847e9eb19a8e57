// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/say.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/amount.h"

namespace dynamet::words {
namespace {

struct Say {
    Units units;
    std::string operator()(Temperature t) const { return printTemperature(t, units.temperature()); }
    std::string operator()(KelvinDelta d) const { return printDifference(d, units.temperature()); }
    std::string operator()(Metres m) const { return printLength(m.value, units.inches); }
    std::string operator()(Seconds s) const { return printDuration(s.value); }
    std::string operator()(const Number& n) const {
        const std::string number = printFixed(n.value, n.decimals);
        return n.unit.empty() ? number : number + " " + n.unit;
    }
    std::string operator()(const Name& n) const { return n.text; }
    std::string operator()(const Estimate& e) const { return amountWords(e, units); }
};

} // namespace

std::string amountWords(const Estimate& e, Units units) {
    const auto unit = units.temperature();
    if (e.point)
        return printTemperature(Temperature::kelvin(e.value), unit, e.halfWidth);
    if (e.unit == "K")
        return printPlusMinus(degreesOf(KelvinDelta(e.value), unit),
                              degreesOf(KelvinDelta(e.halfWidth), unit), unitSign(unit),
                              e.decimals);
    for (const char* large : {"W", "W/m²", "J", "J/K", "J/m²K", "Pa"})
        if (e.unit == large && e.value >= 1000)
            return printPlusMinus(e.value / 1000, e.halfWidth / 1000, "k" + e.unit, e.decimals);
    return printPlusMinus(e.value, e.halfWidth, e.unit, e.decimals);
}

std::string say(const Finding& finding, Units units) {
    const char* pattern = patternOf(finding.code);
    if (!pattern)
        return bareText(finding);
    std::string out;
    std::size_t next = 0;
    for (const char* at = pattern; *at; ++at) {
        const bool open = at[0] == '{' && at[1] == '}';
        if (open && next < finding.measures.size())
            out += std::visit(Say{units}, finding.measures[next++]);
        else
            out += *at;
        at += open;
    }
    return out;
}

std::string text(const Error& error, Units units) {
    return error.finding.code.empty() ? error.message : error.where + say(error.finding, units);
}

} // namespace dynamet::words
