// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/instrument_check.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

/// gain g and offset o: true = g × read + o (°C); the offset is stated at the reading of ice.
Result<Derived> evaluate(const InstrumentCheck& t, std::size_t) {
    const double boils = boilingPoint(t.pressurePa).kelvin();
    const double ice = mean(t.iceK), boil = mean(t.boilK);
    const double gain = (boils - kZeroCelsiusK) / (boil - ice);
    return Derived{kZeroCelsiusK - ice, gain, boils - boil, -gain * (ice - kZeroCelsiusK)};
}

std::vector<Influence<InstrumentCheck>> inputs() {
    return {
        {"the ice",
         [](InstrumentCheck& t, double s) { t.iceK.assign(1, mean(t.iceK) + s * t.uIceK); }},
        {"the boil",
         [](InstrumentCheck& t, double s) { t.boilK.assign(1, mean(t.boilK) + s * t.uBoilK); }},
        {"the barometer", [](InstrumentCheck& t, double s) { t.pressurePa += s * t.uPressurePa; }},
        {"last digit", [](InstrumentCheck& t, double s) {
             t.iceK.assign(1, mean(t.iceK) + s * t.resolutionK / std::sqrt(12.0));
         }}};
}

/// Time constant from the slope of the logarithm between 90 and 20 % of a step that has ended.
std::optional<double> responseOf(const Series& step) {
    const Series s = between(step, -1e300, 1e300);
    if (s.size() < 12)
        return std::nullopt;
    const double first = s.value.front();
    const double last =
        mean(between(s, s.timeS.back() - 0.1 * (s.timeS.back() - s.timeS.front()), 1e300).value);
    Series logs;
    for (std::size_t i = 0; i < s.size(); ++i) {
        const double left = (s.value[i] - last) / (first - last);
        if (left < 0.9 && left > 0.2) {
            logs.timeS.push_back(s.timeS[i]);
            logs.value.push_back(std::log(left));
        }
    }
    const double slope = logs.size() > 3 ? fitLine(logs.timeS, logs.value).slope : 0;
    return slope < 0 ? std::optional<double>(-1 / slope) : std::nullopt;
}

} // namespace

Result<kitchen::Calibration> calibrationFrom(const Reduction& check, const std::string& id,
                                             std::int64_t validFromMs) {
    const Quantity *gain = find(check, "gain"), *zero = find(check, "correction_K"),
                   *u = find(check, "u_corrected_K");
    if (!gain || !zero || !u)
        return fail(Errc::invalidArgument, Finding{"no_thermometer_check"});
    // In kelvins: gain × (T − 273.15) + zero + 273.15.
    const double offset = zero->value + kZeroCelsiusK * (1 - gain->value);
    return kitchen::Calibration{id, validFromMs, offset, gain->value, u->u};
}

Result<Reduction> reduceInstrumentCheck(const InstrumentCheck& test) {
    if (test.iceK.size() < 2 || test.boilK.size() < 2)
        return fail(Errc::refused, Finding{"check_too_few"});
    auto spread = spreadOf(test, inputs(), 0, 0, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    if (std::abs(spread->value[1] - 1) > 0.1)
        return fail(Errc::refused, Finding{"gain_cannot_be", {Number{spread->value[1], 2}}});
    const double n = static_cast<double>(std::min(test.iceK.size(), test.boilK.size()));
    const double scatter =
        std::hypot(standardDeviation(test.iceK), test.resolutionK / std::sqrt(12.0));
    addTypeA(*spread, 0, scatter / std::sqrt(static_cast<double>(test.iceK.size())),
             std::max(1.0, n - 1), "scatter of the readings");
    const double between2 = std::hypot(scatter, standardDeviation(test.boilK)) / std::sqrt(n);
    addTypeA(*spread, 1, between2 / 100, std::max(1.0, n - 1), "");
    addTypeA(*spread, 2, standardDeviation(test.boilK) / std::sqrt(n), std::max(1.0, n - 1), "");
    Reduction out;
    out.protocol = "instrument-check";
    addQuantities(out, *spread, {{"offset_ice_K", "K"}, {"gain", "1"}, {"offset_boil_K", "K"}});
    const double uBetween = std::max(out.quantities[0].u, out.quantities[2].u);
    out.quantities.push_back(makeQuantity("u_corrected_K", uBetween, "K", 0, 1e9, 0));
    out.quantities.push_back(
        makeQuantity("correction_K", spread->value[3], "K", 0, 1e9, std::sqrt(spread->cov(3, 3))));
    if (test.step)
        if (const auto tau = responseOf(*test.step))
            out.quantities.push_back(makeQuantity("response_s", *tau, "s", 0.1 * *tau, 1e9, 0));
    fillCovariance(out);
    const Quantity &ice = out.quantities[0], &boil = out.quantities[2];
    out.found.push_back({"instrument_check", {estimateOf(ice), estimateOf(boil)}});
    return out;
}

} // namespace dynamet::rating
