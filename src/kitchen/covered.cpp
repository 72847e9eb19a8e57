// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/covered.h"

#include "kitchen/field_change.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kStillAir = 5, kStillAirU = 1.5; // W/m²K
constexpr double kWetVapourShare = 0.75, kWetVapourU = 0.12;
constexpr double kBrightView = 0.1, kDarkView = 0.85;

/// Over a hot plate the air under a cover is a fifth of the way from boiling to the plate, in
/// surroundings hotter than boiling as hot as they are (from memory, ± 12 K).
constexpr double kTowardsPlate = 0.2, kAirU = 12;

struct UnderIt {
    double kelvin, u;
};

UnderIt airUnder(const HeatField& field, const CoverHeat& cover, double boilingK) {
    const FieldNumber* above = seenBy(field, Face::top, Term::air);
    const FieldNumber* plate = seenBy(field, Face::bottom, Term::plate);
    const FieldNumber* set = seenBy(field, Face::bottom, Term::plateSet);
    const FieldNumber* around = seenBy(field, Face::bottom, Term::plateAmbient);
    const double aboveK = above ? above->value : boilingK;
    if (aboveK > boilingK - 20) // an oven heats the cover itself
        return {aboveK, std::max(above ? above->u : 0.0, 6.0)};
    const FieldNumber* below = set ? set : around ? around : plate;
    const double belowK = below ? below->value : aboveK;
    if (belowK <= boilingK)
        return {belowK, kAirU};
    if (cover.wet)
        return {boilingK, 5};
    return {boilingK + kTowardsPlate * (belowK - boilingK), kAirU};
}

} // namespace

HeatField withCover(HeatField field, const CoverHeat& cover, const Site& site) {
    if (seenBy(field, Face::bottom, Term::liquid))
        return field;
    const double pressure = pressurePa(site), boilingK = boilingPointAt(site).kelvin();
    const UnderIt air = airUnder(field, cover, boilingK);
    const double holds =
        0.95 * saturationPressurePa(Temperature::kelvin(std::min(air.kelvin, boilingK)));
    const double vapour = std::min(cover.wet ? kWetVapourShare * pressure : cover.vapourPa, holds);
    const double uVapour = cover.wet ? kWetVapourU * pressure : cover.uVapourPa;
    const std::vector<FieldCurve> curves = field.curves;
    for (const Face face : {Face::top, Face::side}) {
        forgetWhere(field, [face](const FieldKey& key) { return key.face == face; });
        for (const auto& [term, value, u] :
             {std::tuple{Term::air, air.kelvin, air.u},
              {Term::hAir, kStillAir, kStillAirU},
              {Term::radiant, air.kelvin, air.u},
              {Term::view, cover.bright ? kBrightView : kDarkView, 0.05},
              {Term::vapour, vapour, std::min(uVapour, vapour / 2)}}) {
            FieldNumber out{{face, term}, value, u};
            out.from = "typical under a cover";
            put(field, out);
        }
        for (const FieldCurve& curve : curves)
            if (curve.key == FieldKey{Face::all, Term::air})
                for (const Term term : {Term::air, Term::radiant}) { // a fire that dies around it
                    FieldCurve same = curve;
                    same.key = {face, term};
                    field.curves.push_back(std::move(same));
                }
        field.covariances.push_back({{face, Term::air}, {face, Term::radiant}, air.u * air.u});
    }
    return field;
}

} // namespace dynamet::kitchen
