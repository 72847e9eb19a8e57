// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What typical grills and iron ovens follow from: heat in, draught and walls, wind, cold, height.
#include "coals/oven_heat.h"
#include "kitchen/grill_box.h"
#include "kitchen/rated_field.h"
#include "kitchen/typical.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

Site siteAt(double celsius, double windMPerS, double heightM) {
    Site out;
    out.ambient = Temperature::celsius(celsius);
    out.windMPerS = windMPerS;
    out.altitudeM = heightM;
    return out;
}

double mean(const std::vector<double>& rises) {
    double sum = 0;
    for (double r : rises)
        sum += r;
    return sum / static_cast<double>(rises.size());
}

// All that a small fire gives leaves with the draught where the walls are kept from losing any:
// P = ṁ c ΔT with the chimney equation, ASHRAE Handbook—Fundamentals, ch. 16 (from memory).
TEST(GrillBox, WithoutWallsTheDraughtCarriesAllHeat) {
    GrillBox box;
    box.wallFactor = 0;
    const std::array<double, 3> shares{1, 1, 1};
    const Site site = siteAt(20, 0, 0);
    const double rise = mean(grillRises(box, shares, site));
    const double density = pressurePa(site) / (287.0 * (293.15 + rise));
    const double flow = 0.6 * 3 * box.openingPerBurnerM2 * density *
                        std::sqrt(2 * 9.81 * box.draughtHeightM * rise / 293.15);
    EXPECT_NEAR(flow * 1050 * rise, 9000, 90);
}

// Common practice, no source.
TEST(GrillBox, ColdWindAndHeightAreFelt) {
    const std::array<double, 3> shares{1, 0, 0};
    const auto grateC = [&](const Site& site) {
        return mean(grillRises({}, shares, site)) + site.ambient.celsius();
    };
    const double calm = grateC(siteAt(20, 0, 0));
    EXPECT_LT(grateC(siteAt(20, 6, 0)), calm - 5) << "wind cools the walls";
    EXPECT_LT(grateC(siteAt(0, 0, 0)), calm - 15) << "cold air comes in";
    EXPECT_GT(grateC(siteAt(20, 0, 3000)), calm) << "thin air carries less away";
}

TEST(GrillBox, ThePlacesShareTheWholeAndTheFarOneIsCoolest) {
    const Site site = siteAt(20, 0, 0);
    const std::array<double, 4> one{1, 0, 0, 0};
    const auto rises = grillRises({}, one, site);
    EXPECT_GT(rises[0], rises[1]);
    EXPECT_GT(rises[1], rises[2]);
    EXPECT_GT(rises[2], rises[3]);
    GrillBox mixed;
    mixed.mixedShare = 1;
    EXPECT_NEAR(mean(rises), grillRises(mixed, one, site)[3], 1e-6);
    const std::array<double, 4> off{};
    EXPECT_EQ(grillRises({}, off, site)[2], 0);
}

// A dish in an iron oven: coals on the lid brown it, cold and wind take from all of it.
TEST(IronOven, CoalsOnTheLidHeatTheLid) {
    Appliance oven = *typicalAppliance(ApplianceKind::ironOven);
    oven.name = "oven";
    const auto radiant = [&](const char* coals, const Site& site) {
        Place place;
        place.zone = "inside";
        place.site = site;
        const auto field = typicalField(oven, *parseSetting(oven.controls, coals), place);
        return seenBy(*field, Face::top, Term::radiant)->value - kZeroCelsiusK;
    };
    const Site mild = siteAt(20, 0, 0);
    EXPECT_GT(radiant("coals=10+18", mild), radiant("coals=18+10", mild) + 20);
    EXPECT_LT(radiant("coals=10+18", siteAt(0, 3, 0)), radiant("coals=10+18", mild) - 40);
}

// However fast the iron follows, also just as fast as the coals burn.
TEST(IronOven, ItsCourseIsSmoothWhereIronAndCoalsKeepPace) {
    const coals::Air air;
    const coals::Fuel fuel;
    coals::IronOven oven;
    oven.heatJ_K = coals::ovenLossW_K(air) / -std::log(coals::leftAt(fuel, 1, air));
    const double alike = coals::risenShare(oven, fuel, air, 1800);
    oven.heatJ_K *= 1.001;
    EXPECT_NEAR(alike, coals::risenShare(oven, fuel, air, 1800), 2e-3);
    EXPECT_NEAR(coals::risenShare(oven, fuel, air, 0), 1, 1e-9);
}

// Glowing charcoal is bright red to orange, some 800 to 900 °C; dying coals are a dull red at most
// (incandescence by colour, handbook scale from memory).
TEST(Chimney, GlowsAndIsSeenLessFromFarther) {
    Appliance chimney = *typicalAppliance(ApplianceKind::coalChimney);
    chimney.name = "chimney";
    const auto at = [&](const char* setting, Term term) {
        Place place;
        place.zone = chimney.zones.front().name;
        const auto field = typicalField(chimney, *parseSetting(chimney.controls, setting), place);
        EXPECT_TRUE(field) << setting;
        return seenBy(*field, Face::bottom, term)->value;
    };
    const double glowing = at("coals=full;grate=100mm;age=glowing", Term::radiant) - kZeroCelsiusK;
    EXPECT_GT(glowing, 780);
    EXPECT_LT(glowing, 920);
    const double dying = at("coals=full;grate=100mm;age=dying", Term::radiant) - kZeroCelsiusK;
    EXPECT_GT(dying, 450);
    EXPECT_LT(dying, 650);
    EXPECT_GT(at("coals=full;grate=40mm;age=glowing", Term::view),
              2 * at("coals=full;grate=160mm;age=glowing", Term::view));
    EXPECT_GT(at("coals=full;grate=40mm;age=glowing", Term::air),
              at("coals=full;grate=160mm;age=glowing", Term::air) + 100);
}

// The measured air of an iron oven takes its lid and floor along, and no curve counts twice.
TEST(IronOven, LidAndFloorGoWithTheMeasuredAir) {
    Appliance oven = *typicalAppliance(ApplianceKind::ironOven);
    oven.name = "oven";
    Place place;
    place.zone = "inside";
    const Setting setting = *parseSetting(oven.controls, "coals=10+18");
    const FieldKey air{Face::all, Term::air}, lid{Face::top, Term::radiant};
    const auto typical = *typicalField(oven, setting, place);
    RatedNumber measured;
    measured.setting = setting;
    measured.zone = "inside";
    measured.number = {air, find(typical, air)->value + 30, 4, Provenance::measured, "r"};
    const auto field = *ratedField(oven, setting, place, std::vector<RatedNumber>{measured});
    EXPECT_NEAR(find(field, lid)->value - find(typical, lid)->value, 30, 1e-9);
    const auto settlesAt = [&](const HeatField& f) {
        return seenBy(f, Face::bottom, Term::plateFlux)->value /
               seenBy(f, Face::bottom, Term::plateLoss)->value;
    };
    EXPECT_NEAR(settlesAt(field) - settlesAt(typical), 30, 1e-6);
    for (const FieldCurve& a : field.curves)
        EXPECT_EQ(std::count_if(field.curves.begin(), field.curves.end(),
                                [&](const FieldCurve& b) { return a.key == b.key; }),
                  1);
}

} // namespace
