// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Vessels and inserts anywhere, covers, and what a hand does to a heat.
#include "kitchen/covered.h"
#include "kitchen/kitchen.h"
#include "kitchen/laid_in.h"
#include "kitchen/moved_by_hand.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

HeatField fieldOf(ApplianceKind kind, const char* setting, const char* zone) {
    const Appliance a = *typicalAppliance(kind);
    Place place;
    place.zone = zone;
    const auto out = typicalField(a, *parseSetting(a.controls, setting), place);
    EXPECT_TRUE(out) << out.error().message;
    return out.value_or(HeatField{});
}
HeatField oven() {
    return fieldOf(ApplianceKind::stillOven, "oven=200C", "middle");
}
double valueOf(const HeatField& field, Face face, Term term) {
    const FieldNumber* n = seenBy(field, face, term);
    return n ? n->value : NAN;
}
Vessel ironPan() {
    Vessel pan;
    pan.material = "cast-iron";
    pan.massKg = 2;
    pan.specificHeatJPerKgK = 460;
    pan.baseDiameterM = 0.24;
    pan.emissivity = 0.9;
    return pan;
}

// A pan in an oven comes to the oven's temperature, an iron one by half in some five to twelve
// minutes (common practice, no source).
TEST(LaidIn, APanInAnOvenComesToItsHeat) {
    const HeatField field = laidIn(oven(), ironPan(), 293.15);
    EXPECT_NEAR(valueOf(field, Face::bottom, Term::plateAmbient), 473.15, 1);
    const double seconds = std::log(2) * valueOf(field, Face::bottom, Term::plateHeatCapacity) /
                           valueOf(field, Face::bottom, Term::plateLoss);
    EXPECT_GT(seconds, 240);
    EXPECT_LT(seconds, 720);
    EXPECT_EQ(valueOf(field, Face::bottom, Term::view), 0) << "the food no longer sees the floor";
    EXPECT_EQ(valueOf(field, Face::top, Term::air), 473.15) << "above nothing changes";
    Vessel bright = ironPan();
    bright.emissivity = 0.1;
    EXPECT_LT(valueOf(laidIn(oven(), bright, 293.15), Face::bottom, Term::plateLoss),
              0.7 * valueOf(field, Face::bottom, Term::plateLoss))
        << "bright metal warms more slowly";
}

TEST(LaidIn, ARackOrABathChangesNothing) {
    Vessel rack = ironPan();
    rack.kind = VesselKind::rack;
    EXPECT_EQ(laidIn(oven(), rack, 293.15), oven());
    const HeatField bath = fieldOf(ApplianceKind::waterBath, "bath=60C", "bath");
    EXPECT_EQ(laidIn(bath, ironPan(), 293.15), bath);
}

TEST(LaidIn, ARidgedPanTouchesLess) {
    Vessel ridged = ironPan();
    ridged.kind = VesselKind::ridgedPan;
    EXPECT_LT(valueOf(laidIn(oven(), ridged, 293.15), Face::bottom, Term::contact),
              0.5 * valueOf(laidIn(oven(), ironPan(), 293.15), Face::bottom, Term::contact));
}

// Over coals a pan gets far hotter than the air around it (common practice: 650 °F beside a dome of
// 600; no source).
TEST(LaidIn, OverCoalsItIsHotterThanTheAir) {
    const HeatField coals = fieldOf(ApplianceKind::charcoalKettle, "vents=full", "direct");
    const Settles at = settlesIn(coals, 0.9);
    EXPECT_GT(at.kelvin, valueOf(coals, Face::all, Term::air) + 20);
    EXPECT_LT(at.kelvin, 900);
}

TEST(Insert, EachDoesWhatItIsFor) {
    const HeatField coals = fieldOf(ApplianceKind::charcoalKettle, "vents=full", "direct");
    const HeatField hidden = withInsert(coals, InsertKind::deflector);
    EXPECT_LT(valueOf(hidden, Face::bottom, Term::radiant),
              valueOf(coals, Face::bottom, Term::radiant) - 200);
    const HeatField plate = withInsert(coals, InsertKind::plate);
    EXPECT_GT(valueOf(plate, Face::bottom, Term::contact), 300);
    EXPECT_GT(valueOf(plate, Face::bottom, Term::plate), valueOf(coals, Face::all, Term::air))
        << "heated up with it";
    const HeatField stone = withInsert(oven(), InsertKind::stone);
    EXPECT_NEAR(valueOf(stone, Face::bottom, Term::effusivity), 1500, 1);
    EXPECT_NEAR(valueOf(stone, Face::bottom, Term::plate), 473.15, 1);
    const HeatField moist = withInsert(oven(), InsertKind::waterTrough);
    EXPECT_GT(valueOf(moist, Face::all, Term::vapour), 10000);
    const HeatField raised = withInsert(coals, InsertKind::raisedGrate);
    EXPECT_LT(valueOf(raised, Face::bottom, Term::contact), 80);
    EXPECT_EQ(withInsert(oven(), InsertKind::none), oven());
}

TEST(Insert, WhatWasMeasuredStays) {
    HeatField field = oven();
    FieldNumber measured{{Face::bottom, Term::plate}, 455, 4, Provenance::measured, "r1"};
    put(field, measured);
    EXPECT_EQ(*find(withInsert(field, InsertKind::stone), measured.key), measured);
}

// physics.md: a covered pan holds 30 to 40 kPa of vapour; with water added nearly all is steam.
TEST(Cover, KeepsTheSteam) {
    HeatField pan = fieldOf(ApplianceKind::griddle, "plate=200C", "middle");
    const HeatField lid = withCover(pan, kLid, Site{});
    EXPECT_GT(valueOf(lid, Face::top, Term::vapour), 30000);
    EXPECT_LT(valueOf(lid, Face::top, Term::vapour), 40000);
    EXPECT_GT(valueOf(lid, Face::top, Term::air), 373);
    EXPECT_EQ(valueOf(lid, Face::bottom, Term::plate), valueOf(pan, Face::bottom, Term::plate));
    CoverHeat wet = kLid;
    wet.wet = true;
    const HeatField steamed = withCover(pan, wet, Site{});
    EXPECT_GT(valueOf(steamed, Face::top, Term::vapour), 60000);
    EXPECT_NEAR(valueOf(steamed, Face::top, Term::air), 373.1, 1);
    const HeatField foil = withCover(oven(), kFoil, Site{});
    EXPECT_LT(valueOf(foil, Face::top, Term::view), 0.2) << "bright inside";
    EXPECT_LT(valueOf(foil, Face::top, Term::hAir), valueOf(oven(), Face::top, Term::hAir));
    Site high;
    high.altitudeM = 3500;
    EXPECT_LT(valueOf(withCover(pan, wet, high), Face::top, Term::vapour),
              valueOf(steamed, Face::top, Term::vapour))
        << "never more than the air's pressure";
}

TEST(Hand, OffAwayAndOpen) {
    const HeatField plate = fieldOf(ApplianceKind::griddle, "plate=200C", "middle");
    const HeatField off = withHeatOff(plate, Site{});
    EXPECT_EQ(seenBy(off, Face::bottom, Term::plateFlux), nullptr);
    EXPECT_EQ(seenBy(off, Face::bottom, Term::plateSet), nullptr);
    EXPECT_NE(seenBy(off, Face::bottom, Term::plateHeatCapacity), nullptr);
    const HeatField cooling = withHeatOff(oven(), Site{});
    ASSERT_FALSE(cooling.curves.empty());
    EXPECT_LT(cooling.curves.front().change.back(), -150) << "in hours it is nearly cold";
    EXPECT_LT(valueOf(withDoorOpen(oven(), Site{}), Face::all, Term::air), 410);
    EXPECT_NEAR(valueOf(basted(plate, Site{}), Face::top, Term::liquid), 473.15, 1e-9);
    const HeatField away = awayFromHeat(oven(), Site{});
    EXPECT_LT(valueOf(away, Face::all, Term::air), 300);
    EXPECT_LT(valueOf(away, Face::all, Term::radiant), 300);
}

} // namespace
