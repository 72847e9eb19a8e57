// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/boil_off.h"

#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/uncertainty/propagate.h"

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

Result<Reduction> reduceBoilOff(const BoilOff& test) {
    if (test.seconds < kLeastS)
        return fail(Errc::refused, "boil for at least ten minutes");
    if (!(test.startKg > test.endKg) || test.endKg <= 0)
        return fail(Errc::refused, "the pot must weigh less after than before, and not be empty");
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
