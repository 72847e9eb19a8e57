// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/one_face_block.h"

#include "numeric/least_squares.h"
#include "quantity/print.h"
#include "quantity/water.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kPoints = 80, kBatches = 8;
constexpr double kLeastRiseK = 40, kColdFaceK = 313.15, kReadingSdK = 0.1;
/// Food's own emissivity, which the field's view stands for when the whole hemisphere is one mean.
constexpr double kFoodEmissivity = 0.9;
enum Value : std::size_t { cold, irradiation, coefficient, radiant };

struct Face {
    double absorbed, h, startK;
};

double flux(const OneFaceBlock& t, const Face& f, double k) {
    return f.absorbed + (f.h + t.leakW_m2K) * (t.airK - k) -
           t.emissivity * kStefanBoltzmann * k * k * k * k;
}

void predict(const OneFaceBlock& t, const Face& f, std::span<const double> timeS,
             std::span<double> out) {
    double k = f.startK;
    out[0] = k;
    const auto rate = [&](double at) {
        const double c = t.specificHeat20 + t.specificHeatSlope * (at - 293.15);
        return t.areaM2 * flux(t, f, at) / (t.massKg * c);
    };
    for (std::size_t i = 1; i < timeS.size(); ++i) {
        const double dt = timeS[i] - timeS[i - 1];
        const double k1 = rate(k), k2 = rate(k + dt / 2 * k1), k3 = rate(k + dt / 2 * k2),
                     k4 = rate(k + dt * k3);
        k += dt / 6 * (k1 + 2 * k2 + 2 * k3 + k4);
        out[i] = k;
    }
}

Series pointsOf(const OneFaceBlock& t) {
    const Series clean = between(t.block, -1e300, 1e300);
    return blockMeans(between(clean, clean.timeS.front() + t.skipS, 1e300), kPoints).means;
}

Result<Face> fitFace(const OneFaceBlock& t, std::size_t without) {
    const Series points = pointsOf(t);
    const double slope = (points.value[points.size() / 5] - points.value[0]) /
                         (points.timeS[points.size() / 5] - points.timeS[0]);
    const double guess = std::max(500.0, t.massKg * 900 / t.areaM2 * slope);
    std::vector<FitParameter> parameters{{"the heat that falls in", guess, 10, 4e5},
                                         {"the start", points.value.front(), 250, 1300}};
    if (!t.coefficientKnown)
        parameters.push_back({"the coefficient", 20, 0, 400});
    const std::size_t n = points.size();
    const auto faceOf = [&](std::span<const double> p) {
        return Face{p[0], t.coefficientKnown ? t.knownW_m2K : p[2], p[1]};
    };
    const auto fit =
        fitLeastSquares(parameters, n, [&](std::span<const double> p, std::span<double> r) {
            predict(t, faceOf(p), points.timeS, r);
            for (std::size_t i = 0; i < n; ++i)
                r[i] = without != kEveryBatch && i * kBatches / n == without
                           ? 0
                           : (points.value[i] - r[i]) / kReadingSdK;
            return std::all_of(r.begin(), r.end(), [](double v) { return std::isfinite(v); });
        });
    if (!fit)
        return tl::unexpected(fit.error());
    return faceOf(fit->parameters);
}

Result<Derived> evaluate(const OneFaceBlock& t, std::size_t without) {
    const auto face = fitFace(t, without);
    if (!face)
        return tl::unexpected(face.error());
    const double falling = face->absorbed / t.emissivity;
    const double coldFace = face->absorbed + face->h * (t.airK - kColdFaceK) -
                            t.emissivity * kStefanBoltzmann * std::pow(kColdFaceK, 4);
    return Derived{coldFace, falling, face->h,
                   std::pow(std::max(falling, 1.0) / kStefanBoltzmann, 0.25)};
}

std::vector<Influence<OneFaceBlock>> inputs(bool known) {
    std::vector<Influence<OneFaceBlock>> out{
        influenceOf("emissivity of the block", &OneFaceBlock::emissivity,
                    &OneFaceBlock::uEmissivity),
        scaled("weight, heat and area", &OneFaceBlock::massKg, &OneFaceBlock::uHeat),
        influenceOf("temperature of the air", &OneFaceBlock::airK, &OneFaceBlock::uAirK),
        influenceOf("leak through the insulation", &OneFaceBlock::leakW_m2K,
                    &OneFaceBlock::uLeakW_m2K),
        biased("probe's bias", &OneFaceBlock::block, &OneFaceBlock::uBiasK)};
    if (known)
        out.push_back(
            scaled("coefficient of the air", &OneFaceBlock::knownW_m2K, &OneFaceBlock::uKnown));
    return out;
}

void addFieldNumbers(Reduction& out, const Spread& spread, const OneFaceBlock& t) {
    using kitchen::Term;
    const auto face = t.fromBelow ? kitchen::Face::bottom : kitchen::Face::top;
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, spread, radiant, {face, Term::radiant}, placed);
    if (!t.coefficientKnown)
        addFieldNumber(out, spread, coefficient, {face, Term::hAir}, placed);
    // The radiant number is the mean over all that the face sees, so that its view is the food's
    // emissivity.
    out.fieldNumbers.push_back({{face, Term::view},
                                kFoodEmissivity,
                                0.03,
                                kitchen::Provenance::measured,
                                "",
                                "mean over all the face sees"});
}

} // namespace

Result<Reduction> reduceOneFaceBlock(const OneFaceBlock& test) {
    if (!(test.massKg > 0 && test.areaM2 > 0))
        return fail(Errc::invalidArgument, Finding{"face_unmeasured"});
    if (const auto ok = checkReadings(test.block, "the block", 40, 250, 1300); !ok)
        return tl::unexpected(ok.error());
    const Series clean = between(test.block, -1e300, 1e300);
    const double highest = *std::max_element(clean.value.begin(), clean.value.end());
    if (test.limitK && highest >= *test.limitK)
        return fail(Errc::refused, {"face_at_limit", {Temperature::kelvin(*test.limitK)}});
    if (highest - clean.value.front() < kLeastRiseK)
        return fail(Errc::refused,
                    {"face_rose_too_little",
                     {KelvinDelta(highest - clean.value.front()), KelvinDelta(kLeastRiseK)}});
    const auto spread = spreadOf(test, inputs(test.coefficientKnown), kBatches, 3, evaluate);
    if (!spread)
        return tl::unexpected(spread.error().in("the block's log cannot be fitted"));
    Reduction out;
    out.protocol = "one-face-block";
    addQuantities(out, *spread,
                  {{"flux_40C_W_m2", "W/m²"},
                   {"irradiation_W_m2", "W/m²"},
                   {"h_convective_W_m2K", "W/m²K"},
                   {"radiant_K", "K"}});
    const auto face = fitFace(test, kEveryBatch);
    const Series points = pointsOf(test);
    std::vector<double> model(points.size());
    predict(test, *face, points.timeS, model);
    addFit(out, points, model);
    addFieldNumbers(out, *spread, test);
    const Quantity& q = out.quantities.front();
    out.found.push_back({test.fromBelow ? "face_down" : "face_up", {estimateOf(q)}});
    return out;
}

} // namespace dynamet::rating
