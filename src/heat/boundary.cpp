// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/boundary.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {

constexpr double kThermostatBandK = 4;

void addRadiation(FaceFlux& out, const Radiator& radiator, double surfaceK, double timeS) {
    const double source = radiator.kelvin.at(timeS);
    const double factor = radiator.view * kStefanBoltzmann;
    const double s2 = surfaceK * surfaceK, r2 = source * source;
    out.dryFlux += factor * (r2 * r2 - s2 * s2);
    out.dryCoefficient += 4 * factor * s2 * surfaceK;
}

/// Lewis analogy with Stefan flow, saturation lowered by the face's water activity.
void addEvaporation(FaceFlux& out, const FaceBoundary& face, const Vapour& vapour,
                    const Surface& surface) {
    if (!face.vapourPa || !face.air || surface.activity <= 0)
        return;
    const Vapour::Wet wet = vapour.wet(surface.kelvin, *face.vapourPa, surface.activity);
    out.evaporation = face.air->h * wet.mass;
    out.evaporationSlope = face.air->h * wet.activitySlope * surface.activitySlope;
    out.evaporationByHeat = face.air->h * wet.slope;
    out.fluxByWater = -out.evaporationSlope * wet.latent;
    out.flux -= out.evaporation * wet.latent;
    out.slope -= face.air->h * wet.slope * wet.latent;
}

} // namespace

TimeCurve::TimeCurve(std::vector<std::pair<double, double>> points) : points_(std::move(points)) {
    if (points_.size() == 1) {
        constant_ = points_.front().second;
        points_.clear();
    }
}

double TimeCurve::interpolated(double timeS) const {
    if (timeS <= points_.front().first)
        return points_.front().second;
    if (timeS >= points_.back().first)
        return points_.back().second;
    const auto high = std::upper_bound(points_.begin(), points_.end(), timeS,
                                       [](double t, const auto& p) { return t < p.first; });
    const auto low = high - 1;
    const double share = (timeS - low->first) / (high->first - low->first);
    return low->second + share * (high->second - low->second);
}

void TimeCurve::kinks(std::vector<double>& out) const {
    for (const auto& point : points_)
        out.push_back(point.first);
}

FaceFlux fluxInto(const FaceBoundary& face, const Vapour& vapour, const Surface& surface,
                  double timeS) {
    FaceFlux out;
    const double surfaceK = surface.kelvin;
    if (face.air) {
        out.dryFlux += face.air->h * (face.air->airK.at(timeS) - surfaceK);
        out.dryCoefficient += face.air->h;
    }
    for (const Radiator& radiator : face.radiators)
        addRadiation(out, radiator, surfaceK, timeS);
    out.flux = out.dryFlux + face.flux;
    out.slope = -out.dryCoefficient;
    if (face.plate) {
        out.flux += face.plate->contact * (face.plate->kelvin.at(timeS) - surfaceK);
        out.slope -= face.plate->contact;
    }
    if (face.liquid) {
        out.flux += face.liquid->h * (face.liquid->kelvin.at(timeS) - surfaceK);
        out.slope -= face.liquid->h;
    }
    addEvaporation(out, face, vapour, surface);
    return out;
}

std::pair<double, double> burnerOf(const LumpedPlate& plate, double plateK, double timeS) {
    const double full = plate.burnerFlux.at(timeS);
    if (!plate.setK)
        return {full, 0};
    const double share = (*plate.setK + kThermostatBandK / 2 - plateK) / kThermostatBandK;
    if (share >= 1)
        return {full, 0};
    if (share <= 0)
        return {0, 0};
    return {full * share, -full / kThermostatBandK};
}

} // namespace dynamet::heat
