// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Kept translations: those of version 1 are still read, and what is none is refused in words.
#include "formats/snapshot_json.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::formats;

// As version 1 wrote it, the recipe's parts one by one.
constexpr const char* kVersion1 = R"({"format": "dynamet-translation-snapshot", "version": 1,
  "recipe_text": "Roast it.", "piece": {"food": "pork-loin"}, "before": [], "last_for_s": 0,
  "rows": [
    {"appliance": "Big oven", "zone": "middle", "setting": "oven=180C", "reached": true,
     "pull_C": 58.0, "window": {"look_s": 1500, "expect_s": 2100, "latest_s": 2700}},
    {"appliance": "Ring", "zone": "pan", "setting": "", "reached": false}]})";

TEST(KeptRows, OfVersionOneAreStillRead) {
    const auto rows = keptRows(kVersion1);
    ASSERT_TRUE(rows.has_value()) << rows.error().message;
    ASSERT_EQ(rows->size(), 2u);
    EXPECT_EQ((*rows)[0].appliance, "Big oven");
    EXPECT_EQ((*rows)[0].setting, "oven=180C");
    EXPECT_NEAR((*rows)[0].pullK, 331.15, 1e-9);
    EXPECT_EQ((*rows)[0].expectS, 2100);
    EXPECT_FALSE((*rows)[1].reached);
    EXPECT_FALSE((*rows)[1].expectS.has_value());
}

TEST(KeptRows, CutAnywhereAreRefusedAndNeverThrow) {
    const std::string text = kVersion1;
    for (std::size_t n = 0; n < text.size(); ++n) {
        const auto rows = keptRows(text.substr(0, n));
        ASSERT_FALSE(rows.has_value()) << n;
        EXPECT_EQ(rows.error().code, Errc::corruptData) << n;
    }
}

TEST(KeptRows, OfTheWrongKindAreRefused) {
    for (const char* text :
         {"[]", "{}", "7", R"({"rows": {}})", R"({"rows": [{"appliance": 7}]})",
          R"({"rows": [{"pull_C": "hot"}]})", R"({"rows": [{"window": {"expect_s": "soon"}}]})"}) {
        const auto rows = keptRows(text);
        ASSERT_FALSE(rows.has_value()) << text;
        EXPECT_FALSE(rows.error().message.empty()) << text;
    }
}

} // namespace
