// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/wet_bulb.h"

#include "numeric/statistics.h"
#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::rating {
namespace {
constexpr double kPsychrometer = 6.62e-4;
constexpr double kWetU = 1.0, kCoefficientU = 0.15, kStretchS = 240;
} // namespace

double vapourPa(double dryK, double wetK, double pressurePa) {
    return std::max(0.0, saturationPressurePa(Temperature::kelvin(wetK)) -
                             kPsychrometer * pressurePa * (dryK - wetK));
}

void addVapour(Reduction& reduction, const Series& log, double dryK, double pressurePa) {
    const Series wet = between(log, -1e300, 1e300);
    if (wet.size() < 8)
        return;
    double steadiest = 1e9, wetK = 0;
    for (double at = wet.timeS.front() + kStretchS; at + kStretchS <= wet.timeS.back(); at += 60) {
        const Series part = between(wet, at, at + kStretchS);
        const double slope =
            part.size() > 3 ? std::abs(fitLine(part.timeS, part.value).slope) : 1e9;
        if (slope < steadiest) {
            steadiest = slope;
            wetK = mean(part.value);
        }
    }
    if (steadiest > 1.0 / 60 || wetK > 372) {
        reduction.warnings.push_back({"wick"});
        return;
    }
    const double p = vapourPa(dryK, wetK, pressurePa);
    const double byWet = (vapourPa(dryK, wetK + kWetU, pressurePa) - p);
    const double byCoefficient = kCoefficientU * kPsychrometer * pressurePa * (dryK - wetK);
    const double u = std::hypot(byWet, byCoefficient);
    reduction.quantities.push_back(makeQuantity("vapour_Pa", p, "Pa", 0, 1e9, u));
    const Quantity& dry = reduction.quantities.front();
    fillCovariance(reduction,
                   {{dry.name, "vapour_Pa", -kPsychrometer * pressurePa * dry.u * dry.u}});
    if (p > u)
        reduction.fieldNumbers.push_back({{kitchen::Face::all, kitchen::Term::vapour},
                                          p,
                                          u,
                                          kitchen::Provenance::measured,
                                          "",
                                          "measured"});
}

} // namespace dynamet::rating
