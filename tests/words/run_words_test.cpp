// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/run_words.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::words;

TEST(RunWords, TheClockReadsLikeAClock) {
    EXPECT_EQ(clockWords(0), "0:00");
    EXPECT_EQ(clockWords(725.9), "12:05");
    EXPECT_EQ(clockWords(4325), "1:12:05");
}

TEST(RunWords, SaysWhenItWillHaveSettled) {
    EXPECT_EQ(whenWords(SettleForecast{372, 55}, false, false), "Settles in about 6 min (± 2).");
    EXPECT_EQ(whenWords({}, true, false), "It has settled.");
    EXPECT_EQ(whenWords(SettleForecast{372, 55}, true, true).find("More time buys nothing"), 0u);
    EXPECT_EQ(whenWords({}, false, false), "");
}

TEST(RunWords, WhatIsStillRoughIsCalledRough) {
    rating::Reduction found;
    rating::Quantity air;
    air.name = "air_K";
    air.unit = "K";
    air.value = 373.15;
    air.u = 2;
    air.dof = 1e9;
    found.quantities = {air};
    EXPECT_EQ(soFarWords(found, {}).find("So far: "), 0u);
    found.quantities.front().u = 20;
    EXPECT_EQ(soFarWords(found, {}).find("Only roughly so far: "), 0u);
    // 204: after one swing it said "90 ± 110 °C" and "It has settled."
    found.quantities.front().u = 60;
    EXPECT_EQ(soFarWords(found, {}), "Not known yet: let it run on.");
    EXPECT_EQ(whenWords({}, true, false, soFarOf(found)).find("It no longer drifts"), 0u);
}

// Defect 192: a reader in °F met the instrument's own °C on the run page.
TEST(Defect192, AReadingIsInTheReadersUnits) {
    const device::ChannelSpec probe{"1", "left probe", "°C", 0.1, -50, 300};
    EXPECT_EQ(readingWords(probe, 100, {}), "100.0 °C");
    EXPECT_EQ(readingWords(probe, 100, {true, true}), "212.0 °F");
    EXPECT_EQ(readingWords({"1", "old dial", "°F", 1, {}, {}}, 350, {}), "177 °C");
    EXPECT_EQ(readingWords({"1", "weight", "g", 1, {}, {}}, 1250, {true, true}), "1250 g");
}

TEST(RunWords, AProbeNearItsLimitIsNamedInTheReadersUnits) {
    device::ChannelSpec probe{"1", "left probe", "°C", 0.1, -50, 300};
    EXPECT_EQ(limitWords(probe, 200, nullptr, {}), "");
    EXPECT_EQ(limitWords(probe, 285, nullptr, {}),
              "left probe is close to its limit, 300 °C: take it out, or turn the heat down.");
    kitchen::Instrument own;
    own.damageLimit = 523.15;
    EXPECT_EQ(limitWords(probe, 240, &own, {true, true}),
              "left probe is close to what ruins it, 482 °F: take it out, or turn the heat down.");
    EXPECT_EQ(limitWords(probe, std::nan(""), nullptr, {}), "");
    device::ChannelSpec scale{"1", "weight", "g", 1, 0, 5000};
    EXPECT_EQ(limitWords(scale, 4900, nullptr, {}),
              "weight is close to the end of its range, 5000 g.");
}

} // namespace
