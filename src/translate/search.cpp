// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/search.h"

#include "kitchen/hob_use.h"
#include "translate/cook_row.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <set>

namespace dynamet::translate {
namespace {

using kitchen::Control;
using kitchen::Setting;

constexpr int kCoarsePlaces = 6;
constexpr std::size_t kMostCoarse = 90;
/// Of a likeness further off [noticed differences] the time says nothing about the next setting's.
constexpr double kAlike = 4;

/// So many of the first round's best are cooked again.
constexpr std::size_t kLookedAtAgain = 2;

/// So many of a dial's steps to either side are gone about the best on the finer grid.
constexpr double kLastSteps = 2;

/// Of crusts alike, the time nearest to the recipe's; of a factor e.
constexpr double kTimeWeight = 0.1;

/// Times as a cook sets them: tens of seconds below five minutes, then minutes.
double cookTime(double seconds) {
    const double step = seconds < 300 ? 10 : 60;
    return seconds <= 0 ? 0 : std::max(step, std::round(seconds / step) * step);
}

std::vector<double> timeFactors(double writtenS) {
    return writtenS > 0 ? std::vector<double>{0.5, 1, 2} : std::vector<double>{1};
}

struct Search {
    const Prepared* prepared;
    const Target* target;
    const kitchen::Appliance* appliance;
    std::vector<Control> controls; ///< as far as they can be set
    std::stop_token stop;
    std::set<std::string> tried;
    Row best;
    cook::Effort effort = kSketch;
    struct Rough {
        double cost = 0;
        Setting setting;
        double stageS = 0;
    };
    std::vector<Rough> rough; ///< what the first round found
    double lastTookS = 0;     // of the last stage
    bool byClock = false;
    Error closest{Errc::notConverged, "stopped"}; // why the last unreachable setting failed

    void consider(const Setting& setting, double stageS) {
        const std::string key =
            fmt::format("{} {:.0f}", settingText(appliance->controls, setting), stageS);
        if (stop.stop_requested() || !tried.insert(key).second)
            return;
        auto programme = programmeFor(prepared->request, *target, setting, stageS);
        if (!programme) {
            closest = programme.error();
            return;
        }
        programme->guessS = lastTookS;
        programme->longestS =
            std::max(7200.0, (prepared->byLikeness() ? 4 : 5) * prepared->outcome.pullS);
        auto cook = cookRow(*prepared, prepared->request.recipe.piece, *programme,
                            {lastTookS, {}, worthMore()}, prepared->tables, effort);
        best.solves += cook ? cook->solves : 1;
        if (!cook) {
            closest = cook.error();
            return;
        }
        const double tookS = cook->outcome.pullS - cook->outcome.lastStartS;
        Row row;
        row.target = *target;
        row.reached = true;
        row.instruction.setting = setting;
        row.instruction.stageS = stageS;
        row.instruction.turning = programme->last().turning;
        row.watched = watchedStage(*programme);
        row.outcome = std::move(cook->outcome);
        row.likeness = std::move(cook->likeness);
        row.crustDistance = crustDistance(row.outcome, reference());
        row.solves = best.solves;
        if (effort.cells <= kSketch.cells)
            rough.push_back({cost(row), setting, stageS});
        const bool better = !best.reached || finer(row, best);
        if (!row.likeness || (better && row.likeness->distance < kAlike))
            lastTookS = tookS;
        if (better)
            best = row;
        best.solves = row.solves;
    }

    /// The recipe on the grid of the search.
    const cook::Outcome& reference() const {
        return effort.cells <= kSketch.cells ? prepared->sketch : prepared->quick;
    }

    /// Goes on more exactly from the best of the first round; from the next ones where that is not
    /// reached after all.
    void closely() {
        effort = cook::kQuick;
        tried.clear();
        const long solves = std::exchange(best, Row{}).solves;
        best.target = *target;
        best.solves = solves;
        std::stable_sort(rough.begin(), rough.end(),
                         [](const Rough& a, const Rough& b) { return a.cost < b.cost; });
        for (std::size_t i = 0; i < rough.size() && (i < kLookedAtAgain || !best.reached); ++i)
            consider(rough[i].setting, rough[i].stageS);
    }

    /// What a further setting must come within, to be worth its time.
    double worthMore() const {
        constexpr double kLeeway = 0.3; // the slopes promise roughly
        return best.reached && best.likeness ? best.likeness->distance + kLeeway
                                             : std::numeric_limits<double>::infinity();
    }

    /// Likeness of crust first, exactly and not in steps, with the rim to break near ties: the
    /// steps are for ranking appliances, not for choosing a setting of one. By the clock the core
    /// counts too.
    bool finer(const Row& a, const Row& b) const { return cost(a) < cost(b); }
    double cost(const Row& r) const {
        if (r.likeness)
            return r.likeness->distance;
        return r.crustDistance + 0.1 * std::abs(r.outcome.rimM - reference().rimM) / 1e-3 +
               kTimeWeight * std::abs(std::log(r.outcome.pullS / reference().pullS)) +
               (byClock ? 0.2 * std::abs(r.outcome.peakK - reference().peakK) : 0);
    }

    /// Halving steps about the best, from half a place on; `last`: only the dial's own last steps.
    void refine(bool last) {
        for (std::size_t i = 0; i < controls.size(); ++i) {
            const Control& control = controls[i];
            if (!isNumeric(control.kind) || !best.reached)
                continue;
            const double half = (control.high - control.low) / kCoarsePlaces / 2;
            double step = last ? std::min(half, kLastSteps * control.step) : half;
            while (step >= control.step * 0.99 && !stop.stop_requested()) {
                step = std::max(std::round(step / control.step), 1.0) * control.step;
                const double centre = std::get<double>(best.instruction.setting.values[i]);
                for (double sign : {-1.0, 1.0}) {
                    Setting next = best.instruction.setting;
                    next.values[i] = std::clamp(centre + sign * step, control.low, control.high);
                    consider(next, best.instruction.stageS);
                }
                step /= 2;
            }
        }
    }

    /// Longer and shorter, where a time ends the moved stage.
    void refineTime() {
        for (double factor : {1.4, 1.2, 1.1}) {
            const double now = best.instruction.stageS;
            if (!best.reached || now <= 0)
                return;
            consider(best.instruction.setting, cookTime(now * factor));
            consider(best.instruction.setting, cookTime(now / factor));
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
    if (prepared.byLikeness()) // the recipe's own minutes are the first idea
        search.lastTookS = prepared.outcome.pullS - prepared.outcome.lastStartS;
    search.appliance = findAppliance(prepared.request.kitchen, target.applianceId);
    if (!search.appliance) {
        search.best.reason = {Errc::notFound, "the appliance is no longer in the book"};
        return search.best;
    }
    search.controls = settable(*search.appliance);
    // The recipe's own setting is always a candidate on its own appliance.
    const Request& request = prepared.request;
    const double written = writtenStageS(request);
    search.byClock = request.moved && request.recipe.endsByClock();
    const recipe::Place& from = movedFrom(request);
    if (target == Target{from.applianceId, from.zone, from.vesselId}) { // it stands as written
        search.effort = cook::kQuick;
        search.consider(from.setting, written);
        if (search.best.reached)
            return search.best;
        search.effort = kSketch;
    }
    if (target.applianceId == from.applianceId)
        search.consider(from.setting, written);
    for (const Setting& setting : possibleSettings(search.controls, kCoarsePlaces, kMostCoarse))
        for (double factor : timeFactors(written))
            search.consider(setting, cookTime(factor * written));
    search.refineTime();
    search.refine(false);
    search.closely();
    search.refineTime();
    search.refine(true);
    search.refineTime();
    if (!search.best.reached)
        search.best.reason = search.closest;
    return search.best;
}

} // namespace dynamet::translate
