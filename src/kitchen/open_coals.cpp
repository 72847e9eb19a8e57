// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/open_coals.h"

#include "kitchen/air_at.h"

#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kFullKg = 2.5, kMostChimneys = 4;
constexpr double kGlows = 0.6; ///< share of a bed that glows as lit coals do, between gaps and ash
constexpr double kU = 0.35;    ///< of the flux: ash, gaps and the coals' own heat
constexpr double kSears = 15000, kGrills = 8000, kSlow = 4000;
constexpr double kFade = 0.7; ///< coals are added before less than this is left

CoalHeat heatOf(double flux) {
    return flux >= kSears    ? CoalHeat::sears
           : flux >= kGrills ? CoalHeat::grills
           : flux >= kSlow   ? CoalHeat::slow
                             : CoalHeat::hardly;
}

double halvesAt(const coals::CoalBed& bed, double fromM) {
    constexpr double kStepM = 0.005, kFarthestM = 1;
    const double half = coals::irradiation(bed, fromM) / 2;
    double at = fromM;
    while (at < kFarthestM && coals::irradiation(bed, at) > half)
        at += kStepM;
    return at;
}

} // namespace

Result<OpenCoalsPlan> openCoals(const OpenCoalsWish& wish, const Site& site) {
    if (!(wish.chimney > 0 && wish.chimney <= kMostChimneys))
        return fail(Errc::invalidArgument, {"chimney_outside", {Number{kMostChimneys, 0}}});
    if (wish.heightsM.size() < 2)
        return fail(Errc::invalidArgument, "two heights of a grate at least");
    const coals::Air air = airAt(site);
    const double kg = wish.chimney * kFullKg;
    OpenCoalsPlan out;
    out.coals = static_cast<int>(std::lround(kg / wish.fuel.pieceKg));
    coals::CoalBed bed;
    bed.radiusM = coals::bedRadius(kg, wish.layout);
    out.bedDiameterM = 2 * bed.radiusM;
    bed.emissionW_m2 *= kGlows * coals::leftAt(wish.fuel, wish.ageS, air);
    for (const double height : wish.heightsM) {
        const double flux = coals::irradiation(bed, height);
        out.heights.push_back({height, flux, kU * flux, heatOf(flux)});
    }
    const double rate = -std::log(coals::leftAt(wish.fuel, 1, air));
    out.halfS = std::log(2) / rate;
    const double fades = -std::log(kFade) / rate;
    if (wish.lastsS > fades) {
        out.firstAddS = fades;
        out.toAdd = static_cast<int>(std::ceil((1 - kFade) * out.coals));
    }
    out.halfHeatFromM = halvesAt(bed, wish.heightsM[1]);
    return out;
}

} // namespace dynamet::kitchen
