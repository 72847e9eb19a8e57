// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coverage of what is measured in liquids, and of the instruments' own check: see coverage.h.
#include "generator/liquids.h"
#include "quantity/water.h"
#include "rating/coverage.h"
#include "rating/protocols/bath_loss.h"
#include "rating/protocols/block.h"
#include "rating/protocols/instrument_check.h"
#include "rating/protocols/oil_heat_up.h"

namespace {

using namespace coverage;

TEST(Coverage, BathLoss) {
    Coverage power, loss;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Vat vat;
        vat.heaterW = 900 + 2.0 * seed;
        vat.toRoomW_K = 2.5 + 0.01 * seed;
        vat.liquidKg = draw(12, 0.06);
        vat.bodyJ_K = std::max(50.0, draw(600, 250));
        vat.roomC = draw(22, 1);
        const auto run = generator::heatVat(vat, 2400, 200, 9600, 10,
                                            {5, draw(0, 0.3), draw(1, 0.005), 0.05, 0.05},
                                            static_cast<std::uint64_t>(seed));
        BathLoss test;
        test.water = seriesOf(run.liquid);
        test.waterKg = 12;
        test.heaterOffS = 2400;
        const auto found = reduceBathLoss(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities[0], vat.heaterW);
        loss.add(found->quantities[1], vat.toRoomW_K);
    }
    power.expectHonest("bath power");
    loss.expectHonest("bath loss");
}

TEST(Coverage, OilHeatUp) {
    Coverage power;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::Vat vat;
        vat.oil = true;
        vat.heaterW = 1700 + 2.0 * seed;
        vat.liquidKg = draw(3, 0.015);
        vat.oilFactor = draw(1, 0.04);
        vat.bodyJ_K = std::max(50.0, draw(700, 250));
        vat.toRoomW_K = std::max(0.0, draw(2.5, 1));
        const auto run = generator::heatVat(vat, 1e9, 185, 7200, 2, {4, 0, draw(1, 0.01), 0.2, 0.1},
                                            static_cast<std::uint64_t>(seed));
        OilHeatUp test;
        test.oil = seriesOf(run.liquid);
        test.oilKg = 3;
        test.ambientK = 294.15;
        const auto found = reduceOilHeatUp(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities[0], vat.heaterW);
    }
    power.expectHonest("oil power");
}

TEST(Coverage, InstrumentCheck) {
    Coverage ice, boil, gain;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        const double pressure = 101325 - 60.0 * seed, wrongGain = 0.98 + 0.0001 * seed,
                     bias = 1 - 0.004 * seed;
        const double boils = boilingPoint(pressure).celsius();
        // What the instrument reads at a temperature; the ice and the boil are themselves a little
        // off.
        const auto reads = [&](double c) { return wrongGain * c + bias; };
        const double iceIs = draw(0, 0.1), boilIs = draw(boils, 0.2);
        InstrumentCheck test;
        test.pressurePa = draw(pressure, 150);
        for (int i = 0; i < 4; ++i) {
            test.iceK.push_back(std::round(draw(reads(iceIs), 0.08) * 10) / 10 + 273.15);
            test.boilK.push_back(std::round(draw(reads(boilIs), 0.08) * 10) / 10 + 273.15);
        }
        const auto found = reduceInstrumentCheck(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        ice.add(found->quantities[0], -bias);
        gain.add(found->quantities[1], 1 / wrongGain);
        boil.add(found->quantities[2], boils - reads(boils));
    }
    ice.expectHonest("instrument at ice");
    boil.expectHonest("instrument at the boil");
    gain.expectHonest("instrument's gain");
}

} // namespace
