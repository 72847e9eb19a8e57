// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/burn_down.h"

#include "numeric/least_squares.h"
#include "numeric/statistics.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kPoints = 120, kBatches = 10;
constexpr double kLeastFallK = 40, kSlowUnseen = 4, kCurveS = 7200, kCurveStepS = 300,
                 kFromPeakShare = 0.15, kLocalS = 180, kPeakUK = 2;

struct Fall {
    Series points;
    double peakS = 0, peakK = 0;
};

/// The part after the peak: it begins where the smoothed log has fallen by a little.
Result<Fall> fallOf(const BurnDown& t) {
    const Series smooth = blockMeans(between(t.log, -1e300, 1e300), kPoints).means;
    const auto top = std::max_element(smooth.value.begin(), smooth.value.end());
    Fall out;
    out.peakS = smooth.timeS[static_cast<std::size_t>(top - smooth.value.begin())];
    out.peakK = *top;
    const double fell = *top - smooth.value.back();
    if (fell < kLeastFallK)
        return fail(Errc::refused, {"fell_too_little", {KelvinDelta(fell)}});
    double from = out.peakS;
    for (std::size_t i = 0; i < smooth.size(); ++i)
        if (smooth.timeS[i] > out.peakS && smooth.value[i] > *top - kFromPeakShare * fell)
            from = smooth.timeS[i];
    out.points = between(smooth, from, 1e300);
    if (out.points.size() < 3 * kBatches)
        return fail(Errc::refused, Finding{"too_few_after_peak"});
    return out;
}

/// `near` is a curve that was fitted to almost the same readings, to start from.
Result<coals::BurnCurve> fitCurve(const BurnDown& t, const Fall& fall, std::size_t without,
                                  const coals::BurnCurve* near = nullptr) {
    const Series points = leaveOut(fall.points, kBatches, without);
    const double span = fall.points.timeS.back() - fall.peakS;
    const std::vector<FitParameter> parameters{
        {"the excess at the peak", near ? near->excessK : fall.peakK - t.ambientK, 10, 1500},
        {"the quick share", near ? near->quickShare : 0.5, 0.02, 0.98, Prior{0.5, 0.3}},
        {"the quick time", near ? near->quickS : span / 6, 30, span, Prior{span / 6, span / 6}},
        {"the slow time", near ? near->slowS : 2 * span, span / 3, 40 * span,
         Prior{2 * span, 6 * span}}};
    const auto curveOf = [&](std::span<const double> p) {
        return coals::BurnCurve{t.ambientK, p[0], p[1], p[2], p[3]};
    };
    const auto fit = fitLeastSquares(
        parameters, points.size(), [&](std::span<const double> p, std::span<double> r) {
            const coals::BurnCurve curve = curveOf(p);
            for (std::size_t i = 0; i < points.size(); ++i)
                r[i] = points.value[i] - temperatureAt(curve, points.timeS[i] - fall.peakS);
            return true;
        });
    if (!fit)
        return tl::unexpected(fit.error());
    return curveOf(fit->parameters);
}

/// Where the log itself falls through a temperature, from a straight line through the readings
/// around its last crossing; nullopt when it never does.
struct Crossing {
    double atS = 0, slopeK_s = 0;
};
std::optional<Crossing> crossing(const Series& log, double kelvin, std::size_t without) {
    const Series smooth = blockMeans(log, kPoints).means; // finds the place, the readings fit it
    double near = -1;
    for (std::size_t i = 1; i < smooth.size(); ++i)
        if (smooth.value[i - 1] > kelvin && smooth.value[i] <= kelvin)
            near = smooth.timeS[i];
    if (near < 0)
        return std::nullopt;
    const Series local = leaveOut(between(log, near - kLocalS, near + kLocalS), kBatches, without);
    if (local.size() < 3)
        return std::nullopt;
    const Line line = fitLine(local.timeS, local.value);
    return line.slope < 0
               ? std::optional<Crossing>({(kelvin - line.intercept) / line.slope, line.slope})
               : std::nullopt;
}

Result<Derived> evaluate(const BurnDown& t, std::size_t without, const coals::BurnCurve* near) {
    const auto fall = fallOf(t);
    if (!fall)
        return tl::unexpected(fall.error());
    const auto curve = fitCurve(t, *fall, without, near);
    if (!curve)
        return tl::unexpected(curve.error());
    const double start = t.log.timeS.front();
    const Series clean = between(t.log, -1e300, 1e300);
    double passed = 0, falling = 0, feedAt = 0;
    if (t.targetK > 0) {
        const auto at = crossing(clean, t.targetK, without);
        const auto later = crossing(clean, t.targetK - t.bandK, without);
        if (!at || !later)
            return fail(Errc::refused, {"never_falls_through",
                                        {Temperature::kelvin(t.targetK), KelvinDelta(t.bandK)}});
        passed = at->atS - start - t.probeLagS;
        falling = at->slopeK_s * 60;
        feedAt = later->atS - at->atS;
    }
    Derived out{fall->peakK, fall->peakS - start, curve->quickS, curve->slowS};
    if (t.targetK > 0) { // its passing leads
        out.insert(out.begin(), passed);
        out.insert(out.end(), {falling, feedAt});
    }
    return out;
}

std::vector<Influence<BurnDown>> inputs() {
    return {biased("probe's bias", &BurnDown::log, &BurnDown::uBiasK),
            influenceOf("probe's lag", &BurnDown::probeLagS, &BurnDown::uLagS),
            influenceOf("air around", &BurnDown::ambientK, &BurnDown::uAmbientK)};
}

/// The field from the moment of the passing on: what the log did then, and past its end the fit.
void addField(Reduction& out, const BurnDown& t, const Fall& fall, const coals::BurnCurve& curve,
              double passedS) {
    using kitchen::Face, kitchen::Term;
    const double u = std::hypot(t.uBiasK, t.uPlaceK);
    const Series smooth = blockMeans(between(t.log, -1e300, 1e300), kPoints).means;
    const double end = smooth.timeS.back();
    const double joint = smooth.value.back() - temperatureAt(curve, end - fall.peakS);
    kitchen::FieldCurve falling;
    for (double s = 0; s <= kCurveS; s += kCurveStepS) {
        const double at = passedS + s;
        const double kelvin =
            at <= end ? valueAt(smooth, at) : temperatureAt(curve, at - fall.peakS) + joint;
        falling.timeS.push_back(s);
        falling.change.push_back(s == 0 ? 0 : kelvin - t.targetK);
    }
    const auto add = [&](Face face, Term term) {
        out.fieldNumbers.push_back({{face, term},
                                    t.targetK,
                                    u,
                                    kitchen::Provenance::measured,
                                    "",
                                    "when the fire passes it"});
        falling.key = {face, term};
        out.fieldCurves.push_back(falling);
    };
    if (t.floor)
        add(Face::bottom, Term::plate);
    else
        add(Face::all, Term::air);
}

void addSentence(Reduction& out, const BurnDown& t) {
    const auto& q = out.quantities;
    if (t.targetK > 0)
        out.found.push_back({"burn_down_target",
                             {Temperature::kelvin(t.targetK), Seconds{q[0].value},
                              Estimate{-q[5].value, halfWidth95(q[5]), "K"}, Seconds{q[6].value}}});
    else
        out.found.push_back({"burn_down_peak", {pointOf(q[0]), Seconds{q[1].value}}});
}

/// In the order of `evaluate`.
std::vector<QuantityName> namesFor(bool target) {
    std::vector<QuantityName> out{
        {"peak_K", "K"}, {"peak_s", "s"}, {"quick_s", "s"}, {"slow_s", "s"}};
    if (target) {
        out.insert(out.begin(), {"passes_s", "s"});
        out.insert(out.end(), {{"falls_K_min", "K/min"}, {"feed_after_s", "s"}});
    }
    return out;
}

} // namespace

Result<Reduction> reduceBurnDown(const BurnDown& test) {
    if (const auto ok = checkReadings(test.log, "the fire", 60, 250, 1500); !ok)
        return tl::unexpected(ok.error());
    for (double v : test.log.value)
        if (test.limitK && v >= *test.limitK)
            return fail(Errc::refused, Finding{"fire_at_limit"});
    const auto whole = fallOf(test);
    if (!whole)
        return tl::unexpected(whole.error());
    const auto fitted = fitCurve(test, *whole, kEveryBatch);
    if (!fitted)
        return tl::unexpected(fitted.error());
    auto spread =
        spreadOf(test, inputs(), kBatches, 2, [&](const BurnDown& t, std::size_t without) {
            return evaluate(t, without, &*fitted);
        });
    if (!spread)
        return tl::unexpected(spread.error());
    const bool target = test.targetK > 0;
    const std::size_t peak = target ? 1 : 0;
    const double step = (test.log.timeS.back() - test.log.timeS.front()) / kPoints;
    addTypeA(*spread, peak, kPeakUK, spread->dof, "where the peak was read");
    addTypeA(*spread, peak + 1, step, spread->dof, "");
    Reduction out;
    out.protocol = "burn-down";
    addQuantities(out, *spread, namesFor(target));
    const Fall& fall = *whole;
    const coals::BurnCurve& curve = *fitted;
    std::vector<double> model;
    for (double at : fall.points.timeS)
        model.push_back(temperatureAt(curve, at - fall.peakS));
    addFit(out, fall.points, model);
    if (test.targetK > 0)
        addField(out, test, fall, curve,
                 out.quantities[0].value + test.log.timeS.front() + test.probeLagS);
    addSentence(out, test);
    // A log that ends before the stone has cooled noticeably does not tell how slowly it cools.
    const double span = test.log.timeS.back() - fall.peakS;
    if (curve.slowS > kSlowUnseen * span)
        for (Quantity& q : out.quantities)
            if (q.name == "slow_s") {
                q.value = kSlowUnseen * span;
                q.bound = Bound::lower;
            }
    return out;
}

} // namespace dynamet::rating
