// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "generator/bodies.h"

namespace generator {

/// A plate seen for each square metre: two layers of metal over a burner.
struct Plate {
    double capacityJ_m2K = 20000;
    double burnerW_m2 = 14000;
    double lossAt230W_m2K = 23; ///< of the excess over the room
    double radiantShare = 0.6;
    double roomC = 22;
};
struct PlateRun {
    Log plate;
    double trueLossW_m2K = 0;
};
/// Cold plate heated for a time, then left to cool.
PlateRun heatAndCool(const Plate& plate, double heatS, double coolS, const Sensor& sensor,
                     std::uint64_t seed);

/// A slab with a lower and an upper half.
struct Load {
    double kg = 0.8, areaM2 = 0.0225, cJ_kgK = 896, cSlope = 0.46;
    double contactW_m2K = 300, toRoomW_m2K = 11;
};
struct DipRun {
    Log plate, load;
    double trueLossW_m2K = 0; ///< over the excess before the dip
};
/// Plate in balance at a temperature, load set down after two minutes.
DipRun dip(const Plate& plate, double startC, const Load& load, double seconds,
           const Sensor& plateSensor, const Sensor& loadSensor, std::uint64_t seed);
/// The same on a thick stone (many layers), of an effusivity.
DipRun dipOnStone(double effusivity, double startC, const Load& load, double seconds,
                  const Sensor& plateSensor, const Sensor& loadSensor, std::uint64_t seed);

/// Infrared readings at spots of a plate: Planck's law summed over the band in steps.
struct Gun {
    double setEmissivity = 0.95, surfaceEmissivity = 0.9, backgroundC = 25, gain = 1;
};
std::vector<double> aim(const std::vector<double>& spotsC, const Gun& gun);

} // namespace generator
