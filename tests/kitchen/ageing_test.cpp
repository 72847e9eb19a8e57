// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/ageing.h"
#include "kitchen/coals_added.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::kitchen {
namespace {

constexpr std::int64_t kDayMs = 86400000, kThen = 1700000000000;

Kitchen ovenRatedAt(std::int64_t ms) {
    Kitchen out;
    Appliance oven = *typicalAppliance(ApplianceKind::stillOven);
    oven.id = oven.name = "oven";
    out.appliances.push_back(oven);
    RatedNumber air, film;
    air.setting = film.setting = usualSetting(oven.controls);
    air.zone = film.zone = oven.zones.front().name;
    air.measuredMs = film.measuredMs = ms;
    air.number = {{Face::all, Term::air}, 450, 2, Provenance::measured, "r", "measured"};
    film.number = {{Face::all, Term::hAir}, 20, 0.4, Provenance::measured, "r", "measured"};
    air.covarianceWith = {{{Face::all, Term::air}, {Face::all, Term::hAir}, -0.5}};
    out.rated["oven"] = {air, film};
    return out;
}

// Half a kelvin a month: after a year of it 2 K have become 2.65; half a per cent of 20 W/m²K makes
// 0.53 of 0.4 (evidence.md, 6; worked out by hand).
TEST(Ageing, ARatingGrowsLessCertainAndItsValueStays) {
    const Kitchen old = aged(ovenRatedAt(kThen), kThen + std::int64_t(12 * 30.44 * kDayMs));
    const auto& rated = old.rated.at("oven");
    EXPECT_EQ(rated[0].number.value, 450);
    EXPECT_NEAR(rated[0].number.u, std::sqrt(4 + 12 * 0.25), 1e-3);
    EXPECT_NEAR(rated[1].number.u, std::hypot(0.4, 0.1 * std::sqrt(12)), 1e-3);
    EXPECT_EQ(rated[0].covarianceWith.size(), 1u);
    EXPECT_NEAR(*monthsSinceRated(old, "oven", kThen + std::int64_t(61 * kDayMs)), 2, 0.01);
    EXPECT_FALSE(monthsSinceRated(old, "hob", kThen));
}

TEST(Ageing, WithoutADateOrBeforeItNothingAges) {
    EXPECT_EQ(aged(ovenRatedAt(0), kThen).rated, ovenRatedAt(0).rated);
    EXPECT_EQ(aged(ovenRatedAt(kThen), kThen - kDayMs).rated, ovenRatedAt(kThen).rated);
}

// The older a rating, the wider the field that is made of it.
TEST(Ageing, TheFieldIsWiderForIt) {
    const Kitchen young = ovenRatedAt(kThen);
    const Kitchen old = aged(young, kThen + 730 * kDayMs);
    const auto u = [](const Kitchen& kitchen) {
        const Appliance& oven = kitchen.appliances.front();
        const auto field =
            fieldAt(kitchen, "oven", usualSetting(oven.controls), oven.zones.front().name);
        return find(*field, {Face::all, Term::air})->u;
    };
    EXPECT_NEAR(u(young), 2, 1e-9);
    EXPECT_NEAR(u(old), std::sqrt(4 + 24 * 0.25), 0.02);
}

// An hour burns 85 % of a briquette at sea level (docs/physics.md): of 24, 4 are left.
TEST(CoalsAdded, FreshOnesStandForWhatBurns) {
    Appliance oven = *typicalAppliance(ApplianceKind::ironOven);
    const Setting laid = *parseSetting(oven.controls, "coals=8+16");
    const Site sea;
    EXPECT_EQ(coalsIn(oven, laid), 24);
    EXPECT_EQ(coalsBurnt(oven, laid, 3600, sea), 20);
    const auto count = [&](double ageS, int more) {
        return coalsIn(oven, withCoalsAdded(oven, laid, ageS, more, sea));
    };
    EXPECT_EQ(count(0, 0), 24);
    EXPECT_EQ(count(0, 6), 30);
    EXPECT_EQ(count(3600, 0), 4);
    EXPECT_EQ(count(3600, 20), 24);
    EXPECT_EQ(count(3600, -12), 2);
    EXPECT_EQ(count(60, -99), 0);
    const Setting fed = withCoalsAdded(oven, laid, 0, 6, sea);
    EXPECT_EQ(settingText(oven.controls, fed), "coals=10+20");
    const Appliance still = *typicalAppliance(ApplianceKind::stillOven);
    const Setting dial = usualSetting(still.controls);
    EXPECT_EQ(withCoalsAdded(still, dial, 600, 6, sea), dial);
    EXPECT_EQ(coalsIn(still, dial), 0);
}

} // namespace
} // namespace dynamet::kitchen
