// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a hand tries on a row: hotter is sooner, left sooner is cooler inside, and nothing tried is
// the row.
#include "translate/small_kitchen.h"
#include "translate/tried_times.h"
#include "words/translation_words.h"
#include "words/tried_words.h"

#include <cmath>

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

struct Roast {
    Prepared prepared = *prepare(roastRequest());
    Row rowOn(const std::string& id) const {
        for (const Target& t : prepared.targets)
            if (t.applianceId == id)
                return solveRow(prepared, t);
        ADD_FAILURE() << id;
        return {};
    }
    const kitchen::Appliance& on(const Row& row) const {
        return *findAppliance(prepared.request.kitchen, row.target.applianceId);
    }
    kitchen::Setting at(const Row& row, const char* text) const {
        return *kitchen::parseSetting(on(row).controls, text);
    }
};

TEST(TriedRow, TheRowsOwnSettingIsTheRowOnFewerCells) {
    const Roast roast;
    const Row row = roast.rowOn("fan");
    Tried own;
    own.setting = row.instruction.setting;
    const Row same = rowTried(roast.prepared, row, own);
    ASSERT_TRUE(same.reached) << same.reason.message;
    EXPECT_NEAR(same.outcome.pullS / row.outcome.pullS, 1, 0.01);
    EXPECT_NEAR(same.outcome.peakK, row.outcome.peakK, 0.1);
}

// A hotter oven is sooner there and browns more (common practice, no source).
TEST(TriedRow, AHotterOvenIsSoonerThere) {
    const Roast roast;
    const Row row = roast.rowOn("still");
    Tried hotter;
    hotter.setting = roast.at(row, "oven=210C");
    Row there = rowTried(roast.prepared, row, hotter);
    ASSERT_TRUE(there.reached) << there.reason.message;
    EXPECT_EQ(there.instruction.setting, *hotter.setting);
    EXPECT_LT(there.outcome.pullS, 0.93 * row.outcome.pullS);
    EXPECT_GT(there.outcome.darker(), row.outcome.darker());
    EXPECT_NEAR(there.outcome.peakK, row.outcome.peakK, 0.2);
    addWindow(roast.prepared, there);
    ASSERT_TRUE(there.window);
    EXPECT_LT(there.window->lookS, there.outcome.pullS);
    EXPECT_GT(*there.window->latestS, there.outcome.pullS);
}

TEST(TriedRow, LeftSoonerItIsCoolerInsideAndHasNoWindow) {
    const Roast roast;
    const Row row = roast.rowOn("still");
    Tried sooner;
    sooner.lastS = std::round(row.outcome.pullS * 0.7);
    Row there = rowTried(roast.prepared, row, sooner);
    ASSERT_TRUE(there.reached) << there.reason.message;
    EXPECT_NEAR(there.outcome.pullS, *sooner.lastS, 1e-6);
    EXPECT_LT(there.outcome.peakK, row.outcome.peakK - 5);
    addWindow(roast.prepared, there);
    EXPECT_FALSE(there.window);
    const auto lines = words::detailLines(there, roast.prepared, {});
    EXPECT_NE(lines.front().find("out after"), std::string::npos) << lines.front();
}

// A lid on the pan: the upper side meets steam, not the room's air (common practice, no source).
TEST(TriedRow, ALidOnThePanIsSooner) {
    const Roast roast;
    const Row row = roast.rowOn("hob");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_EQ(coverThere(roast.on(row).kind), CoverThere::panLid);
    Tried lid;
    lid.covered = true;
    const Row there = rowTried(roast.prepared, row, lid);
    ASSERT_TRUE(there.reached) << there.reason.message;
    EXPECT_LT(there.outcome.pullS, row.outcome.pullS);
    EXPECT_EQ(words::triedWords(there, roast.prepared, {}), "Tried by hand: pan lid on.");
}

// A steak left lying heats from one side alone (the trade turns it; common practice, no source).
TEST(TriedRow, NeverTurnedIsLessEvenAndLater) {
    const Roast roast;
    const Row row = roast.rowOn("hob");
    Tried left;
    left.turning = recipe::Turning{recipe::TurnWhen::never, 0, 0};
    const Row there = rowTried(roast.prepared, row, left);
    if (!there.reached) { // with a pan so hot the goal may be out of reach from one side
        EXPECT_FALSE(there.reason.message.empty());
        return;
    }
    EXPECT_FALSE(std::isfinite(there.outcome.turnS));
    EXPECT_GT(there.outcome.darker() - there.outcome.paler(),
              row.outcome.darker() - row.outcome.paler());
}

TEST(TriedRow, AGrillsLidStandsOpen) {
    const Roast roast;
    const Row row = roast.rowOn("grill");
    ASSERT_TRUE(row.reached) << row.reason.message;
    Tried open;
    open.covered = false;
    const Row there = rowTried(roast.prepared, row, open);
    EXPECT_TRUE(placeOf(roast.prepared.request, there).lidOpen);
    EXPECT_FALSE(placeOf(roast.prepared.request, row).lidOpen);
    if (there.reached) {
        EXPECT_GT(there.outcome.pullS, row.outcome.pullS);
    } else {
        EXPECT_FALSE(there.reason.message.empty());
    }
}

TEST(TriedRow, TimesGoInACooksSteps) {
    EXPECT_EQ(triedTimes(240).stepS, 10);
    EXPECT_EQ(triedTimes(3000).stepS, 60);
    EXPECT_EQ(triedTimes(3000).shortestS, 750);
}

} // namespace
