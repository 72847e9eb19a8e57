// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/search.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace dynamet::translate {
namespace {

using kitchen::Control;
using kitchen::Setting;

constexpr int kCoarsePlaces = 6;
constexpr std::size_t kMostCoarse = 90;

struct Search {
    const Prepared* prepared;
    const Target* target;
    const kitchen::Appliance* appliance;
    std::stop_token stop;
    std::set<std::string> tried;
    Row best;
    double lastPullS = 0;
    std::string closest; // why the last unreachable setting failed

    void consider(const Setting& setting) {
        if (stop.stop_requested() ||
            !tried.insert(settingText(appliance->controls, setting)).second)
            return;
        auto programme = programmeFor(prepared->request, *target, setting);
        if (!programme) {
            closest = programme.error().message;
            return;
        }
        programme->guessS = lastPullS;
        programme->longestS = std::max(7200.0, 5 * prepared->outcome.pullS);
        const auto outcome =
            cook::cookTo(prepared->request.piece, *programme,
                         {prepared->request.goal.coreK, prepared->request.goal.readAt},
                         cook::kQuick, prepared->tables);
        ++best.solves;
        if (!outcome) {
            closest = outcome.error().message;
            return;
        }
        lastPullS = outcome->pullS;
        Row row;
        row.target = *target;
        row.reached = true;
        row.instruction.setting = setting;
        row.instruction.turning = programme->turning;
        row.outcome = *outcome;
        row.crustDistance = crustDistance(*outcome, prepared->outcome);
        row.solves = best.solves;
        if (!best.reached || finer(row, best))
            best = row;
        best.solves = row.solves;
    }

    /// Likeness of crust first, exactly and not in steps, with the rim to break near ties: the
    /// steps are for ranking appliances, not for choosing a setting of one.
    bool finer(const Row& a, const Row& b) const {
        const auto cost = [this](const Row& r) {
            return r.crustDistance +
                   0.1 * std::abs(r.outcome.rimM - prepared->outcome.rimM) / 1e-3 +
                   0.02 * std::abs(std::log(r.outcome.pullS / prepared->outcome.pullS));
        };
        return cost(a) < cost(b);
    }

    void refine() {
        for (std::size_t i = 0; i < appliance->controls.size(); ++i) {
            const Control& control = appliance->controls[i];
            if (!isNumeric(control.kind) || !best.reached)
                continue;
            double step = (control.high - control.low) / kCoarsePlaces / 2;
            while (step >= control.step * 0.99 && !stop.stop_requested()) {
                step = std::max(std::round(step / control.step), 1.0) * control.step;
                const double centre = std::get<double>(best.instruction.setting.values[i]);
                for (double sign : {-1.0, 1.0}) {
                    Setting next = best.instruction.setting;
                    next.values[i] = std::clamp(centre + sign * step, control.low, control.high);
                    consider(next);
                }
                step /= 2;
            }
        }
    }
};

} // namespace

Row findBestSetting(const Prepared& prepared, const Target& target, std::stop_token stop) {
    Search search;
    search.prepared = &prepared;
    search.target = &target;
    search.stop = std::move(stop);
    search.best.target = target;
    search.appliance = findAppliance(prepared.request.kitchen, target.applianceId);
    if (!search.appliance) {
        search.best.reason = "the appliance is no longer in the book";
        return search.best;
    }
    // The reference's own setting is always a candidate on its own appliance.
    if (target.applianceId == prepared.request.reference.applianceId)
        search.consider(prepared.request.reference.setting);
    for (const Setting& setting :
         possibleSettings(search.appliance->controls, kCoarsePlaces, kMostCoarse))
        search.consider(setting);
    search.refine();
    if (!search.best.reached)
        search.best.reason = search.closest.empty() ? "stopped" : search.closest;
    return search.best;
}

} // namespace dynamet::translate
