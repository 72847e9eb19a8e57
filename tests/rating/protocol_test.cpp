// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/protocols.h"
#include "rating/reduce.h"
#include "rating/series_of.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

TEST(Protocols, EveryKindHasAtLeastOneAndAllSayWhatCanHurt) {
    for (const auto kind : kitchen::allKinds())
        EXPECT_FALSE(protocolsFor(kind).empty()) << enumName(kind);
    for (const Protocol& p : allProtocols()) {
        EXPECT_FALSE(p.cautions.empty()) << p.id;
        EXPECT_GE(p.steps.size(), 3u) << p.id;
        EXPECT_FALSE(p.spoils.empty()) << p.id;
    }
}

TEST(Reduce, RefusesAValueThatTheProtocolDoesNotKnow) {
    TestInput test;
    test.protocol = "water-heat-up";
    test.channels["water"] = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    test.values = {{"water_kg", 1.5}, {"watter_kg", 2}};
    const auto found = reduce(test);
    ASSERT_FALSE(found.has_value());
    EXPECT_NE(found.error().message.find("watter_kg"), std::string::npos);
}

// Reference-values: water alone reads 9–13 % low (physics §4): the pot and the losses must be in.
TEST(Reduce, WaterAloneWouldReadLow) {
    generator::Pot pot;
    pot.evaporationFactor = 0.15;
    const auto run = generator::heatPot(pot, 88, 2, {}, 2);
    TestInput test;
    test.protocol = "water-heat-up";
    test.lid = false;
    test.channels["water"] = seriesOf(run.water);
    test.values = {{"water_kg", 1.5}, {"pot_kg", 1.2}, {"evaporated_kg", run.evaporatedKg}};
    const auto all = reduce(test);
    ASSERT_TRUE(all.has_value()) << all.error().message;
    test.values = {{"water_kg", 1.5}, {"loss_W_K", 0}};
    test.lid = true;
    const auto alone = reduce(test);
    const double low = 1 - alone->quantities[0].value / run.trueNetW;
    EXPECT_GT(low, 0.07);
    EXPECT_LT(low, 0.20);
    EXPECT_NEAR(all->quantities[0].value / run.trueNetW, 1, 0.03);
}

// Usual efficiencies into water and pan, induction 80–88 % (reference-values, from memory).
TEST(Reduce, EfficiencyFromTheMeter) {
    const auto run = generator::heatPot({}, 88, 2, {}, 4);
    TestInput test;
    test.protocol = "water-heat-up";
    test.channels["water"] = seriesOf(run.water);
    test.values = {{"water_kg", 1.5}, {"pot_kg", 1.2}, {"input_W", 1400 / 0.84}};
    const auto found = reduce(test);
    EXPECT_NEAR(find(*found, "efficiency")->value, 0.84, 0.02);
}

} // namespace
