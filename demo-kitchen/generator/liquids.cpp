// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "generator/liquids.h"

#include "generator/reader.h"

namespace generator {
namespace {

/// Handbook-like points of oil's heat, J/kgK at °C, joined by straight lines.
double heatOf(const Vat& v, double c) {
    if (!v.oil)
        return 4178 + 0.0093 * (c - 35) * (c - 35);
    const double at[] = {20, 60, 100, 140, 180, 220};
    const double heat[] = {1940, 2074, 2210, 2346, 2482, 2618};
    for (int i = 1; i < 6; ++i)
        if (c <= at[i] || i == 5)
            return v.oilFactor *
                   (heat[i - 1] + (heat[i] - heat[i - 1]) * (c - at[i - 1]) / (at[i] - at[i - 1]));
    return heat[0];
}

} // namespace

VatRun heatVat(const Vat& v, double heaterOffS, double untilC, double seconds, double everyS,
               const Sensor& sensor, std::uint64_t seed) {
    VatRun out;
    Recorder recorder(out.liquid, everyS, sensor, v.startC, seed);
    double body = v.startC, liquid = v.startC;
    constexpr double kDt = 0.5;
    for (double t = 0; t <= seconds && liquid < untilC; t += kDt) {
        recorder.look(t);
        const double across = v.bodyToLiquidW_K * (body - liquid);
        body += kDt * ((t < heaterOffS ? v.heaterW : 0) - across) / v.bodyJ_K;
        liquid +=
            kDt * (across - v.toRoomW_K * (liquid - v.roomC)) / (v.liquidKg * heatOf(v, liquid));
        recorder.follow(liquid, kDt);
    }
    return out;
}

double boiledAwayKg(const BoilingPot& p, double seconds) {
    return (p.netW - p.toRoomW_K * (p.boilsC - p.roomC)) / p.latentJ_kg * seconds;
}

} // namespace generator
