// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/window.h"

#include "numeric/cholesky.h"
#include "numeric/statistics.h"
#include "numeric/stratified.h"
#include "quantity/print.h"
#include "translate/time_surface.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace dynamet::translate {
namespace {

constexpr double kTwoSided = 1.959963985, kOneSided5 = 1.644853627;

/// Coarser than a search: a draw says how the time moves, and all of them are moved to the row's
/// own.
constexpr cook::Effort kDraw{12, 0.5, 4, 3, 0.15};

bool freezes(const recipe::FoodPiece& piece) {
    return piece.startK < piece.food.freezingC + kZeroCelsiusK + 5;
}

struct Timer {
    const WindowInput* input;
    std::vector<Input> inputs;
    long* solves;

    /// The piece, the programme and the tables with some inputs off.
    std::pair<Deviated, cook::Tables> offBy(std::span<const double> deviations) const {
        Deviated s = deviated(*input->piece, *input->programme, inputs, deviations);
        cook::Tables tables = input->tables;
        if (s.composition)
            tables.material = std::make_shared<heat::Material>(s.piece.food, freezes(s.piece));
        return {std::move(s), std::move(tables)};
    }

    double at(std::span<const double> deviations, const cook::Effort& effort) const {
        const auto [s, tables] = offBy(deviations);
        ++*solves;
        const auto t = cook::timeToReach(s.piece, s.programme, input->pullK, effort, tables);
        return t.value_or(std::numeric_limits<double>::infinity());
    }

    /// Differences from the goal after a time of the last stage, some inputs being off.
    Result<std::vector<cook::Difference>> differencesAt(std::span<const double> deviations,
                                                        double lastS) const {
        const auto [s, tables] = offBy(deviations);
        ++*solves;
        const auto outcome = cook::cookLastFor(s.piece, s.programme, lastS, cook::kQuick, tables);
        if (!outcome)
            return tl::unexpected(outcome.error());
        return cook::differences(*outcome, *input->like->wanted, input->like->judged);
    }
};

/// d ln(time) per standard deviation of each input, central; infinite when one side never gets
/// there.
std::vector<double> sensitivities(const Timer& timer, std::stop_token stop) {
    std::vector<double> out, z(timer.inputs.size(), 0.0);
    for (std::size_t i = 0; i < z.size() && !stop.stop_requested(); ++i) {
        z[i] = 1;
        const double up = timer.at(z, kDraw);
        z[i] = -1;
        const double down = timer.at(z, kDraw);
        z[i] = 0;
        out.push_back((std::log(up) - std::log(down)) / 2);
    }
    out.resize(z.size(), 0.0);
    return out;
}

struct Drawn {
    std::vector<double> times; ///< infinite where never reached
};

/// Draws of all inputs jointly, with the model's own error: cooked, until so many are enough to
/// say what the others would give.
class Draws {
  public:
    Draws(const Timer& timer, double lnModel, double ratio)
        : timer_(timer), lnModel_(lnModel), ratio_(ratio), random_(timer.input->seed),
          inputs_(timer.inputs.size()),
          factor_(choleskyFactor(correlationsOf(timer.inputs, *timer.input->programme), inputs_)) {}

    Drawn draw(const std::stop_token& stop) {
        const auto all = static_cast<std::size_t>(timer_.input->samples);
        cook(std::min(kPilot, all), stop);
        if (stop.stop_requested())
            return out_;
        if (const auto surface = timeSurface(deviations_, plain_))
            return read(*surface);
        if (all > kPilot)
            cook(all - kPilot, stop);
        return out_;
    }

  private:
    static constexpr std::size_t kPilot = 96, kRead = 4096;

    /// Correlated deviations [input] of a row of independent ones.
    std::vector<double> correlated(const double* row) const {
        std::vector<double> z(inputs_);
        for (std::size_t i = 0; i < inputs_; ++i)
            for (std::size_t k = 0; k <= i; ++k)
                z[i] += factor_[i * inputs_ + k] * row[k];
        return z;
    }

    void cook(std::size_t count, const std::stop_token& stop) {
        const auto normals = stratifiedNormals(count, inputs_ + 1, random_);
        for (std::size_t s = 0; s < count && !stop.stop_requested(); ++s) {
            const double* row = &normals[s * (inputs_ + 1)];
            const auto z = correlated(row);
            plain_.push_back(timer_.at(z, kDraw) * ratio_);
            deviations_.insert(deviations_.end(), z.begin(), z.end());
            out_.times.push_back(plain_.back() * std::exp(lnModel_ * row[inputs_]));
        }
    }

    Drawn read(const TimeSurface& surface) {
        Drawn out;
        const double sd = std::hypot(lnModel_, surface.leftOver);
        const auto normals = stratifiedNormals(kRead, inputs_ + 1, random_);
        for (std::size_t s = 0; s < kRead; ++s) {
            const double* row = &normals[s * (inputs_ + 1)];
            out.times.push_back(std::exp(surface.at(correlated(row)) + sd * row[inputs_]));
        }
        return out;
    }

    const Timer& timer_;
    double lnModel_, ratio_;
    Random random_;
    std::size_t inputs_;
    std::vector<double> factor_, deviations_, plain_;
    Drawn out_;
};

std::vector<Cause> causesOf(const std::vector<Input>& inputs, const std::vector<double>& g,
                            const std::vector<double>& correlations, double lnModel,
                            double& variance) {
    const std::size_t n = inputs.size();
    variance = lnModel * lnModel;
    std::vector<Cause> causes{{"the model itself", variance}};
    for (std::size_t i = 0; i < n; ++i) {
        double part = 0;
        for (std::size_t j = 0; j < n; ++j)
            part += g[i] * correlations[i * n + j] * g[j];
        variance += part;
        const auto known = std::find_if(causes.begin(), causes.end(),
                                        [&](const Cause& c) { return c.name == inputs[i].name; });
        if (known != causes.end())
            known->share += part;
        else
            causes.push_back({inputs[i].name, part});
    }
    for (Cause& cause : causes)
        cause.share = std::max(0.0, cause.share / variance);
    std::sort(causes.begin(), causes.end(),
              [](const Cause& a, const Cause& b) { return a.share > b.share; });
    return causes;
}

void fromSamples(Window& window, const Drawn& drawn) {
    std::vector<double> finite;
    for (double t : drawn.times)
        if (std::isfinite(t))
            finite.push_back(t);
    window.sampled = true;
    window.neverShare = 1 - static_cast<double>(finite.size()) /
                                static_cast<double>(std::max<std::size_t>(1, drawn.times.size()));
    // Never counts as later than everything; between two infinities quantile() stays infinite.
    const double late = quantile(drawn.times, 0.975);
    window.earlyS = window.lookS = roundedDownTime(quantile(drawn.times, 0.025));
    window.expectS = quantile(drawn.times, 0.5);
    if (window.neverShare <= 0.025 && std::isfinite(late))
        window.latestS = roundedUpTime(late);
    std::vector<double> logs;
    for (double t : finite)
        logs.push_back(std::log(t));
    window.lnSd = standardDeviation(logs);
}

/// Where time and looks lead: the time moves by −J·Δr/J² when an input moves the differences by Δr
/// and the time by J, so that one cook on either side tells; t·exp(±1.96 s) whatever s.
Result<Window> likeWindow(const Timer& timer, std::stop_token stop) {
    const WindowInput& input = *timer.input;
    const auto nominal = cook::cookLike(*input.piece, *input.programme, *input.like, input.guessS,
                                        cook::kQuick, input.tables);
    if (!nominal)
        return tl::unexpected(nominal.error());
    *timer.solves += nominal->solves;
    const std::vector<double>& slopes = nominal->likeness.slopes;
    const double steep = std::inner_product(slopes.begin(), slopes.end(), slopes.begin(), 0.0);
    if (!(steep > 0))
        return fail(Errc::refused, Finding{"time_says_nothing"});
    const double lastS = nominal->outcome.pullS - nominal->outcome.lastStartS;
    std::vector<double> g, z(timer.inputs.size(), 0.0);
    for (std::size_t i = 0; i < z.size() && !stop.stop_requested(); ++i) {
        double moved = 0;
        for (const double side : {1.0, -1.0}) {
            z[i] = side;
            const auto off = timer.differencesAt(z, lastS);
            if (!off)
                return tl::unexpected(off.error());
            for (std::size_t k = 0; k < slopes.size(); ++k)
                moved += side / 2 * slopes[k] * (*off)[k].noticed;
        }
        z[i] = 0;
        g.push_back(-moved / steep);
    }
    g.resize(z.size(), 0.0);
    Window window;
    double variance = 0;
    window.causes = causesOf(timer.inputs, g, correlationsOf(timer.inputs, *input.programme),
                             input.spread.modelLn, variance);
    window.lnSd = std::sqrt(variance);
    window.expectS = input.guessS + nominal->outcome.lastStartS;
    window.earlyS = window.lookS =
        roundedDownTime(window.expectS * std::exp(-kTwoSided * window.lnSd));
    window.latestS = roundedUpTime(window.expectS * std::exp(kTwoSided * window.lnSd));
    return window;
}

} // namespace

Result<Window> windowOf(const WindowInput& input, long& solves, std::stop_token stop) {
    if (input.like)
        return likeWindow({&input, inputsOf(*input.programme, input.spread, *input.piece), &solves},
                          stop);
    Timer timer{&input, inputsOf(*input.programme, input.spread, *input.piece), &solves};
    const std::vector<double> none(timer.inputs.size(), 0.0);
    const double nominal = timer.at(none, input.effort);
    if (!std::isfinite(nominal))
        return fail(Errc::refused, Finding{"pull_not_reached"});
    // What takes eight times as long as expected counts as never: nobody would wait for it.
    cook::Programme bounded = *input.programme;
    bounded.longestS = std::min(bounded.longestS, 8 * nominal);
    WindowInput within = input;
    within.programme = &bounded;
    timer.input = &within;
    const double quick = timer.at(none, kDraw);
    const auto g = sensitivities(timer, stop);
    Window window;
    double variance = 0;
    const bool allReach =
        std::all_of(g.begin(), g.end(), [](double x) { return std::isfinite(x); });
    window.causes = causesOf(timer.inputs, g, correlationsOf(timer.inputs, *input.programme),
                             input.spread.modelLn, variance);
    const double s = allReach ? std::sqrt(variance) : 1;
    window.expectS = nominal;
    window.lnSd = s;
    if (!allReach || s >= kSensitivityLimit) {
        fromSamples(window, Draws(timer, input.spread.modelLn, nominal / quick).draw(stop));
        if (!allReach)
            window.causes.clear();
    } else {
        window.earlyS = window.lookS = roundedDownTime(nominal * std::exp(-kTwoSided * s));
        window.latestS = roundedUpTime(nominal * std::exp(kTwoSided * s));
    }
    if (!input.bandHighK)
        return window;
    const auto over =
        cook::cookTo(*input.piece, *input.programme, {*input.bandHighK, food::GoalMoment::peak},
                     cook::kQuick, input.tables);
    ++solves;
    if (over) {
        window.overshootS = roundedDownTime(over->pullS * std::exp(-kOneSided5 * window.lnSd));
        window.lookS = std::min(window.lookS, *window.overshootS);
    }
    return window;
}

} // namespace dynamet::translate
