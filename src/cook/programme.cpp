// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/programme.h"

#include <algorithm>

namespace dynamet::cook {
namespace {

using kitchen::Face;
using kitchen::FieldNumber;
using kitchen::HeatField;
using kitchen::Term;

constexpr double kRoomCoefficient = 6, kTentCoefficient = 3; // docs/physics.md §3
constexpr double kBoardCoefficient = 18;                     // wood, averaged over 10 min
constexpr double kDryContact = 200;                          // dry and uneven, docs/physics.md §3
constexpr double kFoodEmissivity = 0.9, kTentView = 0.1;

/// A temperature with the change of its curve, when the field has one.
heat::TimeCurve curveOf(const HeatField& field, const FieldNumber& number, double sinceS) {
    for (const kitchen::FieldCurve& curve : field.curves) {
        if (curve.key != number.key)
            continue;
        std::vector<std::pair<double, double>> points;
        for (std::size_t i = 0; i < curve.timeS.size(); ++i)
            points.emplace_back(sinceS + curve.timeS[i], number.value + curve.change[i]);
        return heat::TimeCurve(points);
    }
    return heat::TimeCurve(number.value);
}

/// A thick floor: how it takes hold of food is its effusivity alone until its depth notices, which
/// is long after (docs/physics.md); what it gives and takes below is left out.
heat::StoneFloor stoneOf(const FieldNumber& effusivity, double contact, double startK,
                         const kitchen::Site& site) {
    constexpr double kConductivity = 1.25, kThicknessM = 0.05;
    heat::StoneFloor out;
    out.startK = startK;
    out.contact = contact;
    out.thicknessM = kThicknessM;
    out.conductivity = kConductivity;
    out.heatCapacity = effusivity.value * effusivity.value / kConductivity;
    out.ambientK = site.ambient.kelvin();
    return out;
}

double valueOr(const FieldNumber* number, double fallback) {
    return number ? number->value : fallback;
}

} // namespace

const char* enumName(Turning turning) {
    switch (turning) {
    case Turning::never:
        return "never";
    case Turning::once:
        return "once";
    case Turning::often:
        return "often";
    case Turning::rolled:
        return "rolled";
    }
    return "never";
}

heat::FaceBoundary boundaryOf(const HeatField& field, Face face, const kitchen::Site& site,
                              double sinceS) {
    const auto see = [&](Term term) { return seenBy(field, face, term); };
    heat::FaceBoundary out;
    const FieldNumber* air = see(Term::air);
    const FieldNumber* h = see(Term::hAir);
    if (air && h)
        out.air = heat::Convection{curveOf(field, *air, sinceS), h->value};
    for (const auto& [kelvin, view] :
         {std::pair{Term::radiant, Term::view}, std::pair{Term::radiant2, Term::view2}})
        if (const FieldNumber* t = see(kelvin), *f = see(view); t && f)
            out.radiators.push_back({curveOf(field, *t, sinceS), f->value});
    if (const FieldNumber* vapour = see(Term::vapour); vapour && out.air)
        out.vapourPa = std::min(vapour->value, 0.95 * pressurePa(site));
    const FieldNumber* contact = see(Term::contact);
    const FieldNumber* plate = see(Term::plate);
    const FieldNumber* capacity = see(Term::plateHeatCapacity);
    const FieldNumber* floorK = plate ? plate : air;
    if (const FieldNumber* effusivity = see(Term::effusivity); floorK && effusivity) {
        out.stone = stoneOf(*effusivity, valueOr(contact, kDryContact), floorK->value, site);
    } else if (contact && plate && capacity) {
        heat::LumpedPlate lumped;
        lumped.startK = plate->value;
        lumped.contact = contact->value;
        lumped.heatCapacity = capacity->value;
        if (const FieldNumber* flux = see(Term::plateFlux))
            lumped.burnerFlux = curveOf(field, *flux, sinceS);
        lumped.loss = valueOr(see(Term::plateLoss), 0);
        lumped.ambientK = valueOr(see(Term::plateAmbient), site.ambient.kelvin());
        if (const FieldNumber* set = see(Term::plateSet))
            lumped.setK = set->value;
        out.lumpedPlate = lumped;
    } else if (contact && plate) {
        out.plate = heat::FixedPlate{curveOf(field, *plate, sinceS), contact->value};
    }
    if (out.plate || out.lumpedPlate || out.stone)
        out.touchedShare = std::clamp(valueOr(see(Term::touchedShare), 1), 0.0, 1.0);
    if (const FieldNumber* liquid = see(Term::liquid), *hLiquid = see(Term::hLiquid);
        liquid && hLiquid)
        out.liquid = heat::Liquid{curveOf(field, *liquid, sinceS), hLiquid->value};
    return out;
}

heat::FaceBoundary restingBoundary(const recipe::Rest& rest, const kitchen::Site& site,
                                   bool bottom) {
    const double ambient = site.ambient.kelvin();
    heat::FaceBoundary out;
    if (bottom && rest.onBoard) {
        out.liquid = heat::Liquid{ambient, kBoardCoefficient};
        return out;
    }
    out.air = heat::Convection{ambient, rest.tented ? kTentCoefficient : kRoomCoefficient};
    out.radiators.push_back({ambient, rest.tented ? kTentView : kFoodEmissivity});
    out.vapourPa = rest.tented ? saturationPressurePa(site.ambient) * 2 : roomVapourPa(site);
    return out;
}

} // namespace dynamet::cook
