// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/piece.h"

#include <algorithm>
#include <cmath>

namespace simkitchen {
namespace {

constexpr double kStefanBoltzmann = 5.670374419e-8, kIce = 273.15;
constexpr int kLayers = 12;

/// Pressure of steam over water, Pa (Magnus form, good to a percent below 100 °C).
double steam(double celsius) {
    const double c = std::min(celsius, 100.0);
    return 611.2 * std::exp(17.62 * c / (243.12 + c));
}

} // namespace

Piece::Piece(const PieceMake& make) : make_(make), layers_(kLayers, make.startC) {}

void Piece::step(double airC, double wallC, double convective, double seconds) {
    const double dx = make_.thicknessM / 2 / kLayers;
    const double between = make_.conductivity / dx, store = make_.heatPerVolume * dx;
    // What leaves a wet face as steam answers to a kelvin up to so many times as air does.
    constexpr double kSteep = 60, kShare = 0.25;
    const double longest = kShare * store / (between + convective * (1 + kSteep * make_.wetShare));
    const int count = std::max(1, static_cast<int>(std::ceil(seconds / longest)));
    const double dt = seconds / count;
    std::vector<double> flow(kLayers + 1, 0.0);
    for (int i = 0; i < count; ++i) {
        for (int k = 1; k < kLayers; ++k)
            flow[static_cast<std::size_t>(k)] =
                between *
                (layers_[static_cast<std::size_t>(k)] - layers_[static_cast<std::size_t>(k - 1)]);
        const double face = layers_.back();
        // W/m² lost per Pa and W/m²K: the Lewis relation with Le = 1 at about 60 °C.
        constexpr double kPerPascal = 0.0155;
        constexpr double kSteamJ_kg = 2.3e6;
        const double wet = make_.wetShare / (1 + std::pow(gaveOff_ / make_.driesAt, 2));
        const double steamed = wet * convective * kPerPascal * std::max(0.0, steam(face) - 1500);
        flow.back() = (airC - face) / (1 / convective + dx / 2 / make_.conductivity) +
                      make_.black * kStefanBoltzmann *
                          (std::pow(wallC + kIce, 4) - std::pow(face + kIce, 4)) -
                      steamed;
        gaveOff_ += dt * steamed / kSteamJ_kg;
        for (int k = 0; k < kLayers; ++k) {
            const auto at = static_cast<std::size_t>(k);
            layers_[at] += dt * (flow[at + 1] - flow[at]) / store;
        }
    }
}

} // namespace simkitchen
