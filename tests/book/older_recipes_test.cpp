// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Recipes of format 4, where the last stage stood in columns and the others in JSON, opened today.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "kitchen/typical.h"

#include <fstream>
#include <sstream>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

/// A book as format 4 had it: today's kitchen, yesterday's table of recipes.
class OlderRecipes : public book::testing::BookFolder {
  protected:
    void SetUp() override {
        BookFolder::SetUp();
        {
            auto book = *Book::create(path(), kWhen);
            kitchen::Site site;
            site.id = site.name = "s";
            ASSERT_TRUE(addSite(book, site, kWhen));
            for (const auto& [kind, id] : {std::pair{kitchen::ApplianceKind::gasGrill, "grill"},
                                           {kitchen::ApplianceKind::stillOven, "oven"}}) {
                auto a = *kitchen::typicalAppliance(kind);
                a.id = a.name = id;
                a.siteId = "s";
                ASSERT_TRUE(addAppliance(book, a, kWhen));
            }
            auto& db = book.database();
            db.exec("PRAGMA foreign_keys = OFF");
            db.exec("DROP TABLE recipe");
            db.exec(tableOfFormat1());
            db.exec("ALTER TABLE recipe ADD COLUMN piece_json TEXT NOT NULL DEFAULT '{}'");
            db.exec("ALTER TABLE recipe ADD COLUMN stages_json TEXT NOT NULL DEFAULT '{}'");
            db.exec("UPDATE book_info SET value = '4' WHERE key = 'min_reader'");
            db.exec("PRAGMA user_version = 4");
        }
    }
    /// CREATE TABLE recipe(…) as the first migration wrote it.
    static std::string tableOfFormat1() {
        std::ifstream in(std::string(MIGRATIONS) + "/001.sql");
        std::stringstream all;
        all << in.rdbuf();
        const std::string text = all.str();
        const auto from = text.find("CREATE TABLE recipe(");
        return text.substr(from, text.find(';', from) - from + 1);
    }
    void insert(const std::string& id, const std::string& piece, const std::string& stages) {
        SQLite::Database db(path(), SQLite::OPEN_READWRITE);
        SQLite::Statement s(db,
                            "INSERT INTO recipe VALUES (?,'Ribs','Ada','It''s hot: 180 °C',"
                            "'oven','oven=180C','middle',NULL,'pork-loin','bladed','block',0.05,"
                            "280,340,'pull',338,342,'soft',0,1,NULL,?,?)");
        s.bind(1, id);
        s.bind(2, piece);
        s.bind(3, stages);
        s.exec();
    }
    std::vector<recipe::Recipe> opened() {
        auto book = Book::open(path());
        EXPECT_TRUE(book.has_value()) << book.error().message;
        const auto kitchen = *loadKitchen(*book);
        const auto lines = *listRecipes(*book, kitchen);
        for (const RecipeLine& line : lines)
            EXPECT_FALSE(line.missing.has_value());
        EXPECT_EQ(*checkBook(*book), "ok");
        return *loadRecipes(*book, kitchen);
    }
};

TEST_F(OlderRecipes, BecomeUniformStagesInTheirOrder) {
    insert("r",
           R"({"width_m":0.09,"bone":"one side","fat_cap_m":0.004,"surface":"wet","tempered_s":600,
               "seasonings":["pepper"],"fat":"","others_m":[0.04],"rounds":2})",
           R"({"before":[{"appliance_id":"grill","setting":"burners=high/high/high;lid=closed",
               "zone":"direct","vessel_id":"","lid_open":true,"ends_after_s":240,"edges_down":false,
               "wait_s":90,"wait_tented":true,"ends_at_core_k":310.5}],"last_for_s":1800,
               "last_lid_open":false,"rest":{"on_board":true,"tented":true,"shortest_s":700}})");
    const auto recipes = opened();
    ASSERT_EQ(recipes.size(), 1u);
    const recipe::Recipe& r = recipes.front();
    EXPECT_EQ(r.id, "r");
    EXPECT_EQ(r.name, "Ribs");
    EXPECT_EQ(r.text, "It's hot: 180 °C");
    EXPECT_EQ(r.piece.food.id, "pork-loin");
    EXPECT_EQ(r.piece.form, food::Form::bladed);
    EXPECT_EQ(r.piece.shape, heat::Shape::block);
    EXPECT_EQ(r.piece.widthM, 0.09);
    EXPECT_EQ(r.piece.bone, heat::Bone::oneSide);
    EXPECT_EQ(r.piece.rounds, 2);
    EXPECT_EQ(r.piece.othersM, (std::vector<double>{0.04}));
    EXPECT_EQ(r.goal, (recipe::Goal{340, food::GoalMoment::pull, 338, 342, "soft"}));
    ASSERT_EQ(r.stages.size(), 2u);
    EXPECT_EQ(r.stages[0].place.applianceId, "grill");
    EXPECT_EQ(r.stages[0].place.zone, "direct");
    EXPECT_TRUE(r.stages[0].place.lidOpen);
    EXPECT_EQ(r.stages[0].end, (recipe::StageEnd{240, 310.5}));
    EXPECT_EQ(r.stages[0].waitS, 90);
    EXPECT_TRUE(r.stages[0].waitTented);
    EXPECT_EQ(r.stages[1].place.applianceId, "oven");
    EXPECT_FALSE(r.stages[1].place.lidOpen);
    EXPECT_EQ(r.stages[1].end, (recipe::StageEnd{1800, {}}));
    EXPECT_EQ(r.rest.shortestS, 700);
    EXPECT_TRUE(r.rest.onBoard && r.rest.tented);
}

TEST_F(OlderRecipes, WithoutJsonOrWithDamagedJsonKeepWhatTheirColumnsSay) {
    insert("empty", "{}", "{}");
    insert("damaged", "{\"width_m\":", "not json");
    const auto recipes = opened();
    ASSERT_EQ(recipes.size(), 2u);
    for (const recipe::Recipe& r : recipes) {
        EXPECT_EQ(r.stages.size(), 1u) << r.id;
        EXPECT_TRUE(r.last().end.byGoal()) << r.id;
        EXPECT_EQ(r.piece.thicknessM, 0.05) << r.id;
        EXPECT_EQ(r.rest, recipe::Rest{}) << r.id;
    }
}

} // namespace
