// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Merging what was measured with what is typical: docs/definitions of the design, §1.
#include "kitchen/open_lid.h"
#include "kitchen/rate_sheet.h"
#include "kitchen/rated_field.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet::kitchen;

constexpr FieldKey kAir{Face::all, Term::air}, kH{Face::all, Term::hAir};

Appliance oven() {
    Appliance a = *typicalAppliance(ApplianceKind::stillOven);
    a.id = "oven";
    return a;
}

Place middle() {
    Place p;
    p.zone = "middle";
    return p;
}

RatedNumber rated(const Appliance& a, const char* setting, FieldKey key, double value, double u,
                  const char* zone = "middle") {
    RatedNumber n;
    n.setting = *parseSetting(a.controls, setting);
    n.zone = zone;
    n.number = {key, value, u, Provenance::measured, setting};
    return n;
}

HeatField field(const Appliance& a, const char* setting, const std::vector<RatedNumber>& numbers,
                Place place = middle()) {
    auto f = ratedField(a, *parseSetting(a.controls, setting), place, numbers);
    EXPECT_TRUE(f.has_value()) << f.error().message;
    return *f;
}

TEST(RatedField, NothingMeasuredIsAllAssumed) {
    for (const FieldNumber& n : field(oven(), "oven=180C", {}).numbers)
        EXPECT_EQ(n.provenance, Provenance::assumed) << keyName(n.key);
}

TEST(RatedField, AMeasuredSettingGivesTheMeasuredNumber) {
    const Appliance a = oven();
    const auto f = field(a, "oven=180C", {rated(a, "oven=180C", kAir, 460, 1.5)});
    EXPECT_DOUBLE_EQ(find(f, kAir)->value, 460);
    EXPECT_DOUBLE_EQ(find(f, kAir)->u, 1.5);
    EXPECT_EQ(find(f, kAir)->provenance, Provenance::measured);
    EXPECT_EQ(find(f, kH)->provenance, Provenance::assumed) << "provenance is per number";
}

// Half-way between two tests: u² = ¼u₁² + ¼u₂² + (½ u_typical)².
TEST(RatedField, BetweenTwoTestsTheOffsetIsLinearAndTheUncertaintyBulges) {
    const Appliance a = oven();
    const std::vector<RatedNumber> numbers{rated(a, "oven=160C", kAir, 273.15 + 160 + 4, 2),
                                           rated(a, "oven=200C", kAir, 273.15 + 200 + 10, 2)};
    const FieldNumber n = *find(field(a, "oven=180C", numbers), kAir);
    const double typical = find(field(a, "oven=180C", {}), kAir)->u;
    EXPECT_NEAR(n.value, 273.15 + 180 + 7, 1e-9);
    EXPECT_NEAR(n.u, std::sqrt(0.25 * 4 + 0.25 * 4 + 0.25 * typical * typical), 1e-9);
    EXPECT_EQ(n.provenance, Provenance::interpolated);
}

TEST(RatedField, BeyondTheLastTestTheOffsetIsHeldAndTheUncertaintyGrowsWithinOneGap) {
    const Appliance a = oven();
    const std::vector<RatedNumber> numbers{rated(a, "oven=160C", kAir, 273.15 + 164, 2),
                                           rated(a, "oven=180C", kAir, 273.15 + 186, 2)};
    const double typical = find(field(a, "oven=180C", {}), kAir)->u;
    const FieldNumber half = *find(field(a, "oven=190C", numbers), kAir);
    const FieldNumber full = *find(field(a, "oven=200C", numbers), kAir);
    EXPECT_NEAR(half.value, 273.15 + 196, 1e-9);
    EXPECT_NEAR(half.u, std::sqrt(4 + 0.5 * (typical * typical - 4)), 1e-9);
    EXPECT_NEAR(full.u, typical, 1e-9);
    EXPECT_EQ(full.provenance, Provenance::assumed);
}

TEST(RatedField, CoefficientsGoByTheirLogarithm) {
    const Appliance a = oven();
    const double typical = find(field(a, "oven=180C", {}), kH)->value;
    const std::vector<RatedNumber> numbers{rated(a, "oven=160C", kH, typical * 1.2, 0.5),
                                           rated(a, "oven=200C", kH, typical * 1.8, 0.5)};
    EXPECT_NEAR(find(field(a, "oven=180C", numbers), kH)->value, typical * std::sqrt(1.2 * 1.8),
                1e-9);
}

TEST(RatedField, ZonesNeverInterpolate) {
    Appliance a = *typicalAppliance(ApplianceKind::gasGrill);
    Place direct;
    direct.zone = "direct";
    const auto f =
        field(a, "burners=high/off/off;lid=closed",
              {rated(a, "burners=high/off/off;lid=closed", kAir, 400, 3, "indirect")}, direct);
    EXPECT_EQ(find(f, kAir)->provenance, Provenance::assumed);
}

TEST(Superposition, AddsSingleBurnersAndLearnsFromTestedCombinations) {
    Appliance a = *typicalAppliance(ApplianceKind::gasGrill);
    Place place;
    place.zone = "indirect";
    const double ambient = place.site.ambient.kelvin();
    std::vector<RatedNumber> numbers{
        rated(a, "burners=high/off/off;lid=closed", kAir, ambient + 100, 3, "indirect"),
        rated(a, "burners=off/high/off;lid=closed", kAir, ambient + 120, 3, "indirect"),
        rated(a, "burners=off/off/high;lid=closed", kAir, ambient + 90, 3, "indirect")};
    const auto two = *find(field(a, "burners=high/high/off;lid=closed", numbers, place), kAir);
    EXPECT_NEAR(two.value, ambient + 220, 1e-9);
    EXPECT_EQ(two.provenance, Provenance::interpolated);
    // A tested combination that came out at 80 % of the sum corrects the others and narrows them.
    numbers.push_back(
        rated(a, "burners=off/high/high;lid=closed", kAir, ambient + 0.8 * 210, 3, "indirect"));
    const auto after = *find(field(a, "burners=high/high/off;lid=closed", numbers, place), kAir);
    EXPECT_NEAR(after.value, ambient + 0.8 * 220, 1e-9);
    EXPECT_LT(after.u, two.u);
}

TEST(Hob, PowerBecomesTheFluxIntoTheVesselsBase) {
    Appliance a = *typicalAppliance(ApplianceKind::gasHob);
    Place place;
    place.zone = "pan";
    Vessel pan;
    pan.id = "pan";
    place.vessel = pan;
    auto n = rated(a, "flame=full;preheat=200C", {Face::all, Term::power}, 1500, 50, "pan");
    n.vesselId = "pan";
    const auto f = field(a, "flame=full;preheat=160C", {n}, place);
    // Less goes into a hot plate than into water on gas: 14–19 % at 250 °C (definitions §1).
    const double ratio = seenBy(f, Face::bottom, Term::plateFlux)->value * baseAreaM2(pan) / 1500;
    EXPECT_GT(ratio, 0.81);
    EXPECT_LT(ratio, 0.86);
    EXPECT_EQ(find(f, {Face::bottom, Term::plateFlux})->provenance, Provenance::measured);
}

TEST(RatedField, MeasuredAirTakesTheAssumedWallsAlong) {
    const Appliance a = oven();
    const auto f = field(a, "oven=180C", {rated(a, "oven=180C", kAir, 273.15 + 200, 1.5)});
    const FieldNumber walls = *find(f, {Face::all, Term::radiant});
    EXPECT_NEAR(walls.value, 273.15 + 200, 1e-9);
    EXPECT_NEAR(walls.u, std::hypot(1.5, 15), 1e-9);
    EXPECT_EQ(walls.provenance, Provenance::assumed);
}

TEST(Site, BoilsByItsBarometerWhenItHasOne) {
    Site site;
    site.altitudeM = 2000;
    EXPECT_NEAR(boilingPointAt(site).celsius(), 93.315, 1e-3); // IF97 on the ICAO atmosphere
    site.measuredPressurePa = 101325;
    EXPECT_NEAR(boilingPointAt(site).celsius(), 99.974, 1e-3);
}

// A number that the kind's typical field lacks counts at its own setting, and nowhere else: an
// empty plate's flux replaces what a pot of water would make of the burner.
TEST(RatedField, AnEmptyPlatesFluxHoldsAtItsOwnMark) {
    Appliance hob = *typicalAppliance(ApplianceKind::gasHob);
    Place place;
    place.zone = "pan";
    place.vessel = Vessel{};
    RatedNumber r;
    r.setting = *parseSetting(hob.controls, "flame=medium;preheat=200C");
    r.zone = "pan";
    r.number = {
        {Face::bottom, Term::plateFlux}, 9000, 300, Provenance::measured, "dry", "measured"};
    const std::vector<RatedNumber> rated{r};
    const FieldKey flux{Face::bottom, Term::plateFlux};
    const auto here =
        ratedField(hob, *parseSetting(hob.controls, "flame=medium;preheat=240C"), place, rated);
    EXPECT_EQ(find(*here, flux)->value, 9000);
    EXPECT_EQ(find(*here, flux)->provenance, Provenance::measured);
    const auto there =
        ratedField(hob, *parseSetting(hob.controls, "flame=full;preheat=200C"), place, rated);
    EXPECT_NE(find(*there, flux)->value, 9000);
    EXPECT_EQ(find(*there, flux)->provenance, Provenance::assumed);
}

// A series of grate heights: between two tested heights the coals' heat lies between them with a
// wider ±; at another age of the coals it stays assumed.
TEST(RatedField, GrateHeightsInterpolateAgesDoNot) {
    const Appliance chimney = *typicalAppliance(ApplianceKind::coalChimney);
    Place place;
    place.zone = "grate";
    const FieldKey key{Face::bottom, Term::radiant};
    std::vector<RatedNumber> rated;
    for (const auto& [setting, kelvin] : {std::pair{"coals=full;grate=80mm;age=glowing", 880.0},
                                          {"coals=full;grate=200mm;age=glowing", 720.0}}) {
        RatedNumber r;
        r.setting = *parseSetting(chimney.controls, setting);
        r.zone = "grate";
        r.number = {key, kelvin, 8, Provenance::measured, setting, "measured"};
        rated.push_back(r);
    }
    const auto at = [&](const char* setting) {
        return *find(*ratedField(chimney, *parseSetting(chimney.controls, setting), place, rated),
                     key);
    };
    const FieldNumber between = at("coals=full;grate=140mm;age=glowing");
    EXPECT_NEAR(between.value, 800, 1e-6);
    EXPECT_GT(between.u, 8);
    EXPECT_EQ(between.provenance, Provenance::interpolated);
    EXPECT_EQ(at("coals=full;grate=80mm;age=glowing").value, 880);
    EXPECT_EQ(at("coals=full;grate=80mm;age=dying").provenance, Provenance::assumed);
    EXPECT_EQ(at("coals=half full;grate=80mm;age=glowing").provenance, Provenance::assumed);
}

// With the lid up the food sees the room above it and the fire below: it browns from below and
// the indirect side no longer bakes (common practice, no source).
TEST(OpenLid, LeavesTheFireBelowAndTheRoomAbove) {
    constexpr double kRoom = 295;
    for (const auto kind : {ApplianceKind::gasGrill, ApplianceKind::charcoalKettle}) {
        ASSERT_TRUE(hasLid(kind));
        const Appliance grill = *typicalAppliance(kind);
        for (const Zone& zone : grill.zones) {
            Place place;
            place.zone = zone.name;
            const auto closed =
                *ratedField(grill, possibleSettings(grill.controls).back(), place, {});
            const auto open = withLidOpen(closed, zone.direct, kRoom);
            const auto at = [](const HeatField& f, Face face, Term term) {
                return seenBy(f, face, term)->value;
            };
            EXPECT_LT(at(open, Face::top, Term::radiant), kRoom + 1);
            EXPECT_LT(at(open, Face::top, Term::air), kRoom + 60);
            EXPECT_LT(at(open, Face::side, Term::air), at(closed, Face::side, Term::air) - 50);
            EXPECT_GT(at(open, Face::side, Term::air), kRoom);
            if (zone.direct)
                EXPECT_DOUBLE_EQ(at(open, Face::bottom, Term::radiant),
                                 at(closed, Face::bottom, Term::radiant));
            else
                EXPECT_LT(at(open, Face::bottom, Term::radiant),
                          at(closed, Face::bottom, Term::radiant) - 50);
            EXPECT_GT(find(open, {Face::all, Term::air})->u, 10) << "known from memory only";
            for (const FieldCovariance& c : open.covariances)
                EXPECT_FALSE(c.a.term == Term::air || c.b.term == Term::air);
        }
    }
    EXPECT_FALSE(hasLid(ApplianceKind::stillOven));
}

} // namespace
