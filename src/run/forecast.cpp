// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/forecast.h"

#include "numeric/random.h"
#include "numeric/stratified.h"
#include "run/observations.h"
#include "run/unknowns.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr double kTwoSided = 1.959963985;
/// How unlike the rest of a cook is to what it was so far, of the time that is left; and what a
/// model of a piece misses at any moment. Our own, held by the forecast's coverage.
constexpr double kFuturePaceLn = 0.03, kFutureK = 0.7;
constexpr double kMinute = 60;

struct Fit {
    VectorXd y;
    MatrixXd factor; ///< of the covariance, lower
};

/// Most likely unknowns by Gauss-Newton, and the covariance there.
Result<Fit> fit(const Unknowns& unknowns, const Observations& seen, const std::stop_token& stop) {
    const auto n = static_cast<Eigen::Index>(unknowns.size());
    Fit out{VectorXd::Zero(n), MatrixXd::Identity(n, n)};
    if (seen.empty())
        return out;
    constexpr int kRounds = 3, kHalvings = 3;
    constexpr double kStep = 0.6, kSettled = 0.05;
    const auto residual = [&](const VectorXd& y) -> Result<VectorXd> {
        const auto passage = unknowns.pass(y, stop);
        if (!passage)
            return tl::unexpected(passage.error());
        return seen.residual(*passage, unknowns.probeShare(y));
    };
    const auto costOf = [&](const VectorXd& y, const VectorXd& r) {
        return y.squaredNorm() + seen.misfit(r);
    };
    auto r = residual(out.y);
    if (!r)
        return tl::unexpected(r.error());
    MatrixXd information = MatrixXd::Identity(n, n);
    for (int round = 0; round < kRounds; ++round) {
        MatrixXd jacobian(r->size(), n);
        for (Eigen::Index k = 0; k < n; ++k) {
            VectorXd y = out.y;
            y[k] += kStep;
            const auto moved = residual(y);
            if (!moved)
                return tl::unexpected(moved.error());
            jacobian.col(k) = (*moved - *r) / kStep;
        }
        const MatrixXd weighed = seen.weigh(jacobian);
        information = MatrixXd::Identity(n, n) + jacobian.transpose() * weighed;
        VectorXd step = -information.ldlt().solve(weighed.transpose() * *r + out.y);
        const double before = costOf(out.y, *r);
        bool better = false;
        for (int half = 0; half < kHalvings && !better; ++half, step /= 2) {
            const VectorXd y = out.y + step;
            auto next = residual(y);
            if (!next)
                return tl::unexpected(next.error());
            better = costOf(y, *next) < before;
            if (better) {
                out.y = y;
                r = std::move(next);
            }
        }
        if (!better || step.norm() < kSettled)
            break;
    }
    out.factor = information.inverse().eval().llt().matrixL();
    return out;
}

/// A cook that was drawn, with its weight.
struct Drawn {
    Passage passage;
    double logWeight = 0, weight = 0, paceLn = 0, coreOffK = 0;
};

/// Weights that leave at least a fifth of the draws their say.
void weigh(std::vector<Drawn>& all) {
    double power = 1;
    for (int round = 0; round < 12; ++round, power *= 0.7) {
        double most = -1e300, sum = 0, squares = 0;
        for (const Drawn& one : all)
            most = std::max(most, power * one.logWeight);
        for (Drawn& one : all) {
            one.weight = std::exp(power * one.logWeight - most);
            sum += one.weight;
        }
        for (Drawn& one : all) {
            one.weight /= sum;
            squares += one.weight * one.weight;
        }
        if (1 / squares >= static_cast<double>(all.size()) / 5)
            return;
    }
}

struct Weighed {
    double median = 0, mean = 0, sd = 0;
};
Weighed weighed(std::vector<std::pair<double, double>> values) {
    std::sort(values.begin(), values.end());
    Weighed out;
    double sum = 0, passed = 0;
    for (const auto& [value, weight] : values)
        sum += weight;
    if (!(sum > 0))
        return out;
    for (const auto& [value, weight] : values)
        out.mean += value * weight / sum;
    for (const auto& [value, weight] : values) {
        out.sd += weight / sum * (value - out.mean) * (value - out.mean);
        if (passed < sum / 2 && passed + weight >= sum / 2)
            out.median = value;
        passed += weight;
    }
    out.sd = std::sqrt(out.sd);
    return out;
}

HeatRange heatRange(const std::vector<Drawn>& all, double (*read)(const Drawn&), double extraK) {
    std::vector<std::pair<double, double>> values;
    for (const Drawn& one : all)
        if (std::isfinite(read(one)))
            values.emplace_back(read(one), one.weight);
    const Weighed w = weighed(values);
    const double u = kTwoSided * std::hypot(w.sd, extraK);
    return {w.median, w.median - u, w.median + u};
}

/// Of moments from now on: normal in the logarithm of what is left, with a minute's care near 0.
TimeRange timeRange(const std::vector<std::pair<double, double>>& times, double nowS) {
    std::vector<std::pair<double, double>> logs;
    double never = 0, sum = 0;
    for (const auto& [at, weight] : times) {
        sum += weight;
        if (std::isfinite(at))
            logs.emplace_back(std::log(std::max(0.0, at - nowS) + kMinute), weight);
        else
            never += weight;
    }
    constexpr double kNever = 0.025;
    const double infinity = std::numeric_limits<double>::infinity();
    if (logs.empty() || never > sum / 2)
        return {infinity, nowS, infinity};
    const Weighed w = weighed(logs);
    const auto at = [&](double ln) { return nowS + std::max(0.0, std::exp(ln) - kMinute); };
    TimeRange out{at(w.median), at(w.median - kTwoSided * w.sd), at(w.median + kTwoSided * w.sd)};
    if (never > kNever * sum)
        out.highS = infinity;
    return out;
}

/// When a draw reaches an end, with what a cook may yet be unlike itself from the last reading on.
double endOf(const Drawn& one, double endS, double sinceS, double slope) {
    if (!std::isfinite(endS))
        return endS;
    const double left = std::max(0.0, endS - sinceS);
    double shift = slope > 1e-6 ? one.coreOffK / slope : 0;
    shift = std::clamp(shift, -0.5 * left, left);
    return sinceS + left * std::exp(one.paceLn) + (left > 0 ? shift : 0);
}

Result<std::vector<Drawn>> draw(const Unknowns& unknowns, const Observations& seen, const Fit& fit,
                                const Question& question, const std::stop_token& stop) {
    const auto n = static_cast<Eigen::Index>(unknowns.size());
    const auto count = static_cast<std::size_t>(std::max(8, question.draws));
    Random random(question.seed);
    const auto normals = stratifiedNormals(count, static_cast<std::size_t>(n) + 2, random);
    std::vector<Drawn> out;
    for (std::size_t s = 0; s < count; ++s) {
        VectorXd unit(n);
        for (Eigen::Index k = 0; k < n; ++k)
            unit[k] = normals[s * static_cast<std::size_t>(n + 2) + static_cast<std::size_t>(k)];
        const VectorXd y = fit.y + fit.factor * unit;
        auto passage = unknowns.pass(y, stop);
        if (stop.stop_requested())
            return fail(Errc::refused, "stopped");
        if (!passage)
            continue; // a cook beyond what can be computed
        Drawn one;
        const VectorXd r = seen.residual(*passage, unknowns.probeShare(y));
        one.logWeight = (unit.squaredNorm() - y.squaredNorm() - seen.misfit(r)) / 2;
        one.passage = std::move(*passage);
        const double* extra = &normals[s * static_cast<std::size_t>(n + 2)] + n;
        one.paceLn = kFuturePaceLn * extra[0];
        one.coreOffK = kFutureK * extra[1];
        out.push_back(std::move(one));
    }
    if (out.empty())
        return fail(Errc::refused, "this cook could not be forecast");
    weigh(out);
    return out;
}

void fillBand(Forecast& out, const std::vector<Drawn>& all, double untilS) {
    constexpr int kPoints = 60;
    for (int i = 0; i <= kPoints; ++i) {
        const double t = untilS * i / kPoints;
        std::vector<std::pair<double, double>> cores;
        for (const Drawn& one : all)
            cores.emplace_back(one.passage.coreAt(t), one.weight);
        const Weighed w = weighed(cores);
        const double u = kTwoSided * w.sd;
        out.band.push_back({t, {w.median, w.median - u, w.median + u}});
    }
}

void fillTimes(Forecast& out, const std::vector<Drawn>& all, const Course& course, double sinceS) {
    std::vector<std::pair<double, double>> stages, pulls;
    double sum = 0;
    for (const Drawn& one : all) {
        const auto& ends = one.passage.stageEndS;
        const double slope = one.passage.slopeKPerS;
        const double stageEnd = course.stage < ends.size() ? ends[course.stage] : INFINITY;
        const double pull = endOf(one, one.passage.pullS, sinceS, slope);
        const bool lastOne = course.stage + 1 == course.programme.stages.size();
        stages.emplace_back(lastOne ? pull : endOf(one, stageEnd, sinceS, slope), one.weight);
        pulls.emplace_back(pull, one.weight);
        sum += one.weight;
        if (!std::isfinite(one.passage.pullS))
            out.neverShare += one.weight;
    }
    out.neverShare /= sum;
    out.stage = timeRange(stages, course.nowS);
    out.pull = timeRange(pulls, course.nowS);
    if (course.pulled)
        out.pull = {course.pulledS, course.pulledS, course.pulledS};
}

void fillHeat(Forecast& out, const std::vector<Drawn>& all, const Course& course,
              const PlannedCook& planned) {
    constexpr double kPeakK = 0.4; // of the model, beside its draws
    const recipe::Goal& goal = planned.recipe.goal;
    out.peak = heatRange(
        all, [](const Drawn& one) { return one.passage.peakK; }, kPeakK);
    out.plate = heatRange(
        all, [](const Drawn& one) { return one.passage.plateK; }, kPeakK);
    std::vector<std::pair<double, double>> now, rise;
    double over = 0, sum = 0;
    for (const Drawn& one : all) {
        now.emplace_back(one.passage.coreAt(course.nowS), one.weight);
        rise.emplace_back(one.passage.peakK - course.pullK, one.weight);
        sum += one.weight;
        if (one.passage.peakK > goal.bandHighK)
            over += one.weight;
    }
    const Weighed w = weighed(now);
    const double u = kTwoSided * std::hypot(w.sd, kPeakK);
    out.core = {w.median, w.median - u, w.median + u};
    out.overShare = over / sum;
    const bool byCore = course.pullK > 0 && !course.pulled;
    out.pullK = !byCore ? 0
                : goal.readAt == food::GoalMoment::peak
                    ? goal.coreK - std::max(0.0, weighed(rise).median)
                    : course.pullK;
}

} // namespace

const char* enumName(ProbeState state) {
    static constexpr const char* kNames[] = {"none", "fine", "lost", "misplaced"};
    return kNames[static_cast<std::size_t>(state)];
}

Result<Forecast> forecastOf(const Question& question, const std::stop_token& stop) {
    const auto course =
        courseOf(question.request, question.planned, question.entries, question.nowS);
    if (!course)
        return tl::unexpected(course.error());
    const Unknowns unknowns(question, *course);
    Observations seen(question, *course);
    if (const auto ok = seen.dropImpossible(unknowns, question.seed, stop); !ok)
        return tl::unexpected(ok.error());
    auto fitted = fit(unknowns, seen, stop);
    if (!fitted)
        return tl::unexpected(fitted.error());
    if (const auto passage = unknowns.pass(fitted->y, stop);
        passage && seen.dropMisfits(*passage, unknowns.probeShare(fitted->y))) {
        fitted = fit(unknowns, seen, stop);
        if (!fitted)
            return tl::unexpected(fitted.error());
    }
    const auto drawn = draw(unknowns, seen, *fitted, question, stop);
    if (!drawn)
        return tl::unexpected(drawn.error());
    Forecast out;
    out.readings = seen.size();
    out.setAside = seen.dropped();
    out.sureUntilS = seen.newestS();
    out.probe = seen.probe();
    std::tie(out.deviations, out.restLn) = unknowns.deviations(fitted->y);
    fillTimes(out, *drawn, *course, std::min(course->nowS, seen.newestS()));
    fillHeat(out, *drawn, *course, question.planned);
    constexpr double kBeyond = 1.15, kMost = 1.6;
    const double end = !std::isfinite(out.pull.s) ? 2 * course->nowS + 3600
                       : std::isfinite(out.pull.highS)
                           ? std::min(out.pull.highS + 2 * kMinute, kMost * out.pull.s)
                           : kMost * out.pull.s;
    fillBand(out, *drawn, std::max({end, kBeyond * course->nowS, 10 * kMinute}));
    return out;
}

Result<Likely> likelyOf(const Question& question, const Forecast& forecast,
                        const std::vector<Entry>& entries, const std::stop_token& stop) {
    const auto course = courseOf(question.request, question.planned, entries, question.nowS);
    if (!course)
        return tl::unexpected(course.error());
    const Unknowns unknowns(question, *course);
    auto off = unknowns.with(forecast.deviations, forecast.restLn);
    off.tables.stop = stop;
    return Likely{std::move(off.piece), std::move(off.course), std::move(off.tables)};
}

Result<cook::Outcome> outcomeOf(const Question& question, const Forecast& forecast,
                                const std::stop_token& stop) {
    const auto likely = likelyOf(question, forecast, question.entries, stop);
    if (!likely)
        return tl::unexpected(likely.error());
    auto passage = pass(likely->piece, likely->course, cook::kFull, likely->tables, true);
    if (!passage)
        return tl::unexpected(passage.error());
    if (!std::isfinite(passage->pullS))
        return fail(Errc::refused, "it does not come to an end");
    return std::move(passage->outcome);
}

} // namespace dynamet::run
