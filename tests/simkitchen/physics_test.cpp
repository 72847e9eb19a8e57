// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The simulated kitchen's own physics against what books say; it shares nothing with the program
// that measures it.
#include "simkitchen/network.h"
#include "simkitchen/oven.h"
#include "simkitchen/piece.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace simkitchen;

// Newton's law of cooling: T = T∞ + (T0 − T∞) e^(−t G / C).
TEST(SimNetwork, ALumpCoolsExponentially) {
    Network net;
    const auto lump = net.add(1000, 180), room = net.add(Network::kInfinite, 20);
    net.conduct(lump, room, 2);
    for (int i = 0; i < 500; ++i)
        net.step(1);
    EXPECT_NEAR(net.at(lump), 20 + 160 * std::exp(-500 * 2 / 1000.0), 0.2);
}

// A grey body that only radiates is heated at ε A σ (T⁴ − T⁴): 1 m² of black at 500 K against 300 K
// is 3084 W (σ = 5.670e-8).
TEST(SimNetwork, RadiationIsThatOfStefanAndBoltzmann) {
    Network net;
    const auto cold = net.add(1e7, 300 - 273.15), hot = net.add(Network::kInfinite, 500 - 273.15);
    net.radiate(cold, hot, 1);
    net.step(10);
    EXPECT_NEAR((net.at(cold) - (300 - 273.15)) * 1e7 / 10, 3084.6, 4);
}

TEST(SimNetwork, WhatOneLumpLosesTheOtherGains) {
    Network net;
    const auto a = net.add(700, 200), b = net.add(2100, 20);
    net.conduct(a, b, 9);
    net.step(3600);
    EXPECT_NEAR(net.at(a), (700 * 200 + 2100 * 20) / 2800.0, 0.01);
    EXPECT_NEAR(net.at(b), net.at(a), 0.01);
}

// A slab whose faces are held at once (Carslaw & Jaeger; Incropera, one-term): at Fo = 0.5 the
// middle has gone 1 − 1.273 e^(−π²/4 · 0.5) = 0.629 of the way.
TEST(SimPiece, HeatsLikeASlab) {
    PieceMake make;
    make.wetShare = 0;
    make.black = 0;
    make.startC = 0;
    Piece piece(make);
    const double half = make.thicknessM / 2;
    const double seconds = 0.5 * half * half * make.heatPerVolume / make.conductivity;
    for (int i = 0; i < 1000; ++i)
        piece.step(90, 90, 5000, seconds / 1000);
    EXPECT_NEAR(piece.coreC() / 90, 0.629, 0.03);
}

// Wet food stays near the wet-bulb temperature in hot dry air (common practice, no source).
TEST(SimPiece, AWetFaceStaysFarBelowTheOven) {
    Piece piece;
    for (int i = 0; i < 1200; ++i)
        piece.step(180, 180, 13, 1);
    EXPECT_LT(piece.faceC(), 95);
    EXPECT_GT(piece.faceC(), piece.coreC());
}

TEST(SimOven, CyclesAboutItsOwnIdeaOfTheDial) {
    const Room room;
    Oven oven(OvenMake{}, room);
    oven.set("dial", 180);
    double low = 1e9, high = 0;
    for (int s = 0; s < 7200; ++s) {
        oven.step(room, 1);
        if (s > 3600) {
            low = std::min(low, oven.at("air"));
            high = std::max(high, oven.at("air"));
        }
    }
    EXPECT_LT(low, 166);
    EXPECT_GT(high, 166);
    EXPECT_GT(high - low, 5);
    oven.set("door", 1);
    const double before = oven.at("air");
    for (int s = 0; s < 60; ++s)
        oven.step(room, 1);
    EXPECT_LT(oven.at("air"), before);
}

} // namespace
