// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// One recipe from every kind of appliance to every other: a setting and a time, or the reason in
// words. Run alone it prints the matrix.
#include "translate/translate.h"
#include "words/translation_words.h"

#include <cmath>
#include <cstdio>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using kitchen::ApplianceKind;

constexpr double C(double celsius) {
    return celsius + 273.15;
}

kitchen::Kitchen everyKind() {
    kitchen::Kitchen k;
    k.sites.emplace_back().id = "home";
    kitchen::Vessel& pan = k.vessels.emplace_back();
    pan.id = "pan";
    pan.name = "iron pan";
    pan.massKg = 2;
    for (const ApplianceKind kind : kitchen::allKinds()) {
        auto a = *kitchen::typicalAppliance(kind);
        a.id = a.name = enumName(kind);
        a.siteId = "home";
        if (isHob(kind))
            a.standardVesselId = "pan";
        k.appliances.push_back(a);
    }
    return k;
}

class Matrix : public ::testing::TestWithParam<ApplianceKind> {};

TEST_P(Matrix, OneRecipeGoesToEveryOther) {
    Request r;
    r.kitchen = everyKind();
    const auto& from = *findAppliance(r.kitchen, enumName(GetParam()));
    r.recipe.piece.food = *food::findFood("pork-loin");
    r.recipe.piece.thicknessM = 0.025;
    r.recipe.piece.startK = C(6);
    r.recipe.goal = {C(63), food::GoalMoment::peak, C(61), C(66), "juicy"};
    r.recipe.last().place.applianceId = from.id;
    r.recipe.last().place.setting = kitchen::usualSetting(from.controls);
    r.recipe.last().place.zone = from.zones.front().name;
    r.recipe.last().place.vesselId = from.standardVesselId;
    auto prepared = prepare(r);
    if (!prepared) { // its usual setting does not cook this: a reason in words
        std::printf("%-22s (%s)\n", enumName(GetParam()), prepared.error().message.c_str());
        EXPECT_FALSE(prepared.error().message.empty());
        return;
    }
    std::printf("%-22s", enumName(GetParam()));
    int reached = 0;
    for (const ApplianceKind kind : kitchen::allKinds()) {
        Row best;
        std::string why;
        for (const Target& target : prepared->targets) {
            if (target.applianceId != enumName(kind))
                continue;
            Row row = solveRow(*prepared, target);
            if (!row.reached)
                why = words::reasonWords(row, {});
            if (row.reached && (!best.reached || ranksBefore(row, best, prepared->outcome)))
                best = std::move(row);
        }
        if (!best.reached) {
            EXPECT_FALSE(why.empty()) << enumName(kind);
            std::printf(" | -");
            continue;
        }
        ++reached;
        EXPECT_GT(best.outcome.pullS, 20) << enumName(kind);
        EXPECT_LT(best.outcome.pullS, 8 * 3600) << enumName(kind);
        EXPECT_NEAR(best.outcome.peakK, C(63), 1.5) << enumName(kind);
        std::printf(" | %.0f", best.outcome.pullS / 60);
    }
    std::printf("\n");
    EXPECT_GE(reached, 15) << "of twenty";
}

INSTANTIATE_TEST_SUITE_P(Kinds, Matrix, ::testing::ValuesIn(kitchen::allKinds()),
                         [](const auto& kind) {
                             std::string out;
                             for (const char c : std::string(enumName(kind.param)))
                                 if (std::isalnum(static_cast<unsigned char>(c)))
                                     out += c;
                             return out;
                         });

} // namespace
