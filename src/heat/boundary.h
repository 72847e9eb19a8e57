// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/vapour.h"

#include <optional>
#include <utility>
#include <vector>

namespace dynamet::heat {

/// A number that may change in time: linear between points, held outside. t from the start of the
/// case, s.
class TimeCurve {
  public:
    TimeCurve() = default;
    TimeCurve(double constant) : constant_(constant) {} // NOLINT: a number is a curve
    explicit TimeCurve(std::vector<std::pair<double, double>> points);
    double at(double timeS) const { return points_.empty() ? constant_ : interpolated(timeS); }
    /// Times of the kinks, at which the solver starts anew.
    void kinks(std::vector<double>& out) const;
    bool operator==(const TimeCurve&) const = default;

  private:
    double interpolated(double timeS) const;
    double constant_ = 0;
    std::vector<std::pair<double, double>> points_;
};

struct Convection {
    TimeCurve airK;
    double h = 0; ///< W/m²K
    bool operator==(const Convection&) const = default;
};
struct Radiator {
    TimeCurve kelvin;
    double view = 0; ///< view factor × emissivity of the food
    bool operator==(const Radiator&) const = default;
};
/// A plate that keeps its temperature.
struct FixedPlate {
    TimeCurve kelvin;
    double contact = 0; ///< W/m²K
    bool operator==(const FixedPlate&) const = default;
};
/// A plate that dips and recovers: r C dTp/dt = r (burner − loss (Tp − Tamb)) − contact (Tp − Ts);
/// per food area, r = plate area / food area. With `setK` a thermostat gives the burner's flux only
/// below it (proportional band 4 K).
struct LumpedPlate {
    double startK = 0;
    double contact = 0;
    double heatCapacity = 0; ///< J/m²K
    TimeCurve burnerFlux;    ///< W/m²
    double loss = 0;         ///< W/m²K
    double ambientK = 293.15;
    double areaRatio = 1;
    std::optional<double> setK;
    bool operator==(const LumpedPlate&) const = default;
};
/// A stone or brick floor in layers: it dips at its face long before its depth notices. Heated from
/// below by a flux, losing there to the ambient.
struct StoneFloor {
    double startK = 0;
    double contact = 0; ///< W/m²K between its face and the food
    double thicknessM = 0.02;
    double conductivity = 1.3;   ///< W/mK
    double heatCapacity = 2.0e6; ///< J/m³K
    double underFlux = 0;        ///< W/m²
    double underLoss = 0;        ///< W/m²K
    double ambientK = 293.15;
    bool operator==(const StoneFloor&) const = default;
};
struct Liquid {
    TimeCurve kelvin;
    double h = 0;
    bool operator==(const Liquid&) const = default;
};

/// What one face of the appliance does to the food; everything present adds up. Nothing =
/// insulated.
struct FaceBoundary {
    std::optional<Convection> air;
    std::vector<Radiator> radiators;
    std::optional<FixedPlate> plate;
    std::optional<LumpedPlate> lumpedPlate;
    std::optional<StoneFloor> stone; ///< bottom and top only
    std::optional<Liquid> liquid;
    double flux = 0;                ///< W/m²
    std::optional<double> vapourPa; ///< with it a wet face evaporates (needs air)
    double touchedShare = 1;        ///< of the face that the plate touches; below 1 it is marked
    bool operator==(const FaceBoundary&) const = default;
};

/// What a face is like at a moment.
struct Surface {
    double kelvin = 293.15;
    double activity = 0;      ///< of its water; 0 = dry or frozen: nothing evaporates
    double activitySlope = 0; ///< by the share of water left
};

/// Flux into the food without a lumped plate or stone, W/m², with its derivative by temperature.
struct FaceFlux {
    double flux = 0;
    double slope = 0;
    double evaporation = 0;       ///< kg/m²s
    double evaporationSlope = 0;  ///< its derivative by the share of water left
    double evaporationByHeat = 0; ///< its derivative by temperature
    double fluxByWater = 0;       ///< derivative of `flux` by the share of water left
    double dryFlux = 0;           ///< convective and radiant part, W/m²
    double dryCoefficient = 0;    ///< W/m²K
};
FaceFlux fluxInto(const FaceBoundary& face, const Vapour& vapour, const Surface& surface,
                  double timeS);

/// What a lumped plate's burner gives at its temperature, W/m², and the slope of that.
std::pair<double, double> burnerOf(const LumpedPlate& plate, double plateK, double timeS);

} // namespace dynamet::heat
