// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/block_pair.h"

#include "numeric/least_squares.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/protocols/block_model.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kPoints = 64, kBatches = 8;
constexpr double kLeastApart = 0.3, kReadingSdK = 0.1;
enum Value : std::size_t { radiant, convective, air, effective, total };

struct Moved {
    BlockPair test;
    double brightHeat = 1, blackHeat = 1, brightBias = 0, blackBias = 0, lagFactor = 1;
};

struct Side {
    BlockModel model;
    std::vector<double> readings;
};

Side prepare(const BlockTest& block, const std::optional<Series>& airLog) {
    const Series clean = between(block.block, -1e300, 1e300);
    const double skip = std::min(block.skipS, (clean.timeS.back() - clean.timeS.front()) / 10);
    const Series points =
        blockMeans(between(clean, clean.timeS.front() + skip, 1e300), kPoints).means;
    Side out{{&block, points.timeS, {}, {}}, points.value};
    if (airLog)
        setDrive(out.model, between(*airLog, -1e300, 1e300), block.airProbeLagS / 8);
    return out;
}

bool inBatch(std::size_t i, std::size_t n, std::size_t batch) {
    return batch != kEveryBatch && i * kBatches / n == batch;
}

/// Air, coefficient, radiant temperature and both starts from both logs at once; the lag of the air
/// probe too where there is one.
Result<Fit> fitPair(const Moved& m, std::size_t without, std::span<const double> near = {}) {
    const Side bright = prepare(m.test.bright, m.test.black.air);
    const Side black = prepare(m.test.black, m.test.black.air);
    const double last = black.readings.back();
    const double lag = m.test.black.airProbeLagS * m.lagFactor;
    std::vector<FitParameter> parameters{
        {"the air", last + 10, 260, 1300},
        {"the coefficient", 14, 0.5, 400},
        {"walls above the air", 5, -300, 900},
        {"start of the bright block", bright.readings.front(), 250, 1300},
        {"start of the black block", black.readings.front(), 250, 1300}};
    if (m.test.black.air)
        parameters.push_back(
            {"the air probe's lag", lag, 0, 4 * lag + 10, Prior{lag, m.test.uAirLag * lag + 0.1}});
    for (std::size_t i = 0; i < near.size() && i < parameters.size(); ++i)
        parameters[i].start = near[i];
    const std::size_t nb = bright.readings.size(), nk = black.readings.size();
    return fitLeastSquares(
        parameters, nb + nk, [&](std::span<const double> p, std::span<double> r) {
            const double lagS = p.size() > 5 ? p[5] : 0;
            bright.model.predict({p[0], p[1], p[3], lagS, p[2], m.test.bright.emissivity,
                                  m.brightHeat, m.brightBias},
                                 r.subspan(0, nb));
            black.model.predict(
                {p[0], p[1], p[4], lagS, p[2], m.test.black.emissivity, m.blackHeat, m.blackBias},
                r.subspan(nb, nk));
            for (std::size_t i = 0; i < nb; ++i)
                r[i] = inBatch(i, nb, without) ? 0 : (bright.readings[i] - r[i]) / kReadingSdK;
            for (std::size_t i = 0; i < nk; ++i)
                r[nb + i] =
                    inBatch(i, nk, without) ? 0 : (black.readings[i] - r[nb + i]) / kReadingSdK;
            return std::all_of(r.begin(), r.end(), [](double v) { return std::isfinite(v); });
        });
}

Result<Derived> evaluate(const Moved& m, std::size_t without, std::span<const double> near) {
    const auto fit = fitPair(m, without, near);
    if (!fit)
        return tl::unexpected(fit.error());
    const double t = fit->parameters[0], h = fit->parameters[1], walls = t + fit->parameters[2];
    const double e = m.test.black.emissivity;
    const double stays = staysAtK(t, h, walls, e);
    return Derived{walls, h, t, stays, h + radiativeCoefficient(e, stays)};
}

std::vector<Influence<Moved>> inputs() {
    return {
        {"emissivity of the bright block",
         [](Moved& m, double s) { m.test.bright.emissivity += s * m.test.uBright; }},
        {"emissivity of the black block",
         [](Moved& m, double s) { m.test.black.emissivity += s * m.test.uBlack; }},
        {"heat of the bright block", [](Moved& m, double s) { m.brightHeat += s * m.test.uHeat; }},
        {"heat of the black block", [](Moved& m, double s) { m.blackHeat += s * m.test.uHeat; }},
        {"bright block's probe", [](Moved& m, double s) { m.brightBias += s * m.test.uBiasK; }},
        {"black block's probe", [](Moved& m, double s) { m.blackBias += s * m.test.uBiasK; }}};
}

void addFieldNumbers(Reduction& out, const Spread& spread, const BlockTest& block) {
    using kitchen::Face, kitchen::Term;
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, spread, air, {Face::all, Term::air}, placed);
    addFieldNumber(out, spread, radiant, {Face::all, Term::radiant}, placed);
    addFieldNumber(out, spread, convective, {Face::all, Term::hAir}, placed);
    scaleToFood(out, block);
}

void addWords(Reduction& out) {
    const Quantity &walls = out.quantities[radiant], &h = out.quantities[convective],
                   &t = out.quantities[air];
    if (std::abs(walls.value - t.value) < 2 * walls.u)
        out.warnings.push_back({"not_split"});
    out.found.push_back({"block_pair", {pointOf(walls), pointOf(t), estimateOf(h)}});
}

} // namespace

Result<Reduction> reduceBlockPair(const BlockPair& test) {
    if (std::abs(test.black.emissivity - test.bright.emissivity) < kLeastApart)
        return fail(Errc::refused, Finding{"blocks_too_similar"});
    for (const auto& [block, what] :
         {std::pair{&test.bright, "the bright block"}, {&test.black, "the black block"}})
        if (const auto alone = checkBlock(*block); !alone)
            return tl::unexpected(alone.error().in(what));
    const Moved moved{test};
    const auto fit = fitPair(moved, kEveryBatch);
    if (!fit)
        return tl::unexpected(fit.error().in("the blocks' logs cannot be fitted"));
    const auto spread =
        spreadOf(moved, inputs(), kBatches, 3, [&](const Moved& m, std::size_t without) {
            return evaluate(m, without, fit->parameters);
        });
    if (!spread)
        return tl::unexpected(spread.error().in("the blocks' logs cannot be fitted"));
    Reduction out;
    out.protocol = "block-pair";
    addQuantities(out, *spread,
                  {{"radiant_K", "K"},
                   {"h_convective_W_m2K", "W/m²K"},
                   {"air_K", "K"},
                   {"effective_K", "K"},
                   {"h_total_W_m2K", "W/m²K"}});
    const Side black = prepare(test.black, test.black.air);
    std::vector<double> model(black.readings.size());
    const auto& p = fit->parameters;
    black.model.predict(
        {p[0], p[1], p[4], p.size() > 5 ? p[5] : 0, p[2], test.black.emissivity, 1, 0}, model);
    addFit(out, {black.model.timeS, black.readings}, model);
    addFieldNumbers(out, *spread, test.black);
    addWords(out);
    return out;
}

} // namespace dynamet::rating
