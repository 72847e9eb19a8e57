// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Open coals, the grate over them, ovens stacked, weather on the day, and food that lies close.
#include "kitchen/coal_plan.h"
#include "kitchen/cook_day.h"
#include "kitchen/crowded.h"
#include "kitchen/grate_height.h"
#include "kitchen/open_coals.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

OpenCoalsPlan planned(const OpenCoalsWish& wish, const Site& site = {}) {
    const auto out = openCoals(wish, site);
    EXPECT_TRUE(out) << out.error().message;
    return out.value_or(OpenCoalsPlan{});
}

// Common practice, no source: a chimney holds some 80 to 120 coals and covers a grate of about
// 18 in; a spread chimney sears at a usual grate and only grills at a foot; half of the heat is
// gone well within an hour. A hand that is hot after two to three seconds gets some 12 to 17 kW/m²
// (times to pain of Stoll and Chianta, from memory).
TEST(OpenCoals, AChimneyDoesWhatAChimneyDoes) {
    const OpenCoalsPlan plan = planned({});
    EXPECT_GE(plan.coals, 80);
    EXPECT_LE(plan.coals, 120);
    EXPECT_NEAR(plan.bedDiameterM, 0.42, 0.08);
    EXPECT_EQ(plan.heights[1].is, CoalHeat::sears);
    EXPECT_GT(plan.heights[1].fluxW_m2, 13000);
    EXPECT_LT(plan.heights[1].fluxW_m2, 28000);
    EXPECT_EQ(plan.heights.back().is, CoalHeat::grills);
    for (std::size_t i = 1; i < plan.heights.size(); ++i)
        EXPECT_LT(plan.heights[i].fluxW_m2, plan.heights[i - 1].fluxW_m2);
    EXPECT_GT(plan.halfS, 900);
    EXPECT_LT(plan.halfS, 2400);
}

// A disk seen from its axis at a distance h sends E R²/(R²+h²) (Incropera et al., table 13.2, a
// small disk before a large one).
TEST(OpenCoals, FallWithHeightAsADiskDoes) {
    const OpenCoalsPlan plan = planned({});
    const double r = plan.bedDiameterM / 2;
    const auto disk = [r](double h) { return r * r / (r * r + h * h); };
    for (const AtGrate& at : plan.heights)
        EXPECT_NEAR(at.fluxW_m2 / plan.heights[0].fluxW_m2,
                    disk(at.heightM) / disk(plan.heights[0].heightM), 0.01);
    const double half = plan.halfHeatFromM;
    EXPECT_NEAR((r * r + half * half) / (r * r + 0.01), 2, 0.1);
}

TEST(OpenCoals, LessCoalOlderCoalAndWindTellTheSameStory) {
    OpenCoalsWish half;
    half.chimney = 0.5;
    EXPECT_LT(planned(half).heights[2].fluxW_m2, planned({}).heights[2].fluxW_m2);
    OpenCoalsWish old;
    old.ageS = planned({}).halfS;
    EXPECT_NEAR(planned(old).heights[0].fluxW_m2, 0.5 * planned({}).heights[0].fluxW_m2, 1);
    Site windy;
    windy.windMPerS = 6;
    EXPECT_LT(planned({}, windy).halfS, planned({}).halfS);
    OpenCoalsWish longCook;
    longCook.lastsS = 7200;
    EXPECT_GT(planned(longCook).toAdd, 0);
    EXPECT_LT(planned(longCook).firstAddS, planned({}).halfS);
    OpenCoalsWish shortCook;
    shortCook.lastsS = 300;
    EXPECT_EQ(planned(shortCook).toAdd, 0);
    OpenCoalsWish none;
    none.chimney = 0;
    EXPECT_FALSE(openCoals(none, {}));
}

Appliance placed(ApplianceKind kind) {
    Appliance out = *typicalAppliance(kind);
    out.id = "it";
    out.siteId = "yard";
    return out;
}
Kitchen yard(ApplianceKind kind) {
    Kitchen out;
    out.sites.emplace_back().id = "yard";
    out.appliances.push_back(placed(kind));
    return out;
}

TEST(GrateHeight, NearerIsHotterAndTheUsualHeightChangesNothing) {
    const Appliance kettle = placed(ApplianceKind::charcoalKettle);
    const auto direct = std::find_if(kettle.zones.begin(), kettle.zones.end(),
                                     [](const Zone& z) { return z.direct; });
    ASSERT_NE(direct, kettle.zones.end());
    EXPECT_TRUE(hasGrateOverCoals(kettle, *direct));
    EXPECT_FALSE(hasGrateOverCoals(kettle, {"aside", false}));
    EXPECT_FALSE(hasGrateOverCoals(placed(ApplianceKind::gasGrill), {"over", true}));
    EXPECT_FALSE(hasGrateOverCoals(placed(ApplianceKind::coalChimney), {"over", true}))
        << "its own control says the height";
    Place at;
    at.zone = direct->name;
    Setting setting;
    for (const Control& control : kettle.controls)
        setting.values.push_back(possibleSettings({control}, 3, 9).back().values.front());
    const auto field = typicalField(kettle, setting, at);
    ASSERT_TRUE(field);
    const auto view = [](const HeatField& f) { return seenBy(f, Face::bottom, Term::view)->value; };
    EXPECT_GT(view(atGrateHeight(*field, 0.06)), 1.15 * view(*field));
    EXPECT_LT(view(atGrateHeight(*field, 0.24)), 0.75 * view(*field));
    EXPECT_NEAR(view(atGrateHeight(*field, kUsualGrateM)), view(*field), 1e-9);
    EXPECT_EQ(atGrateHeight(*field, 0), *field);
    EXPECT_EQ(seenBy(atGrateHeight(*field, 0.24), Face::bottom, Term::view)->provenance,
              Provenance::assumed);
}

// Coals between two ovens heat the lower from above and the upper from below: a stack takes fewer
// than as many ovens alone (common practice, no source).
TEST(CoalPlan, AStackSharesItsCoals) {
    const Kitchen camp = yard(ApplianceKind::ironOven);
    CoalWish wish;
    wish.insideK = 450;
    const auto alone = coalPlan(camp, camp.appliances[0], wish, camp.sites[0]);
    wish.stacked = 3;
    const auto stack = coalPlan(camp, camp.appliances[0], wish, camp.sites[0]);
    ASSERT_TRUE(alone && stack);
    EXPECT_TRUE(alone->layers.empty());
    ASSERT_EQ(stack->layers.size(), 4u);
    EXPECT_EQ(stack->layers.front(), alone->first.under);
    EXPECT_EQ(stack->layers.back(), alone->first.lid);
    int all = 0;
    for (const int layer : stack->layers)
        all += layer;
    EXPECT_LT(all, 3 * (alone->first.under + alone->first.lid));
    wish.stacked = 9;
    EXPECT_FALSE(coalPlan(camp, camp.appliances[0], wish, camp.sites[0]));
}

/// The grill rated on a still day of 20 °C, all burners high.
Kitchen ratedGrill(double airC, double u) {
    Kitchen out = yard(ApplianceKind::gasGrill);
    out.sites[0].ambient = Temperature::celsius(20);
    const Appliance& grill = out.appliances[0];
    RatedNumber number;
    number.setting = possibleSettings(grill.controls, 3, 999).back();
    number.zone = grill.zones.front().name;
    number.number = {{Face::all, Term::air}, airC + 273.15, u, Provenance::measured, "r1"};
    out.rated["it"] = {number};
    return out;
}

TEST(CookDay, AColdWindyDayTakesFromAGrillAndNotFromAnOven) {
    const Kitchen then = ratedGrill(240, 5);
    const Kitchen now = onDay(then, {"yard", Temperature::celsius(0), 6});
    const FieldNumber &was = then.rated.at("it")[0].number, &is = now.rated.at("it")[0].number;
    EXPECT_LT(is.value, was.value - 10);
    EXPECT_GT(is.value, was.value - 90);
    EXPECT_GT(is.u, was.u) << "what the weather does is known only roughly";
    EXPECT_EQ(is.provenance, Provenance::measured) << "it still rests on that test";
    EXPECT_EQ(now.sites[0].windMPerS, 6);
    CookDay high{"yard", Temperature::celsius(20), 0, 3000};
    EXPECT_NEAR(boilingPointAt(onDay(then, high).sites[0]).celsius(), 90, 0.5)
        << "water boils at 90 °C at 3,000 m (ICAO atmosphere and steam tables)";
    const Kitchen same = onDay(then, {"yard", Temperature::celsius(20), 0});
    EXPECT_NEAR(same.rated.at("it")[0].number.value, was.value, 1e-9);
    EXPECT_NEAR(same.rated.at("it")[0].number.u, was.u, 1e-9);
    EXPECT_EQ(onDay(then, {"elsewhere", Temperature::celsius(0), 6}).sites, then.sites);
    Kitchen oven = yard(ApplianceKind::stillOven);
    RatedNumber number;
    number.setting = *parseSetting(oven.appliances[0].controls, "oven=200C");
    number.zone = "middle";
    number.number = {{Face::all, Term::air}, 470, 3, Provenance::measured, "r1"};
    oven.rated["it"] = {number};
    EXPECT_EQ(onDay(oven, {"yard", Temperature::celsius(0), 6}).rated.at("it"), oven.rated["it"]);
}

// Crowded food steams itself (common practice, no source).
TEST(Crowded, SidesAreHiddenAndTheAirIsMoist) {
    const Appliance oven = placed(ApplianceKind::fanOven);
    Place at;
    at.zone = oven.zones.front().name;
    const auto field = typicalField(oven, *parseSetting(oven.controls, "oven=200C"), at);
    ASSERT_TRUE(field);
    EXPECT_EQ(crowded(*field, 0), *field);
    const HeatField few = crowded(*field, 0.2), full = crowded(*field, 1);
    const auto of = [](const HeatField& f, Face face, Term term) {
        return seenBy(f, face, term)->value;
    };
    EXPECT_LT(of(full, Face::side, Term::hAir), of(few, Face::side, Term::hAir));
    EXPECT_LT(of(few, Face::side, Term::hAir), of(*field, Face::side, Term::hAir));
    EXPECT_GT(of(full, Face::top, Term::vapour), of(*field, Face::top, Term::vapour) + 5000);
    EXPECT_EQ(of(full, Face::top, Term::hAir), of(*field, Face::top, Term::hAir));
    EXPECT_GT(seenBy(full, Face::side, Term::hAir)->u,
              0.3 * seenBy(*field, Face::side, Term::hAir)->u);
    HeatField bath;
    put(bath, {{Face::all, Term::liquid}, 330});
    EXPECT_EQ(crowded(bath, 1), bath);
}

} // namespace
