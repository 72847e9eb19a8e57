// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/preheat.h"

#include "rating/uncertainty/steady_level.h"

#include "numeric/statistics.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "trace/finite.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

Result<void> checkLimit(const Preheat& test, const Series& air) {
    if (test.limitK) {
        const auto over = std::count_if(air.value.begin(), air.value.end(),
                                        [&](double v) { return v >= *test.limitK; });
        if (over > 0)
            return fail(Errc::refused,
                        {"readings_at_limit",
                         {Number{static_cast<double>(over)}, Temperature::kelvin(*test.limitK)}});
    }
    return {};
}

/// When it first reached what the dial says, and by how much it overshot.
void addAgainstDial(Reduction& out, double setK, double uBiasK, const Series& air, double step) {
    const auto reached =
        std::find_if(air.value.begin(), air.value.end(), [&](double v) { return v >= setK; });
    if (reached != air.value.end())
        out.quantities.push_back(makeQuantity(
            "first_reach_s",
            air.timeS[static_cast<std::size_t>(reached - air.value.begin())] - air.timeS.front(),
            "s", step / 2, 1e9, 0));
    else
        out.warnings.push_back({"never_reached"});
    const double highest = *std::max_element(air.value.begin(), air.value.end());
    out.quantities.push_back(
        makeQuantity("overshoot_K", std::max(0.0, highest - setK), "K", 0.3, 1e9, uBiasK));
}

/// Times, overshoot and cycling, beside the mean.
void addCourse(Reduction& out, const Preheat& test, const Series& air, const Settled& settled) {
    const double start = air.timeS.front();
    const double step = air.size() > 1 ? air.timeS[1] - air.timeS[0] : 1;
    out.quantities.push_back(makeQuantity("settled_s", settled.atS - start, "s", 30, 1e9, 0));
    if (test.setK)
        addAgainstDial(out, *test.setK, test.uBiasK, air, step);
    out.quantities.push_back(makeQuantity("half_swing_K", settled.cycling.halfSwing, "K",
                                          0.1 * settled.cycling.halfSwing, 1e9, 0));
    if (settled.cycling.periodS > 0)
        out.quantities.push_back(makeQuantity("period_s", settled.cycling.periodS, "s",
                                              0.1 * settled.cycling.periodS, 1e9, 0));
}

void addFieldNumbers(Reduction& out, const Preheat& test, const Quantity& q) {
    const auto term = test.plate    ? kitchen::Term::plate
                      : test.liquid ? kitchen::Term::liquid
                                    : kitchen::Term::air;
    const auto face = test.plate ? kitchen::Face::bottom : kitchen::Face::all;
    out.fieldNumbers.push_back(
        {{face, term}, q.value, q.u, kitchen::Provenance::measured, "", "measured"});
    if (test.plate)
        out.fieldNumbers.push_back({{face, kitchen::Term::plateSet},
                                    q.value,
                                    q.u,
                                    kitchen::Provenance::measured,
                                    "",
                                    "measured"});
}

Finding foundIn(const Preheat& test, const Quantity& q, double settledAfterS) {
    if (!test.setK)
        return Finding{"preheat", {pointOf(q), Seconds{settledAfterS}}};
    const double offset = q.value - *test.setK;
    return {offset < 0 ? "preheat_below" : "preheat_above",
            {Temperature::kelvin(*test.setK), pointOf(q), KelvinDelta(std::abs(offset)),
             Seconds{settledAfterS}}};
}

} // namespace

Result<Reduction> reducePreheat(const Preheat& test) {
    Series spare;
    const Series& air = finite(test.air, spare);
    if (const auto ok =
            checkReadings(test.air, test.plate ? "the plate" : "the air", 30, 250, 1300);
        !ok)
        return tl::unexpected(ok.error());
    if (const auto ok = checkLimit(test, air); !ok)
        return tl::unexpected(ok.error());
    const bool thermostat = !test.liquid;
    const auto level = steadyLevel(air, test.rule, thermostat ? Swings::yes : Swings::no);
    if (!level)
        return tl::unexpected(level.error());
    const Series& part = level->part;
    const double centre = level->centreK, typeA = level->typeA, dof = level->dof;
    const double typeB = std::hypot(test.uBiasK, level->creepK, level->missedK);
    Reduction out;
    out.protocol = "preheat";
    const char* meanName = test.plate ? "plate_K" : test.liquid ? "liquid_K" : "air_K";
    out.quantities.push_back(makeQuantity(meanName, centre, "K", typeA, dof, typeB));
    if (test.setK)
        out.quantities.push_back(
            makeQuantity("offset_K", centre - *test.setK, "K", typeA, dof, typeB));
    addCourse(out, test, air, level->settled);
    out.warnings.insert(out.warnings.end(), level->warnings.begin(), level->warnings.end());
    out.contributions = {{"batches of cycles", typeA},
                         {"probe's bias", test.uBiasK},
                         {"still creeping", level->creepK}};
    if (level->missedK > 0)
        out.contributions.push_back({"swings between readings", level->missedK});
    for (std::size_t i = 0; i < part.size(); ++i) {
        out.fit.timeS.push_back(part.timeS[i]);
        out.fit.value.push_back(centre);
        out.residuals.timeS.push_back(part.timeS[i]);
        out.residuals.value.push_back(part.value[i] - centre);
    }
    const Quantity& found = out.quantities.front(); // the dial adds nothing to its offset's ±
    fillCovariance(out, {{found.name, "offset_K", found.u * found.u}});
    const Quantity& q = out.quantities.front();
    out.found.push_back(foundIn(test, q, level->settled.atS - air.timeS.front()));
    addFieldNumbers(out, test, q);
    return out;
}

} // namespace dynamet::rating
