// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/block.h"

#include "numeric/least_squares.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/protocols/block_model.h"
#include "rating/uncertainty/propagate.h"
#include "trace/settled.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kMostPoints = 200;
constexpr double kReadingSdK =
    0.1; // scales the residuals; the batches say how much they really scatter
constexpr double kLeastSdK = 0.05;
constexpr std::size_t kBatches = 10;
constexpr double kWarnConstants = 1.2, kRefuseConstants = 0.6, kCyclingConstants = 2;

/// What a fit gives, in the order of the covariance: the quantities, then what the field needs.
enum Value : std::size_t { effective, total, convective, air, radiant, count };

struct Prepared {
    BlockModel model;
    std::vector<double> readings;
    std::optional<double> airMeanK;
};

Prepared prepare(const BlockTest& test) {
    const Series clean = between(test.block, -1e300, 1e300);
    const double span = clean.timeS.back() - clean.timeS.front();
    // The start is a parameter of its own, so that the minute of the door's dip can be left out.
    const double skip = std::min(test.skipS, span / 10);
    const Series points =
        blockMeans(between(clean, clean.timeS.front() + skip, 1e300), kMostPoints).means;
    Prepared out{{&test, points.timeS, {}, {}}, points.value, std::nullopt};
    if (test.air && test.air->size() > 8)
        out.airMeanK =
            setDrive(out.model, between(*test.air, -1e300, 1e300), test.airProbeLagS / 8);
    return out;
}

/// The Type B inputs of one fit.
struct Inputs {
    double radiantApartK = 0, emissivity = 0.9, heatFactor = 1, biasK = 0;
};

BlockModel::Parameters modelParameters(std::span<const double> p, const Inputs& in, double lagS) {
    return {p[0],          p[1],          p[2],    p.size() > 3 ? p[3] : lagS, in.radiantApartK,
            in.emissivity, in.heatFactor, in.biasK};
}

/// Air temperature, coefficient, start and, with an air log, its probe's lag (which the block's own
/// ripple tells); the Type B inputs held.
Result<Fit> fitHeld(const Prepared& data, const Inputs& in, std::span<const double> from) {
    const BlockTest& test = *data.model.test;
    std::vector<FitParameter> parameters{{"the air temperature", from[0], 260, 1300},
                                         {"the coefficient", from[1], 0.5, 400},
                                         {"the start", from[2], 250, 1300}};
    if (data.airMeanK)
        parameters.push_back({"the air probe's lag", from.size() > 3 ? from[3] : test.airProbeLagS,
                              0.0, 4 * test.airProbeLagS + 10,
                              Prior{test.airProbeLagS, test.uAirLag * test.airProbeLagS + 0.1}});
    return fitLeastSquares(
        parameters, data.readings.size(), [&](std::span<const double> p, std::span<double> r) {
            data.model.predict(modelParameters(p, in, test.airProbeLagS), r);
            for (std::size_t i = 0; i < data.readings.size(); ++i)
                r[i] = (data.readings[i] - r[i]) / kReadingSdK;
            return std::all_of(r.begin(), r.end(), [](double v) { return std::isfinite(v); });
        });
}

/// The best of several starts: temperature and coefficient trade off on a short log.
Result<Fit> fitFromScratch(const Prepared& data, const Inputs& in) {
    const double guess = data.airMeanK.value_or(data.readings.back() + 20);
    Result<Fit> best = fail(Errc::notConverged, Finding{"no_fit"});
    for (double h : {8.0, 40.0}) {
        const std::array<double, 3> from{guess, h, data.readings.front()};
        auto next = fitHeld(data, in, from);
        if (next && (!best || next->sumOfSquares < best->sumOfSquares))
            best = std::move(next);
    }
    return best;
}

/// The effective temperature is where the block would stay: air and walls weighted by their
/// coefficients, which is known far better than either.
Derived derive(const Fit& f, const Inputs& in) {
    const double t = f.parameters[0], h = f.parameters[1];
    const double walls = t + in.radiantApartK;
    const double stays = staysAtK(t, h, walls, in.emissivity);
    return {stays, h + radiativeCoefficient(in.emissivity, stays), h, t, walls};
}

Result<void> checkBefore(const BlockTest& test) {
    if (!(test.massKg > 0 && test.areaM2 > 0))
        return fail(Errc::invalidArgument, Finding{"block_unmeasured"});
    if (const auto ok = checkReadings(test.block, "the block", 20, 250, 1300); !ok)
        return ok;
    if (test.limitK)
        for (double v : test.block.value)
            if (v >= *test.limitK)
                return fail(Errc::refused, {"block_at_limit", {Temperature::kelvin(*test.limitK)}});
    return {};
}

struct Checked {
    double timeConstantS = 0;
    double constants = 0;
    double biot = 0;
};

Result<Checked> checkAfter(const BlockTest& test, const Prepared& data, const Fit& f) {
    const double teff = f.parameters[0];
    const double coefficient = f.parameters[1] + radiativeCoefficient(test.emissivity, teff);
    Checked out;
    const double c = test.specificHeat20 + test.specificHeatSlope * (teff - 293.15);
    out.timeConstantS = test.massKg * c / (test.areaM2 * coefficient);
    out.constants = (data.model.timeS.back() - data.model.timeS.front()) / out.timeConstantS;
    out.biot = coefficient * test.massKg / (test.density * test.areaM2) / test.conductivity;
    if (out.biot >= 0.1)
        return fail(Errc::refused, Finding{"biot_too_high", {Number{out.biot, 2}}});
    if (out.constants < kRefuseConstants)
        return fail(Errc::refused, Finding{"too_few_time_constants",
                                           {Number{out.constants, 1}, Seconds{out.timeConstantS},
                                            Seconds{kWarnConstants * out.timeConstantS}}});
    return out;
}

void addFieldNumbers(Reduction& out, const BlockTest& test, const Spread& spread) {
    using kitchen::Face, kitchen::Term;
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    if (test.inLiquid) {
        addFieldNumber(out, spread, air, {Face::all, Term::liquid}, placed);
        addFieldNumber(out, spread, convective, {Face::all, Term::hLiquid}, placed);
        return;
    }
    addFieldNumber(out, spread, air, {Face::all, Term::air}, placed);
    addFieldNumber(out, spread, radiant, {Face::all, Term::radiant}, placed);
    addFieldNumber(out, spread, convective, {Face::all, Term::hAir}, placed);
    scaleToFood(out, test);
}

void addWarnings(Reduction& out, const BlockTest& test, const Checked& checked, bool cycling) {
    if (checked.constants < kWarnConstants)
        out.warnings.push_back({"short",
                                {Number{checked.constants, 1},
                                 Number{kWarnConstants * checked.timeConstantS / 60, 0, "min"}}});
    if (cycling && !test.air && checked.constants < kCyclingConstants)
        out.warnings.push_back({"cycling"});
    if (checked.biot > 0.05)
        out.warnings.push_back({"biot", {Number{checked.biot, 2}}});
}

/// What each batch of readings pulls the fit by: (JᵀJ)⁻¹ J_bᵀ r_b. Residuals of a log hang
/// together, so that batches, not single readings, tell the scatter (cluster-robust covariance).
std::vector<std::array<double, 2>> batchPulls(const Prepared& data, const Inputs& in,
                                              const Fit& f) {
    const std::size_t n = data.readings.size(), parameters = f.parameters.size();
    std::vector<std::vector<double>> jacobian(parameters);
    for (std::size_t p = 0; p < parameters; ++p) {
        const double step = 1e-4 * std::max(1.0, std::abs(f.parameters[p]));
        std::array<std::vector<double>, 2> sides;
        for (std::size_t side = 0; side < 2; ++side) {
            std::vector<double> at = f.parameters;
            at[p] += side == 0 ? step : -step;
            sides[side].resize(n);
            data.model.predict(modelParameters(at, in, 0), sides[side]);
        }
        for (std::size_t i = 0; i < n; ++i)
            jacobian[p].push_back((sides[0][i] - sides[1][i]) / (2 * step * kReadingSdK));
    }
    std::vector<std::array<double, 2>> out;
    for (std::size_t b = 0; b < kBatches; ++b) {
        std::array<double, 2> pull{};
        for (std::size_t q = 0; q < parameters; ++q) {
            double sum = 0;
            for (std::size_t i = b * n / kBatches; i < (b + 1) * n / kBatches; ++i)
                sum += jacobian[q][i] * f.residuals[i];
            for (std::size_t p = 0; p < 2; ++p)
                pull[p] += f.cov(p, q) * sum;
        }
        out.push_back(pull);
    }
    return out;
}

/// Type A from the batches of the held fit, never less than white noise of kLeastSdK would give.
void addScatter(Spread& spread, const Prepared& data, const Fit& f, const Inputs& in) {
    std::array<double, count> byT{}, byH{};
    byT[effective] = byT[air] = byT[radiant] = 1;
    byT[total] = 3 * radiativeCoefficient(in.emissivity, f.parameters[0]) / f.parameters[0];
    byH[total] = byH[convective] = 1;
    const double scale = static_cast<double>(kBatches) / static_cast<double>(kBatches - 3);
    std::vector<double> covariance(count * count, 0);
    const auto add = [&](double tt, double hh, double th) {
        for (std::size_t i = 0; i < count; ++i)
            for (std::size_t j = 0; j < count; ++j)
                covariance[i * count + j] += byT[i] * byT[j] * tt + byH[i] * byH[j] * hh +
                                             (byT[i] * byH[j] + byH[i] * byT[j]) * th;
    };
    for (const auto& pull : batchPulls(data, in, f))
        add(scale * pull[0] * pull[0], scale * pull[1] * pull[1], scale * pull[0] * pull[1]);
    const double least = std::pow(kLeastSdK / kReadingSdK, 2);
    add(least * f.cov(0, 0), least * f.cov(1, 1), least * f.cov(0, 1));
    addTypeA(spread, covariance, kBatches - 3.0, "scatter of the readings");
}

/// Type B inputs, each moved by its standard uncertainty and fitted anew from where the held fit
/// ended.
Result<Spread> spreadOfInputs(const BlockTest& test, const Prepared& data, const Fit& f,
                              const Inputs& held) {
    const auto moves = [](const char* name, double Inputs::*input, double by) {
        return Influence<Inputs>{name, [=](Inputs& in, double s) { in.*input += s * by; }};
    };
    return spreadOf(
        held,
        {moves("walls hotter or cooler than the air", &Inputs::radiantApartK, test.uRadiantK),
         moves("emissivity", &Inputs::emissivity, test.uEmissivity),
         moves("heat capacity and area", &Inputs::heatFactor, test.uHeat),
         moves("probe's bias", &Inputs::biasK, test.uBiasK)},
        0, 0, [&](const Inputs& in, std::size_t) -> Result<Derived> {
            const auto fit = fitHeld(data, in, f.parameters);
            return fit ? Result<Derived>(derive(*fit, in)) : tl::unexpected(fit.error());
        });
}

} // namespace

Result<void> checkBlock(const BlockTest& test) {
    if (const auto ok = checkBefore(test); !ok)
        return ok;
    const Prepared data = prepare(test);
    const auto fitted = fitFromScratch(data, {0, test.emissivity, 1, 0});
    if (!fitted)
        return tl::unexpected(fitted.error());
    const auto checked = checkAfter(test, data, *fitted);
    return checked ? Result<void>() : tl::unexpected(checked.error());
}

Result<Reduction> reduceBlock(const BlockTest& given) {
    BlockTest test = given;
    if (test.inLiquid)
        test.emissivity = test.uEmissivity = test.uRadiantK = 0;
    if (const auto ok = checkBefore(test); !ok)
        return tl::unexpected(ok.error());
    const Prepared data = prepare(test);
    const Inputs held{0, test.emissivity, 1, 0};
    const auto fitted = fitFromScratch(data, held);
    if (!fitted)
        return tl::unexpected(fitted.error().in("the block's log cannot be fitted"));
    const Fit& f = *fitted;
    const auto checked = checkAfter(test, data, f);
    if (!checked)
        return tl::unexpected(checked.error());
    auto spread = spreadOfInputs(test, data, f, held);
    if (!spread)
        return tl::unexpected(spread.error().in("the block's log cannot be fitted"));
    addScatter(*spread, data, f, held);
    Reduction out;
    out.protocol = "block";
    addQuantities(
        out, *spread,
        {{"effective_K", "K"}, {"h_total_W_m2K", "W/m²K"}, {"h_convective_W_m2K", "W/m²K"}});
    std::vector<double> predicted(data.readings.size());
    data.model.predict(modelParameters(f.parameters, held, test.airProbeLagS), predicted);
    addFit(out, {data.model.timeS, data.readings}, predicted);
    bool cycling = false;
    if (test.air)
        cycling = findCycling(*test.air, 1).cycles > 0;
    addWarnings(out, test, *checked, cycling);
    addFieldNumbers(out, test, *spread);
    out.found.push_back({"block", {pointOf(out.quantities[0]), estimateOf(out.quantities[1])}});
    return out;
}

} // namespace dynamet::rating
