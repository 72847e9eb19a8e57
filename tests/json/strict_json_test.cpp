// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// JSON text becomes a value or an error with its line or place (RFC 8259), and never an exception.
#include "json/strict_json.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using json::readStrictly;
using json::StrictJson;

Result<double> depthOf(const std::string& text) {
    return readStrictly(text, [](const StrictJson& root) {
        root.onlyKeys({"pan", "note"});
        return root.at("pan").at("sizes").list().at(1).at("depth_m").above(0);
    });
}

TEST(StrictJson, ReadsWhatIsThere) {
    const auto depth = depthOf(R"({"pan": {"sizes": [{"depth_m": 1}, {"depth_m": 0.05}]}})");
    ASSERT_TRUE(depth.has_value()) << depth.error().message;
    EXPECT_EQ(*depth, 0.05);
}

struct Wrong {
    const char* text;
    const char* says;
    int line;
};
class WrongJson : public ::testing::TestWithParam<Wrong> {};
TEST_P(WrongJson, IsRefusedWithItsPlaceOrLine) {
    const Wrong wrong = GetParam();
    const auto read = depthOf(wrong.text);
    ASSERT_FALSE(read.has_value());
    EXPECT_NE(read.error().message.find(wrong.says), std::string::npos) << read.error().message;
    EXPECT_EQ(read.error().line, wrong.line) << read.error().message;
}
INSTANTIATE_TEST_SUITE_P(
    Texts, WrongJson,
    ::testing::Values(
        Wrong{"", "not JSON", 1}, Wrong{"{\n\"pan\": {\n\"sizes\" [", "not JSON", 3},
        Wrong{"{\"pan\": 1e999}", "not JSON", 0}, Wrong{"[]", "the text: should be an object", 0},
        Wrong{"{}", "\"pan\" is missing", 0}, Wrong{"{\"pot\": 1}", "\"pot\" is not known here", 0},
        Wrong{"{\"pan\": {}}", "pan: \"sizes\" is missing", 0},
        Wrong{"{\"pan\": {\"sizes\": 3}}", "pan.sizes: should be a list", 0},
        Wrong{R"({"pan": {"sizes": [1, {"depth_m": "deep"}]}})",
              "pan.sizes[1].depth_m: should be a number", 0},
        Wrong{R"({"pan": {"sizes": [1, {"depth_m": -2}]}})", "-2 should be above 0", 0}));

TEST(StrictJson, ReadsWordsFlagsAndFallbacks) {
    const auto read = readStrictly(R"({"a": "x", "b": true, "n": 2})", [](const StrictJson& root) {
        EXPECT_EQ(root.keys(), (std::vector<std::string>{"a", "b", "n"}));
        EXPECT_EQ(root.textOr("a", "y"), "x");
        EXPECT_EQ(root.textOr("z", "y"), "y");
        EXPECT_TRUE(root.booleanOr("b", false));
        EXPECT_TRUE(root.booleanOr("z", true));
        EXPECT_EQ(root.numberOr("n", 7), 2);
        EXPECT_EQ(root.numberOr("z", 7), 7);
        return root.at("n").atLeast(2);
    });
    EXPECT_TRUE(read.has_value());
    for (const char* text : {R"({"a": 1})", R"({"a": null})", R"({"a": ["x"]})"})
        EXPECT_FALSE(readStrictly(text, [](const StrictJson& root) { return root.at("a").text(); }))
            << text;
    EXPECT_FALSE(
        readStrictly(R"({"b": 1})", [](const StrictJson& root) { return root.at("b").boolean(); }));
}

} // namespace
