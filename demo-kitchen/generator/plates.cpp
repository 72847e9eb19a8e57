// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "generator/plates.h"

#include "generator/reader.h"

namespace generator {
namespace {

constexpr double kTick = 0.25, kBetweenLayers = 9000;

double lossW_m2(const Plate& p, double c) {
    const double full = 230 - p.roomC, excess = c - p.roomC;
    const double moving = (1 - p.radiantShare) * p.lossAt230W_m2K * full *
                          std::copysign(std::pow(std::abs(excess) / full, 1.25), excess);
    const auto fourth = [](double celsius) { return std::pow((celsius + 273.15) / 100, 4); };
    const double glowing = p.radiantShare * p.lossAt230W_m2K * full *
                           (fourth(c) - fourth(p.roomC)) / (fourth(230) - fourth(p.roomC));
    return moving + glowing;
}

/// Two halves of a load; `in` is heat into the lower face for each square metre.
struct Halves {
    const Load* l;
    double low, high;
    void tick(double in, double roomC, double dt) {
        const double half = l->kg / l->areaM2 / 2;
        const double across = 4000 * (low - high);
        const double out = l->toRoomW_m2K * (high - roomC);
        low += dt * (in - across) / (half * (l->cJ_kgK + l->cSlope * (low - 20)));
        high += dt * (across - out) / (half * (l->cJ_kgK + l->cSlope * (high - 20)));
    }
};

/// The band radiance by the midpoint rule over wavelengths.
double band(double c) {
    const double k = c + 273.15;
    double sum = 0;
    constexpr int kSteps = 80;
    for (int i = 0; i < kSteps; ++i) {
        const double um = 8 + 6.0 * (i + 0.5) / kSteps;
        sum += 1.191043e8 / std::pow(um, 5) / (std::exp(14387.77 / (um * k)) - 1) * 6.0 / kSteps;
    }
    return sum;
}

} // namespace

PlateRun heatAndCool(const Plate& p, double heatS, double coolS, const Sensor& sensor,
                     std::uint64_t seed) {
    PlateRun out;
    Recorder recorder(out.plate, 2, sensor, p.roomC, seed);
    double under = p.roomC, top = p.roomC;
    for (double t = 0; t <= heatS + coolS; t += kTick) {
        recorder.look(t);
        const double warming = 1 - std::exp(-t / 8);
        const double across = kBetweenLayers * (under - top);
        under +=
            kTick * ((t < heatS ? p.burnerW_m2 * warming : 0) - across) / (p.capacityJ_m2K / 2);
        top += kTick * (across - lossW_m2(p, top)) / (p.capacityJ_m2K / 2);
        recorder.follow(top, kTick);
    }
    out.trueLossW_m2K = lossW_m2(p, 230) / (230 - p.roomC);
    return out;
}

DipRun dip(const Plate& given, double startC, const Load& load, double seconds,
           const Sensor& plateSensor, const Sensor& loadSensor, std::uint64_t seed) {
    Plate p = given;
    p.burnerW_m2 = lossW_m2(p, startC);
    DipRun out;
    out.trueLossW_m2K = p.burnerW_m2 / (startC - p.roomC);
    Recorder plateRecorder(out.plate, 1, plateSensor, startC, seed * 2);
    Recorder loadRecorder(out.load, 1, loadSensor, p.roomC, seed * 2 + 1);
    double plate = startC;
    Halves halves{&load, p.roomC, p.roomC};
    for (double t = 0; t <= 120 + seconds; t += kTick) {
        plateRecorder.look(t);
        loadRecorder.look(t);
        const double q = t < 120 ? 0 : load.contactW_m2K * (plate - halves.low);
        plate += kTick * (p.burnerW_m2 - lossW_m2(p, plate) - q) / p.capacityJ_m2K;
        if (t >= 120)
            halves.tick(q, p.roomC, kTick);
        plateRecorder.follow(plate, kTick);
        loadRecorder.follow((halves.low + halves.high) / 2, kTick);
    }
    return out;
}

DipRun dipOnStone(double effusivity, double startC, const Load& load, double seconds,
                  const Sensor& plateSensor, const Sensor& loadSensor, std::uint64_t seed) {
    // k ρ c = e²; layers of 0.5 mm growing by 6 %, deep enough for the time.
    const double rhoC = 2.1e6, k = effusivity * effusivity / rhoC;
    std::vector<double> thick, t;
    for (double d = 0.0004; thick.size() < 48; d *= 1.06) {
        thick.push_back(d);
        t.push_back(startC);
    }
    DipRun out;
    Recorder plateRecorder(out.plate, 1, plateSensor, startC, seed * 2);
    Recorder loadRecorder(out.load, 1, loadSensor, 22, seed * 2 + 1);
    Halves halves{&load, 22, 22};
    const double dt = 0.05;
    double surface = startC;
    for (double at = 0; at <= 120 + seconds; at += dt) {
        plateRecorder.look(at);
        loadRecorder.look(at);
        const double toFirst = k / (thick[0] / 2);
        surface = at < 120 ? t[0]
                           : (toFirst * t[0] + load.contactW_m2K * halves.low) /
                                 (toFirst + load.contactW_m2K);
        const double q = at < 120 ? 0 : load.contactW_m2K * (surface - halves.low);
        std::vector<double> flow(t.size() + 1, 0);
        flow[0] = q;
        for (std::size_t i = 0; i + 1 < t.size(); ++i)
            flow[i + 1] = 2 * k * (t[i + 1] - t[i]) / (thick[i] + thick[i + 1]);
        for (std::size_t i = 0; i < t.size(); ++i)
            t[i] += dt * (flow[i + 1] - flow[i]) / (rhoC * thick[i]);
        if (at >= 120)
            halves.tick(q, 22, dt);
        plateRecorder.follow(surface, dt);
        loadRecorder.follow((halves.low + halves.high) / 2, dt);
    }
    return out;
}

std::vector<double> aim(const std::vector<double>& spotsC, const Gun& gun) {
    std::vector<double> out;
    for (double c : spotsC) {
        const double got =
            gun.surfaceEmissivity * band(c) + (1 - gun.surfaceEmissivity) * band(gun.backgroundC);
        const double taken =
            (got - (1 - gun.setEmissivity) * band(gun.backgroundC)) / gun.setEmissivity;
        double low = -100, high = 1500;
        for (int i = 0; i < 36; ++i)
            (band((low + high) / 2) < taken ? low : high) = (low + high) / 2;
        out.push_back(low * gun.gain);
    }
    return out;
}

} // namespace generator
