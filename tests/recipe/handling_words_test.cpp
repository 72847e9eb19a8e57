// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a cook says he does in a stage, read and said back.
#include "recipe/handling_words.h"

#include "kitchen/typical.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::recipe;

struct On {
    kitchen::Appliance appliance;
    kitchen::Setting setting;
};

On pan() {
    On out{*kitchen::typicalAppliance(kitchen::ApplianceKind::gasHob), {}};
    out.setting = *kitchen::parseSetting(out.appliance.controls, "flame=full;preheat=220C");
    out.appliance.name = "burner";
    return out;
}
On grill() {
    On out{*kitchen::typicalAppliance(kitchen::ApplianceKind::gasGrill), {}};
    out.setting = *kitchen::parseSetting(out.appliance.controls, "burners=high/off/off;lid=closed");
    out.appliance.name = "grill";
    return out;
}

SaidHandling said(const char* sentence, const On& on,
                  TemperatureUnit unit = TemperatureUnit::celsius) {
    const auto out = parseHandling(sentence, on.appliance, on.setting, unit);
    EXPECT_TRUE(out) << sentence << ": " << (out ? "" : out.error().message);
    return out.value_or(SaidHandling{});
}

TEST(HandlingWords, ACooksSentenceRunsOnByItsClock) {
    const auto steak = said("3 min, turn, 2 min, lid on, 1 min", pan());
    EXPECT_EQ(steak.handling.turning.when, TurnWhen::after);
    EXPECT_EQ(steak.handling.turning.seconds, 180);
    ASSERT_EQ(steak.handling.steps.size(), 1u);
    EXPECT_EQ(steak.handling.steps[0].move, Move::cover);
    EXPECT_EQ(steak.handling.steps[0].atS, 300);
    EXPECT_EQ(steak.totalS, 360);
    EXPECT_EQ(said("3 min, turn", pan()).totalS, 0) << "how long the second side takes is open";
    EXPECT_EQ(said("3 min, turn, 2 min, turn, 1 min", pan()).handling.steps[0].move,
              Move::turnOver);
}

TEST(HandlingWords, EveryWayIsUnderstood) {
    EXPECT_EQ(said("lid on", pan()).handling.cover, Cover::lid);
    EXPECT_EQ(said("Dome on, splash of water", pan()).handling.cover, Cover::dome);
    EXPECT_TRUE(said("foil on; with water", pan()).handling.waterAdded);
    EXPECT_EQ(said("turn every 2 min", pan()).handling.turning.when, TurnWhen::every);
    EXPECT_EQ(said("never turn", pan()).handling.turning.when, TurnWhen::never);
    EXPECT_EQ(said("turn halfway", pan()).handling.turning.when, TurnWhen::half);
    EXPECT_EQ(said("turn as it leaves", pan()).handling.turning.when, TurnWhen::leaving);
    const auto atCore = said("turn at 100 F", pan()).handling.turning;
    EXPECT_EQ(atCore.when, TurnWhen::atCore);
    EXPECT_NEAR(atCore.coreK, 310.93, 0.01);
    const auto away = said("off the heat for 1 min at 4 min", pan()).handling.steps.at(0);
    EXPECT_EQ(away.move, Move::offHeat);
    EXPECT_EQ(away.atS, 240);
    EXPECT_EQ(away.forS, 60);
    const auto down = said("set to low at 5 min", pan()).handling.steps.at(0);
    EXPECT_EQ(settingText(pan().appliance.controls, *down.setting), "flame=low;preheat=220C");
    EXPECT_FALSE(said("burner off at 5 min", pan()).handling.steps.at(0).setting);
    const auto swap = said("to indirect at 4 min", grill()).handling.steps.at(0);
    EXPECT_EQ(swap.zone, "indirect");
    EXPECT_EQ(said("lid up at 3 min", grill()).handling.steps.at(0).move, Move::openLid);
    const auto shaken = said("shake every 5 min", pan()).handling.steps.at(0);
    EXPECT_TRUE(shaken.again);
    EXPECT_EQ(shaken.atS, 300);
    EXPECT_EQ(said("quarter turn at 90 s, then baste", pan()).handling.steps.size(), 2u);
    EXPECT_EQ(said("", pan()).handling, Handling{});
}

TEST(HandlingWords, WhatIsSaidBackMeansTheSame) {
    const std::pair<On, std::vector<const char*>> all[] = {
        {pan(),
         {"3 min, turn, 2 min, lid on, 1 min", "lid on, with water, turn halfway",
          "turn every 2 min", "turn at 40 °C, baste at 4 min",
          "set to low at 3 min, set to "
          "medium at 6 min",
          "off the heat for 1 min at 4 min", "heat off at 5 min, foil on at 6 min",
          "press for 30 s at 1 min, quarter turn at 2 min, shake every 3 min", "never turn",
          "2 min, turn, 2 min, turn, 2 min",
          "3 min, turn, 2 1/2 min, lid on, 90 s, heat off, 1 min", "baste at 1 h 10 min 5 s",
          "turn as it leaves, dome on at 2 min, uncover at 4 min", "set to 160 C at 4 min"}},
        {grill(),
         {"to indirect at 4 min, to direct at 12 min", "lid up at 3 min, lid down at 5 min",
          "set to off/low/off at 6 min", "open the lid at 2 min"}}};
    for (const auto& [on, sentences] : all)
        for (const char* sentence : sentences) {
            const auto first = said(sentence, on).handling;
            const std::string back =
                handlingSentence(first, on.appliance, on.setting, TemperatureUnit::celsius);
            EXPECT_EQ(said(back.c_str(), on).handling, first) << sentence << " -> " << back;
        }
}

TEST(HandlingWords, WhatIsNotUnderstoodIsNamed) {
    for (const auto& [sentence, names] : {std::pair{"3 min, flambé, 2 min", "flambé"},
                                          {"turn", "say when"},
                                          {"set to eleven at 3 min", "eleven"},
                                          {"to the moon at 3 min", "moon"},
                                          {"off the heat", "how long"},
                                          {"lid on at noon", "noon"},
                                          {"baste at 45 °C", "core"},
                                          {"off the heat for 3 min every 2 min", "longer"},
                                          {"turn every 1 s", "that often"}}) {
        const auto out =
            parseHandling(sentence, pan().appliance, pan().setting, TemperatureUnit::celsius);
        ASSERT_FALSE(out) << sentence;
        EXPECT_NE(out.error().message.find(names), std::string::npos) << out.error().message;
    }
}

} // namespace
