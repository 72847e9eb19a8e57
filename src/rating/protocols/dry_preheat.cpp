// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/dry_preheat.h"

#include "numeric/linear_fit.h"
#include "numeric/statistics.h"
#include "quantity/print.h"
#include "rating/protocols/plate_loss.h"
#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr std::size_t kHeating = 8, kCooling = 10;
constexpr double kLeastRiseK = 60;

double losing(const DryPreheat& t, double kelvin) {
    return losingExcess({t.ambientK, t.referenceK, t.radiantShare}, kelvin);
}

double offTime(const DryPreheat& t, const Series& s) {
    if (t.offS)
        return *t.offS;
    const auto hottest = std::max_element(s.value.begin(), s.value.end());
    return s.timeS[static_cast<std::size_t>(hottest - s.value.begin())];
}

/// Slopes over even stretches: slope = on × (flux / capacity) − loss / capacity × losing(T).
void addRows(const DryPreheat& t, const Series& part, std::size_t stretches, bool on,
             std::vector<LinearRow>& rows) {
    const double first = part.timeS.front(),
                 width = (part.timeS.back() - first) / static_cast<double>(stretches);
    for (std::size_t i = 0; i < stretches; ++i) {
        const Series piece = between(part, first + static_cast<double>(i) * width,
                                     first + static_cast<double>(i + 1) * width);
        if (piece.size() < 3)
            continue;
        const double slope = fitLine(piece.timeS, piece.value).slope;
        // A lagging probe shows temperature and slope of one and the same earlier moment.
        const double kelvin = mean(piece.value);
        rows.push_back({{on ? 1.0 : 0.0, -losing(t, kelvin)}, slope, std::sqrt(width)});
    }
}

Result<Derived> evaluate(const DryPreheat& t, std::size_t without) {
    const Series all = between(t.plate, -1e300, 1e300);
    const double off = offTime(t, all);
    std::vector<LinearRow> rows;
    const Series heating = between(all, all.timeS.front() + t.hobLagS, off - 2);
    const Series cooling = between(all, off + t.hobLagS, 1e300);
    if (heating.size() < 3 * kHeating || cooling.size() < 3 * kCooling)
        return fail(Errc::refused, Finding{"preheat_too_short"});
    addRows(t, heating, kHeating, true, rows);
    addRows(t, cooling, kCooling, false, rows);
    if (without < rows.size())
        rows.erase(rows.begin() + static_cast<std::ptrdiff_t>(without));
    const auto x = solveLinear(rows);
    if (!x)
        return tl::unexpected(x.error());
    const double a = (*x)[0], b = (*x)[1];
    if (t.massKg <= 0)
        return Derived{a, b};
    const double capacity = t.massKg * t.specificHeat / t.areaM2;
    return Derived{a * capacity, b * capacity, capacity, a, b};
}

std::vector<Influence<DryPreheat>> inputs() {
    return {
        influenceOf("share of radiation in the loss", &DryPreheat::radiantShare,
                    &DryPreheat::uRadiantShare),
        scaled("weight", &DryPreheat::massKg, &DryPreheat::uMass),
        scaled("heat capacity of the metal", &DryPreheat::specificHeat, &DryPreheat::uSpecificHeat),
        scaled("area", &DryPreheat::areaM2, &DryPreheat::uArea),
        influenceOf("room", &DryPreheat::ambientK, &DryPreheat::uAmbientK),
        biased("probe's bias", &DryPreheat::plate, &DryPreheat::uBiasK),
        gained("probe's gain", &DryPreheat::plate, &DryPreheat::uGain)};
}

void addWeighed(Reduction& out, const Spread& spread) {
    using kitchen::Face, kitchen::Term;
    addQuantities(out, spread,
                  {{"plate_flux_W_m2", "W/m²"},
                   {"plate_loss_W_m2K", "W/m²K"},
                   {"plate_capacity_J_m2K", "J/m²K"},
                   {"heating_K_s", "K/s"},
                   {"loss_per_s", "1/s"}});
    std::vector<std::pair<std::size_t, kitchen::FieldKey>> placed;
    addFieldNumber(out, spread, 0, {Face::bottom, Term::plateFlux}, placed);
    addFieldNumber(out, spread, 1, {Face::bottom, Term::plateLoss}, placed);
    addFieldNumber(out, spread, 2, {Face::bottom, Term::plateHeatCapacity}, placed);
    const Quantity& q = out.quantities.front();
    out.found.push_back(
        {"dry_preheat",
         {Estimate{q.value, halfWidth95(q), "W"},
          Estimate{out.quantities[1].value, halfWidth95(out.quantities[1]), "W/K"}}});
}

} // namespace

Result<Reduction> reduceDryPreheat(const DryPreheat& test) {
    if (const auto ok = checkReadings(test.plate, "the plate", 60, 250, 1100); !ok)
        return tl::unexpected(ok.error());
    const Series all = between(test.plate, -1e300, 1e300);
    const auto [low, high] = std::minmax_element(all.value.begin(), all.value.end());
    if (*high - *low < kLeastRiseK)
        return fail(Errc::refused, {"plate_rose_too_little",
                                    {KelvinDelta(*high - *low), KelvinDelta(kLeastRiseK)}});
    const auto spread = spreadOf(test, inputs(), kHeating + kCooling, 2, evaluate);
    if (!spread)
        return tl::unexpected(spread.error());
    Reduction out;
    out.protocol = "dry-preheat";
    if (test.massKg > 0) {
        addWeighed(out, *spread);
    } else {
        addQuantities(out, *spread, {{"heating_K_s", "K/s"}, {"loss_per_s", "1/s"}});
        out.found.push_back(
            {"dry_preheat_unweighed",
             {Estimate{out.quantities[0].value * 60, halfWidth95(out.quantities[0]) * 60, "K"}}});
        out.warnings.push_back({"not_weighed"});
    }
    return out;
}

} // namespace dynamet::rating
