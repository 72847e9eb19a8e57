// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/rating_words.h"

#include "quantity/parse_duration.h"
#include "rating/inputs/protocol_table.h"
#include "words/amount.h"
#include "words/say.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

using namespace dynamet::rating;

namespace {

/// Words of a quantity; "place_K:upper" is a place's own.
std::string nameOf(const std::string& name) {
    const auto colon = name.find(':');
    if (colon != std::string::npos)
        return name.substr(colon + 1);
    const auto& words = protocolTable().quantityWords;
    const auto known = words.find(name);
    return known == words.end() ? name : known->second;
}

bool isPoint(const std::string& name) {
    return protocolTable().points.contains(name);
}

std::string valueOf(const Quantity& q, TemperatureUnit unit) {
    const double half = halfWidth95(q);
    const std::string atLeast = q.bound == Bound::lower ? "at least " : "";
    if (isPoint(q.name))
        return atLeast + printTemperature(Temperature::kelvin(q.value), unit,
                                          q.bound == Bound::none ? half : 0);
    if (q.unit == "K/min")
        return printPlusMinus(degreesOf(KelvinDelta(q.value), unit),
                              degreesOf(KelvinDelta(half), unit),
                              std::string(unitSign(unit)) + "/min", 1);
    if (q.unit == "s")
        return atLeast + printDuration(q.value);
    if (q.name == "efficiency" || q.name == "fuel_share")
        return printPlusMinus(q.value * 100, half * 100, "%");
    if (q.name == "gain")
        return printPlusMinus(q.value, half, "", 3);
    return amountWords(estimateOf(q), {unit == TemperatureUnit::fahrenheit, false});
}

} // namespace

std::string quantityWords(const std::string& name) {
    return nameOf(name);
}

std::string foundWords(const Reduction& reduction, Units units) {
    std::string out;
    for (const Finding& finding : reduction.found)
        out += (out.empty() ? "" : " ") + say(finding, units);
    return out;
}

std::vector<std::pair<std::string, std::string>> numberLines(const Reduction& reduction,
                                                             TemperatureUnit unit) {
    std::vector<std::pair<std::string, std::string>> out;
    for (const Quantity& q : reduction.quantities)
        out.emplace_back(nameOf(q.name), valueOf(q, unit));
    return out;
}

double shownNumber(const std::string& name, const std::string& unit, double value,
                   TemperatureUnit temperature) {
    if (isPoint(name))
        return numberIn(Temperature::kelvin(value), temperature);
    if (unit == "K")
        return degreesOf(KelvinDelta(value), temperature);
    if (unit == "s")
        return value / 60;
    return unit == "W" ? value / 1000 : value;
}

std::string shownUnit(const std::string& name, const std::string& unit,
                      TemperatureUnit temperature) {
    if (isPoint(name) || unit == "K")
        return unitSign(temperature);
    if (unit == "s")
        return "min";
    return unit == "W" ? "kW" : unit == "1" ? "" : unit;
}

std::vector<std::pair<std::string, double>>
varianceShares(const std::vector<Contribution>& contributions, std::size_t most) {
    double all = 0;
    for (const Contribution& c : contributions)
        all += c.u * c.u;
    std::vector<std::pair<std::string, double>> out;
    for (const Contribution& c : contributions)
        if (all > 0 && c.u * c.u / all >= 0.005)
            out.emplace_back(c.name, c.u * c.u / all);
    std::sort(out.begin(), out.end(),
              [](const auto& a, const auto& b) { return a.second > b.second; });
    if (out.size() > most) {
        double rest = 0;
        for (std::size_t i = most - 1; i < out.size(); ++i)
            rest += out[i].second;
        out.resize(most - 1);
        out.emplace_back("other", rest);
    }
    return out;
}

std::string sheetWords(const Reduction& reduction, const kitchen::Representative& sheet,
                       TemperatureUnit unit) {
    constexpr double kAlikeK = 1;
    const kitchen::FieldNumber* air = nullptr;
    for (const kitchen::FieldNumber& n : reduction.fieldNumbers)
        if (n.key.term == kitchen::Term::air)
            air = &n;
    if (!air || sheet.kelvin <= 0)
        return "";
    const double half = kitchen::kTwoSided95 * air->u;
    if (std::abs(air->value - sheet.kelvin) < kAlikeK &&
        std::abs(half - halfWidthK(sheet)) < kAlikeK)
        return "";
    return "The rate sheet shows " +
           printTemperature(Temperature::kelvin(sheet.kelvin), unit, halfWidthK(sheet)) +
           ": what food feels of air and walls together, the walls known less well than the air.";
}

std::string doubtWords(const Doubt& doubt, const kitchen::Appliance& appliance,
                       const kitchen::Setting& setting, Units units) {
    const TemperatureUnit unit = units.temperature();
    if (doubt.code == "far_from_usual")
        return fmt::format("{:.2f} kW is far from the {:.2f} kW that are known or usual at {}. Was "
                           "it really set to that?",
                           doubt.found / 1e3, doubt.expected / 1e3,
                           settingLabel(appliance.controls, setting, units));
    const std::string found = printTemperature(Temperature::kelvin(doubt.found), unit),
                      expected = printTemperature(Temperature::kelvin(doubt.expected), unit),
                      at = settingLabel(appliance.controls, setting, units);
    if (doubt.code == "far_from_dial")
        return fmt::format("{} is far from what the dial says, {}. Was it really set to {}?", found,
                           expected, at);
    return fmt::format("{} is far from the {} that the other ratings make of {}. Was it really set "
                       "to that?",
                       found, expected, at);
}

} // namespace dynamet::words
