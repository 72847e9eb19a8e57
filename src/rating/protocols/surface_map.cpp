// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/surface_map.h"

#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

Result<Derived> evaluate(const SurfaceMap& test, std::size_t) {
    const auto spots = trueSpots(test);
    if (!spots)
        return tl::unexpected(spots.error());
    const auto [low, high] = std::minmax_element(spots->begin(), spots->end());
    return Derived{mean(*spots), *high - *low, *high, *low};
}

std::vector<Influence<SurfaceMap>> inputs() {
    return {
        {"emissivity",
         [](SurfaceMap& t, double s) {
             t.view.surfaceEmissivity =
                 std::clamp(t.view.surfaceEmissivity + s * t.uEmissivity, 0.5, 1.0);
         }},
        {"background", [](SurfaceMap& t, double s) { t.view.backgroundK += s * t.uBackgroundK; }},
        {"the gun", [](SurfaceMap& t, double s) {
             for (double& k : t.shownK)
                 k += s * t.uGun * (k - kZeroCelsiusK);
         }}};
}

void addFieldNumbers(Reduction& out, MappedSurface surface, const Quantity& q) {
    using kitchen::Face, kitchen::Term, kitchen::FieldKey;
    std::vector<FieldKey> keys;
    switch (surface) {
    case MappedSurface::plate:
        keys = {{Face::bottom, Term::plate}, {Face::bottom, Term::plateSet}};
        break;
    case MappedSurface::floor:
        keys = {{Face::bottom, Term::plate}};
        break;
    case MappedSurface::lid:
        keys = {{Face::top, Term::radiant}};
        break;
    case MappedSurface::deflector:
        keys = {{Face::bottom, Term::radiant}};
        break;
    }
    for (const FieldKey& key : keys)
        out.fieldNumbers.push_back(
            {key, q.value, q.u, kitchen::Provenance::measured, "", "measured"});
    if (keys.size() > 1) // one number in two places
        out.fieldCovariances.push_back({keys[0], keys[1], q.u * q.u});
}

} // namespace

Result<std::vector<double>> trueSpots(const SurfaceMap& test) {
    std::vector<double> out;
    for (std::size_t i = 0; i < test.shownK.size(); ++i) {
        const auto spot = kitchen::surfaceFromInfrared(test.shownK[i], test.view);
        if (!spot)
            return tl::unexpected(spot.error().in(fmt::format("spot {}", i + 1)));
        out.push_back(*spot);
    }
    return out;
}

Result<Reduction> reduceSurfaceMap(const SurfaceMap& test) {
    if (test.shownK.size() < 3)
        return fail(Errc::refused, Finding{"map_needs_spots"});
    for (std::size_t i = 0; test.limitK && i < test.shownK.size(); ++i)
        if (test.shownK[i] >= *test.limitK)
            return fail(Errc::refused,
                        Finding{"spot_at_limit", {Number{static_cast<double>(i + 1)}}});
    auto spread = spreadOf(test, inputs(), 0, 0, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    const auto spots = *trueSpots(test);
    const double count = static_cast<double>(spots.size());
    addTypeA(*spread, 0, standardDeviation(spots) / std::sqrt(count), count - 1,
             "from spot to spot");
    Reduction out;
    out.protocol = "surface-map";
    addQuantities(out, *spread,
                  {{"plate_K", "K"}, {"spread_K", "K"}, {"hottest_K", "K"}, {"coldest_K", "K"}});
    for (std::size_t i = 0; i < spots.size(); ++i) {
        out.fit.timeS.push_back(static_cast<double>(i));
        out.fit.value.push_back(spots[i]);
    }
    const Quantity& q = out.quantities.front();
    addFieldNumbers(out, test.surface, q);
    out.found.push_back({"surface_map", {pointOf(q), KelvinDelta(out.quantities[1].value)}});
    return out;
}

} // namespace dynamet::rating
