// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/kitchen.h"

#include <gtest/gtest.h>

namespace {

using namespace simkitchen;

TEST(SimControl, SaysWhatItDoesAndWhyNot) {
    Kitchen kitchen(1);
    EXPECT_EQ(kitchen.control("set oven dial 180"), "ok");
    EXPECT_EQ(kitchen.control("put grill piece"), "ok");
    EXPECT_EQ(kitchen.control("plug thermometer 1 grill core"), "ok");
    for (const char* line :
         {"", "set", "set oven dial hot", "set stove dial 3", "set oven dial 900",
          "put oven elephant", "plug thermometer 9 oven air", "plug thermometer 1 oven nowhere",
          "unplug camera", "sing"})
        EXPECT_EQ(kitchen.control(line).substr(0, 2), "no") << line;
    EXPECT_NE(kitchen.control("list").find("|knob oven dial"), std::string::npos);
}

TEST(SimControl, APieceCooksInAnyOfThem) {
    for (const char* appliance : {"oven", "grill", "kettle", "burner", "bath", "fryer"}) {
        Kitchen kitchen(2);
        for (const char* line :
             {"set oven dial 200", "set grill left 8", "set kettle coals 60", "put burner plate",
              "set burner dial 3", "set bath dial 70", "set fryer dial 170"})
            EXPECT_EQ(kitchen.control(line), "ok") << line;
        for (int i = 0; i < 3 * 3600; ++i)
            kitchen.step(0.5);
        const std::string at = appliance;
        EXPECT_EQ(kitchen.control("plug thermometer 1 " + at + " core"), "ok");
        EXPECT_EQ(kitchen.control("put " + at + " piece"), "ok");
        kitchen.step(0.25);
        for (int i = 0; i < 1200; ++i)
            kitchen.step(0.5);
        EXPECT_GT(kitchen.instrument("thermometer")->channels[0].lagged, 9) << at;
    }
}

TEST(SimInstruments, HaveLimitsAndDropOuts) {
    std::mt19937_64 random(1);
    Channel probe{"1", "probe", "C", {0, 0, 1, 0, 0.1, -50, 300, 0}, "", "", 0};
    follow(probe, 350, 1);
    EXPECT_EQ(shown(probe, random).words, "over");
    follow(probe, 21.04, 1);
    EXPECT_NEAR(shown(probe, random).value, 21.0, 1e-9);
    probe.sensing.dropsOut = 1;
    EXPECT_EQ(shown(probe, random).words, "open");
}

TEST(SimKitchen, IsTheSameFromTheSameSeedOnly) {
    Kitchen a(5), b(5), c(6);
    for (Kitchen* one : {&a, &b, &c})
        one->control("set oven dial 180");
    EXPECT_EQ(a.control("truth"), b.control("truth"));
    EXPECT_NE(a.control("truth"), c.control("truth"));
}

} // namespace
