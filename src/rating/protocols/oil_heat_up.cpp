// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/oil_heat_up.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/protocols/heating_power.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kBatches = 8;

Series window(const OilHeatUp& t) {
    const Series all = blockMeans(between(t.oil, -1e300, 1e300), 400).means;
    Series out;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all.value[i] >= t.fromK && all.value[i] <= t.toK &&
            all.timeS[i] >= all.timeS.front() + t.lagS) {
            out.timeS.push_back(all.timeS[i]);
            out.value.push_back(all.value[i]);
        }
    return out;
}

double capacity(const OilHeatUp& t, double kelvin) {
    return t.oilKg * oilSpecificHeat(kelvin) + t.potJ_K;
}

Result<Derived> evaluate(const OilHeatUp& t, std::size_t without) {
    const Series part = window(t);
    const double power = heatingPower(
        part, {[&](double kelvin) { return capacity(t, kelvin); }, t.lossW_K, t.ambientK}, kBatches,
        without);
    Derived out{power, capacity(t, 453.15)};
    if (t.energyJ)
        out.push_back(power * (t.oil.timeS.back() - t.oil.timeS.front()) / *t.energyJ);
    return out;
}

std::vector<Influence<OilHeatUp>> inputs(const OilHeatUp& test) {
    std::vector<Influence<OilHeatUp>> out{
        scaled("mass of oil", &OilHeatUp::oilKg, &OilHeatUp::uOilKg),
        // The oil's heat scales with its mass here, so that one is moved for the other.
        scaled("heat capacity of oil", &OilHeatUp::oilKg, &OilHeatUp::uSpecificHeat),
        influenceOf("heat of the fryer", &OilHeatUp::potJ_K, &OilHeatUp::uPotJ_K),
        influenceOf("heat lost to the room", &OilHeatUp::lossW_K, &OilHeatUp::uLossW_K),
        gained("thermometer", &OilHeatUp::oil, &OilHeatUp::uGain)};
    if (test.energyJ)
        out.push_back(scaled("meter", &OilHeatUp::energyJ, &OilHeatUp::uEnergy));
    return out;
}

} // namespace

double oilSpecificHeat(double kelvin) {
    return 1870 + 3.4 * (kelvin - kZeroCelsiusK);
}

Result<Reduction> reduceOilHeatUp(const OilHeatUp& test) {
    if (!(test.oilKg > 0))
        return fail(Errc::invalidArgument, Finding{"no_oil_mass"});
    if (const auto ok = checkReadings(test.oil, "the oil", 60, 270, 540); !ok)
        return tl::unexpected(ok.error());
    const Series part = window(test);
    if (part.size() < 3 * kBatches || part.value.back() < test.toK - 15)
        return fail(Errc::refused,
                    {"oil_window_not_passed",
                     {Temperature::kelvin(test.fromK), Temperature::kelvin(test.toK)}});
    const auto spread = spreadOf(test, inputs(test), kBatches, 1, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "oil-heat-up";
    std::vector<QuantityName> names{{"net_power_W", "W"}, {"capacity_J_K", "J/K"}};
    if (test.energyJ)
        names.push_back({"efficiency", "1"});
    addQuantities(out, *spread, names);
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, *spread, 0, {kitchen::Face::all, kitchen::Term::power}, placed);
    const Quantity& q = out.quantities.front();
    std::vector<double> model;
    double k = part.value.front();
    for (std::size_t i = 0; i < part.size(); ++i) {
        if (i > 0)
            k += (part.timeS[i] - part.timeS[i - 1]) *
                 (q.value - test.lossW_K * (k - test.ambientK)) / capacity(test, k);
        model.push_back(k);
    }
    addFit(out, part, model);
    out.found.push_back({"oil_heat_up", {estimateOf(q)}});
    return out;
}

} // namespace dynamet::rating
