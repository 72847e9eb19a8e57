// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/linear_again.h"

#include <algorithm>

namespace dynamet::translate {
namespace {

constexpr int kMostTimes = 4;
constexpr double kStill = 0.05; ///< of the standard deviation

/// The part of an observation that is not of the inputs, and the inputs' own with other slopes.
evidence::Effects withSlopes(const evidence::Effects& effects,
                             const std::vector<evidence::Effects>& forms,
                             const std::vector<double>& slopes) {
    evidence::Effects out = effects;
    std::erase_if(out, [&](const evidence::Effect& e) {
        return std::any_of(forms.begin(), forms.end(), [&](const evidence::Effects& form) {
            return std::any_of(form.begin(), form.end(), [&](const evidence::Effect& part) {
                return part.unknown == e.unknown;
            });
        });
    });
    for (std::size_t i = 0; i < forms.size(); ++i)
        for (evidence::Effect part : forms[i]) {
            const bool told =
                std::any_of(effects.begin(), effects.end(),
                            [&](const evidence::Effect& e) { return e.unknown == part.unknown; });
            part.lnTime *= slopes[i];
            if (told) // what is the author's own may have been left out
                out.push_back(std::move(part));
        }
    return out;
}

} // namespace

evidence::Observation linearAgain(evidence::Observation seen, const evidence::Belief& before,
                                  const Timer& timer) {
    const auto forms = deviationsOf(timer.inputs, timer.input->spread, timer.input->names);
    std::vector<double> at(timer.inputs.size(), 0.0);
    const double nominal = std::log(timer.at(at, kDraw));
    const double measured = seen.lnDifference;
    for (int times = 0; times < kMostTimes; ++times) {
        const evidence::Belief belief = before.with({}, {seen});
        std::vector<double> next;
        double linear = measured - seen.lnDifference;
        for (const evidence::Effects& form : forms)
            next.push_back(belief.mean(form));
        evidence::Effects ofInputs;
        for (const evidence::Effect& e : seen.effects)
            for (const evidence::Effects& form : forms)
                for (const evidence::Effect& part : form)
                    if (part.unknown == e.unknown)
                        ofInputs.push_back(e);
        linear += belief.mean(ofInputs);
        const double is = std::log(timer.at(next, kDraw)) - nominal;
        const double sd = std::sqrt(belief.variance(seen.effects));
        if (!std::isfinite(is) || !(std::abs(is - linear) > kStill * sd))
            return seen;
        at = next;
        std::vector<double> slopes;
        double reached = 0;
        for (std::size_t i = 0; i < at.size(); ++i) {
            const auto moved = [&](double side) {
                std::vector<double> off = at;
                off[i] += side;
                return side * (std::log(timer.at(off, kDraw)) - nominal - is);
            };
            slopes.push_back(moved(1));
            if (!std::isfinite(slopes.back())) // as hot as the goal already
                slopes.back() = moved(-1);
            if (!std::isfinite(slopes.back()))
                return seen;
            reached += slopes.back() * at[i];
        }
        seen.effects = withSlopes(seen.effects, forms, slopes);
        seen.lnDifference = measured - (is - reached);
    }
    return seen;
}

} // namespace dynamet::translate
