// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What appliances usually give: possible at every setting of every kind, and as the trade knows
// them.
#include "kitchen/typical.h"

#include "kitchen/heat_field.h"
#include "kitchen/vessel.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

Vessel pan() {
    Vessel out;
    out.id = out.name = "pan";
    out.massKg = 1.5;
    return out;
}

Place placeIn(const Appliance& appliance, const std::string& zone) {
    Place out;
    out.zone = zone;
    if (isHob(appliance.kind))
        out.vessel = pan();
    return out;
}

Appliance typical(ApplianceKind kind) {
    Appliance out = *typicalAppliance(kind);
    out.name = kindName(kind);
    return out;
}

HeatField fieldOf(ApplianceKind kind, const char* setting, const char* zone = nullptr) {
    const Appliance a = typical(kind);
    const auto at = parseSetting(a.controls, setting);
    EXPECT_TRUE(at.has_value()) << setting;
    const auto field = typicalField(a, *at, placeIn(a, zone ? zone : a.zones.front().name));
    EXPECT_TRUE(field.has_value()) << field.error().message;
    return field.value_or(HeatField{});
}

double valueOf(const HeatField& field, Face face, Term term) {
    const auto* number = seenBy(field, face, term);
    return number ? number->value : NAN;
}

class EveryKind : public ::testing::TestWithParam<ApplianceKind> {};

TEST_P(EveryKind, GivesAPossibleFieldAtEverySettingAndPlace) {
    const Appliance a = typical(GetParam());
    ASSERT_FALSE(a.zones.empty());
    for (const Setting& setting : possibleSettings(a.controls, 5, 60))
        for (const Zone& zone : a.zones) {
            const std::string where = settingText(a.controls, setting) + ", " + zone.name;
            const auto field = typicalField(a, setting, placeIn(a, zone.name));
            ASSERT_TRUE(field.has_value()) << where << ": " << field.error().message;
            EXPECT_FALSE(field->numbers.empty()) << where;
            for (const FieldNumber& n : field->numbers) {
                EXPECT_TRUE(std::isfinite(n.value) && n.value >= 0)
                    << where << " " << keyName(n.key);
                EXPECT_TRUE(std::isfinite(n.u) && n.u >= 0) << where << " " << keyName(n.key);
                EXPECT_EQ(n.provenance, Provenance::assumed) << where << " " << keyName(n.key);
                if (isTemperature(n.key.term)) {
                    EXPECT_GT(n.value, 273) << where << " " << keyName(n.key);
                    EXPECT_LT(n.value, 1400) << where << " " << keyName(n.key);
                    EXPECT_GT(n.u, 0) << where << ": nothing assumed is exact";
                }
                if (n.key.term == Term::view) {
                    EXPECT_LE(n.value, 1) << where;
                }
            }
        }
}

TEST_P(EveryKind, RefusesAPlaceItHasNot) {
    const Appliance a = typical(GetParam());
    const auto field =
        typicalField(a, possibleSettings(a.controls, 1).front(), placeIn(a, "the cellar"));
    ASSERT_FALSE(field.has_value());
    EXPECT_NE(field.error().message.find("the cellar"), std::string::npos);
}

TEST_P(EveryKind, IsMarkedInFahrenheitAsWell) {
    const auto celsius = *typicalAppliance(GetParam());
    const auto fahrenheit = *typicalAppliance(GetParam(), TemperatureUnit::fahrenheit);
    ASSERT_EQ(celsius.controls.size(), fahrenheit.controls.size());
    for (std::size_t i = 0; i < celsius.controls.size(); ++i) {
        const Control &c = celsius.controls[i], &f = fahrenheit.controls[i];
        EXPECT_EQ(f.unit, c.unit == "C" ? "F" : c.unit);
        if (c.unit == "C") { // rounded outwards to what such dials have
            EXPECT_LE(f.low, c.low * 1.8 + 32);
            EXPECT_GE(f.high, c.high * 1.8 + 32);
        }
    }
}

INSTANTIATE_TEST_SUITE_P(Kinds, EveryKind, ::testing::ValuesIn(allKinds()), [](const auto& kind) {
    std::string out;
    for (const char c : std::string(kindName(kind.param)))
        if (std::isalnum(static_cast<unsigned char>(c)))
            out += c;
    return out;
});

// Common practice, no source: a fan takes 20 °C off the dial because its air moves faster; a combi
// moves more; an air fryer most of all.
TEST(Typical, AirMovesFasterFromStillOvenToAirFryer) {
    const double still =
                     valueOf(fieldOf(ApplianceKind::stillOven, "oven=180C"), Face::top, Term::hAir),
                 fan = valueOf(fieldOf(ApplianceKind::fanOven, "oven=180C"), Face::top, Term::hAir),
                 combi =
                     valueOf(fieldOf(ApplianceKind::combiOven, "oven=180C"), Face::top, Term::hAir),
                 fryer =
                     valueOf(fieldOf(ApplianceKind::airFryer, "air=180C"), Face::top, Term::hAir);
    EXPECT_LT(still, fan);
    EXPECT_LT(fan, combi);
    EXPECT_LT(combi, fryer);
}

// Common practice, no source: more burners are hotter, and over the flame is hotter than beside it.
TEST(Typical, AGrillIsHotterWithMoreBurnersAndOverTheFlame) {
    using enum ApplianceKind;
    const auto air = [](const char* setting, const char* zone) {
        return valueOf(fieldOf(gasGrill, setting, zone), Face::top, Term::air);
    };
    const double one = air("burners=high/off/off;lid=closed", "indirect"),
                 two = air("burners=high/high/off;lid=closed", "indirect"),
                 three = air("burners=high/high/high;lid=closed", "indirect");
    EXPECT_LT(one, two);
    EXPECT_LT(two, three);
    EXPECT_GT(air("burners=high/off/off;lid=closed", "direct"), one);
}

// Common practice, no source: gas loses about half past the pan, induction little of it.
TEST(Typical, InductionPutsMoreOfItsInputIntoThePan) {
    const auto share = [](ApplianceKind kind, const char* setting) {
        const Appliance a = typical(kind);
        return valueOf(fieldOf(kind, setting), Face::all, Term::power) / a.ratedInputW;
    };
    const double gas = share(ApplianceKind::gasHob, "flame=full;preheat=200C"),
                 induction = share(ApplianceKind::inductionHob, "level=9;preheat=200C");
    EXPECT_NEAR(gas, 0.48, 0.1);
    EXPECT_GT(induction, 0.75);
    EXPECT_LT(induction, 1);
}

// A dial's number is one error of all that follows it: air and walls go together.
TEST(Typical, WhatFollowsTheDialErrsTogether) {
    const HeatField field = fieldOf(ApplianceKind::stillOven, "oven=180C");
    const auto* air = seenBy(field, Face::all, Term::air);
    ASSERT_NE(air, nullptr);
    EXPECT_NEAR(covarianceOf(field, {Face::all, Term::air}, {Face::all, Term::radiant}),
                air->u * air->u, 1e-9);
}

} // namespace
