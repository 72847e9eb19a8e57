// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/found_words.h"

#include "quantity/parse_duration.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

const char* nameOf(const std::string& name) {
    static const std::pair<const char*, const char*> kNames[] = {
        {"net_power_W", "Power into pot and water"},
        {"efficiency", "Efficiency"},
        {"air_K", "Air, settled"},
        {"plate_K", "Plate, settled"},
        {"offset_K", "Above the dial"},
        {"first_reach_s", "First reaches the dial after"},
        {"settled_s", "Settled after"},
        {"overshoot_K", "Overshoot"},
        {"half_swing_K", "Swings by ±"},
        {"period_s", "Every"},
        {"effective_K", "Effective temperature"},
        {"h_total_W_m2K", "Coefficient, all of it"},
        {"h_convective_W_m2K", "Coefficient of moving air"},
        {"operative_K", "Zone"},
        {"dial_bias_K", "Lid dial reads above the zone by"}};
    for (const auto& [known, words] : kNames)
        if (name == known)
            return words;
    return "";
}

bool isPoint(const std::string& name) {
    return name == "air_K" || name == "plate_K" || name == "effective_K" || name == "operative_K";
}

std::string valueOf(const Quantity& q, TemperatureUnit unit) {
    const double half = halfWidth95(q);
    const std::string atLeast = q.bound == Bound::lower ? "at least " : "";
    if (isPoint(q.name))
        return atLeast + printTemperature(Temperature::kelvin(q.value), unit,
                                          q.bound == Bound::none ? half : 0);
    if (q.unit == "K")
        return printPlusMinus(degreesOf(KelvinDelta(q.value), unit),
                              degreesOf(KelvinDelta(half), unit), unitSign(unit));
    if (q.unit == "s")
        return printDuration(q.value);
    if (q.name == "efficiency")
        return printPlusMinus(q.value * 100, half * 100, "%");
    if (q.unit == "W" && q.value >= 1000)
        return printPlusMinus(q.value / 1000, half / 1000, "kW");
    return printPlusMinus(q.value, half, q.unit, 1);
}

} // namespace

std::string sentenceFor(const Reduction& reduction, TemperatureUnit unit) {
    if (unit == TemperatureUnit::celsius || reduction.quantities.empty())
        return reduction.sentence;
    const Quantity& q = reduction.quantities.front();
    if (!isPoint(q.name))
        return reduction.sentence;
    return fmt::format("{}: {}.", nameOf(q.name), valueOf(q, unit));
}

std::vector<std::pair<std::string, std::string>> numberLines(const Reduction& reduction,
                                                             TemperatureUnit unit) {
    std::vector<std::pair<std::string, std::string>> out;
    for (const Quantity& q : reduction.quantities)
        out.emplace_back(nameOf(q.name), valueOf(q, unit));
    return out;
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

} // namespace dynamet::rating
