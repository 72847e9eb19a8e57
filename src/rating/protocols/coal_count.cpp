// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/coal_count.h"

#include "numeric/linear_fit.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr double kLeastShareApart = 0.08, kUsualAgeS = 1200;

/// How strongly a run's coals burn against ones of the usual age.
double ageFactor(const CoalCount& t, std::size_t i) {
    if (t.ageS.size() != t.insideK.size())
        return 1;
    return heatW(t.fuel, t.ageS[i], t.air) / heatW(t.fuel, kUsualAgeS, t.air);
}

bool sharesDiffer(const CoalCount& t) {
    double low = 1, high = 0;
    for (std::size_t i = 0; i < t.insideK.size(); ++i) {
        const double share = t.lid[i] / std::max(t.lid[i] + t.under[i], 1.0);
        low = std::min(low, share);
        high = std::max(high, share);
    }
    return high - low >= kLeastShareApart;
}

Result<coals::OvenHeat> worth(const CoalCount& t) {
    const bool apart = sharesDiffer(t);
    std::vector<LinearRow> rows;
    for (std::size_t i = 0; i < t.insideK.size(); ++i) {
        const double f = ageFactor(t, i);
        LinearRow row{{f * t.under[i], f * t.lid[i]}, t.insideK[i] - t.ambientK, 1};
        if (!apart)
            row.coefficients = {f * (t.under[i] + t.lid[i])};
        rows.push_back(row);
    }
    const auto x = solveLinear(rows);
    if (!x)
        return tl::unexpected(x.error());
    return apart ? coals::OvenHeat{(*x)[0], (*x)[1]} : coals::OvenHeat{(*x)[0], (*x)[0]};
}

Result<Derived> evaluate(const CoalCount& t, std::size_t) {
    const auto heat = worth(t);
    if (!heat)
        return tl::unexpected(heat.error());
    const double inside = coals::insideK(*heat, t.fieldUnder, t.fieldLid, t.ambientK);
    Derived out{heat->perUnderK, heat->perLidK, inside};
    if (t.ironKg > 0 && t.halfS > 0) {
        const double loss = t.ironKg * t.ironSpecificHeat * std::log(2.0) / t.halfS;
        const double each = loss * (heat->perUnderK + heat->perLidK) / 2;
        out.push_back(loss);
        out.push_back(each);
        out.push_back(each / heatW(t.fuel, kUsualAgeS, t.air));
    }
    return out;
}

std::vector<Influence<CoalCount>> inputs(const CoalCount& test) {
    std::vector<Influence<CoalCount>> out{
        {"probe's bias",
         [](CoalCount& t, double s) {
             for (double& k : t.insideK)
                 k += s * t.uBiasK;
         }},
        influenceOf("air around", &CoalCount::ambientK, &CoalCount::uAmbientK),
        scaled("weight and heat of the iron", &CoalCount::ironKg, &CoalCount::uIron),
        scaled("time of cooling", &CoalCount::halfS, &CoalCount::uHalf),
        {"weight of a coal", [](CoalCount& t, double s) { t.fuel.pieceKg *= 1 + s * t.uFuel; }}};
    // Each reading by itself: one coal more or less near the probe.
    for (std::size_t i = 0; i < test.insideK.size(); ++i)
        out.push_back({i == 0 ? "each reading" : "",
                       [i](CoalCount& t, double s) { t.insideK[i] += s * t.uReadingK; }});
    return out;
}

/// Contributions of the single readings as one.
void mergeReadings(Reduction& out) {
    double squares = 0;
    std::vector<Contribution> kept;
    for (const Contribution& c : out.contributions)
        if (c.name.empty() || c.name == "each reading")
            squares += c.u * c.u;
        else
            kept.push_back(c);
    kept.push_back({"each reading", std::sqrt(squares)});
    out.contributions = kept;
}

Result<void> checkRuns(const CoalCount& t) {
    if (t.insideK.size() < 2 || t.under.size() != t.insideK.size() ||
        t.lid.size() != t.insideK.size())
        return fail(Errc::refused, Finding{"coal_runs_incomplete",
                                           {Number{static_cast<double>(t.under.size())},
                                            Number{static_cast<double>(t.lid.size())},
                                            Number{static_cast<double>(t.insideK.size())}}});
    for (std::size_t i = 0; i < t.insideK.size(); ++i)
        if (t.insideK[i] < t.ambientK || t.insideK[i] > 700)
            return fail(Errc::refused,
                        {"run_cannot_be",
                         {Number{static_cast<double>(i + 1)}, Temperature::kelvin(t.insideK[i])}});
    return {};
}

} // namespace

Result<Reduction> reduceCoalCount(const CoalCount& given) {
    if (const auto ok = checkRuns(given); !ok)
        return tl::unexpected(ok.error());
    CoalCount test = given;
    if (test.fieldUnder + test.fieldLid == 0) {
        test.fieldUnder = static_cast<int>(test.under.back());
        test.fieldLid = static_cast<int>(test.lid.back());
    }
    const auto spread = spreadOf(test, inputs(test), 0, 0, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "coal-count";
    std::vector<QuantityName> names{{"per_under_K", "K"}, {"per_lid_K", "K"}, {"inside_K", "K"}};
    if (spread->value.size() > 3) {
        names.push_back({"loss_W_K", "W/K"});
        names.push_back({"per_coal_W", "W"});
        names.push_back({"fuel_share", "1"});
    }
    addQuantities(out, *spread, names);
    mergeReadings(out);
    using kitchen::Face, kitchen::Term;
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, *spread, 2, {Face::all, Term::air}, placed);
    addFieldNumber(out, *spread, 2, {Face::all, Term::radiant}, placed);
    if (spread->value.size() > 3)
        addFieldNumber(out, *spread, 3, {Face::all, Term::loss}, placed);
    const auto heat = *worth(test);
    for (std::size_t i = 0; i < test.insideK.size(); ++i) {
        const double at = static_cast<double>(i);
        out.fit.timeS.push_back(at);
        out.fit.value.push_back(coals::insideK(heat, static_cast<int>(test.under[i]),
                                               static_cast<int>(test.lid[i]), test.ambientK,
                                               ageFactor(test, i)));
        out.residuals.timeS.push_back(at);
        out.residuals.value.push_back(test.insideK[i] - out.fit.value.back());
    }
    const Quantity &u = out.quantities[0], &l = out.quantities[1];
    out.found.push_back(sharesDiffer(test) ? Finding{"coal_count", {estimateOf(u), estimateOf(l)}}
                                           : Finding{"coal_count_alike", {estimateOf(u)}});
    if (!sharesDiffer(test))
        out.warnings.push_back({"one_share"});
    return out;
}

} // namespace dynamet::rating
