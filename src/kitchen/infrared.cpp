// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/infrared.h"

#include "numeric/roots.h"
#include "quantity/water.h"

#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace dynamet::kitchen {
namespace {

constexpr double kSecondRadiationUmK = 14387.77; ///< hc/k (CODATA 2018)
constexpr double kLeastEmissivity = 0.5;
constexpr double kColdestK = 150, kHottestK = 3000;

/// Share of a black body's radiation below a wavelength.
double shareBelow(double umK) {
    const double x = kSecondRadiationUmK / umK;
    double sum = 0;
    for (int n = 1; n <= 60; ++n) {
        const double nx = n * x, e = std::exp(-nx);
        sum += e / n * (x * x * x + 3 * x * x / n + 6 * x / (n * n) + 6.0 / (n * n * n));
        if (e < 1e-16)
            break;
    }
    return 15 / std::pow(std::numbers::pi, 4) * sum;
}

/// What the gun's detector gets, taken apart with the emissivity it was told.
double signal(double kelvin, double emissivity, double backgroundK, const InfraredView& v) {
    return emissivity * bandRadiance(kelvin, v.bandLowUm, v.bandHighUm) +
           (1 - emissivity) * bandRadiance(backgroundK, v.bandLowUm, v.bandHighUm);
}

Result<double> temperatureFor(double wanted, const InfraredView& v) {
    const auto off = [&](double k) { return bandRadiance(k, v.bandLowUm, v.bandHighUm) - wanted; };
    if (wanted <= 0 || off(kColdestK) > 0 || off(kHottestK) < 0)
        return fail(Errc::refused, Finding{"infrared_below_background"});
    return solveBracketed(off, kColdestK, kHottestK, 1e-6);
}

} // namespace

double bandRadiance(double kelvin, double lowUm, double highUm) {
    return kStefanBoltzmann / std::numbers::pi * std::pow(kelvin, 4) *
           (shareBelow(highUm * kelvin) - shareBelow(lowUm * kelvin));
}

double shownByInfrared(double surfaceK, const InfraredView& v) {
    const double got = signal(surfaceK, v.surfaceEmissivity, v.backgroundK, v);
    const double mirrored =
        (1 - v.gunEmissivity) * bandRadiance(v.backgroundK, v.bandLowUm, v.bandHighUm);
    return temperatureFor((got - mirrored) / v.gunEmissivity, v).value_or(surfaceK);
}

Result<double> surfaceFromInfrared(double shownK, const InfraredView& v) {
    if (v.surfaceEmissivity < kLeastEmissivity)
        return fail(Errc::refused, Finding{"mirror", {Number{v.surfaceEmissivity, 2}}});
    const double got = signal(shownK, v.gunEmissivity, v.backgroundK, v);
    const double mirrored =
        (1 - v.surfaceEmissivity) * bandRadiance(v.backgroundK, v.bandLowUm, v.bandHighUm);
    return temperatureFor((got - mirrored) / v.surfaceEmissivity, v);
}

} // namespace dynamet::kitchen
