// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/vapour.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::heat {
namespace {

constexpr double kLowK = 253.15, kStepK = 0.25;
constexpr int kRows = 521; // to 110 °C
constexpr double kLewis = 0.622 / (1010.0 * 0.9);

double diffusivityAt(double kelvin) {
    const double held = std::min(kelvin, kZeroCelsiusK + 100);
    return 1e-9 * std::exp(-45000.0 / 8.314 * (1 / held - 1 / (kZeroCelsiusK + 55)));
}

} // namespace

Vapour::Vapour(double pressurePa)
    : pressure_(pressurePa), boilingK_(boilingPoint(pressurePa).kelvin()),
      latentAtBoiling_(latentHeatJPerKg(boilingPoint(pressurePa))) {
    rows_.reserve(kRows);
    for (int i = 0; i < kRows; ++i) {
        const Temperature t = Temperature::kelvin(kLowK + kStepK * i);
        rows_.push_back({saturationPressurePa(t), latentHeatJPerKg(t), diffusivityAt(t.kelvin())});
    }
}

Vapour::Wet Vapour::wet(double surfaceK, double vapourPa, double activity) const {
    const double place = std::max(0.0, std::min(kRows - 1.001, (surfaceK - kLowK) / kStepK));
    const auto i = static_cast<std::size_t>(place);
    const double share = place - static_cast<double>(i);
    const Row &a = rows_[i], &b = rows_[i + 1];
    const double saturation = a.saturation + share * (b.saturation - a.saturation);
    double partial = activity * saturation;
    double rise = activity * (b.saturation - a.saturation) / kStepK, byActivity = saturation;
    if (partial > 0.98 * pressure_) {
        partial = 0.98 * pressure_;
        rise = byActivity = 0;
    }
    const double room = kLewis / (pressure_ - partial);
    return {kLewis * std::log((pressure_ - vapourPa) / (pressure_ - partial)), room * rise,
            a.latent + share * (b.latent - a.latent), room * byActivity};
}

double Vapour::diffusivity(double surfaceK) const {
    const double place = std::max(0.0, std::min(kRows - 1.001, (surfaceK - kLowK) / kStepK));
    const auto i = static_cast<std::size_t>(place);
    const double share = place - static_cast<double>(i);
    return rows_[i].diffusivity + share * (rows_[i + 1].diffusivity - rows_[i].diffusivity);
}

} // namespace dynamet::heat
