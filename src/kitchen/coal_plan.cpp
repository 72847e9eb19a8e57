// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/coal_plan.h"

#include "coals/oven_heat.h"
#include "kitchen/air_at.h"
#include "quantity/enum_words.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace dynamet::kitchen {
namespace {

constexpr std::array<const char*, 4> kJobs{"bake", "roast", "simmer", "fry"};
constexpr double kInch = 0.0254, kCommonInches = 12, kCommonCoals = 25;
constexpr double kCommonRiseK = 156.7; // from 68 to 350 °F
constexpr double kByDiameter = 1.2;
constexpr int kMostCoals = 60, kFewestCoals = 2;
constexpr double kCommonU = 0.15; ///< of a rise by the common rule (1 σ), docs/physics.md
constexpr double kFeedS = 1800, kTooLateS = 900; ///< not for the last quarter of an hour
constexpr double kLookShare = 0.4, kLatestLookS = 1200;
constexpr double kTurnEveryS = 900;
constexpr int kHighestStack = 5;

CoalsLaid countFor(double riseK, double perCoalK, double share) {
    CoalsLaid best;
    double off = 1e9;
    for (int all = kFewestCoals; all <= kMostCoals; ++all) {
        const int lid = static_cast<int>(std::lround(all * share));
        const double away = std::abs(all * perCoalK - riseK);
        if (away < off) {
            off = away;
            best = {0, all - lid, lid};
        }
    }
    return best;
}

/// Every half hour so many lit ones that the next half hour is as hot as the first; what is half
/// burnt goes on below them. Common practice, no source: cooks refresh every half hour or so.
std::vector<CoalsLaid> refills(const CoalWish& wish, const CoalPlan& plan, const coals::Air& air) {
    std::vector<CoalsLaid> out;
    struct Laid {
        double atS;
        int coals;
    };
    const double fresh = coals::meanHeatW(wish.fuel, 0, kFeedS, air);
    const int first = plan.first.under + plan.first.lid;
    std::vector<Laid> laid{{0, first}};
    for (double t = kFeedS; t + kTooLateS < wish.lastsS; t += kFeedS) {
        double left = 0;
        for (const Laid& l : laid)
            left += l.coals * coals::meanHeatW(wish.fuel, t - l.atS, t - l.atS + kFeedS, air);
        const int missing = static_cast<int>(std::lround(first - left / fresh));
        if (missing < 1)
            continue;
        const int lid = static_cast<int>(std::lround(missing * lidShare(wish.job, wish.size.deep)));
        out.push_back({t, missing - lid, lid});
        laid.push_back({t, missing});
    }
    return out;
}

Result<void> check(const CoalWish& wish, const Site& site) {
    constexpr double kCoolestK = 353.15, kHottestK = 573.15;
    constexpr double kSmallestM = 0.15, kLargestM = 0.56;
    if (!(wish.insideK >= kCoolestK && wish.insideK <= kHottestK))
        return fail(Errc::invalidArgument,
                    {"coals_temperature_outside",
                     {Temperature::kelvin(kCoolestK), Temperature::kelvin(kHottestK)}});
    if (!(wish.size.diameterM >= kSmallestM && wish.size.diameterM <= kLargestM))
        return fail(Errc::invalidArgument,
                    {"coals_size_outside", {Metres{kSmallestM}, Metres{kLargestM}}});
    if (wish.stacked < 1 || wish.stacked > kHighestStack)
        return fail(Errc::invalidArgument, {"stack_outside", {Number{kHighestStack, 0}}});
    if (wish.insideK <= site.ambient.kelvin())
        return fail(Errc::invalidArgument, Finding{"already_hotter"});
    return {};
}

/// Coals from the ground up: those between two ovens heat the lower from above and the upper from
/// below, so that the more of either's own count lies there.
std::vector<int> layersOf(const CoalsLaid& one, int stacked) {
    std::vector<int> out{one.under};
    for (int oven = 1; oven < stacked; ++oven)
        out.push_back(std::max(one.lid, one.under));
    out.push_back(one.lid);
    return out;
}

std::vector<CoalSpot> ring(int coals, double radius, double turn) {
    std::vector<CoalSpot> out;
    for (int i = 0; i < coals; ++i) {
        const double angle = turn + 2 * std::numbers::pi * i / coals;
        out.push_back({radius * std::cos(angle), radius * std::sin(angle)});
    }
    return out;
}

} // namespace

const char* enumName(CoalJob job) {
    return kJobs[static_cast<std::size_t>(job)];
}
std::optional<CoalJob> coalJob(const std::string& word) {
    return enumOf<CoalJob>(kJobs, word);
}

double lidShare(CoalJob job, bool deep) {
    switch (job) {
    case CoalJob::bake:
        return deep ? 0.72 : 2.0 / 3;
    case CoalJob::roast:
        return 0.5;
    case CoalJob::simmer:
        return 1.0 / 3;
    case CoalJob::fry:
        return 0;
    }
    return 0.5;
}

double commonPerCoalK(double diameterM) {
    return kCommonRiseK / kCommonCoals * std::pow(kCommonInches * kInch / diameterM, kByDiameter);
}

CoalTests coalTests(const Kitchen& kitchen, const Appliance& oven) {
    const auto rated = kitchen.rated.find(oven.id);
    if (rated == kitchen.rated.end() || oven.zones.empty())
        return {};
    return coalTestsIn(oven, placeOf(kitchen, oven, oven.zones.front().name), rated->second);
}

Result<CoalPlan> coalPlan(const Kitchen& kitchen, const Appliance& oven, const CoalWish& wish,
                          const Site& site) {
    if (const auto ok = check(wish, site); !ok)
        return tl::unexpected(ok.error());
    const coals::Air air = airAt(site);
    const CoalTests tests = coalTests(kitchen, oven);
    CoalPlan out;
    out.tests = tests.count;
    out.testsFactor = tests.factor;
    out.airFactor = coals::risePerCoalK({}, wish.fuel, air) /
                    coals::risePerCoalK({}, coals::Fuel{}, coals::Air{});
    const double common = commonPerCoalK(wish.size.diameterM);
    out.perCoalK = common * out.airFactor * out.testsFactor;
    const double share = lidShare(wish.job, wish.size.deep);
    const double rise = wish.insideK - site.ambient.kelvin();
    if (rise > kMostCoals * out.perCoalK)
        return fail(
            Errc::refused,
            {"coals_too_many", {Number{std::ceil(rise / out.perCoalK), 0}, Number{kMostCoals, 0}}});
    out.first = countFor(rise, out.perCoalK, share);
    const Site usual;
    const CoalsLaid rule = countFor(wish.insideK - usual.ambient.kelvin(), common, share);
    out.commonUnder = rule.under;
    out.commonLid = rule.lid;
    const double reached = out.perCoalK * (out.first.under + out.first.lid);
    out.insideK = site.ambient.kelvin() + reached;
    out.u = reached * (tests.count > 0 ? std::hypot(tests.uLn, kCoalDayU) : kCommonU);
    out.added = refills(wish, out, air);
    if (wish.stacked > 1)
        out.layers = layersOf(out.first, wish.stacked);
    out.lookS = std::min(kLookShare * wish.lastsS, kLatestLookS);
    out.turnEveryS = kTurnEveryS;
    return out;
}

CoalsLaid correctedByEye(const CoalPlan& plan, double moreHeat) {
    const int all = plan.first.under + plan.first.lid;
    const int change = static_cast<int>(std::lround(moreHeat * all));
    const int lid =
        all > 0 ? static_cast<int>(std::lround(static_cast<double>(change) * plan.first.lid / all))
                : 0;
    return {0, change - lid, lid};
}

std::vector<CoalSpot> placementUnder(int coals) {
    constexpr int kRing = 12;
    constexpr double kRim = 0.8, kInner = 0.35;
    auto out = ring(std::min(coals, kRing), kRim, 0);
    const auto inner = ring(std::max(0, coals - kRing), kInner, 0.3);
    out.insert(out.end(), inner.begin(), inner.end());
    return out;
}

std::vector<CoalSpot> placementOnLid(int coals) {
    constexpr int kRing = 16, kSecond = 10;
    constexpr double kRim = 0.86, kMiddle = 0.55, kInner = 0.22;
    auto out = ring(std::min(coals, kRing), kRim, 0.2);
    const auto second = ring(std::clamp(coals - kRing, 0, kSecond), kMiddle, 0);
    const auto inner = ring(std::max(0, coals - kRing - kSecond), kInner, 0.4);
    out.insert(out.end(), second.begin(), second.end());
    out.insert(out.end(), inner.begin(), inner.end());
    return out;
}

} // namespace dynamet::kitchen
