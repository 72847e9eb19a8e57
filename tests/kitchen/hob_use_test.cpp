// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/hob_use.h"

#include "kitchen/rate_sheet.h"

#include <algorithm>
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

/// An induction hob whose ninth mark lasts ten minutes, which stops at 240 °C.
Appliance limitedHob() {
    Appliance hob = *typicalAppliance(ApplianceKind::inductionHob);
    hob.id = "hob";
    hob.siteId = "home";
    hob.standardVesselId = "pan";
    hob.hob = {600, 513.15, 3700};
    return hob;
}

TEST(HobUse, ABoostFallsBackToTheMarkBelow) {
    const Appliance hob = limitedHob();
    const Setting boost = *parseSetting(hob.controls, "level=9;preheat=200C");
    const auto after = afterBoost(hob, boost);
    ASSERT_TRUE(after);
    EXPECT_EQ(settingText(hob.controls, *after), "level=8;preheat=200C");
    EXPECT_FALSE(afterBoost(hob, *after)) << "only the highest mark ends";
    Appliance without = hob;
    without.hob.boostS = 0;
    EXPECT_FALSE(afterBoost(without, boost));
    HeatField strong, weak;
    put(strong, {{Face::bottom, Term::plateFlux}, 40000, 4000});
    put(weak, {{Face::bottom, Term::plateFlux}, 30000, 3000});
    const HeatField falling = withBoostEnding(strong, weak, 600);
    ASSERT_EQ(falling.curves.size(), 1U);
    EXPECT_EQ(falling.curves.front().timeS[1], 600);
    EXPECT_EQ(falling.curves.front().change.back(), -10000);
    EXPECT_NEAR(inputOf(hob, boost), hob.ratedInputW, 1e-9);
    EXPECT_NEAR(inputOf(hob, *after), 0.8 * hob.ratedInputW, 1e-9);
}

TEST(HobUse, NoPanGetsPastItsLimiter) {
    const Appliance hob = limitedHob();
    HeatField field;
    put(field, {{Face::bottom, Term::plate}, 553, 5});
    put(field, {{Face::bottom, Term::plateFlux}, 40000, 4000});
    const HeatField held = withPanLimit(withHeldPan(field), 513.15);
    EXPECT_EQ(find(held, {Face::bottom, Term::plate})->value, 513.15);
    EXPECT_EQ(find(held, {Face::bottom, Term::plateSet})->value, 513.15);
    const HeatField alone = withPanLimit(field, 513.15);
    ASSERT_NE(find(alone, {Face::bottom, Term::plateSet}), nullptr) << "stops without a hand, too";
    const auto controls = settable(hob);
    const auto preheat = std::find_if(controls.begin(), controls.end(), [](const Control& c) {
        return c.kind == ControlKind::preheat;
    });
    EXPECT_EQ(preheat->high, 240) << "what cannot be reached is not looked for";
    Kitchen k;
    k.sites.emplace_back().id = "home";
    Vessel& pan = k.vessels.emplace_back();
    pan.id = "pan";
    pan.massKg = 1.5;
    k.appliances.push_back(hob);
    for (const auto& row : rateSheet(k, hob).cells)
        EXPECT_LE(row.front().shown->kelvin, 513.16);
    EXPECT_EQ(rateSheet(k, hob).cells.back().front().lastsS, 600);
}

} // namespace
