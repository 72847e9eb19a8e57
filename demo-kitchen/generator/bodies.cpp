// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "generator/bodies.h"

#include "generator/reader.h"

namespace generator {
namespace {

constexpr double kBoltzmann = 5.670374e-8;
constexpr double kTick = 0.5; // s, explicit steps far below every time constant here

/// The cavity as it runs.
struct Running {
    const Cavity* c;
    double set;
    double metal, air, bulb;
    bool on = true;

    Running(const Cavity& cavity, double dialC)
        : c(&cavity), set(dialC + cavity.dialErrorC), metal(cavity.roomC), air(cavity.roomC),
          bulb(cavity.roomC) {}
    void tick(double dt) {
        if (bulb > set + c->hysteresisC)
            on = false;
        if (bulb < set - c->hysteresisC)
            on = true;
        const double across = c->metalToAirW_K * (metal - air);
        metal += dt * ((on ? c->heaterW : 0) - across - c->metalToRoomW_K * (metal - c->roomC)) /
                 c->metalJ_K;
        air += dt * (across - c->airToRoomW_K * (air - c->roomC)) / c->airJ_K;
        bulb += dt * (air - bulb) / c->bulbLagS;
    }
};

double longMean(const Cavity& cavity, double dialC) {
    Running run(cavity, dialC);
    for (double t = 0; t < 5 * 3600; t += kTick)
        run.tick(kTick);
    double sum = 0, n = 0;
    for (double t = 0; t < 7200; t += kTick) {
        run.tick(kTick);
        sum += run.air;
        ++n;
    }
    return sum / n;
}

} // namespace

CavityRun preheat(const Cavity& cavity, double dialC, double seconds, double everyS,
                  const Sensor& sensor, std::uint64_t seed) {
    CavityRun out;
    Running run(cavity, dialC);
    Recorder recorder(out.air, everyS, sensor, cavity.roomC, seed);
    for (double t = 0; t <= seconds; t += kTick) {
        recorder.look(t);
        run.tick(kTick);
        recorder.follow(run.air, kTick);
    }
    out.trueMeanC = longMean(cavity, dialC);
    return out;
}

BlockRun blockInCavity(const Cavity& cavity, double dialC, const Block& block, double seconds,
                       double everyS, const Sensor& blockSensor, const Sensor& airSensor,
                       std::uint64_t seed) {
    BlockRun out;
    Running run(cavity, dialC);
    Recorder airRecorder(out.air, everyS, airSensor, cavity.roomC, seed * 2 + 1);
    for (double t = 0; t < 2 * 3600; t += kTick) {
        run.tick(kTick);
        airRecorder.follow(run.air, kTick);
    }
    run.air -= 15; // the door was open for a moment
    Recorder blockRecorder(out.block, everyS, blockSensor, cavity.roomC, seed * 2);
    double skin = cavity.roomC, heart = cavity.roomC;
    for (double t = 0; t <= seconds; t += kTick) {
        blockRecorder.look(t);
        airRecorder.look(t);
        run.tick(kTick);
        airRecorder.follow(run.air, kTick);
        const double walls = run.air + block.wallsAboveAirC + 273.15;
        for (int part = 0; part < 8; ++part) { // finer, so that Euler's steps do not speed it up
            const double k = skin + 273.15, dt = kTick / 8;
            const double in = block.areaM2 * (block.airW_m2K * (run.air - skin) +
                                              block.emissivity * kBoltzmann *
                                                  (std::pow(walls, 4) - std::pow(k, 4)));
            const double across = block.insideW_K * (skin - heart);
            const double half = block.massKg / 2 * (block.cJ_kgK + block.cSlope * (skin - 20));
            skin += dt * (in - across) / half;
            heart += dt * across / half;
        }
        blockRecorder.follow(heart, kTick);
    }
    // Where it would stay in the mean air, by bisection on its own heat balance.
    const double air = longMean(cavity, dialC), walls = air + block.wallsAboveAirC + 273.15;
    double low = air - 200, high = air + 200;
    for (int i = 0; i < 100; ++i) {
        const double mid = (low + high) / 2;
        const double net =
            block.airW_m2K * (air - mid) +
            block.emissivity * kBoltzmann * (std::pow(walls, 4) - std::pow(mid + 273.15, 4));
        (net > 0 ? low : high) = mid;
    }
    out.trueEffectiveC = low;
    out.trueMeanAirC = air;
    out.trueTotalW_m2K =
        block.airW_m2K + 4 * block.emissivity * kBoltzmann * std::pow(low + 273.15, 3);
    return out;
}

PotRun heatPot(const Pot& pot, double untilC, double everyS, const Sensor& sensor,
               std::uint64_t seed) {
    PotRun out;
    Recorder recorder(out.water, everyS, sensor, pot.startC, seed);
    double metal = pot.startC, water = pot.startC, mass = pot.waterKg;
    for (double t = 0; water < untilC && t < 4 * 3600; t += kTick) {
        recorder.look(t);
        const double power = pot.netW * (1 - std::exp(-t / pot.riseS));
        // Water's own heat: a parabola through handbook values (4205 at 10, 4178 at 35, 4216 at 100
        // °C).
        const double c = 4178 + 0.0093 * (water - 35) * (water - 35);
        const double across = pot.potToWaterW_K * (metal - water);
        // Vapour pressure by Magnus' formula; loss of an open pot of 24 cm.
        const double vapour = 611.2 * std::exp(17.62 * water / (243.12 + water));
        const double steam = pot.evaporationFactor * 1.3e-8 * std::max(0.0, vapour - 1200);
        metal += kTick * (power - across) / (pot.potKg * pot.potCJ_kgK);
        water +=
            kTick * (across - pot.toRoomW_K * (water - pot.roomC) - steam * 2.33e6) / (mass * c);
        mass -= kTick * steam;
        out.evaporatedKg += kTick * steam;
        recorder.follow(water, kTick);
    }
    out.trueNetW = pot.netW;
    return out;
}

ZoneReadings readZone(const Zone& zone, int spots, const Sensor& sensor, std::uint64_t seed) {
    std::mt19937_64 random(seed);
    std::normal_distribution<double> normal;
    ZoneReadings out;
    for (int i = 0; i < spots; ++i) {
        const double spot = zone.operativeC + zone.patchinessC * normal(random);
        const double shown =
            20 + (spot - 20) * sensor.gain + sensor.biasC + sensor.noiseC * normal(random);
        out.probe.push_back(std::min(zone.limitC, std::round(shown / sensor.stepC) * sensor.stepC));
        out.dial.push_back(std::round((zone.operativeC + zone.lidAboveC + 3 * normal(random)) / 5) *
                           5);
    }
    return out;
}

} // namespace generator
