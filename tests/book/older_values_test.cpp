// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Tests of format 5, where a number stood for a choice, opened today: the word stands there.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "book/test_store.h"
#include "kitchen/typical.h"

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class OlderValues : public book::testing::BookFolder {
  protected:
    void SetUp() override {
        BookFolder::SetUp();
        auto book = *Book::create(path(), kWhen);
        kitchen::Site site;
        site.id = site.name = "s";
        ASSERT_TRUE(addSite(book, site, kWhen));
        auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        oven.id = oven.name = "oven";
        oven.siteId = "s";
        ASSERT_TRUE(addAppliance(book, oven, kWhen));
    }
    /// What a test of format 5 with these values is read as today.
    TestRecord opened(const std::string& protocol, const std::string& values) {
        {
            auto book = *Book::open(path());
            TestRecord test;
            test.id = "t";
            test.applianceId = "oven";
            test.protocol = protocol;
            test.setting = "oven=180C";
            test.zone = "middle";
            test.setStarted(kWhen);
            EXPECT_TRUE(addTest(book, test, kWhen));
            auto& db = book.database();
            SQLite::Statement s(db, "UPDATE test SET values_json = ? WHERE id = 't'");
            s.bind(1, values);
            s.exec();
            db.exec("UPDATE book_info SET value = '5' WHERE key = 'min_reader'");
            db.exec("PRAGMA user_version = 5");
        }
        auto book = Book::open(path());
        EXPECT_TRUE(book.has_value()) << book.error().message;
        EXPECT_EQ(*checkBook(*book), "ok");
        auto read = loadTest(*book, "t");
        EXPECT_TRUE(read.has_value()) << read.error().message;
        return *read;
    }
};

TEST_F(OlderValues, TheLidOfAnIronOvenStaysTheLid) {
    const auto test = opened("surface-map", R"({"surface": 2.0, "per_row": 4.0})");
    EXPECT_EQ(test.choices, (std::map<std::string, std::string>{{"surface", "lid"}}));
    EXPECT_EQ(test.values, (std::map<std::string, double>{{"per_row", 4}}));
}

TEST_F(OlderValues, HeatFromAboveStaysAbove) {
    const auto test = opened("one-face-block", R"({"from_below": 0.0, "air_C": 100.0})");
    EXPECT_EQ(test.choices.at("heat_from"), "above");
    EXPECT_FALSE(test.values.contains("from_below"));
}

TEST_F(OlderValues, StoneAndBathStayWhatTheyWere) {
    EXPECT_EQ(opened("load-dip", R"({"stone": 1.0})").choices.at("material"), "stone");
}

TEST_F(OlderValues, ABathStaysABath) {
    EXPECT_EQ(opened("preheat", R"({"liquid": 1.0, "set_C": 60})").choices.at("medium"), "liquid");
}

TEST_F(OlderValues, ChoicesAreKeptAsWords) {
    auto book = *Book::open(path());
    TestRecord test;
    test.id = "n";
    test.applianceId = "oven";
    test.protocol = "load-dip";
    test.setting = "oven=180C";
    test.zone = "middle";
    test.setStarted(kWhen);
    test.values = {{"load_kg", 0.8}};
    test.choices = {{"material", "stone"}};
    ASSERT_TRUE(addTest(book, test, kWhen));
    const auto read = loadTest(book, "n");
    ASSERT_TRUE(read.has_value());
    EXPECT_EQ(read->choices, test.choices);
    EXPECT_EQ(read->values, test.values);
}

} // namespace
