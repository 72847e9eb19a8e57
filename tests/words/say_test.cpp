// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Findings become sentences in the reader's units, and none is without one.
#include "words/say.h"

#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <regex>
#include <set>
#include <sstream>

namespace {

using namespace dynamet;

constexpr Units kCelsius{}, kFahrenheit{true, true};

TEST(Say, PutsMeasuresIntoTheReadersUnits) {
    const Finding found{"preheat_above",
                        {Temperature::celsius(180), Estimate{476.15, 4, "K", true}, KelvinDelta(23),
                         Seconds{1500}}};
    EXPECT_EQ(words::say(found, kCelsius),
              "Set to 180 °C, it settles at 203 ± 4 °C: 23 °C above the dial, after 25 min.");
    EXPECT_EQ(words::say(found, kFahrenheit),
              "Set to 356 °F, it settles at 397 ± 7 °F: 41 °F above the dial, after 25 min.");
    const Finding wide{"probes_too_similar", {Metres{0.0254}, Metres{0.03}}};
    EXPECT_EQ(words::say(wide, kFahrenheit).substr(0, 4), "1 in");
}

TEST(Say, LargeNumbersReadInKilo) {
    EXPECT_EQ(words::say({"boil_off", {Estimate{2412, 160, "W"}}}, kCelsius),
              "It boils water with 2.41 ± 0.16 kW.");
    EXPECT_EQ(words::say({"boil_off", {Estimate{812, 40, "W"}}}, kCelsius),
              "It boils water with 810 ± 40 W.");
}

TEST(Say, WhatACookTypedIsLeftAlone) {
    EXPECT_EQ(
        words::say({"vessel_limit", {Name{"the {} pan"}, Temperature::celsius(260)}}, kCelsius),
        "the {} pan withstands 260 °C at most");
}

TEST(Say, ACodeWithoutWordsIsShownBare) {
    EXPECT_EQ(words::say({"tea_leaves", {KelvinDelta(3)}}, kCelsius), "tea_leaves: 3.00 K");
}

TEST(Text, AnErrorsContextStaysInFront) {
    const Result<double> failed = fail(
        Errc::refused, {"core_stops_short", {Temperature::celsius(50), Temperature::celsius(60)}});
    const Error error = failed.error().in("stage 1").in("Ribs");
    EXPECT_EQ(words::text(error, kFahrenheit),
              "Ribs: stage 1: the core stops at 122 °F and should leave at 140 °F");
    EXPECT_EQ(words::text(Error{Errc::io, "the disk is full"}, kFahrenheit), "the disk is full");
}

/// Codes of the findings that a source file makes, with the number of their measures where it can
/// be told.
std::set<std::string> codesIn(const std::filesystem::path& file) {
    std::ifstream in(file);
    std::stringstream all;
    all << in.rdbuf();
    const std::string source = all.str();
    std::set<std::string> out;
    const std::regex made(
        R"re((?:found\.push_back\(|warnings\.push_back\(|out\.push_back\(|Errc::\w+,\s*|Finding)\{"([a-z_]+)"[,}])re");
    for (auto at = std::sregex_iterator(source.begin(), source.end(), made);
         at != std::sregex_iterator(); ++at)
        out.insert((*at)[1]);
    return out;
}

TEST(Patterns, EveryFindingOfTheCoreHasItsSentence) {
    std::size_t known = 0;
    for (const char* folder :
         {"rating/protocols", "rating/uncertainty", "rating/inputs", "cook", "translate", "food"})
        for (const auto& entry :
             std::filesystem::directory_iterator(std::string(SOURCE_FOLDER) + "/" + folder)) {
            // The names of what a window is made of are no findings.
            const bool names = entry.path().filename() == "inputs.cpp";
            if (entry.path().extension() != ".cpp" || names)
                continue;
            for (const std::string& code : codesIn(entry.path())) {
                EXPECT_NE(words::patternOf(code), nullptr)
                    << entry.path().filename() << ": " << code;
                known += words::patternOf(code) != nullptr;
            }
        }
    EXPECT_GT(known, 50u) << "the scan finds what the core makes";
}

} // namespace
