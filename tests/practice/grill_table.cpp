// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Three grills as cooks have read them (common practice, no source) beside what a grill of their
// kind is assumed to give. The assumption knows none of these readings.
#include "kitchen/typical.h"

#include <cmath>
#include <cstdio>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

struct Reading {
    const char* setting; ///< of the three burners; the four-burner grill has one more in the middle
    const char* setting4;
    bool direct;
    double grillsC[3]; ///< the first has four burners
    bool atLeast = false;
};

constexpr Reading kReadings[] = {
    {"low/off/off", "low/off/off/off", false, {54, 71, 53}},
    {"low/off/off", "low/off/off/off", true, {100, 103, 90}},
    {"high/off/off", "high/off/off/off", false, {86, 116, 107}},
    {"high/off/off", "high/off/off/off", true, {210, 170, 250}},
    {"high/high/off", "high/high/off/off", false, {160, 220, 210}},
    {"high/high/off", "high/high/off/off", true, {300, 300, 300}, true},
    {"low/low/low", "low/low/low/low", true, {260, 190, 200}},
    {"low/off/low", "low/off/off/low", false, {164, 145, 156}},
    {"high/high/high", "high/high/high/high", true, {370, 300, 350}},
};

Appliance grillOf(int burners) {
    Appliance out = *typicalAppliance(ApplianceKind::gasGrill);
    out.name = "grill";
    if (burners == 4) {
        out.controls.front().burners = {"left", "inner left", "inner right", "right"};
        out.ratedInputW = out.ratedInputW * 4 / 3;
    }
    return out;
}

TEST(GrillTable, NineteenReadingsInTwentyLieWithinTheTypicalGrill) {
    int all = 0, inside = 0;
    double widest = 0;
    std::printf("| burners | zone | grill | read | typical | |\n|---|---|---|---|---|---|\n");
    for (const Reading& reading : kReadings)
        for (int grill = 0; grill < 3; ++grill) {
            const Appliance a = grillOf(grill == 0 ? 4 : 3);
            const std::string at = std::string("burners=") +
                                   (grill == 0 ? reading.setting4 : reading.setting) +
                                   ";lid=closed";
            const auto setting = parseSetting(a.controls, at);
            ASSERT_TRUE(setting) << at;
            Place place;
            place.zone = reading.direct ? "direct" : "indirect";
            place.site.ambient = Temperature::celsius(20);
            const auto field = typicalField(a, *setting, place);
            ASSERT_TRUE(field) << field.error().message;
            const auto* air = seenBy(*field, Face::top, Term::air);
            const double read = reading.grillsC[grill], half = 1.96 * air->u;
            const double typical = air->value - kZeroCelsiusK;
            const bool fits =
                reading.atLeast ? typical + half >= read : std::abs(typical - read) <= half;
            widest = std::max(widest, half / (typical - 20));
            ++all;
            inside += fits;
            std::printf("| %s | %s | %d | %s%.0f °C | %.0f ± %.0f °C (%.0f %%) | %s |\n",
                        at.c_str() + 8, place.zone.c_str(), grill + 1, reading.atLeast ? "> " : "",
                        read, typical, half, 100 * half / (typical - 20), fits ? "fits" : "MISSES");
        }
    std::printf("%d of %d readings inside; the widest half-width is %.0f %% of the rise.\n", inside,
                all, 100 * widest);
    EXPECT_GE(20 * inside, 19 * all);
    EXPECT_LE(widest, 0.35);
}

} // namespace
