// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The solver knows a round piece by its radius alone. The centre of a cylinder or ball answers to
// the mean of what its skin gets, so the appliance's faces are averaged over the skin.
#include "cook/round_boundary.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dynamet::cook {
namespace {

using kitchen::Face;

constexpr double kAirGap = 0.033, kFatGap = 0.17; // W/mK at 130 °C, from memory
constexpr double kFatClimbsM = 1e-3;
constexpr double kBareView = 0.8;
/// Half of a round skin looks down at an endless plane, as the view factor of any convex body.
constexpr double kHalf = 0.5;
/// Of the plate for each piece, per area of its skin: its footprint 2R by 2πR, or (2R)² by 4πR².
constexpr double kPlateShare = std::numbers::inv_pi;

struct Weighted {
    const heat::FaceBoundary* face;
    double weight;
};

/// Shares of the skin that count as underside, upper side and side: sectors, or caps, of 45°
/// either way.
std::array<double, 3> skinShares(heat::Shape shape) {
    if (shape == heat::Shape::cylinder)
        return {0.25, 0.25, 0.5};
    const double cap = (1 - std::numbers::sqrt2 / 2) / 2;
    return {cap, cap, 1 - 2 * cap};
}

/// The weighted mean of curves, on all of their points.
heat::TimeCurve meanCurve(const std::vector<std::pair<const heat::TimeCurve*, double>>& parts) {
    std::vector<double> times;
    double sum = 0;
    for (const auto& [curve, weight] : parts) {
        curve->kinks(times);
        sum += weight;
    }
    const auto at = [&](double t) {
        double value = 0;
        for (const auto& [curve, weight] : parts)
            value += weight / sum * curve->at(t);
        return value;
    };
    if (times.empty())
        return heat::TimeCurve(at(0));
    std::sort(times.begin(), times.end());
    times.erase(std::unique(times.begin(), times.end()), times.end());
    std::vector<std::pair<double, double>> points;
    for (const double t : times)
        points.emplace_back(t, at(t));
    return heat::TimeCurve(points);
}

void addAir(heat::FaceBoundary& out, const std::array<Weighted, 3>& faces) {
    std::vector<std::pair<const heat::TimeCurve*, double>> air;
    double h = 0, vapour = 0, hVapour = 0;
    for (const auto& [face, weight] : faces) {
        if (!face->air)
            continue;
        const double part = weight * face->air->h;
        air.emplace_back(&face->air->airK, part);
        h += part;
        if (face->vapourPa) {
            vapour += part * *face->vapourPa;
            hVapour += part;
        }
    }
    if (h > 0)
        out.air = heat::Convection{meanCurve(air), h};
    if (hVapour > 0)
        out.vapourPa = vapour / hVapour;
}

void addLiquid(heat::FaceBoundary& out, const std::array<Weighted, 3>& faces) {
    std::vector<std::pair<const heat::TimeCurve*, double>> liquid;
    double h = 0;
    for (const auto& [face, weight] : faces)
        if (face->liquid) {
            liquid.emplace_back(&face->liquid->kelvin, weight * face->liquid->h);
            h += weight * face->liquid->h;
        }
    if (h > 0)
        out.liquid = heat::Liquid{meanCurve(liquid), h};
}

void addRadiators(heat::FaceBoundary& out, const heat::FaceBoundary& face, double share) {
    for (heat::Radiator radiator : face.radiators) {
        radiator.view *= share;
        out.radiators.push_back(std::move(radiator));
    }
}

/// What a plate radiates onto the half of the skin that looks at it, as a coefficient.
double plateRadiation(double plateK, double boilingK) {
    const double mean = (plateK + boilingK) / 2;
    return kHalf * kBareView * 4 * kStefanBoltzmann * mean * mean * mean;
}

} // namespace

RoundContact roundContact(heat::Shape shape, double diameterM, double contact, bool inFat) {
    constexpr int kPanels = 400;
    const double radius = diameterM / 2, touch = 1 / contact;
    const bool cylinder = shape == heat::Shape::cylinder;
    const auto coefficientAt = [&](double angle) {
        const double gap = radius * (1 - std::cos(angle));
        const double fat = inFat ? std::min(gap, kFatClimbsM) : 0;
        return 1 / (touch + fat / kFatGap + (gap - fat) / kAirGap);
    };
    double sum = 0;
    for (int i = 0; i < kPanels; ++i) { // midpoints over the lower half
        const double angle = (i + 0.5) * std::numbers::pi / 2 / kPanels;
        const double skin = cylinder ? std::numbers::inv_pi : std::sin(angle) / 2;
        sum += skin * coefficientAt(angle) * (std::numbers::pi / 2 / kPanels);
    }
    return {sum, sum / contact};
}

heat::FaceBoundary roundBoundary(const kitchen::HeatField& field, const recipe::FoodPiece& piece,
                                 const kitchen::Site& site, double sinceS) {
    const auto under = boundaryOf(field, Face::bottom, site, sinceS);
    const auto above = boundaryOf(field, Face::top, site, sinceS);
    const auto aside = boundaryOf(field, Face::side, site, sinceS);
    const auto shares = skinShares(piece.shape);
    const std::array<Weighted, 3> faces{
        {{&under, shares[0]}, {&above, shares[1]}, {&aside, shares[2]}}};
    heat::FaceBoundary out;
    addAir(out, faces);
    addLiquid(out, faces);
    addRadiators(out, under, kHalf);
    addRadiators(out, above, kHalf);
    const auto meet = [&](double contact, double plateK) {
        const double touched =
            roundContact(piece.shape, piece.thicknessM, contact, !piece.fat.empty()).mean;
        const double boiling = boilingPointAt(site).kelvin();
        return under.radiators.empty() ? touched + plateRadiation(plateK, boiling) : touched;
    };
    if (under.lumpedPlate) {
        out.lumpedPlate = under.lumpedPlate;
        out.lumpedPlate->contact = meet(under.lumpedPlate->contact, under.lumpedPlate->startK);
        out.lumpedPlate->areaRatio = kPlateShare;
    } else if (under.plate) {
        out.plate = under.plate;
        out.plate->contact = meet(under.plate->contact, under.plate->kelvin.at(sinceS));
    } else if (under.stone) { // a round piece takes too little to cool a floor
        out.plate =
            heat::FixedPlate{under.stone->startK, meet(under.stone->contact, under.stone->startK)};
    }
    return out;
}

} // namespace dynamet::cook
