// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/appliance.h"
#include "kitchen/knobs.h"
#include "kitchen/typical.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

// Every kind of appliance: each knob turned to its ends and back gives a setting that its own words
// read again, and nothing else moves.
TEST(Knobs, TurnEveryKindOfApplianceWithinItsDials) {
    for (const ApplianceKind kind : allKinds()) {
        const auto one = typicalAppliance(kind);
        ASSERT_TRUE(one.has_value());
        const Setting begun = usualSetting(one->controls);
        for (const Knob& knob : knobsOf(one->controls, begun)) {
            SCOPED_TRACE(one->name + ", " + knob.name);
            EXPECT_LT(knob.low, knob.high);
            for (const double value : {knob.low, knob.high}) {
                const Setting there = turned(one->controls, begun, knob, value);
                const auto read = parseSetting(one->controls, settingText(one->controls, there));
                ASSERT_TRUE(read.has_value()) << read.error().message;
                EXPECT_EQ(*read, there);
                EXPECT_EQ(turned(one->controls, there, knob, knob.at), begun);
            }
            EXPECT_EQ(turned(one->controls, begun, knob, knob.high + 1e6),
                      turned(one->controls, begun, knob, knob.high));
            EXPECT_FALSE(knobText(one->controls, knob, knob.at).empty());
        }
    }
}

TEST(Knobs, ReadWhatTheyPrint) {
    const auto oven = *typicalAppliance(ApplianceKind::fanOven);
    const auto knobs = knobsOf(oven.controls, usualSetting(oven.controls));
    const auto back = parseKnob(oven.controls, knobs.front(),
                                knobText(oven.controls, knobs.front(), knobs.front().at));
    ASSERT_TRUE(back.has_value());
    EXPECT_DOUBLE_EQ(*back, knobs.front().at);
    EXPECT_FALSE(parseKnob(oven.controls, knobs.front(), "hot").has_value());
}

} // namespace
