// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "generator/fires.h"

#include "generator/reader.h"

namespace generator {
namespace {
constexpr double kSigma = 5.670374e-8;
double fourth(double c) {
    return kSigma * std::pow(c + 273.15, 4);
}
} // namespace

FaceRun face(const Face& f, double untilC, double seconds, const Sensor& sensor,
             std::uint64_t seed) {
    FaceRun out;
    Recorder recorder(out.block, 1, sensor, f.roomC, seed);
    double skin = f.roomC, heart = f.roomC;
    constexpr double kDt = 0.05;
    for (double t = 0; t <= seconds && heart < untilC; t += kDt) {
        recorder.look(t);
        const double in = f.emissivity * f.fallsInW_m2 - f.emissivity * fourth(skin) +
                          (f.airW_m2K + f.leakW_m2K) * (f.airC - skin);
        const double across = 19000 * (skin - heart), half = f.kg / f.areaM2 / 2;
        skin += kDt * (in - across) / (half * (f.cJ_kgK + f.cSlope * (skin - 20)));
        heart += kDt * across / (half * (f.cJ_kgK + f.cSlope * (heart - 20)));
        recorder.follow((skin + heart) / 2, kDt);
    }
    out.trueColdW_m2 =
        f.emissivity * f.fallsInW_m2 - f.emissivity * fourth(40) + f.airW_m2K * (f.airC - 40);
    return out;
}

double probeShows(double airC, double radiantC, const RoundProbe& p) {
    const double h = p.airOverEmissivity4 * std::pow(p.diameterMm / 4, p.power);
    double low = std::min(airC, radiantC), high = std::max(airC, radiantC);
    for (int i = 0; i < 60; ++i) {
        const double mid = (low + high) / 2;
        (h * (airC - mid) + fourth(radiantC) - fourth(mid) > 0 ? low : high) = mid;
    }
    return low;
}

FireRun burn(const Fire& f, double seconds, double everyS, const Sensor& sensor,
             std::uint64_t seed) {
    FireRun out;
    Recorder recorder(out.air, everyS, sensor, f.roomC, seed);
    double fuel = f.fuelKg, air = f.roomC, skin = f.roomC, deep = f.roomC;
    constexpr double kDt = 1;
    for (double t = 0; t <= seconds; t += kDt) {
        if (recorder.look(t))
            out.trueC.push_back(air);
        const double burning = fuel / f.burnS * (1 - std::exp(-t / f.catchS));
        fuel -= kDt * burning;
        const double toSkin = f.airToSkinW_K * (air - skin),
                     toDeep = f.skinToDeepW_K * (skin - deep);
        air += kDt *
               (burning * f.heatingJ_kg * f.takenShare - toSkin - f.draughtW_K * (air - f.roomC)) /
               f.airJ_K;
        skin += kDt * (toSkin - toDeep) / f.skinJ_K;
        deep += kDt * (toDeep - f.deepToRoomW_K * (deep - f.roomC)) / f.deepJ_K;
        recorder.follow(air, kDt);
    }
    return out;
}

double fallsThrough(const FireRun& run, double celsius) {
    for (std::size_t i = run.trueC.size() - 1; i > 0; --i)
        if (run.trueC[i - 1] > celsius && run.trueC[i] <= celsius) {
            const double share = (run.trueC[i - 1] - celsius) / (run.trueC[i - 1] - run.trueC[i]);
            return run.air.seconds[i - 1] + share * (run.air.seconds[i] - run.air.seconds[i - 1]);
        }
    return -1;
}

double insideReading(const IronOven& o, int under, int lid, std::mt19937_64& random) {
    std::normal_distribution<double> normal;
    return o.roomC + o.underK * under + o.lidK * lid + o.biasC + o.scatterC * normal(random);
}

} // namespace generator
