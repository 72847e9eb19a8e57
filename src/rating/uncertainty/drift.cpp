// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/drift.h"

#include "kitchen/heat_field.h"
#include "numeric/statistics.h"
#include "quantity/print.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr double kMovingRange = 1.128; ///< d₂ for two values
constexpr double kLimits = 3;
constexpr std::size_t kLeastValues = 4;

DriftVerdict judge(const ControlChart& chart) {
    const std::size_t last = chart.values.size() - 1;
    const bool lastOut = !chart.outside.empty() && chart.outside.back() == last;
    const bool ewmaOut =
        chart.ewma[last] > chart.ewmaHigh[last] || chart.ewma[last] < chart.ewmaLow[last];
    if (ewmaOut)
        return DriftVerdict::drifting;
    return lastOut ? DriftVerdict::shifted : DriftVerdict::steady;
}

const char* remedyFor(const std::string& quantity, kitchen::ApplianceKind kind, bool lower) {
    using enum kitchen::ApplianceKind;
    if (groupOf(kind) == kitchen::HeatGroup::waterAndOil)
        return "Check the thermometer in ice first; then scale or old oil on the heater.";
    if (quantity == "net_power_W" || quantity == "plate_flux_W_m2")
        return kind == gasHob || kind == portableBurner
                   ? "Clean the burner's ports and see that its cap sits flat; anything further by "
                     "the maker's "
                     "instructions or a fitter."
                   : "Check the mains voltage and that the pan lies flat; the rest is for the "
                     "maker's "
                     "service.";
    if (kind == gasGrill)
        return lower ? "Weigh the bottle, straighten the hose and look for flames that are missing "
                       "along a burner; adjust gas only by the "
                       "maker's "
                       "instructions or a fitter."
                     : "Look at the lid's seat and the wind; adjust gas only by the maker's "
                       "instructions "
                       "or a fitter.";
    if (groupOf(kind) == kitchen::HeatGroup::air)
        return "Look at the door's seal and check the probe in ice; moving the thermostat is for "
               "the "
               "maker's instructions or a technician.";
    if (groupOf(kind) == kitchen::HeatGroup::coalsAndFlame)
        return "Weigh the fuel and look for leaks at lid and door before blaming the dial.";
    return "Check the probe in ice and the plate for soot; the thermostat is for the maker's "
           "service.";
}

} // namespace

std::vector<double> ewmaOf(std::span<const double> values, double start, double lambda) {
    std::vector<double> out;
    double at = start;
    for (double v : values)
        out.push_back(at = lambda * v + (1 - lambda) * at);
    return out;
}

ControlChart controlChart(std::span<const RepeatedValue> repeats, const ChartOptions& options) {
    ControlChart out;
    double own = 0;
    for (const RepeatedValue& r : repeats) {
        out.values.push_back(r.value);
        own += r.u / static_cast<double>(repeats.size());
    }
    if (out.values.size() < 2)
        return out;
    const std::size_t base =
        options.baseline > 1 ? std::min(options.baseline, out.values.size()) : out.values.size();
    const std::span<const double> first(out.values.data(), base);
    double ranges = 0;
    for (std::size_t i = 1; i < base; ++i)
        ranges += std::abs(first[i] - first[i - 1]);
    out.centre = mean(first);
    out.sigma = std::max(ranges / static_cast<double>(base - 1) / kMovingRange, own);
    out.low = out.centre - kLimits * out.sigma;
    out.high = out.centre + kLimits * out.sigma;
    out.ewma = ewmaOf(out.values, out.centre, options.lambda);
    for (std::size_t i = 0; i < out.values.size(); ++i) {
        const double grown = 1 - std::pow(1 - options.lambda, 2.0 * static_cast<double>(i + 1));
        const double half = options.ewmaWidth * out.sigma *
                            std::sqrt(options.lambda / (2 - options.lambda) * grown);
        out.ewmaLow.push_back(out.centre - half);
        out.ewmaHigh.push_back(out.centre + half);
        if (out.values[i] < out.low || out.values[i] > out.high)
            out.outside.push_back(i);
    }
    out.verdict = out.values.size() < kLeastValues ? DriftVerdict::tooFew : judge(out);
    return out;
}

std::string driftWords(const ControlChart& chart, const std::string& quantity,
                       kitchen::ApplianceKind kind) {
    switch (chart.verdict) {
    case DriftVerdict::tooFew:
        return fmt::format("{} of {} repeats: test it again now and then to see whether it drifts.",
                           chart.values.size(), kLeastValues);
    case DriftVerdict::steady:
        return "Steady: every repeat lies within what chance and the ± explain.";
    case DriftVerdict::shifted:
    case DriftVerdict::drifting:
        break;
    }
    const bool lower = chart.ewma.back() < chart.centre;
    const bool jumped = chart.verdict == DriftVerdict::shifted;
    return fmt::format("{} {}: the last repeats lie {} than before by more than chance allows. {}",
                       jumped ? "It jumped" : "It drifts", lower ? "down" : "up",
                       lower ? "lower" : "higher", remedyFor(quantity, kind, lower));
}

TwinDifference twinDifference(const RepeatedValue& first, const RepeatedValue& second) {
    TwinDifference out;
    out.difference = second.value - first.value;
    out.u = std::hypot(first.u, second.u);
    out.real = std::abs(out.difference) > kitchen::kTwoSided95 * out.u;
    return out;
}

} // namespace dynamet::rating
