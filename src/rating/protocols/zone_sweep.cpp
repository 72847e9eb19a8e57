// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/zone_sweep.h"

#include "rating/protocols/zone_log.h"

#include "numeric/least_squares.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/protocols/probe_split.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr double kLeastWaitS = 600, kGoodWaitS = 1500;
/// How far air and radiant temperature of a zone may lie apart when one probe gives their mean
/// (definitions §1: the operative temperature; a 4 mm probe beside hot metal reads tens of K off).
constexpr double kSplitK = 25;

/// −2 ln Φ((T − L)/u) is what a reading at its limit adds to the sum of squares.
double censoredResidual(double estimate, double limit, double u) {
    const double phi = std::max(normalCdf((estimate - limit) / u), 1e-300);
    return std::sqrt(std::max(0.0, -2 * std::log(phi)));
}

struct Split {
    std::vector<double> measured;
    std::size_t censored = 0;
};

Result<Fit> fitOperative(const Split& split, const ZoneSweep& test, double spread) {
    const double start = split.measured.empty() ? test.limitK + 10 : mean(split.measured);
    const FitParameter operative{"the zone's temperature", start, 250, 1300};
    const std::size_t count = split.measured.size() + split.censored;
    return fitLeastSquares(std::span(&operative, 1), count,
                           [&](std::span<const double> p, std::span<double> r) {
                               std::size_t at = 0;
                               for (double reading : split.measured)
                                   r[at++] = (reading - p[0]) / spread;
                               for (std::size_t i = 0; i < split.censored; ++i)
                                   r[at++] = censoredResidual(p[0], test.limitK, spread);
                               return true;
                           });
}

void addDial(Reduction& out, const ZoneSweep& test, const Quantity& zone) {
    if (test.dialK.empty() || zone.bound != Bound::none)
        return;
    const double dial = mean(test.dialK);
    const double spread = test.dialK.size() > 1
                              ? standardDeviation(test.dialK) / std::sqrt(double(test.dialK.size()))
                              : 3.0;
    out.quantities.push_back(
        makeQuantity("dial_bias_K", dial - zone.value, "K", std::hypot(spread, zone.uTypeA),
                     std::max(1.0, double(test.dialK.size()) - 1), zone.uTypeB));
}

Reduction lowerBound(const ZoneSweep& test, double leastK, std::size_t censored) {
    Reduction out;
    out.protocol = "zone-sweep";
    Quantity q = makeQuantity("operative_K", leastK, "K", test.accuracyK, 1e9, test.placementK);
    q.bound = Bound::lower;
    out.quantities.push_back(q);
    if (test.logs.empty())
        out.found.push_back({"zone_at_least",
                             {Temperature::kelvin(leastK), Number{static_cast<double>(censored)}}});
    else
        out.found.push_back(
            {"zone_log_at_least", {Temperature::kelvin(leastK), Temperature::kelvin(test.limitK)}});
    out.warnings.push_back({"all_at_limit"});
    fillCovariance(out);
    return out;
}

/// Air and walls, each known worse than their mean: one above it puts the other below.
void addFieldNumbers(Reduction& out, const Quantity& q) {
    using kitchen::Face, kitchen::Term;
    const double uEach = std::hypot(q.u, kSplitK / 2);
    out.fieldNumbers = {
        {{Face::all, Term::air}, q.value, uEach, kitchen::Provenance::measured, "", "measured"},
        {{Face::all, Term::radiant},
         q.value,
         uEach,
         kitchen::Provenance::measured,
         "",
         "measured"}};
    const double covariance = q.u * q.u - kSplitK * kSplitK / 4;
    out.fieldCovariances.push_back(
        {{Face::all, Term::air}, {Face::all, Term::radiant}, covariance});
}

/// Replaces the guess about air and walls by what two probes tell.
Result<void> addSplit(Reduction& out, const ZoneSweep& test, const std::vector<double>& thin) {
    ProbePair pair;
    pair.thinK = mean(thin);
    pair.thickK = mean(test.thickK);
    pair.thinM = test.thinM;
    pair.thickM = test.thickM;
    const double n = static_cast<double>(std::min(thin.size(), test.thickK.size()));
    pair.uEachK =
        std::hypot(test.accuracyK, std::hypot(standardDeviation(thin), 1.0) / std::sqrt(n));
    const auto split = splitProbes(pair);
    if (!split)
        return tl::unexpected(split.error());
    out.quantities.push_back(
        makeQuantity("air_K", split->value[0], "K", 0, 1e9, std::sqrt(split->cov(0, 0))));
    out.quantities.push_back(
        makeQuantity("radiant_K", split->value[1], "K", 0, 1e9, std::sqrt(split->cov(1, 1))));
    out.fieldNumbers.clear();
    out.fieldCovariances.clear();
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, *split, 0, {kitchen::Face::all, kitchen::Term::air}, placed);
    addFieldNumber(out, *split, 1, {kitchen::Face::all, kitchen::Term::radiant}, placed);
    fillCovariance(out, {{"air_K", "radiant_K", split->cov(0, 1)}});
    return {};
}

} // namespace

Result<Reduction> reduceZoneSweep(const ZoneSweep& given) {
    std::vector<Finding> warnings;
    const auto read = readingsFromLogs(given, warnings);
    if (!read)
        return tl::unexpected(read.error());
    const ZoneSweep& test = *read;
    Series readings;
    for (std::size_t i = 0; i < test.readingsK.size(); ++i) {
        readings.timeS.push_back(static_cast<double>(i));
        readings.value.push_back(test.readingsK[i]);
    }
    if (const auto ok = checkReadings(readings, "the zone", 1, 250, 1300); !ok)
        return tl::unexpected(ok.error());
    if (test.settledForS < kLeastWaitS)
        return fail(Errc::refused, Finding{"read_too_soon", {Seconds{test.settledForS}}});
    Split split;
    for (double reading : test.readingsK)
        if (reading >= test.limitK - 0.5)
            ++split.censored;
        else
            split.measured.push_back(reading);
    if (split.measured.empty())
        return lowerBound(test, test.limitK, split.censored);
    if (test.someAtLimit)
        return lowerBound(test, mean(split.measured), split.censored);
    const double scatter = standardDeviation(split.measured);
    const double spread = std::max({scatter, test.placementK, 0.5});
    const auto fit = fitOperative(split, test, spread);
    if (!fit)
        return tl::unexpected(fit.error());
    const double typeA = std::sqrt(fit->cov(0, 0));
    Reduction out;
    out.protocol = "zone-sweep";
    const double drift = test.settledForS < kGoodWaitS ? 8 : 0;
    const double typeB = std::hypot(test.accuracyK, drift, test.levelK);
    // The scatter is placement, known beforehand; few readings do not make it smaller than that.
    Quantity q = makeQuantity(
        "operative_K", fit->parameters[0], "K", typeA,
        scatter > test.placementK ? std::max(1.0, double(split.measured.size()) - 1) : 50, typeB);
    out.quantities.push_back(q);
    addDial(out, test, q);
    out.contributions = {{"spot and scatter", typeA}, {"probe's bias", test.accuracyK}};
    if (test.levelK > 0)
        out.contributions.push_back({"settled level", test.levelK});
    out.warnings = warnings;
    if (drift > 0) {
        out.contributions.push_back({"read early", drift});
        out.warnings.push_back({"early", {Number{25, 0, "min"}}});
    }
    if (split.censored > 0)
        out.warnings.push_back({"censored",
                                {Number{static_cast<double>(split.censored)},
                                 Number{static_cast<double>(test.readingsK.size())}}});
    fillCovariance(out, {{q.name, "dial_bias_K", -q.u * q.u}});
    out.found.push_back({"zone_sweep", {pointOf(q)}});
    addFieldNumbers(out, q);
    if (!test.thickK.empty() && split.censored == 0) {
        if (const auto done = addSplit(out, test, split.measured); !done)
            return tl::unexpected(done.error());
    }
    return out;
}

} // namespace dynamet::rating
