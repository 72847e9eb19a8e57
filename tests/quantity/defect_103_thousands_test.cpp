// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// "1,650" was read as 1.65: a kitchen at 1,650 m stood at the sea.
#include "quantity/number_text.h"
#include "quantity/parse_measures.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;

struct Typed {
    const char* text;
    double value;
    bool twoReadings;
};
void PrintTo(const Typed& t, std::ostream* out) {
    *out << t.text;
}

class Thousands : public ::testing::TestWithParam<Typed> {};

TEST_P(Thousands, AreReadAsACookMeansThem) {
    std::string_view rest = GetParam().text;
    const auto value = takeNumber(rest);
    ASSERT_TRUE(value.has_value());
    EXPECT_DOUBLE_EQ(*value, GetParam().value);
    EXPECT_TRUE(rest.empty()) << rest;
    EXPECT_EQ(hasTwoReadings(GetParam().text), GetParam().twoReadings);
}

INSTANTIATE_TEST_SUITE_P(
    Cooks, Thousands,
    ::testing::Values(Typed{"1,650", 1650, true}, Typed{"1.650", 1.65, true},
                      Typed{"1,650.5", 1650.5, false}, Typed{"1.650,5", 1650.5, false},
                      Typed{"12,500", 12500, true}, Typed{"1,650,000", 1650000, false},
                      Typed{"1.650.000", 1650000, false}, Typed{"0,125", 0.125, false},
                      Typed{"0.125", 0.125, false}, Typed{"62,5", 62.5, false},
                      Typed{"62,50", 62.5, false}, Typed{"1650", 1650, false},
                      Typed{"1650,5", 1650.5, false}, Typed{"-1,650", -1650, true},
                      Typed{"1'650", 1650, false}));

TEST(Heights, AreReadInFeetToo) {
    EXPECT_NEAR(*parseLengthM("5,413 ft", 1), 1649.9, 0.1); // the foot is 0.3048 m by definition
    EXPECT_NEAR(*parseLengthM("5413 feet", 1), 1649.9, 0.1);
    EXPECT_NEAR(*parseLengthM("5,413", 0.3048), 1649.9, 0.1);
}

} // namespace
