// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// A setting on the heat plane: what heats a cold face, as one temperature and one coefficient.
struct PlaneMark {
    std::string applianceId, settingLabel, zone;
    double kelvin = 0;      ///< effective temperature
    double coefficient = 0; ///< W/m²K, of everything that heats the face together
    double uKelvin = 0;
    double uLn = 0;      ///< standard uncertainty of ln coefficient
    double rho = 0;      ///< correlation of the two
    double fluxW_m2 = 0; ///< into a 40 °C face
    Provenance provenance = Provenance::assumed;
};

inline constexpr double kColdFaceK = 313.15;

/// Effective temperature and coefficient of a field for its stronger face: moving air, radiation,
/// contact and liquid weighted by how they take hold of a 40 °C face, with the field's covariance.
/// nullopt when nothing heats it.
std::optional<PlaneMark> planeMark(const HeatField& field, double ambientK);
/// Marks of an appliance: each setting of its rate sheet in each zone.
std::vector<PlaneMark> planeMarks(const Kitchen& kitchen, const Appliance& appliance);
/// 95 % half-widths of the two numbers, each for itself.
double halfWidthK(const PlaneMark& mark);
double halfWidthCoefficient(const PlaneMark& mark);
/// The closed outline that holds both with 95 %: temperature, K, and coefficient, W/m²K.
struct PlanePoint {
    double kelvin = 0, coefficient = 0;
};
std::vector<PlanePoint> ellipse95(const PlaneMark& mark, int points = 48);
/// Coefficient at which a temperature gives a flux into a 40 °C face.
double coefficientFor(double fluxW_m2, double kelvin);

} // namespace dynamet::kitchen
