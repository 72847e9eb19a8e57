// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <random>
#include <vector>

/// The invented kitchen's own physics: two-node bodies, a switching thermostat, sensors that lag
/// and are off. It shares no formula and no code with src/rating, so that reductions can be tested
/// on logs whose truth is known. °C, s, W.
namespace generator {

/// Readings of one sensor, one a row.
struct Log {
    std::vector<double> seconds;
    std::vector<double> celsius;
};

/// What a sensor does to a temperature: first-order lag, bias, gain about 20 °C, noise, steps.
struct Sensor {
    double lagS = 4;
    double biasC = 0;
    double gain = 1;
    double noiseC = 0.1;
    double stepC = 0.1;
};

/// A cavity of hot metal (element and walls) and air, switched by a bulb that lags.
struct Cavity {
    double heaterW = 2400;
    double metalJ_K = 9000; ///< heat capacity of element and walls
    double airJ_K = 220;
    double metalToAirW_K = 16;
    double metalToRoomW_K = 4.5;
    double airToRoomW_K = 1.6;
    double bulbLagS = 45;
    double hysteresisC = 6; ///< half of it
    double dialErrorC = 0;  ///< bulb's set point − dial
    double roomC = 22;
};

struct CavityRun {
    Log air;              ///< what the sensor showed
    double trueMeanC = 0; ///< mean air temperature over the last hour of a much longer run
};
CavityRun preheat(const Cavity& cavity, double dialC, double seconds, double everyS,
                  const Sensor& sensor, std::uint64_t seed);

/// A block of metal with a skin and a heart, put into a running cavity.
struct Block {
    double massKg = 0.045;
    double areaM2 = 0.0065;
    double cJ_kgK = 900;
    double cSlope = 0.46;  ///< per K above 20 °C
    double insideW_K = 30; ///< between skin and heart
    double emissivity = 0.95;
    double airW_m2K = 14;      ///< convective coefficient at the block
    double wallsAboveAirC = 5; ///< how much hotter the metal it sees is than the air
};
struct BlockRun {
    Log block, air;
    double trueEffectiveC = 0; ///< where the block would stay
    double trueTotalW_m2K = 0; ///< convection and radiation together there
    double trueMeanAirC = 0;   ///< over whole cycles, long after
};
BlockRun blockInCavity(const Cavity& cavity, double dialC, const Block& block, double seconds,
                       double everyS, const Sensor& blockSensor, const Sensor& airSensor,
                       std::uint64_t seed);

/// A pot of water on a hob that takes a while to come up to power.
struct PotRun {
    Log water;
    double trueNetW = 0;     ///< into pot and water while it heats
    double evaporatedKg = 0; ///< over the whole log
};
struct Pot {
    double waterKg = 1.5, potKg = 1.2, potCJ_kgK = 500;
    double netW = 1400; ///< once up to power
    double riseS = 30;  ///< the hob's own lag
    double toRoomW_K = 0.8;
    double potToWaterW_K = 250;
    double evaporationFactor = 0; ///< 0 = lid on; 1 = open pot of 24 cm
    double startC = 15, roomC = 22;
};
PotRun heatPot(const Pot& pot, double untilC, double everyS, const Sensor& sensor,
               std::uint64_t seed);

/// Readings of a probe at several spots of a zone, and of the lid's dial.
struct Zone {
    double operativeC = 180;
    double patchinessC = 6; ///< 1 σ between spots
    double lidAboveC = -10; ///< dial − zone
    double limitC = 300;
};
struct ZoneReadings {
    std::vector<double> probe, dial;
};
ZoneReadings readZone(const Zone& zone, int spots, const Sensor& sensor, std::uint64_t seed);

} // namespace generator
