// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/water_heat_up.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "trace/series.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kBatches = 8;
/// Fewer readings than this were typed by hand.
constexpr std::size_t kLogged = 3 * kBatches, kFewest = 4;
constexpr double kTypedLagS = 60;

/// First time at which the running straight line through a few readings passes a temperature.
std::optional<double> passes(const Series& s, double kelvin) {
    for (std::size_t i = 1; i < s.size(); ++i)
        if (s.value[i - 1] < kelvin && s.value[i] >= kelvin) {
            const double share = (kelvin - s.value[i - 1]) / (s.value[i] - s.value[i - 1]);
            return std::lerp(s.timeS[i - 1], s.timeS[i], share);
        }
    return std::nullopt;
}

double capacityAt(const WaterHeatUp& test, double kelvin) {
    return test.waterKg * waterSpecificHeat(Temperature::kelvin(kelvin)) +
           test.potKg * test.potSpecificHeat;
}

/// Net power over one stretch: heat stored + heat lost to the room. Evaporation comes on top.
double powerOver(const WaterHeatUp& test, const Series& part) {
    const Line line = fitLine(part.timeS, part.value);
    const double middle = mean(part.value);
    return capacityAt(test, middle) * line.slope + test.lossW_K * (middle - test.ambientK);
}

struct Window {
    Series readings;
    double seconds = 0;
    double riseK = 0, topK = 0;
    bool typed = false;
    double evaporatedShare = 1; ///< of the weighed loss that falls into the window
};

/// Evaporation goes with the vapour pressure, so that most of the weighed loss is at the hot end.
double shareOfEvaporation(const WaterHeatUp& test, const Series& inside) {
    const auto sum = [](const Series& s) {
        double total = 0;
        for (std::size_t i = 1; i < s.size(); ++i)
            total += (s.timeS[i] - s.timeS[i - 1]) *
                     saturationPressurePa(Temperature::kelvin((s.value[i] + s.value[i - 1]) / 2));
        return total;
    };
    const double all = sum(between(test.water, -1e300, 1e300));
    return all > 0 ? std::min(1.0, sum(inside) / all) : 0;
}

Result<Window> findWindow(const WaterHeatUp& test) {
    const double boiling = boilingPoint(test.pressurePa).kelvin();
    if (test.toK > boiling - 5)
        return fail(Errc::refused,
                    {"window_at_boil", {Temperature::kelvin(boiling), KelvinDelta(5)}});
    const BlockMeans blocks = blockMeans(between(test.water, -1e300, 1e300), 400);
    const auto from = passes(blocks.means, test.fromK), to = passes(blocks.means, test.toK);
    if (!from || !to)
        return fail(Errc::refused,
                    {"water_window_not_passed",
                     {Temperature::kelvin(test.fromK), Temperature::kelvin(test.toK)}});
    Window out;
    const double start = std::max(*from, blocks.means.timeS.front() + test.hobLagS);
    out.readings = between(blocks.means, start, *to);
    out.seconds = *to - start;
    out.topK = test.toK;
    out.riseK = test.toK - valueAt(blocks.means, start);
    if (out.readings.size() < kLogged)
        return fail(Errc::refused,
                    {"window_too_thin",
                     {Number{static_cast<double>(out.readings.size())},
                      Temperature::kelvin(test.fromK), Temperature::kelvin(test.toK)}});
    out.evaporatedShare = shareOfEvaporation(test, out.readings);
    return out;
}

/// Of readings typed by hand: all after the hob's lag that are well below the boil.
Result<Window> typedWindow(const WaterHeatUp& test) {
    const double boiling = boilingPoint(test.pressurePa).kelvin();
    Window out;
    for (std::size_t i = 0; i < test.water.size(); ++i)
        if (test.water.value[i] < boiling - 5 &&
            test.water.timeS[i] >= test.water.timeS.front() + kTypedLagS) {
            out.readings.timeS.push_back(test.water.timeS[i]);
            out.readings.value.push_back(test.water.value[i]);
        }
    if (out.readings.size() < kFewest)
        return fail(Errc::refused, Finding{"too_few_typed",
                                           {Number{static_cast<double>(out.readings.size())},
                                            Number{static_cast<double>(kFewest)}}});
    for (std::size_t i = 1; i < out.readings.size(); ++i)
        if (out.readings.value[i] <= out.readings.value[i - 1])
            return fail(Errc::refused, Finding{"water_did_not_rise"});
    out.seconds = out.readings.timeS.back() - out.readings.timeS.front();
    out.typed = true;
    out.topK = out.readings.value.back();
    out.riseK = out.topK - out.readings.value.front();
    out.evaporatedShare = shareOfEvaporation(test, out.readings);
    return out;
}

/// Temperature course under the mean power, for drawing and residuals.
void addFit(Reduction& out, const WaterHeatUp& test, const Window& window, double storedAndLost) {
    double t = window.readings.value.front();
    for (std::size_t i = 0; i < window.readings.size(); ++i) {
        if (i > 0) {
            const double dt = window.readings.timeS[i] - window.readings.timeS[i - 1];
            t += dt * (storedAndLost - test.lossW_K * (t - test.ambientK)) / capacityAt(test, t);
        }
        out.fit.timeS.push_back(window.readings.timeS[i]);
        out.fit.value.push_back(t);
        out.residuals.timeS.push_back(window.readings.timeS[i]);
        out.residuals.value.push_back(window.readings.value[i] - t);
    }
}

void addEfficiency(Reduction& out, const WaterHeatUp& test, double seconds) {
    const Quantity power = out.quantities.front();
    double input = 0;
    if (test.energyJ)
        input = *test.energyJ / seconds;
    else if (test.inputW)
        input = *test.inputW;
    if (!(input > 0))
        return;
    const double efficiency = power.value / input;
    const double relative = std::hypot(power.uTypeB / power.value, test.uEnergy);
    out.quantities.push_back(makeQuantity("efficiency", efficiency, "1",
                                          efficiency * power.uTypeA / power.value, kBatches - 1.0,
                                          efficiency * relative));
    if (efficiency > 0.97)
        out.warnings.push_back({"efficiency_too_high"});
}

struct Slope {
    double value = 0; ///< K/s
    double u = 0;
    double dof = 0;
};

/// The line through readings by eye and clock: each is good to half a kelvin and two seconds (from
/// memory); what scatters more than that counts as it scatters.
Slope handSlope(const Series& readings) {
    constexpr double kReadK = 0.5, kClockS = 2, kKnownBefore = 50;
    const Line line = fitLine(readings.timeS, readings.value);
    const double middle = mean(readings.timeS), n = static_cast<double>(readings.size());
    double across = 0, residual = 0;
    for (std::size_t i = 0; i < readings.size(); ++i) {
        across += (readings.timeS[i] - middle) * (readings.timeS[i] - middle);
        const double off = readings.value[i] - line.intercept - line.slope * readings.timeS[i];
        residual += off * off;
    }
    const double known = std::hypot(kReadK, kClockS * line.slope);
    const double seen = std::sqrt(residual / (n - 2));
    return {line.slope, std::max(known, seen) / std::sqrt(across),
            seen > known ? n - 2 : kKnownBefore};
}

std::vector<double> batchPowers(const WaterHeatUp& test, const Series& readings) {
    std::vector<double> batches;
    const std::size_t per = readings.size() / kBatches;
    for (std::size_t b = 0; b < kBatches; ++b) {
        Series part;
        for (std::size_t i = b * per; i < (b + 1) * per; ++i) {
            part.timeS.push_back(readings.timeS[i]);
            part.value.push_back(readings.value[i]);
        }
        batches.push_back(powerOver(test, part));
    }
    return batches;
}

/// How fast the water rose: of a log end to end with the scatter of its batches, of typed readings
/// by a line.
Slope slopeOf(const WaterHeatUp& test, const Window& window, double capacity) {
    if (window.typed)
        return handSlope(window.readings);
    const std::vector<double> batches = batchPowers(test, window.readings);
    return {window.riseK / window.seconds,
            standardDeviation(batches) / std::sqrt(double(kBatches)) / capacity, kBatches - 1.0};
}

} // namespace

Result<Reduction> reduceWaterHeatUp(const WaterHeatUp& test) {
    if (!(test.waterKg > 0))
        return fail(Errc::invalidArgument, Finding{"no_water_mass"});
    if (const auto ok = checkReadings(test.water, "the water", kFewest, 268, 378); !ok)
        return tl::unexpected(ok.error());
    const auto window = test.water.size() < kLogged ? typedWindow(test) : findWindow(test);
    if (!window)
        return tl::unexpected(window.error());
    const double middle = window->topK - window->riseK / 2;
    const double latent = latentHeatJPerKg(Temperature::kelvin(middle + 10));
    const Slope rise = slopeOf(test, *window, capacityAt(test, middle));
    const double slope = rise.value;
    const double meanK = mean(window->readings.value);
    const double stored = capacityAt(test, middle) * slope;
    const double lost = test.lossW_K * (meanK - test.ambientK);
    const double steam = test.evaporatedKg * window->evaporatedShare * latent / window->seconds;
    const double power = stored + lost + steam;
    const double waterPart = test.waterKg * waterSpecificHeat(Temperature::kelvin(middle)) * slope;
    Reduction out;
    out.protocol = "water-heat-up";
    out.contributions = {
        {window->typed ? "read by hand" : "batches of readings", rise.u * capacityAt(test, middle)},
        {"thermometer", test.uGain * stored},
        {"mass of water", test.uWaterKg * waterPart},
        {"pot", test.uPotHeat * (stored - waterPart)},
        {"heat lost to the room", test.uLossW_K * (meanK - test.ambientK)},
        {"evaporation",
         test.lid && test.evaporatedKg == 0
             ? 0.3 * test.uEvaporatedKg * latent / window->seconds
             : test.uEvaporatedKg * window->evaporatedShare * latent / window->seconds}};
    double typeB = 0;
    for (std::size_t i = 1; i < out.contributions.size(); ++i)
        typeB = std::hypot(typeB, out.contributions[i].u);
    out.quantities.push_back(
        makeQuantity("net_power_W", power, "W", out.contributions[0].u, rise.dof, typeB));
    addFit(out, test, *window, stored + lost);
    addEfficiency(out, test, window->seconds);
    if (!test.lid && test.evaporatedKg == 0)
        out.warnings.push_back({"steam_not_weighed"});
    const Quantity& q = out.quantities.front();
    const Quantity* efficiency = find(out, "efficiency");
    fillCovariance(
        out, {{q.name, "efficiency", efficiency ? q.u * q.u * efficiency->value / q.value : 0}});
    out.found.push_back({"water_heat_up", {estimateOf(q)}});
    out.fieldNumbers.push_back({{kitchen::Face::all, kitchen::Term::power},
                                q.value,
                                q.u,
                                kitchen::Provenance::measured,
                                "",
                                "measured"});
    return out;
}

} // namespace dynamet::rating
