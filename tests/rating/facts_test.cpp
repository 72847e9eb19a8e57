// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The protocols against published values and facts of the trade.
#include "kitchen/infrared.h"
#include "kitchen/typical.h"
#include "quantity/temperature.h"
#include "rating/protocols/boil_off.h"
#include "rating/protocols/coal_count.h"
#include "rating/protocols/height_series.h"
#include "rating/protocols/probe_split.h"
#include "rating/protocols/surface_map.h"
#include "rating/protocols/wet_bulb.h"
#include "rating/reduce.h"

#include "words/say.h"

#include <cmath>
#include <gtest/gtest.h>
#include <set>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

double celsius(double k) {
    return k - kZeroCelsiusK;
}

// Share of a black body's radiation in a band, Incropera et al., table 12.2 (from memory): F(0–λT)
// of 2898 µmK is 0.2501, of 4107 µmK 0.5000.
TEST(Infrared, SharesOfTheBlackBodyTable) {
    const double all = 5.670374e-8 / 3.14159265358979 * std::pow(1000.0, 4);
    EXPECT_NEAR(kitchen::bandRadiance(1000, 0.01, 2.898) / all, 0.2501, 3e-4);
    EXPECT_NEAR(kitchen::bandRadiance(1000, 0.01, 4.107) / all, 0.5000, 3e-4);
}

// Computed by numerical integration of Planck's law (general-purpose), as the design states it:
// true 250 °C, gun at 0.95, surface 0.8, reads 224; T⁴ would say 244.
TEST(Infrared, ABandGunIsNoT4Meter) {
    const kitchen::InfraredView view{0.95, 0.8, 295.15, 8, 14};
    EXPECT_NEAR(celsius(kitchen::shownByInfrared(523.15, view)), 224, 1);
    EXPECT_NEAR(celsius(*kitchen::surfaceFromInfrared(497.15, view)), 250, 1.2);
}

// The same source: 0.05 of emissivity is 10 K at 0.8 and 30 K at 0.3.
TEST(Infrared, EmissivityDecides) {
    const auto off = [](double e) {
        kitchen::InfraredView view{0.95, e, 295.15, 8, 14};
        const double shown = kitchen::shownByInfrared(523.15, view);
        view.surfaceEmissivity = e + 0.05;
        kitchen::InfraredView wrong = view;
        return 523.15 - kitchen::surfaceFromInfrared(shown, wrong).value_or(523.15 - 30);
    };
    EXPECT_NEAR(off(0.8), 10, 2);
    const auto refused = kitchen::surfaceFromInfrared(450, {0.95, 0.3, 295.15, 8, 14});
    ASSERT_FALSE(refused.has_value());
    EXPECT_NE(words::text(refused.error(), {}).find("paint or tape"), std::string::npos);
}

// Definitions of the design (computed there with a probe's heat balance): air 200 °C beside metal
// of 450 °C at view 0.4: 4 mm reads 268, 1.5 mm 248; beside coals of 700 °C 412 and 365.
TEST(ProbeSplit, WhatProbesReadBesideHotMetal) {
    const auto mean = [](double hotC) {
        return std::pow(0.4 * std::pow(hotC + kZeroCelsiusK, 4) + 0.6 * std::pow(473.15, 4), 0.25);
    };
    EXPECT_NEAR(celsius(probeReadingK(473.15, mean(450), 0.004)), 268, 3);
    EXPECT_NEAR(celsius(probeReadingK(473.15, mean(450), 0.0015)), 248, 3);
    EXPECT_NEAR(celsius(probeReadingK(473.15, mean(700), 0.004)), 412, 6);
    EXPECT_NEAR(celsius(probeReadingK(473.15, mean(700), 0.0015)), 365, 6);
    const auto split = splitProbes({248 + kZeroCelsiusK, 268 + kZeroCelsiusK});
    ASSERT_TRUE(split.has_value());
    EXPECT_NEAR(celsius(split->value[0]), 200, 8);
}

// Psychrometric tables, e.g. of the WMO Guide No. 8 (from memory): dry 20.0, wet 15.0 °C at sea
// level: 13.7 hPa (59 %); dry 30, wet 20: 16.7 hPa (39 %).
TEST(WetBulb, PsychrometricTables) {
    EXPECT_NEAR(vapourPa(293.15, 288.15, 101325), 1370, 20);
    EXPECT_NEAR(vapourPa(303.15, 293.15, 101325), 1668, 20);
}

// Steam tables (IAPWS-IF97): 2256.5 kJ/kg at 101325 Pa. 1 kg in an hour is 627 W of steam.
TEST(BoilOff, AKilogramAnHour) {
    BoilOff test;
    test.startKg = 3;
    test.endKg = 2;
    test.seconds = 3600;
    test.lossW_K = 0;
    EXPECT_NEAR(reduceBoilOff(test)->quantities.front().value, 626.8, 0.3);
    test.pressurePa = 61640; // 4000 m: 2291.2 kJ/kg
    EXPECT_NEAR(reduceBoilOff(test)->quantities.front().value, 636.4, 0.4);
}

// Common practice, no source: a griddle "at about 500 °F" reads 521, 495, 480, 480, 475, 480 at
// spots across its plate; with a gun set to the plate's own emissivity the map says so.
TEST(SurfaceMap, AGriddleAsCooksReadIt) {
    SurfaceMap test;
    for (double f : {521, 495, 480, 480, 475, 480})
        test.shownK.push_back(Temperature::fahrenheit(f).kelvin());
    test.view = {0.95, 0.95, 298.15, 8, 14};
    const auto found = reduceSurfaceMap(test);
    ASSERT_TRUE(found.has_value()) << found.error().message;
    EXPECT_NEAR(Temperature::kelvin(found->quantities[0].value).fahrenheit(), 488.5, 1);
    EXPECT_NEAR(found->quantities[1].value * 1.8, 46, 1);
}

// Common practice, no source: twice as many on the lid as below. All runs at one ratio cannot tell
// the two apart, and the result says so instead of guessing.
TEST(CoalCount, OneRatioTellsOnlyTheMean) {
    CoalCount test;
    test.under = {7, 8};
    test.lid = {14, 16};
    test.insideK = {440, 458};
    const auto found = reduceCoalCount(test);
    ASSERT_TRUE(found.has_value());
    EXPECT_EQ(found->warnings.front().code, "one_share");
    test.under.push_back(12);
    test.lid.push_back(9);
    test.insideK.push_back(448);
    EXPECT_TRUE(reduceCoalCount(test)->warnings.empty());
}

// Reference-values: cast iron 460 J/kgK (from memory); 6 kg that lose half their excess in 12 min
// lose 6 · 460 · ln 2 / 720 s = 2.66 W/K.
TEST(CoalCount, WeighedIronGivesWatts) {
    CoalCount test;
    test.under = {7, 12};
    test.lid = {14, 9};
    test.insideK = {440, 446};
    test.ironKg = 6;
    test.halfS = 720;
    const auto found = reduceCoalCount(test);
    EXPECT_NEAR(find(*found, "loss_W_K")->value, 2.657,
                0.01); // the mean over the time's ± is a little higher
    // docs/physics.md: 11–26 % of a briquette's heat reaches pot and food (common practice).
    EXPECT_GT(find(*found, "fuel_share")->value, 0.08);
    EXPECT_LT(find(*found, "fuel_share")->value, 0.30);
}

// F = R²/(R² + h²) over the middle of a disk (closed form): two heights give the bed back; another
// fill of the chimney is another series.
TEST(HeightSeries, TwoHeightsGiveTheBed) {
    kitchen::Appliance chimney = *kitchen::typicalAppliance(kitchen::ApplianceKind::coalChimney);
    const auto at = [&](const char* text) {
        return *kitchen::parseSetting(chimney.controls, text);
    };
    const auto falls = [](double h) { return 45000 * 0.0144 / (0.0144 + h * h); };
    const std::vector<HeightTest> tests{
        {at("coals=full;grate=80mm;age=glowing"), falls(0.08), 200},
        {at("coals=half full;grate=120mm;age=glowing"), 900, 200},
        {at("coals=full;grate=200mm;age=glowing"), falls(0.20), 200}};
    const auto bed = bedOf(chimney.controls, at("coals=full;grate=140mm;age=glowing"), tests);
    ASSERT_TRUE(bed.has_value());
    EXPECT_NEAR(bed->radiusM, 0.12, 0.002);
    EXPECT_NEAR(bed->emissionW_m2, 45000, 500);
    EXPECT_FALSE(
        bedOf(chimney.controls, at("coals=half full;grate=80mm;age=glowing"), tests).has_value());
}

// The table of definitions §3: which protocol fills which number of the heat field.
TEST(Coverage3, EveryProtocolIsOfferedForTheKindsThatNeedIt) {
    using enum kitchen::ApplianceKind;
    const std::map<kitchen::ApplianceKind, std::set<std::string>> needed{
        {gasHob, {"surface-map", "water-heat-up", "dry-preheat"}},
        {radiantHob, {"surface-map", "water-heat-up", "dry-preheat"}},
        {solidPlateHob, {"surface-map", "water-heat-up", "dry-preheat"}},
        {inductionHob, {"surface-map", "water-heat-up", "dry-preheat"}},
        {portableBurner, {"surface-map", "water-heat-up", "dry-preheat"}},
        {griddle, {"surface-map", "dry-preheat", "load-dip"}},
        {stillOven,
         {"preheat", "cavity-map", "block-pair", "one-face-block", "surface-map", "load-dip"}},
        {countertopOven,
         {"preheat", "cavity-map", "block-pair", "one-face-block", "surface-map", "load-dip"}},
        {fanOven, {"preheat", "cavity-map", "block-pair", "one-face-block"}},
        {combiOven, {"preheat", "cavity-map", "block-pair", "one-face-block"}},
        {airFryer, {"preheat", "block-pair", "one-face-block"}},
        {woodOven, {"zone-sweep", "one-face-block", "surface-map", "load-dip", "burn-down"}},
        {ironOven, {"coal-count", "boil-off", "surface-map"}},
        {gasGrill, {"zone-sweep", "one-face-block"}},
        {coalChimney, {"one-face-block"}},
        {charcoalKettle, {"zone-sweep", "block-pair", "burn-down"}},
        {coveredCeramicGrill, {"zone-sweep", "block-pair", "burn-down"}},
        {pelletGrill, {"zone-sweep", "block-pair"}},
        {waterBath, {"bath-loss", "preheat", "cavity-map", "block"}},
        {deepFryer, {"oil-heat-up", "load-dip"}}};
    for (const auto& [kind, wanted] : needed) {
        std::set<std::string> offered;
        for (const Protocol* p : protocolsFor(kind))
            offered.insert(p->id);
        for (const std::string& id : wanted)
            EXPECT_TRUE(offered.contains(id)) << enumName(kind) << " lacks " << id;
    }
}

} // namespace
