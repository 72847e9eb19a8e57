// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One dish in an iron oven at two heights (common practice, no source): 45 min at 6,800 ft, more
// than 70 and a second load of coals above 10,000 ft. What of it is height, wind, cold, dying
// coals?
#include "cook/cook.h"
#include "cook/programme.h"
#include "kitchen/typical.h"

#include <cmath>
#include <cstdio>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

constexpr double kLow = 6800 * 0.3048, kHigh = 10200 * 0.3048;

struct Day {
    double heightM, ambientC, windMPerS;
    bool ageing = true;
    double freshAtS = 1e9; ///< a second load of coals
};

/// Minutes until the middle of a 50 mm cobbler is at 85 °C with 10 coals under it and 18 on the
/// lid.
double minutes(const Day& day) {
    Appliance oven = *typicalAppliance(ApplianceKind::ironOven);
    oven.name = "oven";
    Place place;
    place.zone = "inside";
    place.site.altitudeM = day.heightM;
    place.site.ambient = Temperature::celsius(day.ambientC);
    place.site.windMPerS = day.windMPerS;
    cook::Stage stage;
    stage.site = place.site;
    stage.field = *typicalField(oven, *parseSetting(oven.controls, "coals=10+18"), place);
    if (!day.ageing)
        stage.field.curves.clear();
    for (FieldCurve& curve : stage.field.curves) {
        const FieldCurve once = curve;
        for (std::size_t i = 0; i < curve.timeS.size(); ++i)
            if (curve.timeS[i] >= day.freshAtS) { // the old coals are swept off
                const double age = curve.timeS[i] - day.freshAtS;
                curve.change[i] = once.change[static_cast<std::size_t>(age / 300)];
            }
    }
    recipe::FoodPiece piece;
    piece.food = *food::findFood("fruit-cobbler");
    piece.shape = heat::Shape::finiteCylinder;
    piece.thicknessM = 0.05;
    piece.widthM = 0.25;
    piece.startK = 18 + kZeroCelsiusK;
    cook::Programme programme;
    programme.stages = {stage};
    programme.longestS = 2 * 3600;
    const auto tables = cook::tablesFor(piece.food, pressurePa(place.site));
    const auto t = cook::timeToReach(piece, programme, 85 + kZeroCelsiusK, cook::kFull, tables);
    return t ? *t / 60 : std::numeric_limits<double>::infinity();
}

TEST(IronOvenTable, FortyFiveMinutesBecomeSeventy) {
    const Day low{kLow, 20, 0.5}, high{kHigh, 3, 2.5, true, 3000};
    const double before = minutes(low), after = minutes(high);
    std::printf(
        "6,800 ft, 20 °C, 0.5 m/s: %.0f min (45); 10,200 ft, 3 °C, 2.5 m/s: %.0f min (70)\n",
        before, after);
    const auto alone = [&](const char* what, auto change) {
        Day day = low;
        day.freshAtS = high.freshAtS;
        const double was = minutes(day);
        change(day);
        std::printf("  %-34s %+5.1f min\n", what, minutes(day) - was);
    };
    std::printf("from the low day, each alone:\n");
    alone("height", [](Day& d) { d.heightM = kHigh; });
    alone("wind", [](Day& d) { d.windMPerS = 2.5; });
    alone("cold", [](Day& d) { d.ambientC = 3; });
    alone("coals that keep their mean heat", [](Day& d) { d.ageing = false; });
    alone("height, wind and cold together", [&](Day& d) { d = high; });
    EXPECT_NEAR(before, 45, 9);
    EXPECT_NEAR(after, 70, 14);
}

} // namespace
