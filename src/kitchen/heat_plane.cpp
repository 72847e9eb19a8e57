// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/heat_plane.h"

#include "kitchen/rate_sheet.h"
#include "quantity/water.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace dynamet::kitchen {
namespace {

constexpr double kPair95 = 2.45; ///< radius that holds 95 % of a normal pair: √5.991

struct Pair {
    double kelvin = 0, coefficient = 0;
};

double valueOr(const HeatField& f, Face face, Term term, double fallback) {
    const FieldNumber* n = seenBy(f, face, term);
    return n ? n->value : fallback;
}

/// Everything that takes hold of a face: Σ hᵢ Tᵢ / Σ hᵢ, radiation with its chord to 40 °C.
Pair taken(const HeatField& f, Face face) {
    double h = 0, hT = 0;
    const auto add = [&](double coefficient, double kelvin) {
        h += coefficient;
        hT += coefficient * kelvin;
    };
    if (const FieldNumber* air = seenBy(f, face, Term::air))
        add(valueOr(f, face, Term::hAir, 0), air->value);
    for (const auto& [t, v] : {std::pair{Term::radiant, Term::view}, {Term::radiant2, Term::view2}})
        if (const FieldNumber* radiant = seenBy(f, face, t)) {
            const double k = radiant->value;
            const double chord =
                kStefanBoltzmann * (k * k + kColdFaceK * kColdFaceK) * (k + kColdFaceK);
            add(valueOr(f, face, v, 0) * chord, k);
        }
    const FieldNumber* plate = seenBy(f, face, Term::plate);
    if (plate)
        add(valueOr(f, face, Term::contact, 0), plate->value);
    if (const FieldNumber* liquid = seenBy(f, face, Term::liquid))
        add(valueOr(f, face, Term::hLiquid, 0), liquid->value);
    return h > 0 ? Pair{hT / h, h} : Pair{};
}

Face strongerFace(const HeatField& f) {
    const auto flux = [&](Face face) {
        const Pair p = taken(f, face);
        return p.coefficient * (p.kelvin - kColdFaceK);
    };
    return flux(Face::bottom) > flux(Face::top) ? Face::bottom : Face::top;
}

} // namespace

double coefficientFor(double fluxW_m2, double kelvin) {
    return fluxW_m2 / (kelvin - kColdFaceK);
}

std::optional<PlaneMark> planeMark(const HeatField& field, double ambientK) {
    const Face face = strongerFace(field);
    const Pair p = taken(field, face);
    if (p.coefficient <= 0 || p.kelvin <= kColdFaceK)
        return std::nullopt;
    // The temperature is that of the rate sheet and the line-up, so that all three agree.
    const Representative shown = representative(field, ambientK);
    PlaneMark out;
    out.kelvin = shown.kelvin;
    out.coefficient = p.coefficient;
    out.fluxW_m2 = p.coefficient * (shown.kelvin - kColdFaceK);
    out.provenance = shown.provenance;
    // Each number moved by its u: rows of the Jacobian times u, then the field's correlations.
    std::vector<std::array<double, 2>> moved;
    for (const FieldNumber& n : field.numbers) {
        HeatField other = field;
        for (FieldNumber& m : other.numbers)
            if (m.key == n.key)
                m.value += n.u;
        const Pair q = taken(other, face);
        moved.push_back({representative(other, ambientK).kelvin - shown.kelvin,
                         std::log(q.coefficient / p.coefficient)});
    }
    double tt = 0, hh = 0, th = 0;
    for (std::size_t i = 0; i < moved.size(); ++i)
        for (std::size_t j = 0; j < moved.size(); ++j) {
            const FieldNumber &a = field.numbers[i], &b = field.numbers[j];
            if (a.u <= 0 || b.u <= 0)
                continue;
            const double rho = i == j ? 1 : covarianceOf(field, a.key, b.key) / (a.u * b.u);
            tt += rho * moved[i][0] * moved[j][0];
            hh += rho * moved[i][1] * moved[j][1];
            th += rho * moved[i][0] * moved[j][1];
        }
    out.uKelvin = shown.u;
    out.uLn = std::sqrt(std::max(hh, 0.0));
    out.rho = tt > 0 && hh > 0 ? std::clamp(th / std::sqrt(tt * hh), -1.0, 1.0) : 0;
    return out;
}

double halfWidthK(const PlaneMark& mark) {
    return kTwoSided95 * mark.uKelvin;
}

double halfWidthCoefficient(const PlaneMark& mark) {
    return kTwoSided95 * mark.uLn * mark.coefficient;
}

std::vector<PlanePoint> ellipse95(const PlaneMark& mark, int points) {
    std::vector<PlanePoint> out;
    for (int i = 0; i <= points; ++i) {
        const double a = i * 2 * std::numbers::pi / points;
        const double x = kPair95 * std::cos(a), y = kPair95 * std::sin(a);
        const double across = std::sqrt(1 - mark.rho * mark.rho);
        out.push_back({mark.kelvin + mark.uKelvin * x,
                       mark.coefficient * std::exp(mark.uLn * (mark.rho * x + across * y))});
    }
    return out;
}

std::vector<PlaneMark> planeMarks(const Kitchen& kitchen, const Appliance& appliance) {
    std::vector<PlaneMark> out;
    const auto rated = kitchen.rated.find(appliance.id);
    const std::span<const RatedNumber> numbers =
        rated == kitchen.rated.end() ? std::span<const RatedNumber>{} : rated->second;
    for (const Setting& setting : sheetSettings(appliance, numbers))
        for (const Zone& zone : appliance.zones) {
            const Place place = placeOf(kitchen, appliance, zone.name);
            const auto field = ratedField(appliance, setting, place, numbers);
            if (!field)
                continue;
            if (auto mark = planeMark(*field, place.site.ambient.kelvin())) {
                mark->applianceId = appliance.id;
                mark->settingLabel = sheetLabel(appliance, setting);
                mark->zone = zone.name;
                out.push_back(*mark);
            }
        }
    return out;
}

} // namespace dynamet::kitchen
