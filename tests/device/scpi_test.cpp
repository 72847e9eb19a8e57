// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Bench instruments that are asked, in the words of the standards.
#include "device/talk.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::device;

Connection bench() {
    Connection out;
    out.dialect = Dialect::scpi;
    out.scpi.channels = *parseChannels("left C, right C");
    return out;
}

// IEEE 488.2-1992, 10.14: four fields between commas.
TEST(Scpi, SaysWhoItIsInFourFields) {
    Talk talk(bench());
    EXPECT_EQ(talk.opening(), "*IDN?\n");
    const auto said = talk.feed("MAKER,MODEL 7,0042,1.03\n");
    ASSERT_EQ(said.size(), 1u);
    EXPECT_EQ(std::get<Hello>(said[0]).serial, "0042");
    EXPECT_EQ(talk.asking(), "READ?\n");
}

// SCPI-99, volume 1, 7.2.1.4 and 7.2.1.5: 9.9E37 infinity, 9.91E37 not a number; NR3 numbers.
TEST(Scpi, AnswersWithOneNumberAChannel) {
    Talk talk(bench());
    talk.feed("MAKER,MODEL 7,0042,1.03\n");
    const auto said = talk.feed("+2.13000000E+01,+9.90000000E+37\n-1.5,+9.91000000E+37\n");
    ASSERT_EQ(said.size(), 2u);
    const auto& first = std::get<Reading>(said[0]).values;
    EXPECT_DOUBLE_EQ(first[0].value, 21.3);
    EXPECT_EQ(first[1].gap, Gap::over);
    EXPECT_TRUE(std::isnan(first[1].value));
    const auto& second = std::get<Reading>(said[1]).values;
    EXPECT_DOUBLE_EQ(second[0].value, -1.5);
    EXPECT_EQ(second[1].gap, Gap::open);
}

TEST(Scpi, AnotherCountOfNumbersIsNoReading) {
    Talk talk(bench());
    talk.feed("MAKER,MODEL 7,0042,1.03\n");
    for (const char* line : {"1.0\n", "1,2,3\n", "1,two\n", "-113,\"Undefined header\"\n"})
        for (const Message& message : talk.feed(line))
            EXPECT_TRUE(std::holds_alternative<Unusable>(message)) << line;
}

} // namespace
