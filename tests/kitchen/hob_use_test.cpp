// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/hob_use.h"

#include "kitchen/rate_sheet.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

// A litre boils in some three minutes with two kilowatts in it and in six to seven with one (common
// practice, no source); higher up it boils sooner, a pilot flame never gets there.
TEST(HobUse, ALitreBoilsAsCooksKnowIt) {
    const Site sea;
    EXPECT_NEAR(*litreBoilsS(2000, sea), 180, 15);
    EXPECT_NEAR(*litreBoilsS(1000, sea), 375, 30);
    Site high;
    high.altitudeM = 2500;
    EXPECT_LT(*litreBoilsS(1000, high), *litreBoilsS(1000, sea) - 20);
    EXPECT_FALSE(litreBoilsS(60, sea).has_value());
    EXPECT_FALSE(litreBoilsS(0, sea).has_value());
    EXPECT_FALSE(litreBoilsS(-5, sea).has_value());
}

TEST(HobUse, ARateSheetOfAHobSaysIt) {
    Kitchen k;
    Site home;
    home.id = "home";
    k.sites.push_back(home);
    Vessel pan;
    pan.id = "pan";
    pan.massKg = 1.5;
    k.vessels.push_back(pan);
    Appliance hob = *typicalAppliance(ApplianceKind::gasHob);
    hob.id = "hob";
    hob.siteId = "home";
    hob.standardVesselId = "pan";
    k.appliances.push_back(hob);
    const RateSheet sheet = rateSheet(k, hob);
    double before = 1e9;
    for (const auto& row : sheet.cells) {
        ASSERT_TRUE(row.front().power);
        const double now = row.front().litreS.value_or(1e8);
        EXPECT_LT(now, before) << "more flame, sooner";
        before = now;
    }
    EXPECT_LT(before, 15 * 60);
}

TEST(HobUse, AHeldPanIsHeldAndWhatHasNoBurnerIsLeftAlone) {
    HeatField field;
    put(field, {{Face::bottom, Term::plate}, 493, 5});
    EXPECT_EQ(withHeldPan(field), field);
    put(field, {{Face::bottom, Term::plateFlux}, 40000, 4000});
    const HeatField held = withHeldPan(field);
    const FieldNumber* set = find(held, {Face::bottom, Term::plateSet});
    ASSERT_NE(set, nullptr);
    EXPECT_EQ(set->value, 493);
    EXPECT_NEAR(1.96 * set->u, 15, 0.1);
    EXPECT_EQ(withHeldPan(held), held) << "a thermostat's plate stays its own";
}

} // namespace
