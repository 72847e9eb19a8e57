// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "generator/bodies.h"

namespace generator {

/// One bare face of a wrapped block before a fire.
struct Face {
    double kg = 0.12, areaM2 = 0.0025, cJ_kgK = 896, cSlope = 0.46, emissivity = 0.95;
    double fallsInW_m2 = 22000, airC = 100, airW_m2K = 20, leakW_m2K = 2, roomC = 20;
};
struct FaceRun {
    Log block;
    double trueColdW_m2 = 0; ///< into a like face at 40 °C
};
FaceRun face(const Face& face, double untilC, double seconds, const Sensor& sensor,
             std::uint64_t seed);

/// What a round probe shows between moving air and things that radiate.
struct RoundProbe {
    double diameterMm = 4;
    double airOverEmissivity4 = 44.7; ///< W/m²K at 4 mm
    double power = -0.56;
};
double probeShows(double airC, double radiantC, const RoundProbe& probe);

/// Wood burning in a stone oven: fuel, air under the dome, stone in two depths.
struct Fire {
    double fuelKg = 4, heatingJ_kg = 15.5e6, burnS = 1500, catchS = 420;
    double airJ_K = 18000, skinJ_K = 60000, deepJ_K = 420000;
    double airToSkinW_K = 34, skinToDeepW_K = 30, deepToRoomW_K = 11, draughtW_K = 16;
    double takenShare = 0.42, roomC = 15;
};
struct FireRun {
    Log air;
    std::vector<double> trueC; ///< at the log's times
};
FireRun burn(const Fire& fire, double seconds, double everyS, const Sensor& sensor,
             std::uint64_t seed);
/// When the true air falls through a temperature for good; −1 = never.
double fallsThrough(const FireRun& run, double celsius);

/// Inside temperature of an iron oven for a count of coals, read once.
struct IronOven {
    double underK = 6.5, lidK = 5.2, roomC = 14, scatterC = 6, biasC = 0;
};
double insideReading(const IronOven& oven, int under, int lid, std::mt19937_64& random);

} // namespace generator
