// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Every caution is reached by something that a kitchen can do, and stands before the step.
#include "words/cautions.h"

#include "words/coal_words.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::words;

kitchen::Kitchen everyKind() {
    kitchen::Kitchen k;
    for (const kitchen::ApplianceKind kind : kitchen::allKinds()) {
        auto a = *kitchen::typicalAppliance(kind);
        a.id = a.name = enumName(kind);
        k.appliances.push_back(a);
    }
    for (const char* material : {"cast-iron", "glass", "non-stick", "stainless"}) {
        kitchen::Vessel& vessel = k.vessels.emplace_back();
        vessel.id = vessel.material = material;
    }
    return k;
}

std::vector<recipe::FoodPiece> pieces() {
    std::vector<recipe::FoodPiece> out;
    for (const food::Food& food : food::shippedFoods()) {
        recipe::FoodPiece plain;
        plain.food = food;
        plain.form = food.usualForm;
        out.push_back(plain);
        recipe::FoodPiece other = plain;
        other.fat = "butter";
        other.surface = recipe::SurfaceState::wet;
        other.form = food::Form::bladed;
        other.startK = 250;
        other.temperedS = 3600;
        out.push_back(other);
    }
    return out;
}

TEST(Cautions, EveryLineIsReachedByACook) {
    const kitchen::Kitchen k = everyKind();
    std::set<std::string> reached;
    const auto take = [&](const std::vector<Caution>& list) {
        for (const Caution& c : list)
            reached.insert(c.id);
    };
    const auto all = pieces();
    for (const kitchen::Appliance& a : k.appliances)
        for (const kitchen::Setting& setting : kitchen::possibleSettings(a.controls, 3, 12)) {
            recipe::Stage stage;
            stage.place = {a.id, setting, a.zones.front().name, "", false};
            for (const recipe::FoodPiece& piece : all)
                take(cautionsFor(cautionFacts(stage, piece, k)));
            stage.handling.cover = recipe::Cover::lid;
            stage.handling.waterAdded = true;
            stage.end.afterS = 3 * 3600;
            stage.waitS = 600;
            recipe::Step feed;
            feed.setting = setting;
            stage.handling.steps.push_back(feed);
            for (const kitchen::Vessel& vessel : k.vessels) {
                stage.place.vesselId = vessel.id;
                take(cautionsFor(cautionFacts(stage, all.front(), k)));
            }
        }
    for (const Caution& c : cautionsFor({"coals", "iron_oven", "own_lid", "refuel", "stacked"}))
        reached.insert(c.id);
    for (const Caution& c : allCautions()) {
        EXPECT_TRUE(reached.contains(c.id)) << c.id;
        EXPECT_TRUE(c.text.ends_with('.')) << c.id;
    }
    EXPECT_GE(coalCautions().size(), 4u);
}

TEST(Cautions, StandOnceBeforeTheStepThatNeedsThem) {
    const kitchen::Kitchen k = everyKind();
    recipe::FoodPiece steak;
    steak.food = *food::findFood("beef-lean");
    const auto stageOn = [&](const char* id) {
        recipe::Stage stage;
        const auto& a = *findAppliance(k, id);
        stage.place = {id, kitchen::usualSetting(a.controls), a.zones.front().name, "", false};
        return stage;
    };
    const auto lists = cautionsOf({stageOn("still_oven"), stageOn("charcoal_kettle")}, steak, k);
    ASSERT_EQ(lists.size(), 2u);
    const auto has = [](const std::vector<Caution>& list, const char* id) {
        return std::any_of(list.begin(), list.end(), [&](const Caution& c) { return c.id == id; });
    };
    EXPECT_TRUE(has(lists[0], "raw-apart"));
    EXPECT_FALSE(has(lists[1], "raw-apart")) << "said already";
    EXPECT_FALSE(has(lists[0], "carbon-monoxide"));
    EXPECT_TRUE(has(lists[1], "carbon-monoxide"));
    EXPECT_FALSE(has(lists[0], "oil-fire")) << "nothing is fried";
}

} // namespace
