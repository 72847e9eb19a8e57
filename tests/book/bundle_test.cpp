// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book as open JSON: out, in, merged, a part of it. The base64 examples are RFC 4648's own.
#include "book/bundle/base64.h"
#include "book/bundle/bundle.h"
#include "book/bundle/table_shape.h"
#include "book/demo_folder.h"
#include "book/kitchen_store.h"
#include "book/log_store.h"
#include "book/recipe_store.h"

#include <fstream>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <sstream>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using nlohmann::json;

class Bundle : public book::testing::DemoFolder {
  protected:
    /// The demo kitchen: all kinds of things, readings, cooks, a menu.
    Book demo(const std::string& name = "k.dynamet") {
        return std::move(*Book::open(DemoFolder::demo(name.c_str())));
    }
    static std::string bundleOf(Book& book) {
        std::ostringstream out;
        const auto written = writeBundle(book, out);
        EXPECT_TRUE(written) << written.error().message;
        return out.str();
    }
    Book bookOf(const std::string& bundle, const std::string& name) {
        std::istringstream in(bundle);
        const auto made = bookFromBundle(path(name.c_str()), in);
        EXPECT_TRUE(made) << made.error().message;
        return std::move(*Book::open(path(name.c_str())));
    }
    static LogFilter about(const char* word) {
        LogFilter out;
        out.text = word;
        return out;
    }
    static std::string refusal(Book& book, const std::string& bundle) {
        std::istringstream in(bundle);
        const auto taken = takeIn(book, in);
        return taken ? "taken" : taken.error().message;
    }
};

TEST_F(Bundle, OutInAndOutAgainGivesTheSameBytes) {
    Book book = demo();
    const std::string once = bundleOf(book);
    Book again = bookOf(once, "again.dynamet");
    EXPECT_EQ(bundleOf(again), once);
    EXPECT_EQ(checkBook(again).value(), "ok");
    // What follows from the tables is there too.
    const auto was = loadKitchen(book).value(), is = loadKitchen(again).value();
    EXPECT_EQ(is.appliances, was.appliances);
    EXPECT_EQ(is.rated, was.rated);
    EXPECT_EQ(logLines(again, {}).value().size(), logLines(book, {}).value().size());
    EXPECT_EQ(logLines(again, about("caraway")).value().size(),
              logLines(book, about("caraway")).value().size());
    // It is open: any reader of JSON finds a thermometer's readings as numbers.
    const json all = json::parse(once);
    EXPECT_EQ(all["format"], "dynamet-bundle");
    for (const json& table : all["tables"])
        if (table["name"] == "test")
            for (const json& test : table["rows"])
                if (test.contains("channel")) {
                    const json& block = test["channel"][0]["reading_block"][0];
                    EXPECT_EQ(block["times_ms"].size(), block["reading_count"]);
                    EXPECT_EQ(block["readings"].size(), block["reading_count"]);
                    EXPECT_TRUE(block["times_ms"][0].is_number_integer());
                }
}

TEST_F(Bundle, EveryTableOfTheBookIsInIt) {
    Book book = demo();
    std::set<std::string> known;
    for (const TableShape& shape : tableShapes(book.database())) {
        known.insert(shape.name);
        EXPECT_TRUE(!shape.id.empty() || !shape.parent.empty()) << shape.name;
    }
    SQLite::Statement tables(book.database(),
                             "SELECT name FROM sqlite_master WHERE type='table' AND name NOT LIKE "
                             "'log_%' AND name NOT LIKE 'sqlite_%' AND name NOT IN "
                             "('newest_number', 'thing_was', 'seal')");
    int count = 0;
    while (tables.executeStep()) {
        ++count;
        EXPECT_TRUE(known.contains(tables.getColumn(0).getString()))
            << tables.getColumn(0).getString();
    }
    EXPECT_GT(count, 25);
    EXPECT_TRUE(known.contains("log_file"));
}

TEST_F(Bundle, TwoKitchensAreMergedAndWhatDiffersIsAsked) {
    Book ours = demo("ours.dynamet"), theirs = demo("theirs.dynamet");
    auto kitchen = loadKitchen(theirs).value();
    kitchen::Appliance changed = kitchen.appliances.front();
    const std::string before = changed.name;
    changed.name = "Renamed there";
    ASSERT_TRUE(changeAppliance(theirs, changed));
    kitchen::Site cellar = kitchen.sites.front();
    cellar.id = newId();
    cellar.name = "Cellar";
    ASSERT_TRUE(addSite(theirs, cellar, {1800000000000, 0}));
    const std::string bundle = bundleOf(theirs);

    std::istringstream look(bundle);
    const auto seen = changesIn(ours, look);
    ASSERT_TRUE(seen) << seen.error().message;
    ASSERT_EQ(seen->added.size(), 1u);
    EXPECT_EQ(seen->added[0].second, "Cellar");
    ASSERT_EQ(seen->conflicts.size(), 1u);
    EXPECT_EQ(seen->conflicts[0].differs, std::vector<std::string>{"name"});
    EXPECT_EQ(seen->conflicts[0].ours, before);
    EXPECT_EQ(seen->conflicts[0].theirs, "Renamed there");
    EXPECT_GT(seen->same, 20u);
    EXPECT_EQ(loadKitchen(ours).value().sites.size(), kitchen.sites.size()) << "only looked";

    std::istringstream keep(bundle);
    ASSERT_TRUE(takeIn(ours, keep));
    EXPECT_EQ(loadKitchen(ours).value().sites.size(), kitchen.sites.size() + 1);
    EXPECT_EQ(findAppliance(loadKitchen(ours).value(), changed.id)->name, before);
    std::istringstream take(bundle);
    ASSERT_TRUE(takeIn(ours, take, std::set<ThingRef>{{"appliance", changed.id}}));
    EXPECT_EQ(findAppliance(loadKitchen(ours).value(), changed.id)->name, "Renamed there");
    EXPECT_EQ(findAppliance(loadKitchen(ours).value(), changed.id)->controls, changed.controls);
    std::istringstream nothing(bundle);
    const auto left = changesIn(ours, nothing);
    ASSERT_TRUE(left);
    EXPECT_TRUE(left->added.empty() && left->conflicts.empty());
    EXPECT_EQ(checkBook(ours).value(), "ok");
}

TEST_F(Bundle, OneRecipeBringsItsApplianceWithItsRatings) {
    Book from = demo();
    const auto kitchen = loadKitchen(from).value();
    const auto recipes = loadRecipes(from, kitchen).value();
    std::ostringstream out;
    ASSERT_TRUE(writePart(from, {{"recipe", recipes[0].id}}, out));
    Book empty = std::move(*Book::create(path("new.dynamet"), {1800000000000, 0}));
    std::istringstream in(out.str());
    const auto taken = takeIn(empty, in);
    ASSERT_TRUE(taken) << taken.error().message;
    EXPECT_TRUE(taken->conflicts.empty());
    const auto now = loadKitchen(empty).value();
    EXPECT_LT(now.appliances.size(), kitchen.appliances.size());
    const auto there = loadRecipes(empty, now).value();
    ASSERT_EQ(there.size(), 1u);
    EXPECT_EQ(there[0], recipes[0]);
    const std::string& on = recipes[0].last().place.applianceId;
    EXPECT_EQ(now.rated.at(on), kitchen.rated.at(on));
    EXPECT_EQ(checkBook(empty).value(), "ok");
    std::istringstream whole(out.str());
    const auto made = bookFromBundle(path("part.dynamet"), whole);
    ASSERT_FALSE(made);
    EXPECT_NE(made.error().message.find("part of a book"), std::string::npos);
    EXPECT_FALSE(std::filesystem::exists(path("part.dynamet")));
}

// What cooks there goes on there: only what is finished comes along.
TEST_F(Bundle, ARunUnderWayStaysWhereItIs) {
    Book ours = demo("ours.dynamet"), theirs = demo("theirs.dynamet");
    theirs.database().exec(
        "INSERT INTO cook_run(id, name, menu_id, began_at_ms, utc_offset_min, created_at_ms) "
        "VALUES ('now', 'Tonight', '', 1, 0, 1);"
        "INSERT INTO cook(id, run_id, position, name, recipe_id, food_id, appliance_id, person, "
        "starts_s, planned_json, judged_json, told_json, created_at_ms) "
        "VALUES ('dish', 'now', 0, 'Roast', '', '', '', '', 0, '{}', '', '', 1)");
    std::istringstream while_(bundleOf(theirs));
    const auto during = takeIn(ours, while_);
    ASSERT_TRUE(during) << during.error().message;
    EXPECT_TRUE(during->added.empty());
    theirs.database().exec("UPDATE cook_run SET ended_at_ms = 9 WHERE id = 'now'");
    std::istringstream after(bundleOf(theirs));
    EXPECT_EQ(takeIn(ours, after)->added.size(), 2u);
}

// 198: a long name was cut in the middle of a letter, and its JSON could not be written.
TEST_F(Bundle, Defect198ALongNameIsCutBetweenLetters) {
    Book ours = demo("ours.dynamet"), theirs = demo("theirs.dynamet");
    for (int letters = 28; letters < 34; ++letters) {
        kitchen::Appliance changed = loadKitchen(theirs).value().appliances.front();
        changed.name = "x";
        for (int i = 0; i < letters; ++i)
            changed.name += letters % 2 ? "ü" : "€";
        ASSERT_TRUE(changeAppliance(theirs, changed));
        std::istringstream in(bundleOf(theirs));
        const auto seen = changesIn(ours, in);
        ASSERT_TRUE(seen) << seen.error().message;
        ASSERT_EQ(seen->conflicts.size(), 1u);
        EXPECT_NO_THROW((void)json(seen->conflicts[0].theirs).dump());
    }
}

TEST_F(Bundle, WhatCannotBeTakenInIsRefusedWhole) {
    Book book = demo();
    const std::string good = bundleOf(book);
    const auto with = [&](const std::string& old, const std::string& now) {
        std::string out = good;
        const auto at = out.find(old);
        EXPECT_NE(at, std::string::npos) << old;
        return out.replace(at, old.size(), now);
    };
    Book empty = std::move(*Book::create(path("new.dynamet"), {1800000000000, 0}));
    EXPECT_NE(refusal(empty, good.substr(0, good.size() / 2)).find("cut off"), std::string::npos);
    EXPECT_NE(refusal(empty, "[]").find("no Dynamet bundle"), std::string::npos);
    EXPECT_NE(refusal(empty, "").find("damaged"), std::string::npos);
    EXPECT_NE(refusal(empty, with("\"version\":2", "\"version\":3")).find("newer"),
              std::string::npos);
    EXPECT_NE(refusal(empty, with("\"name\":\"site\"", "\"name\":\"sitting\"")).find("no table"),
              std::string::npos);
    EXPECT_NE(refusal(empty, with("\"altitude_m\":", "\"height_m\":")).find("height_m"),
              std::string::npos);
    EXPECT_NE(refusal(empty, with("\"altitude_m\":", "\"altitude_m\":\"high\",\"x\":"))
                  .find("\"altitude_m\" is no REAL"),
              std::string::npos);
    // Its site is gone: the appliance hangs in the air.
    const json all = json::parse(good);
    json cut = all;
    for (json& table : cut["tables"])
        if (table["name"] == "site")
            table["rows"] = json::array();
    EXPECT_NE(refusal(empty, cut.dump()).find("not whole"), std::string::npos);
    EXPECT_TRUE(loadKitchen(empty).value().appliances.empty()) << "nothing was changed";
    EXPECT_TRUE(loadKitchen(empty).value().sites.empty());
}

TEST(Base64, IsThatOfTheStandard) {
    const std::pair<const char*, const char*> pairs[] = {{"", ""},
                                                         {"f", "Zg=="},
                                                         {"fo", "Zm8="},
                                                         {"foo", "Zm9v"},
                                                         {"foob", "Zm9vYg=="},
                                                         {"fooba", "Zm9vYmE="},
                                                         {"foobar", "Zm9vYmFy"}};
    for (const auto& [bytes, text] : pairs) {
        EXPECT_EQ(base64(bytes), text);
        EXPECT_EQ(fromBase64(text), bytes);
    }
    for (const char* bad : {"Zg=", "Z", "Zg==Zg==", "****", "Zh=="})
        EXPECT_THROW((void)fromBase64(bad), Error) << bad;
}

} // namespace
