// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/menu.h"

#include <gtest/gtest.h>

namespace dynamet::plan {
namespace {

TEST(Clock, IsReadAsCooksWriteIt) {
    for (const char* text : {"18:30", "18.30", "1830", "6:30 pm", "6.30PM", "18h30", " 18:30 "})
        EXPECT_EQ(parseClock(text).value_or(-1), 18 * 60 + 30) << text;
    EXPECT_EQ(*parseClock("7"), 7 * 60);
    EXPECT_EQ(*parseClock("7 pm"), 19 * 60);
    EXPECT_EQ(*parseClock("12 am"), 0);
    EXPECT_EQ(*parseClock("12:15 pm"), 12 * 60 + 15);
    EXPECT_EQ(*parseClock("930"), 9 * 60 + 30);
    for (const char* text : {"", "25:00", "18:60", "13 pm", "half six", "18:3", "1:2:3", "12345"})
        EXPECT_FALSE(parseClock(text)) << text;
    EXPECT_EQ(clockText(18 * 60 + 5), "18:05");
    EXPECT_EQ(clockText(-30), "23:30");
}

TEST(Menu, ComesBackFromItsText) {
    kitchen::Kitchen kitchen;
    kitchen::Appliance oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
    oven.id = "oven";
    kitchen.appliances = {oven};
    Menu menu;
    menu.name = "Sunday";
    menu.siteId = "home";
    menu.cooks = {"A", "B"};
    menu.serveMin = 13 * 60;
    menu.notBeforeMin = -120;
    menu.limits.warnS = 3600;
    menu.on = {{"oven", kitchen::usualSetting(oven.controls)}};
    MenuDish dish;
    dish.id = "1";
    dish.recipeId = "r";
    dish.portions = 6;
    dish.cook = "B";
    dish.place = translate::Target{"oven", "middle", ""};
    dish.beginsS = 5400;
    dish.setting = kitchen::parseSetting(oven.controls, "oven=160C").value();
    dish.driedBefore = dish.madeAhead = true;
    menu.dishes = {dish, MenuDish{"2", "gone", 0, "", {}, 0, 600, {}}};
    const auto back = readMenu(menuJson(menu, kitchen), kitchen);
    ASSERT_TRUE(back) << back.error().message;
    EXPECT_EQ(*back, menu);
    EXPECT_FALSE(readMenu("{\"name\": 7}", kitchen));
    EXPECT_FALSE(readMenu("{", kitchen));
}

} // namespace
} // namespace dynamet::plan
