// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Readings as they are kept, cut, averaged and drawn.
#include "trace/packing.h"
#include "trace/pyramid.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <limits>

namespace {

using namespace dynamet;

const double kMissing = std::nan("");

TEST(Series, IsCutAtItsReadingsAndWithoutTheMissingOnes) {
    const Series s{{0, 1, 2, 3, 4}, {10, 11, kMissing, 13, 14}};
    const Series cut = between(s, 1, 3);
    EXPECT_EQ(cut.timeS, (std::vector<double>{1, 3}));
    EXPECT_EQ(cut.value, (std::vector<double>{11, 13}));
    EXPECT_TRUE(between(s, 5, 9).empty());
    EXPECT_TRUE(between(s, 3, 1).empty());
}

TEST(Series, ReadsLinearlyBetweenReadingsAndHoldsOutside) {
    const Series s{{10, 20}, {100, 200}};
    EXPECT_DOUBLE_EQ(valueAt(s, 12.5), 125);
    EXPECT_DOUBLE_EQ(valueAt(s, -1e9), 100);
    EXPECT_DOUBLE_EQ(valueAt(s, 20), 200);
    EXPECT_DOUBLE_EQ(valueAt(s, 1e9), 200);
    EXPECT_TRUE(std::isnan(valueAt({}, 0)));
}

TEST(BlockMeans, KeepTheSumAndTheCountOfWhatTheyStandFor) {
    Series s;
    for (int i = 0; i < 1003; ++i) {
        s.timeS.push_back(i);
        s.value.push_back(i % 100 == 50 ? kMissing : std::sin(i));
    }
    const BlockMeans blocks = blockMeans(s, 40);
    EXPECT_LE(blocks.means.size(), 40u);
    double sum = 0, count = 0, exact = 0, there = 0;
    for (std::size_t i = 0; i < blocks.counts.size(); ++i) {
        sum += blocks.means.value[i] * blocks.counts[i];
        count += blocks.counts[i];
    }
    for (double v : s.value)
        if (std::isfinite(v)) {
            exact += v;
            ++there;
        }
    EXPECT_NEAR(sum, exact, 1e-9);
    EXPECT_EQ(count, there);
    EXPECT_TRUE(blockMeans({}, 40).counts.empty());
    EXPECT_TRUE(blockMeans({{0, 1}, {kMissing, kMissing}}, 40).counts.empty());
}

TEST(Packing, GoesBothWaysAndIsCutSafe) {
    std::vector<std::int64_t> values{0, 5, -3, 1000000, kMissingReading, 7, 7, 8};
    const std::string packed = packIntegers(values);
    EXPECT_EQ(*unpackIntegers(packed, values.size()), values);
    for (std::size_t n = 0; n < packed.size(); ++n)
        EXPECT_FALSE(unpackIntegers(packed.substr(0, n), values.size()).has_value()) << n;
    EXPECT_FALSE(unpackIntegers(packed, values.size() - 1).has_value());
    EXPECT_FALSE(unpackIntegers(packed, values.size() + 1).has_value());
    EXPECT_FALSE(unpackIntegers(std::string(30, '\xff'), 1).has_value()) << "no number is so long";
}

// The wire format of protocol buffers' signed varints ("zigzag"): 0, −1, 1, −2 are 0, 1, 2, 3, and
// 150 as an unsigned varint is 0x96 0x01 (the worked example of its published encoding guide).
TEST(Packing, IsZigzagInSevenBitGroups) {
    EXPECT_EQ(packIntegers(std::vector<std::int64_t>{0}), std::string("\0", 1));
    EXPECT_EQ(packIntegers(std::vector<std::int64_t>{-1}), "\x01");
    EXPECT_EQ(packIntegers(std::vector<std::int64_t>{1}), "\x02");
    EXPECT_EQ(packIntegers(std::vector<std::int64_t>{75}), "\x96\x01");
}

TEST(Packing, ASlowSignalTakesAByteAReading) {
    std::vector<std::int64_t> slow;
    for (int i = 0; i < 43200; ++i)
        slow.push_back(1800 + static_cast<std::int64_t>(20 * std::sin(i / 300.0)));
    EXPECT_LE(packIntegers(slow).size(), slow.size() + 4);
}

TEST(Grid, TakesWhatTheInstrumentShowsAndRefusesTheRest) {
    std::vector<std::int64_t> out;
    EXPECT_TRUE(onGrid(std::vector<double>{20.1, 20.2, kMissing, -5.0}, 0.1, 0, out));
    EXPECT_EQ(out, (std::vector<std::int64_t>{201, 202, kMissingReading, -50}));
    EXPECT_FALSE(onGrid(std::vector<double>{20.13}, 0.1, 0, out));
}

// 12 hours at 1 Hz on 800 pixels: at most two points a pixel, both extremes kept wherever they are.
TEST(Pyramid, NoSpikeIsLost) {
    Series s;
    for (int i = 0; i < 43200; ++i) {
        s.timeS.push_back(i);
        s.value.push_back(400 + 10 * std::sin(i / 700.0));
    }
    s.value[31111] = 900;
    s.value[77] = 250;
    s.value[5000] = kMissing;
    const Pyramid p = buildPyramid(s);
    for (std::size_t pixels : {200u, 800u, 2000u}) {
        const Series drawn = drawnPoints(p, 0, 43200, pixels);
        EXPECT_LE(drawn.size(), 2 * pixels);
        EXPECT_EQ(*std::max_element(drawn.value.begin(), drawn.value.end()), 900);
        EXPECT_EQ(*std::min_element(drawn.value.begin(), drawn.value.end()), 250);
        EXPECT_TRUE(std::is_sorted(drawn.timeS.begin(), drawn.timeS.end()));
    }
    const Series near = drawnPoints(p, 31100, 31120, 800);
    EXPECT_EQ(near.size(), 21u) << "the readings themselves where they are few";
}

TEST(Pyramid, OfNothingDrawsNothing) {
    EXPECT_TRUE(drawnPoints(buildPyramid({}), 0, 100, 800).empty());
    EXPECT_TRUE(drawnPoints(buildPyramid({{0, 1}, {kMissing, kMissing}}), 0, 100, 800).empty());
    EXPECT_EQ(drawnPoints(buildPyramid({{5}, {300}}), 0, 100, 800).size(), 1u);
}

} // namespace
