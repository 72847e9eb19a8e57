// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/boil_off.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr double kLeastS = 60;

Result<Derived> evaluate(const BoilOff& t, std::size_t) {
    const Temperature boils = boilingPoint(t.pressurePa);
    const double steam = (t.startKg - t.endKg) * latentHeatJPerKg(boils) / t.seconds;
    const double power = steam + t.lossW_K * (boils.kelvin() - t.ambientK);
    Derived out{power, (t.startKg - t.endKg) / t.seconds * 3600};
    if (t.energyJ)
        out.push_back(power * t.seconds / *t.energyJ);
    return out;
}

/// A pot on a scale that logs: its weight at both ends of the longest stretch in which it fell
/// evenly, by a line, so that a single reading's splash counts little.
Result<BoilOff> fromLog(BoilOff t) {
    constexpr std::size_t kParts = 24, kFewest = 60;
    constexpr double kEven = 0.25;
    if (const auto ok = checkReadings(*t.pot, "the scale", kFewest, 0.01, 500); !ok)
        return tl::unexpected(ok.error());
    const BlockMeans parts = blockMeans(between(*t.pot, -1e300, 1e300), kParts + 1);
    const Series& s = parts.means;
    std::vector<double> rates;
    for (std::size_t i = 1; i < s.size(); ++i)
        rates.push_back((s.value[i - 1] - s.value[i]) / (s.timeS[i] - s.timeS[i - 1]));
    // Heating up nothing leaves; the usual rate is that of the faster half.
    std::vector<double> sorted = rates;
    std::sort(sorted.begin(), sorted.end());
    const double usual = sorted[sorted.size() * 3 / 4];
    std::size_t best = 0, bestFrom = 0, run = 0;
    for (std::size_t i = 0; i < rates.size(); ++i) {
        run = std::abs(rates[i] - usual) < kEven * usual ? run + 1 : 0;
        if (run > best) {
            best = run;
            bestFrom = i + 1 - run;
        }
    }
    if (!(usual > 0) || best < 4)
        return fail(Errc::refused, Finding{"boil_not_seen"});
    const Series boil = between(*t.pot, s.timeS[bestFrom], s.timeS[bestFrom + best]);
    const Line line = fitLine(boil.timeS, boil.value);
    const double from = boil.timeS.front(), to = boil.timeS.back();
    t.startKg = line.intercept + line.slope * from;
    t.endKg = line.intercept + line.slope * to;
    t.seconds = to - from;
    return t;
}

std::vector<Influence<BoilOff>> inputs(const BoilOff& test) {
    std::vector<Influence<BoilOff>> out{
        influenceOf("weighing before", &BoilOff::startKg, &BoilOff::uScaleKg),
        influenceOf("weighing after", &BoilOff::endKg, &BoilOff::uScaleKg),
        influenceOf("clock", &BoilOff::seconds, &BoilOff::uSeconds),
        influenceOf("heat lost to the room", &BoilOff::lossW_K, &BoilOff::uLossW_K),
        {"splashes",
         [](BoilOff& t, double s) { t.endKg += s * t.uSplash * (t.startKg - t.endKg); }}};
    if (test.energyJ)
        out.push_back(scaled("energy meter or fuel", &BoilOff::energyJ, &BoilOff::uEnergy));
    return out;
}

} // namespace

Result<Reduction> reduceBoilOff(const BoilOff& given) {
    const auto read = given.pot ? fromLog(given) : Result<BoilOff>(given);
    if (!read)
        return tl::unexpected(read.error());
    const BoilOff& test = *read;
    if (test.seconds < kLeastS)
        return fail(Errc::refused, Finding{"boiled_too_short"});
    if (!(test.startKg > test.endKg) || test.endKg <= 0)
        return fail(Errc::refused, Finding{"pot_not_lighter"});
    const auto spread = spreadOf(test, inputs(test), 0, 0, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "boil-off";
    std::vector<QuantityName> names{{"net_power_W", "W"}, {"evaporation_kg_h", "kg/h"}};
    if (test.energyJ)
        names.push_back({"efficiency", "1"});
    addQuantities(out, *spread, names);
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, *spread, 0, {kitchen::Face::all, kitchen::Term::power}, placed);
    const Quantity& q = out.quantities.front();
    if (q.u > 0.1 * q.value)
        out.warnings.push_back(
            {"little_lost", {Number{(test.startKg - test.endKg) * 1000, 0, "g"}}});
    out.found.push_back({"boil_off", {estimateOf(q)}});
    return out;
}

} // namespace dynamet::rating
