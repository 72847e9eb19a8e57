// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Sentences whose temperatures and lengths are put in where they are read.
#include "quantity/open_sentence.h"
#include "quantity/result.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;

constexpr Units kCelsius{}, kFahrenheit{true, true};

TEST(OpenSentence, IsSaidInTheReadersUnits) {
    const OpenSentence said("it stops at {}, {} short, {} inside",
                            {Temperature::celsius(100), KelvinDelta(10), Metres{0.0254}});
    EXPECT_EQ(said.in(kCelsius), "it stops at 100 °C, 10 °C short, 25 mm inside");
    EXPECT_EQ(said.in(kFahrenheit), "it stops at 212 °F, 18 °F short, 1 in inside");
}

TEST(OpenSentence, KeepsWhatACookTypedAsItIs) {
    const OpenSentence said("{} it is", {Temperature::celsius(60)});
    EXPECT_EQ(said.after("the {} oven: ").in(kCelsius), "the {} oven: 60 °C it is");
}

TEST(Error, CarriesItsSentenceThroughItsContext) {
    const auto failed = [] {
        return Result<double>(
            fail(Errc::refused, "the core stops at {}", {Temperature::celsius(50)}));
    }();
    const Error error = failed.error().in("stage 1");
    EXPECT_EQ(error.message, "stage 1: the core stops at 50 °C");
    EXPECT_EQ(error.words(kFahrenheit), "stage 1: the core stops at 122 °F");
    EXPECT_EQ((Error{Errc::io, "the disk is full", 0}.words(kFahrenheit)), "the disk is full");
}

} // namespace
