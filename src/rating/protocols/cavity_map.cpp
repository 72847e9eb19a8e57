// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/cavity_map.h"

#include "rating/uncertainty/steady_level.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

/// Mean over the probes at the first one's times.
Series meanOfSpots(const CavityMap& t) {
    Series out;
    out.timeS = t.spots.begin()->second.timeS;
    for (double at : out.timeS) {
        double sum = 0;
        for (const auto& [place, series] : t.spots)
            sum += valueAt(series, at);
        out.value.push_back(sum / static_cast<double>(t.spots.size()));
    }
    return out;
}

Result<void> checkSpots(const CavityMap& t) {
    if (t.spots.size() < 2)
        return fail(Errc::refused, Finding{"map_needs_probes"});
    for (const auto& [place, series] : t.spots) {
        if (const auto ok = checkReadings(series, place, 30, 250, 1100); !ok)
            return ok;
        for (double v : series.value)
            if (t.limitK && v >= *t.limitK)
                return fail(Errc::refused, Finding{"place_at_limit", {Name{place}}});
    }
    return {};
}

/// A probe that has less than half of the others' excess over a room was unplugged, or lay outside:
/// it tells nothing of the space.
std::vector<Finding> takeOutDead(std::map<std::string, Series>& spots) {
    constexpr double kRoomK = 293.15, kHotK = 20;
    std::vector<double> late;
    const auto lateMean = [](const Series& s) {
        return mean(between(s, (s.timeS.front() + 2 * s.timeS.back()) / 3, s.timeS.back()).value);
    };
    for (const auto& [place, series] : spots)
        late.push_back(lateMean(series));
    std::sort(late.begin(), late.end());
    const double middle = late[late.size() / 2];
    std::vector<Finding> out;
    if (middle - kRoomK < kHotK)
        return out;
    for (auto at = spots.begin(); at != spots.end();) {
        const double here = lateMean(at->second);
        if (here - kRoomK > 0.5 * (middle - kRoomK)) {
            ++at;
            continue;
        }
        out.push_back({"probe_dead",
                       {Name{at->first}, Temperature::kelvin(here), Temperature::kelvin(middle)}});
        at = spots.erase(at);
    }
    return out;
}

Finding foundIn(const Reduction& out, const std::vector<double>& level,
                const std::vector<std::string>& places) {
    const auto [low, high] = std::minmax_element(level.begin(), level.end());
    const auto placeOf = [&](auto at) {
        return Name{places[static_cast<std::size_t>(at - level.begin())]};
    };
    return Finding{"cavity_map",
                   {Number{static_cast<double>(level.size())}, pointOf(out.quantities[0]),
                    placeOf(high), placeOf(low), estimateOf(out.quantities[1])}};
}

} // namespace

Result<Reduction> reduceCavityMap(const CavityMap& test) {
    if (const auto ok = checkSpots(test); !ok)
        return tl::unexpected(ok.error());
    std::map<std::string, Series> clean;
    for (const auto& [place, series] : test.spots)
        clean[place] = between(series, -1e300, 1e300);
    const std::vector<Finding> dead = takeOutDead(clean);
    if (clean.size() < 2)
        return fail(Errc::refused, Finding{"map_needs_probes"});
    const CavityMap t{clean,         test.rule,   test.setK,  test.liquid,
                      test.uCommonK, test.uEachK, test.limitK};
    const Series all = meanOfSpots(t);
    const auto steady = steadyLevel(all, t.rule, t.liquid ? Swings::no : Swings::yes);
    if (!steady)
        return tl::unexpected(steady.error());
    const Settled& settled = steady->settled;
    const double from = steady->fromS;
    const double span = all.timeS.back() - settled.fromS;
    const double batch = settled.cycling.periodS > 0 ? settled.cycling.periodS : span / 6;
    std::vector<double> level;
    std::vector<std::string> places;
    for (const auto& [place, series] : t.spots) {
        const auto means = stretchMeans(series, from, batch);
        level.push_back(means.empty() ? mean(between(series, from, 1e300).value) : mean(means));
        places.push_back(place);
    }
    const double typeA = steady->batches.size() > 1 ? steady->typeA : 1.0;
    const double centre = mean(level), n = static_cast<double>(level.size());
    const double uMean = std::hypot(std::hypot(t.uCommonK, t.uEachK / std::sqrt(n)), steady->creepK,
                                    steady->missedK);
    Reduction out;
    out.protocol = "cavity-map";
    out.warnings = dead;
    out.warnings.insert(out.warnings.end(), steady->warnings.begin(), steady->warnings.end());
    out.quantities.push_back(
        makeQuantity(t.liquid ? "liquid_K" : "air_K", centre, "K", typeA, steady->dof, uMean));
    const auto [low, high] = std::minmax_element(level.begin(), level.end());
    out.quantities.push_back(
        makeQuantity("spread_K", *high - *low, "K", 0.2, 1e9, t.uEachK * std::sqrt(2.0)));
    out.quantities.push_back(
        makeQuantity("settled_s", settled.atS - all.timeS.front(), "s", 30, 1e9, 0));
    for (std::size_t i = 0; i < level.size(); ++i)
        out.quantities.push_back(makeQuantity("place_K:" + places[i], level[i] - centre, "K", 0.2,
                                              1e9, t.uEachK * std::sqrt(1 - 1 / n)));
    std::vector<SharedPart> shared; // places against their mean add up to nothing
    for (std::size_t i = 0; i < places.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            shared.push_back(
                {"place_K:" + places[i], "place_K:" + places[j], -t.uEachK * t.uEachK / n});
    fillCovariance(out, shared);
    // Food sits in one place of these: the field is known no better than the places agree.
    const double uField = std::hypot(out.quantities[0].u, standardDeviation(level));
    out.fieldNumbers.push_back(
        {{kitchen::Face::all, t.liquid ? kitchen::Term::liquid : kitchen::Term::air},
         centre,
         uField,
         kitchen::Provenance::measured,
         "",
         "measured"});
    out.contributions = {{"cycles", typeA},
                         {"logger, all probes alike", t.uCommonK},
                         {"probe against probe", t.uEachK / std::sqrt(n)}};
    out.fit = all;
    out.found.push_back(foundIn(out, level, places));
    return out;
}

} // namespace dynamet::rating
