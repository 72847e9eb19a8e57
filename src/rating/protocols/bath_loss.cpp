// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/bath_loss.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/protocols/heating_power.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kBatches = 8;
constexpr double kSwitchS = 90; ///< left out after each switch: the element's own heat
constexpr double kMaxRiseK = 40, kMaxTimeS = 3600;

double capacity(const BathLoss& t, double kelvin) {
    return t.waterKg * waterSpecificHeat(Temperature::kelvin(kelvin)) + t.bodyJ_K;
}

Result<Derived> evaluate(const BathLoss& t, std::size_t without) {
    const Series all = between(t.water, -1e300, 1e300);
    const double off = all.timeS.front() + t.heaterOffS;
    const Series heating = between(all, all.timeS.front() + kSwitchS, off);
    const Series cooling = leaveOut(between(all, off + kSwitchS, 1e300), kBatches, without);
    if (heating.size() < 24 || cooling.size() < 24)
        return fail(Errc::refused, Finding{"bath_too_short"});
    Series logs = cooling;
    for (double& v : logs.value) {
        if (v <= t.ambientK + 1)
            return fail(Errc::refused, Finding{"water_not_warmer"});
        v = std::log(v - t.ambientK);
    }
    const double loss = -fitLine(logs.timeS, logs.value).slope * capacity(t, mean(cooling.value));
    const double power = heatingPower(
        heating, {[&](double kelvin) { return capacity(t, kelvin); }, loss, t.ambientK}, kBatches,
        without);
    const double hours = (all.timeS.back() - all.timeS.front()) / 3600;
    const double most = (power - loss * (313.15 - t.ambientK)) * kMaxTimeS / (4180 * kMaxRiseK);
    Derived out{power, loss, t.evaporatedKg / hours, most};
    if (t.energyJ)
        out.push_back(power * t.heaterOffS / *t.energyJ);
    return out;
}

std::vector<Influence<BathLoss>> inputs(const BathLoss& test) {
    std::vector<Influence<BathLoss>> out{
        scaled("mass of water", &BathLoss::waterKg, &BathLoss::uWaterKg),
        influenceOf("heat of the container", &BathLoss::bodyJ_K, &BathLoss::uBodyJ_K),
        influenceOf("room", &BathLoss::ambientK, &BathLoss::uAmbientK),
        biased("thermometer's bias", &BathLoss::water, &BathLoss::uBiasK),
        gained("thermometer's gain", &BathLoss::water, &BathLoss::uGain),
        influenceOf("evaporation", &BathLoss::evaporatedKg, &BathLoss::uEvaporatedKg)};
    if (test.energyJ)
        out.push_back(scaled("meter", &BathLoss::energyJ, &BathLoss::uEnergy));
    return out;
}

} // namespace

Result<Reduction> reduceBathLoss(const BathLoss& test) {
    if (!(test.waterKg > 0))
        return fail(Errc::invalidArgument, Finding{"no_water_mass"});
    if (const auto ok = checkReadings(test.water, "the water", 60, 268, 375); !ok)
        return tl::unexpected(ok.error());
    const Series all = between(test.water, -1e300, 1e300);
    const double off = all.timeS.front() + test.heaterOffS;
    if (test.heaterOffS <= 0 || off >= all.timeS.back())
        return fail(Errc::invalidArgument, Finding{"heater_off_unknown"});
    const double top = valueAt(all, off), rise = top - all.value.front(),
                 fell = top - all.value.back();
    if (rise < 10 || fell < 2)
        return fail(Errc::refused,
                    {"bath_moved_too_little",
                     {KelvinDelta(rise), KelvinDelta(fell), KelvinDelta(10), KelvinDelta(2)}});
    const auto spread = spreadOf(test, inputs(test), kBatches, 2, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "bath-loss";
    std::vector<QuantityName> names{{"net_power_W", "W"},
                                    {"loss_W_K", "W/K"},
                                    {"evaporation_kg_h", "kg/h"},
                                    {"largest_kg", "kg"}};
    if (test.energyJ)
        names.push_back({"efficiency", "1"});
    addQuantities(out, *spread, names);
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, *spread, 0, {kitchen::Face::all, kitchen::Term::power}, placed);
    addFieldNumber(out, *spread, 1, {kitchen::Face::all, kitchen::Term::loss}, placed);
    const Quantity &p = out.quantities[0], &l = out.quantities[1];
    out.found.push_back(
        {"bath_loss", {estimateOf(p), Name{test.lid ? "under" : "without"}, estimateOf(l)}});
    out.warnings.push_back({"largest_bath", {Temperature::celsius(20), Temperature::celsius(60)}});
    return out;
}

} // namespace dynamet::rating
