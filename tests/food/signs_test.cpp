// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What tells without a probe; common practice, no source.
#include "food/foods.h"
#include "food/signs.h"

#include <gtest/gtest.h>

namespace dynamet::food {
namespace {

std::string first(const char* foodClass, Sign::At at, double celsius) {
    const auto all = signsAt(foodClass, at, celsius + 273.15, 1);
    return all.empty() ? "" : all.front().says;
}

TEST(Signs, GoWithTheirFoodAndTemperature) {
    EXPECT_NE(first("poultry", Sign::At::core, 74).find("runs clear"), std::string::npos);
    EXPECT_NE(first("poultry", Sign::At::core, 80).find("joint"), std::string::npos);
    EXPECT_NE(first("poultry", Sign::At::core, 58).find("not yet"), std::string::npos);
    EXPECT_NE(first("fish", Sign::At::core, 55).find("albumin"), std::string::npos);
    EXPECT_NE(first("fish", Sign::At::core, 61).find("opaque"), std::string::npos);
    EXPECT_NE(first("dough", Sign::At::core, 96).find("hollow"), std::string::npos);
    EXPECT_NE(first("pork", Sign::At::core, 94).find("fork"), std::string::npos);
    EXPECT_NE(first("beef", Sign::At::fat, 168).find("golden in a minute"), std::string::npos);
    EXPECT_NE(first("beef", Sign::At::fat, 183).find("half a minute"), std::string::npos);
    EXPECT_NE(first("beef", Sign::At::face, 110).find("sizzles softly"), std::string::npos);
    EXPECT_TRUE(signsAt("fish", Sign::At::core, 273.15 + 200, 3).empty());
}

TEST(Signs, AreWideAndEveryFoodHasOneWhereItIsDone) {
    for (const Sign& one : shippedSigns()) {
        EXPECT_GE(one.highK - one.lowK, 7) << one.says;
        EXPECT_FALSE(one.foodClasses.empty()) << one.says;
    }
    for (const Food& food : shippedFoods()) {
        bool any = false;
        for (double c = 45; c < 99; c += 2)
            any |= !signsAt(food.foodClass, Sign::At::core, c + 273.15, 1).empty();
        EXPECT_TRUE(any) << food.name;
    }
}

} // namespace
} // namespace dynamet::food
