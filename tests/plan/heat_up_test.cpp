// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/heat_up.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::plan {
namespace {

kitchen::Kitchen kitchenWith(kitchen::ApplianceKind kind) {
    kitchen::Kitchen out;
    kitchen::Site site;
    site.id = "home";
    site.ambient = Temperature::celsius(20);
    out.sites = {site};
    kitchen::Appliance on = *kitchen::typicalAppliance(kind);
    on.id = "it";
    on.name = "It";
    on.siteId = "home";
    out.appliances = {on};
    return out;
}

kitchen::Setting at(const kitchen::Kitchen& kitchen, const std::string& text) {
    return *kitchen::parseSetting(kitchen.appliances.front().controls, text);
}

TEST(HeatUp, ATestOfTheOvenDecidesAndTimeGoesWithTheRise) {
    const auto kitchen = kitchenWith(kitchen::ApplianceKind::stillOven);
    const auto& controls = kitchen.appliances.front().controls;
    const kitchen::Setting usual = kitchen::usualSetting(controls);
    const RatedTimes rated{{"it", {{usual, 1500}}}};
    const auto same = heatUp(kitchen, rated, "it", {}, usual);
    ASSERT_TRUE(same);
    EXPECT_TRUE(same->rated);
    EXPECT_NEAR(same->seconds, 1500, 1);
    const auto unknown = heatUp(kitchen, {}, "it", {}, usual);
    EXPECT_FALSE(unknown->rated);
    EXPECT_NEAR(unknown->seconds, 1200, 500); // common practice, no source: 15 to 25 min
}

TEST(HeatUp, WhatIsOnAlreadyNeedsLessAndCoolingTakesLongerThanHeating) {
    const auto kitchen = kitchenWith(kitchen::ApplianceKind::fanOven);
    const auto low =
        at(kitchen,
           settingText(kitchen.appliances.front().controls,
                       kitchen::possibleSettings(kitchen.appliances.front().controls, 8).front()));
    const auto high = kitchen::possibleSettings(kitchen.appliances.front().controls, 8).back();
    const auto cold = heatUp(kitchen, {}, "it", {}, high);
    const auto warm = heatUp(kitchen, {}, "it", low, high);
    const auto down = heatUp(kitchen, {}, "it", high, low);
    EXPECT_LT(warm->seconds, cold->seconds);
    EXPECT_EQ(down->way, HeatWay::coolDown);
    EXPECT_GT(down->seconds, warm->seconds); // common practice, no source: it cools slowly
    EXPECT_EQ(heatUp(kitchen, {}, "it", high, high)->seconds, 0);
}

TEST(HeatUp, ABathWarmsWithWhatItsHeaterGives) {
    auto kitchen = kitchenWith(kitchen::ApplianceKind::waterBath);
    kitchen.appliances.front().ratedInputW = 1000;
    const auto setting = kitchen::usualSetting(kitchen.appliances.front().controls);
    const auto first = heatUp(kitchen, {}, "it", {}, setting);
    kitchen.appliances.front().ratedInputW = 2000;
    const auto second = heatUp(kitchen, {}, "it", {}, setting);
    EXPECT_EQ(first->way, HeatWay::heatWater);
    EXPECT_NEAR(first->seconds / second->seconds, 2, 1e-9);
}

TEST(HeatUp, CoalsAndFiresTakeTheirTimeHoweverLittleHeatIsWanted) {
    for (const auto kind :
         {kitchen::ApplianceKind::charcoalKettle, kitchen::ApplianceKind::woodOven}) {
        const auto kitchen = kitchenWith(kind);
        double least = 1e9;
        for (const auto& setting :
             kitchen::possibleSettings(kitchen.appliances.front().controls, 6, 60))
            least = std::min(least, heatUp(kitchen, {}, "it", {}, setting)->seconds);
        // Common practice, no source: 20 min until coals are ashed over, over an hour for a vault.
        EXPECT_GE(least, kind == kitchen::ApplianceKind::woodOven ? 3600 : 1200);
    }
    EXPECT_FALSE(heatUp({}, {}, "nobody", {}, {}));
}

} // namespace
} // namespace dynamet::plan
