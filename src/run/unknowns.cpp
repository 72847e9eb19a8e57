// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/unknowns.h"

#include "translate/window_draws.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

/// ln(time) by ln(thickness), between conduction inside (2) and a face that resists (1).
constexpr double kTimeByThickness = 1.5;

} // namespace

Unknowns::Unknowns(const Question& question, const Course& course)
    : question_(question), course_(course) {
    const recipe::FoodPiece& piece = question.planned.recipe.piece;
    const auto spread = translate::spreadOf(question.request.priors, piece);
    inputs_ = translate::inputsOf(course.programme, spread, piece);
    translate::Request named = question.request;
    named.recipe = question.planned.recipe;
    const auto names = translate::namesOf(named, course.programme, "this");
    const auto belief = question.request.belief.withBlocks(
        translate::blocksOf(inputs_, translate::correlationsOf(inputs_, course.programme)));
    const std::vector<double> slopes(inputs_.size(), 0.0); // its composition counts beside
    auto rest = translate::restOf(inputs_, slopes, spread, names, piece,
                                  std::max(60.0, question.planned.expectS));
    std::erase_if(rest, [](const auto& one) { return one.unknown == "probe:this"; });
    const auto joint = translate::jointOf(belief, translate::deviationsOf(inputs_, spread, names),
                                          std::move(rest));
    mean_ = joint.mean;
    factor_ = joint.factor;
    const double off = std::min(0.3, question.request.priors.probeM / (piece.thicknessM / 2));
    probeSd_ = off * off;
    tables_ = cook::tablesFor(piece.food, pressurePa(course.programme.last().site));
}

std::vector<double> Unknowns::deviationsOf(const Eigen::VectorXd& y) const {
    const std::size_t n = inputs_.size() + 1;
    std::vector<double> z = mean_;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t k = 0; k <= i; ++k)
            z[i] += factor_[i * n + k] * y[static_cast<Eigen::Index>(k)];
    return z;
}

Unknowns::Off Unknowns::off(std::vector<double> z, double restLn) const {
    auto off = translate::deviated(question_.planned.recipe.piece, course_.programme, inputs_, z);
    Off out{std::move(off.piece), course_, tables_, 0};
    out.course.programme = std::move(off.programme);
    out.piece.thicknessM *= std::exp(restLn / kTimeByThickness);
    if (off.composition)
        out.tables = cook::tablesFor(out.piece.food, pressurePa(course_.programme.last().site));
    return out;
}

Unknowns::Off Unknowns::at(const Eigen::VectorXd& y) const {
    auto z = deviationsOf(y);
    const double rest = z.back();
    z.pop_back();
    Off out = off(std::move(z), rest);
    out.probeShare = probeShare(y);
    return out;
}

std::pair<std::map<std::string, double>, double>
Unknowns::deviations(const Eigen::VectorXd& y) const {
    const auto z = deviationsOf(y);
    std::map<std::string, double> out;
    for (std::size_t i = 0; i < inputs_.size(); ++i)
        out[translate::fieldUnknown(inputs_[i]) + inputs_[i].name] = z[i];
    return {out, z.back()};
}

Unknowns::Off Unknowns::with(const std::map<std::string, double>& deviations, double restLn) const {
    std::vector<double> z(mean_.begin(), mean_.end() - 1);
    for (std::size_t i = 0; i < inputs_.size(); ++i) {
        const auto told = deviations.find(translate::fieldUnknown(inputs_[i]) + inputs_[i].name);
        if (told != deviations.end())
            z[i] = told->second;
    }
    return off(std::move(z), restLn);
}

double Unknowns::probeShare(const Eigen::VectorXd& y) const {
    return std::clamp(probeSd_ * y[static_cast<Eigen::Index>(size() - 1)], -0.01, 0.5);
}

Result<Passage> Unknowns::pass(const Eigen::VectorXd& y, const std::stop_token& stop,
                               bool whole) const {
    Off off = at(y);
    off.tables.stop = stop;
    return run::pass(off.piece, off.course, kForecastEffort, off.tables, whole);
}

} // namespace dynamet::run
