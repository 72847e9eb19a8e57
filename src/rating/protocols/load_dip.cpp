// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/load_dip.h"

#include "numeric/linear_fit.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/protocols/plate_loss.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace dynamet::rating {
namespace {

constexpr std::size_t kStretches = 48;
constexpr double kLeastDipK = 4, kBeforeS = 60, kLeastAfterS = 240, kSteadyWeight = 2;
constexpr double kStoneFromS = 120; ///< earlier, the moment of touching is not known well enough

/// The dip on an even grid from the moment the load went down: both temperatures with their
/// probes' lag taken off.
struct Course {
    double dipS = 0, plateBeforeK = 0, plateSlopeBefore = 0, loadBeforeK = 0;
    std::vector<double> atS, plateK, loadK; ///< at the ends of the stretches, first at the dip
};

double levelAt(const Series& s, double at, double lagS) {
    const Series near = between(s, at - 4, at + 4);
    if (near.size() < 3)
        return valueAt(s, at);
    const Line line = fitLine(near.timeS, near.value);
    return line.intercept + line.slope * (at + lagS);
}

/// The moment of touching as the load's probe shows it: its first rise, run back to the level it
/// came from.
Result<double> findDip(const Series& load) {
    const double first = load.timeS.front();
    const double start = mean(between(load, first, first + kBeforeS / 2).value);
    const double rise = *std::max_element(load.value.begin(), load.value.end()) - start;
    if (rise < 10)
        return fail(Errc::refused, Finding{"load_never_warmed"});
    Series early;
    for (std::size_t i = 0; i < load.size() && load.value[i] < start + 0.15 * rise; ++i)
        if (load.value[i] > start + 0.04 * rise) {
            early.timeS.push_back(load.timeS[i]);
            early.value.push_back(load.value[i]);
        }
    if (early.size() < 3)
        return fail(Errc::refused, Finding{"load_too_fast"});
    const Line line = fitLine(early.timeS, early.value);
    return (start - line.intercept) / line.slope;
}

Result<Course> courseOf(const LoadDip& t) {
    const Series plate = between(t.plate, -1e300, 1e300), load = between(t.load, -1e300, 1e300);
    const auto dip = findDip(load);
    if (!dip)
        return tl::unexpected(dip.error());
    Course out;
    out.dipS = *dip - t.loadLag;
    const Series before = between(plate, out.dipS - 2 * kBeforeS, out.dipS - 2);
    if (before.size() < 10 || before.timeS.back() - before.timeS.front() < kBeforeS / 2)
        return fail(Errc::refused, Finding{"load_too_soon"});
    out.plateBeforeK = mean(before.value);
    out.plateSlopeBefore = fitLine(before.timeS, before.value).slope;
    out.loadBeforeK = mean(between(load, load.timeS.front(), out.dipS).value);
    const double last = std::min(plate.timeS.back(), load.timeS.back()) - 5;
    if (last - out.dipS < kLeastAfterS)
        return fail(Errc::refused, Finding{"load_too_short"});
    const double lowest = *std::min_element(plate.value.begin(), plate.value.end());
    if (out.plateBeforeK - lowest < kLeastDipK)
        return fail(Errc::refused, {"dip_too_small", {KelvinDelta(out.plateBeforeK - lowest)}});
    for (std::size_t i = 0; i <= kStretches; ++i) {
        const double share = static_cast<double>(i) / kStretches;
        const double at = out.dipS + (last - out.dipS) * share * share; // finer where it is fast
        out.atS.push_back(at);
        out.plateK.push_back(i == 0 ? out.plateBeforeK : levelAt(plate, at, t.plateLag));
        out.loadK.push_back(i == 0 ? out.loadBeforeK : levelAt(load, at, t.loadLag));
    }
    return out;
}

/// Heat per touching area that the load holds above its start.
double held(const LoadDip& t, double fromK, double toK) {
    const double middle = (fromK + toK) / 2;
    const double c = t.specificHeat20 + t.specificHeatSlope * (middle - 293.15);
    return t.loadKg * c / t.loadAreaM2 * (toK - fromK);
}

/// Heat that has passed through the touching face up to each point, and integrals of temperatures.
struct Sums {
    std::vector<double> passed, plateExcess, difference;
};

Sums sumsOf(const LoadDip& t, const Course& c) {
    Sums out;
    const PlateLoss loss{t.ambientK, c.plateBeforeK, t.radiantShare};
    double top = 0, plate = 0, difference = 0;
    for (std::size_t i = 0; i < c.atS.size(); ++i) {
        if (i > 0) {
            const double dt = c.atS[i] - c.atS[i - 1];
            top += dt * t.topW_m2K * ((c.loadK[i] + c.loadK[i - 1]) / 2 - t.ambientK);
            plate +=
                dt / 2 * (losingExcess(loss, c.plateK[i]) + losingExcess(loss, c.plateK[i - 1]));
            difference +=
                dt * ((c.plateK[i] + c.plateK[i - 1]) / 2 - (c.loadK[i] + c.loadK[i - 1]) / 2);
        }
        out.passed.push_back(held(t, c.loadBeforeK, c.loadK[i]) + top);
        out.plateExcess.push_back(plate);
        out.difference.push_back(difference);
    }
    return out;
}

double contactOf(const Sums& s, std::size_t without) {
    double ab = 0, bb = 0;
    for (std::size_t i = 1; i < s.passed.size() / 2; ++i)
        if (i != without) {
            ab += s.passed[i] * s.difference[i];
            bb += s.difference[i] * s.difference[i];
        }
    return ab / bb;
}

Result<Derived> metal(const LoadDip& t, std::size_t without) {
    const auto c = courseOf(t);
    if (!c)
        return tl::unexpected(c.error());
    const Sums s = sumsOf(t, *c);
    // flux × t − loss × ∫(T − room) − capacity × ΔT = heat passed to the load
    std::vector<LinearRow> rows;
    const double span = c->atS.back() - c->atS.front();
    for (std::size_t i = 1; i < c->atS.size(); ++i)
        if (i != without + 1)
            rows.push_back(
                {{c->plateBeforeK - c->plateK[i], c->atS[i] - c->atS[0], -s.plateExcess[i]},
                 s.passed[i],
                 1});
    // Before the dip the burner just made good the loss.
    rows.push_back({{-c->plateSlopeBefore * span, span, -(c->plateBeforeK - t.ambientK) * span},
                    0,
                    kSteadyWeight});
    const auto x = solveLinear(rows);
    if (!x)
        return tl::unexpected(x.error());
    return Derived{(*x)[0], (*x)[1], (*x)[2], contactOf(s, without)};
}

Result<Derived> stone(const LoadDip& t, std::size_t without) {
    const auto c = courseOf(t);
    if (!c)
        return tl::unexpected(c.error());
    const Sums s = sumsOf(t, *c);
    // ΔT_surface(t) = ∫ q(τ) / (e √(π (t − τ))) dτ with q even within a stretch
    double ab = 0, aa = 0;
    for (std::size_t i = 2; i < c->atS.size(); ++i) {
        if (i == without || c->atS[i] - c->atS[0] < kStoneFromS)
            continue;
        double sum = 0;
        for (std::size_t j = 1; j <= i; ++j) {
            const double q = (s.passed[j] - s.passed[j - 1]) / (c->atS[j] - c->atS[j - 1]);
            sum +=
                2 * q * (std::sqrt(c->atS[i] - c->atS[j - 1]) - std::sqrt(c->atS[i] - c->atS[j]));
        }
        const double response = sum / std::sqrt(std::numbers::pi);
        ab += response * (c->plateBeforeK - c->plateK[i]);
        aa += response * response;
    }
    if (!(ab > 0))
        return fail(Errc::refused, Finding{"stone_did_not_cool"});
    return Derived{aa / ab / t.edge, contactOf(s, without)};
}

std::vector<Influence<LoadDip>> inputs() {
    return {scaled("weight and heat of the load", &LoadDip::loadKg, &LoadDip::uLoad),
            scaled("area of the load", &LoadDip::loadAreaM2, &LoadDip::uArea),
            influenceOf("heat from the load to the room", &LoadDip::topW_m2K, &LoadDip::uTopW_m2K),
            influenceOf("share of radiation in the loss", &LoadDip::radiantShare,
                        &LoadDip::uRadiantShare),
            influenceOf("stone around the load", &LoadDip::edge, &LoadDip::uEdge),
            influenceOf("plate probe's lag", &LoadDip::plateLag, &LoadDip::uLagS),
            influenceOf("load probe's lag", &LoadDip::loadLag, &LoadDip::uLagS),
            biased("plate probe's bias", &LoadDip::plate, &LoadDip::uBiasK)};
}

void finishMetal(Reduction& out, const Spread& spread) {
    using kitchen::Face, kitchen::Term;
    addQuantities(out, spread,
                  {{"plate_capacity_J_m2K", "J/m²K"},
                   {"plate_flux_W_m2", "W/m²"},
                   {"plate_loss_W_m2K", "W/m²K"},
                   {"contact_W_m2K", "W/m²K"}});
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, spread, 0, {Face::bottom, Term::plateHeatCapacity}, placed);
    addFieldNumber(out, spread, 1, {Face::bottom, Term::plateFlux}, placed);
    addFieldNumber(out, spread, 2, {Face::bottom, Term::plateLoss}, placed);
    const Quantity &c = out.quantities[0], &q = out.quantities[1];
    out.found.push_back({"load_dip", {Estimate{c.value, halfWidth95(c), "J"}, estimateOf(q)}});
}

void finishStone(Reduction& out, const Spread& spread) {
    addQuantities(out, spread, {{"effusivity_W_s05_m2K", "W s½/m²K"}, {"contact_W_m2K", "W/m²K"}});
    const Quantity& e = out.quantities[0];
    out.fieldNumbers.push_back({{kitchen::Face::bottom, kitchen::Term::effusivity},
                                e.value,
                                e.u,
                                kitchen::Provenance::measured,
                                "",
                                ""});
    out.found.push_back({"floor_dip", {estimateOf(e)}});
}

} // namespace

Result<Reduction> reduceLoadDip(const LoadDip& test) {
    if (!(test.loadKg > 0 && test.loadAreaM2 > 0))
        return fail(Errc::invalidArgument, Finding{"load_unmeasured"});
    for (const auto& [series, what] :
         {std::pair{&test.plate, "the plate"}, {&test.load, "the load"}})
        if (const auto ok = checkReadings(*series, what, 60, 250, 1300); !ok)
            return tl::unexpected(ok.error());
    const auto evaluate = test.stone ? stone : metal;
    const auto spread = spreadOf(test, inputs(), kStretches, test.stone ? 1 : 3, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "load-dip";
    if (test.stone)
        finishStone(out, *spread);
    else
        finishMetal(out, *spread);
    if (test.loadAreaM2 < 0.017)
        out.warnings.push_back({"small_load", {Metres{0.15}}});
    out.warnings.push_back({"contact"});
    return out;
}

} // namespace dynamet::rating
