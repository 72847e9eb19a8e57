// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet::kitchen;

TEST(Setting, TextGoesBothWaysForEveryKind) {
    for (const ApplianceKind kind : allKinds()) {
        const auto appliance = typicalAppliance(kind);
        ASSERT_TRUE(appliance.has_value()) << enumName(kind);
        const auto settings = possibleSettings(appliance->controls);
        ASSERT_FALSE(settings.empty()) << enumName(kind);
        for (const Setting& setting : settings) {
            const std::string text = settingText(appliance->controls, setting);
            const auto back = parseSetting(appliance->controls, text);
            ASSERT_TRUE(back.has_value()) << text << ": " << back.error().message;
            EXPECT_EQ(*back, setting) << text;
        }
    }
}

TEST(Setting, HasTheCanonicalForms) {
    const auto grill = typicalAppliance(ApplianceKind::gasGrill);
    EXPECT_TRUE(parseSetting(grill->controls, "burners=high/off/low;lid=closed").has_value());
    const auto oven = typicalAppliance(ApplianceKind::stillOven);
    EXPECT_EQ(settingText(oven->controls, *parseSetting(oven->controls, "oven=180C")), "oven=180C");
    const auto iron = typicalAppliance(ApplianceKind::ironOven);
    EXPECT_EQ(settingText(iron->controls, *parseSetting(iron->controls, "coals=7+12")),
              "coals=7+12");
}

// A fuzzer wrote 1e23 into the cell of a dial's end: its steps could not be counted.
TEST(Setting, Defect205ADialThatEndsNowhereIsRefusedAndCountsNoSteps) {
    Control dial = typicalAppliance(ApplianceKind::stillOven)->controls.front();
    EXPECT_TRUE(checkControl(dial));
    for (const auto& [high, step] : {std::pair{9.9998e22, 1.0}, {250.0, 1e-300}}) {
        dial.high = high;
        dial.step = step;
        EXPECT_LE(possibleSettings({dial}, 12).size(), 13u);
        EXPECT_GE(possibleSettings({dial}, 12).size(), 2u);
    }
    dial.high = 9.9998e22;
    dial.step = 1;
    const auto refused = checkControl(dial);
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.error().message.find("no dial goes so far"), std::string::npos);
}

TEST(Setting, RefusesWhatIsNotOnTheDialAndSaysWhatIs) {
    const auto oven = typicalAppliance(ApplianceKind::stillOven);
    const auto tooHot = parseSetting(oven->controls, "oven=400C");
    ASSERT_FALSE(tooHot.has_value());
    EXPECT_NE(tooHot.error().message.find("80 to 250"), std::string::npos)
        << tooHot.error().message;
    EXPECT_FALSE(parseSetting(oven->controls, "dial=180C").has_value());
    const auto grill = typicalAppliance(ApplianceKind::gasGrill);
    EXPECT_FALSE(parseSetting(grill->controls, "burners=high/off;lid=closed").has_value());
    EXPECT_FALSE(parseSetting(grill->controls, "burners=high/off/blazing;lid=closed").has_value());
}

} // namespace
