// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coals under and on an iron oven.
#include "kitchen/coal_plan.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

Kitchen camp() {
    Kitchen k;
    k.sites.emplace_back().id = "camp";
    Appliance oven = *typicalAppliance(ApplianceKind::ironOven);
    oven.id = "iron";
    oven.siteId = "camp";
    k.appliances.push_back(oven);
    return k;
}

CoalPlan planned(const CoalWish& wish, const Kitchen& k = camp()) {
    const auto out = coalPlan(k, k.appliances.front(), wish, k.sites.front());
    EXPECT_TRUE(out) << out.error().message;
    return out.value_or(CoalPlan{});
}

constexpr double F(double fahrenheit) {
    return (fahrenheit + 459.67) / 1.8;
}

// Common practice, no source: twice as many on the lid as below, 21 = 14 + 7; in 12 in, regular
// depth, 9 to 10 below and 16 to 20 above for what must brown on top; a deep one wants more on top.
TEST(CoalPlan, StartsFromTheCommonRule) {
    CoalWish bake;
    bake.insideK = F(375);
    const CoalPlan twelve = planned(bake);
    EXPECT_GE(twelve.first.under, 8);
    EXPECT_LE(twelve.first.under, 10);
    EXPECT_GE(twelve.first.lid, 16);
    EXPECT_LE(twelve.first.lid, 20);
    bake.insideK = F(350);
    bake.size.diameterM = 0.254;
    const CoalPlan ten = planned(bake);
    EXPECT_NEAR(ten.first.under + ten.first.lid, 20, 2);
    EXPECT_NEAR(ten.first.lid, 2 * ten.first.under, 1);
    bake.size = {0.305, true};
    const CoalPlan deep = planned(bake);
    bake.size.deep = false;
    const CoalPlan regular = planned(bake);
    EXPECT_GT(static_cast<double>(deep.first.lid) / (deep.first.lid + deep.first.under),
              static_cast<double>(regular.first.lid) / (regular.first.lid + regular.first.under));
}

TEST(CoalPlan, TheJobSaysWhereTheyLie) {
    CoalWish wish;
    wish.job = CoalJob::simmer;
    const auto stew = planned(wish).first;
    EXPECT_GT(stew.under, stew.lid);
    wish.job = CoalJob::fry;
    EXPECT_EQ(planned(wish).first.lid, 0);
    wish.job = CoalJob::roast;
    EXPECT_NEAR(planned(wish).first.lid, planned(wish).first.under, 1);
}

TEST(CoalPlan, WindColdAndHeightAskForMore) {
    const auto count = [](double windMPerS, double ambientC, double altitudeM) {
        Kitchen k = camp();
        k.sites.front().windMPerS = windMPerS;
        k.sites.front().ambient = Temperature::celsius(ambientC);
        k.sites.front().altitudeM = altitudeM;
        const auto plan = planned({}, k);
        return plan.first.under + plan.first.lid;
    };
    const int calm = count(0, 20, 0);
    EXPECT_GT(count(3, 20, 0), calm);
    EXPECT_GT(count(0, 0, 0), calm);
    EXPECT_GE(count(0, 20, 3100), calm);
    EXPECT_EQ(planned({}).airFactor, 1);
}

// 85 % burns in an hour (physics.md): a cook of an hour gets by with a small load or none, one of
// two and a half hours needs more than one.
TEST(CoalPlan, FreshCoalsComeWhenTheHeatHasFallen) {
    CoalWish wish;
    wish.lastsS = 40 * 60;
    EXPECT_LE(planned(wish).added.size(), 1u);
    wish.lastsS = 2.5 * 3600;
    const auto long_ = planned(wish).added;
    EXPECT_GE(long_.size(), 2u);
    double before = 0;
    for (const CoalsLaid& laid : long_) {
        EXPECT_GT(laid.atS, before);
        EXPECT_GE(laid.under + laid.lid, 1);
        EXPECT_LT(laid.atS, wish.lastsS);
        before = laid.atS;
    }
}

/// A test that found an inside of `insideC` with 8 + 16.
void rate(Kitchen& k, double insideC) {
    RatedNumber n;
    n.setting = *parseSetting(k.appliances.front().controls, "coals=8+16");
    n.zone = "inside";
    n.number = {{Face::all, Term::air}, insideC + 273.15, 5, Provenance::measured, "r1"};
    k.rated["iron"].push_back(n);
}

TEST(CoalPlan, ThisKitchensTestsMoveIt) {
    Kitchen weak = camp(), strong = camp();
    rate(weak, 130);
    rate(strong, 210);
    const auto all = [](const CoalPlan& plan) { return plan.first.under + plan.first.lid; };
    const CoalPlan rule = planned({}), few = planned({}, strong), many = planned({}, weak);
    EXPECT_GT(all(many), all(rule));
    EXPECT_LT(all(few), all(rule));
    EXPECT_EQ(many.tests, 1);
    EXPECT_LT(many.testsFactor, 1);
    EXPECT_LT(many.u, rule.u * 1.01) << "a test narrows it";
    EXPECT_EQ(many.commonUnder + many.commonLid, all(rule)) << "the rule stays the rule";
}

TEST(CoalPlan, RefusesWhatNoOvenDoes) {
    const Kitchen k = camp();
    const auto ask = [&](CoalWish wish) {
        return coalPlan(k, k.appliances.front(), wish, k.sites.front());
    };
    CoalWish hot;
    hot.insideK = 800;
    EXPECT_FALSE(ask(hot));
    CoalWish huge;
    huge.size.diameterM = 2;
    EXPECT_FALSE(ask(huge));
    Kitchen storm = camp();
    storm.sites.front().windMPerS = 15;
    storm.sites.front().ambient = Temperature::celsius(-15);
    CoalWish wish;
    wish.insideK = 520;
    wish.size.diameterM = 0.4;
    EXPECT_FALSE(coalPlan(storm, storm.appliances.front(), wish, storm.sites.front()));
}

TEST(CoalPlacement, EveryCoalHasAPlaceOfItsOwn) {
    for (const int coals : {0, 1, 7, 12, 14, 20, 30, 40})
        for (const auto& spots : {placementUnder(coals), placementOnLid(coals)}) {
            ASSERT_EQ(spots.size(), static_cast<std::size_t>(coals));
            for (std::size_t i = 0; i < spots.size(); ++i) {
                EXPECT_LT(std::hypot(spots[i].x, spots[i].y), 1);
                for (std::size_t j = 0; j < i && coals <= 30; ++j)
                    EXPECT_GT(std::hypot(spots[i].x - spots[j].x, spots[i].y - spots[j].y), 0.04);
            }
        }
}

} // namespace
