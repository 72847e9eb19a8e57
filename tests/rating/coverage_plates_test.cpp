// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coverage of what is measured on plates: see coverage.h.
#include "generator/liquids.h"
#include "generator/plates.h"
#include "quantity/water.h"
#include "rating/coverage.h"
#include "rating/protocols/boil_off.h"
#include "rating/protocols/dry_preheat.h"
#include "rating/protocols/load_dip.h"
#include "rating/protocols/surface_map.h"

namespace {

using namespace coverage;

TEST(Coverage, BoilOff) {
    Coverage power;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        generator::BoilingPot pot;
        pot.netW = 700 + 2.0 * seed;
        pot.toRoomW_K = draw(0.9, 0.35);
        const double seconds = 900, lost = boiledAwayKg(pot, seconds);
        BoilOff test;
        test.ambientK = 294.15;
        test.startKg = draw(2.4, test.uScaleKg);
        test.endKg = draw(2.4 - lost * (1 + draw(0, test.uSplash)), test.uScaleKg);
        test.seconds = draw(seconds, test.uSeconds);
        const auto found = reduceBoilOff(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        power.add(found->quantities.front(), pot.netW);
    }
    power.expectHonest("boil-off power");
}

TEST(Coverage, DryPreheat) {
    Coverage flux, loss;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        const double area = 0.038;
        generator::Plate plate;
        plate.burnerW_m2 = 12000 + 8.0 * seed;
        plate.lossAt230W_m2K = 20 + 0.01 * seed;
        plate.radiantShare = std::clamp(draw(0.6, 0.1), 0.2, 1.0);
        plate.roomC = draw(22, 2);
        plate.capacityJ_m2K = draw(1, 0.01) * draw(1, 0.03) * draw(1, 0.01) * 1.9 * 460 / area;
        generator::Sensor sensor{4, draw(0, 1), draw(1, 0.01), 0.3, 0.1};
        const auto run =
            generator::heatAndCool(plate, 500, 1500, sensor, static_cast<std::uint64_t>(seed));
        DryPreheat test;
        test.plate = seriesOf(run.plate);
        test.offS = 500;
        test.massKg = 1.9;
        test.areaM2 = area;
        const auto found = reduceDryPreheat(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        flux.add(found->quantities[0], plate.burnerW_m2);
        loss.add(found->quantities[1], run.trueLossW_m2K);
    }
    flux.expectHonest("dry-preheat flux");
    loss.expectHonest("dry-preheat loss");
}

TEST(Coverage, SurfaceMap) {
    Coverage mean;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        const double truth = 150 + 0.3 * seed;
        std::vector<double> spots;
        for (int i = 0; i < 12; ++i)
            spots.push_back(draw(truth, 7));
        generator::Gun gun;
        gun.surfaceEmissivity = draw(0.85, 0.05);
        gun.backgroundC = draw(30, 10);
        gun.gain = draw(1, 0.01);
        SurfaceMap test;
        test.view.surfaceEmissivity = 0.85;
        test.view.backgroundK = 303.15;
        for (double c : generator::aim(spots, gun))
            test.shownK.push_back(c + 273.15);
        const auto found = reduceSurfaceMap(test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        mean.add(found->quantities.front(), truth + 273.15);
    }
    mean.expectHonest("surface-map mean");
}

struct Dip {
    LoadDip test;
    generator::Load load;
    generator::Sensor plateSensor, loadSensor;
};

Dip drawDip(Draw& draw) {
    Dip d;
    d.load.kg = draw(0.8, 0.008);
    d.load.areaM2 = draw(0.0225, 0.000225);
    d.load.toRoomW_m2K = draw(11, 4);
    d.plateSensor = {std::max(0.3, draw(3, 1.5)), draw(0, 0.7), 1, 0.15, 0.1};
    d.loadSensor = {std::max(0.3, draw(3, 1.5)), 0, 1, 0.15, 0.1};
    return d;
}

TEST(Coverage, LoadDipOnMetal) {
    Coverage capacity, flux;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        Dip d = drawDip(draw);
        generator::Plate plate;
        plate.capacityJ_m2K = 45000 + 50.0 * seed;
        const auto run = generator::dip(plate, 220, d.load, 900, d.plateSensor, d.loadSensor,
                                        static_cast<std::uint64_t>(seed));
        d.test.plate = seriesOf(run.plate);
        d.test.load = seriesOf(run.load);
        const auto found = reduceLoadDip(d.test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        capacity.add(found->quantities[0], plate.capacityJ_m2K);
        flux.add(found->quantities[1], run.trueLossW_m2K * (220 - plate.roomC));
    }
    capacity.expectHonest("load-dip capacity");
    flux.expectHonest("load-dip flux");
}

TEST(Coverage, LoadDipOnStone) {
    Coverage effusivity;
    for (int seed = 1; seed <= kSeeds; ++seed) {
        Draw draw(seed);
        Dip d = drawDip(draw);
        const double truth = 1300 + 1.2 * seed;
        // The load draws on the stone around it, a few per cent more or less than thought.
        const auto run =
            generator::dipOnStone(truth * draw(1, 0.05), 260, d.load, 420, d.plateSensor,
                                  d.loadSensor, static_cast<std::uint64_t>(seed));
        d.test.plate = seriesOf(run.plate);
        d.test.load = seriesOf(run.load);
        d.test.stone = true;
        const auto found = reduceLoadDip(d.test);
        ASSERT_TRUE(found.has_value()) << found.error().message;
        effusivity.add(found->quantities[0], truth);
    }
    effusivity.expectHonest("load-dip effusivity");
}

} // namespace
