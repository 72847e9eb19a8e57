// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Cooks in the book: on disk as they happen, found again, searched, learned from.
#include "book/book_folder.h"
#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/log_text.h"
#include "book/recipe_request.h"
#include "book/test_store.h"
#include "run/roast.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class CookStore : public book::testing::BookFolder {
  protected:
    /// A book with the small kitchen's oven and its roast.
    Book kitchenBook() {
        auto book = Book::create(path(), kWhen);
        EXPECT_TRUE(book.has_value());
        kitchen::Site home;
        home.id = home.name = "home";
        EXPECT_TRUE(addSite(*book, home, kWhen));
        kitchen::Appliance still = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        still.id = still.name = "still";
        still.siteId = "home";
        EXPECT_TRUE(addAppliance(*book, still, kWhen));
        return std::move(*book);
    }
    CookRun runOf(const char* id, const char* cookId) {
        CookRun out;
        out.id = id;
        out.name = "Sunday roast";
        out.began = kWhen;
        CookRecord cook = recordOf(roast_.question().planned, "Sunday roast");
        cook.recipeId = "r";
        cook.id = cookId;
        cook.person = "Ann";
        out.cooks = {cook};
        return out;
    }
    run::testing::Roast roast_;
};

TEST_F(CookStore, ARunThatWasCutOffIsWhereItWas) {
    {
        Book book = kitchenBook();
        const auto kitchen = loadKitchen(book).value();
        ASSERT_TRUE(beginCooks(book, runOf("run", "a"), kitchen));
        EXPECT_EQ(addEntry(book, "a", {0, 5, run::What::foodIn, 0, ""}).value(), 1);
        EXPECT_EQ(addEntry(book, "a", {0, 600, run::What::turned, 0, ""}).value(), 2);
        EXPECT_EQ(addEntry(book, "a", {0, 610, run::What::takenBack, 2, ""}).value(), 3);
        ASSERT_TRUE(addReadings(book, "a", {{10, 280, false}, {20, 281, false}}));
        ASSERT_TRUE(addReadings(book, "a", {{20, 999, false}})); // the same moment stays as it was
    }
    Book book = std::move(*Book::open(path()));
    const auto kitchen = loadKitchen(book).value();
    const auto open = openRun(book, kitchen);
    ASSERT_TRUE(open && *open);
    EXPECT_EQ((*open)->began.utcMs, kWhen.utcMs);
    ASSERT_EQ((*open)->cooks.size(), 1u);
    const CookRecord& cook = (*open)->cooks[0];
    ASSERT_FALSE(cook.unreadable) << cook.unreadable->message;
    EXPECT_NEAR(cook.planned.pullK, roast_.question().planned.pullK, 1e-9);
    const auto entries = loadEntries(book, "a").value();
    EXPECT_EQ(entries.size(), 3u);
    EXPECT_EQ(run::standingOf(run::standing(entries)).turns, 0);
    const auto readings = loadReadings(book, "a").value();
    ASSERT_EQ(readings.size(), 2u);
    EXPECT_EQ(readings[1].kelvin, 281);
    ASSERT_TRUE(endCooks(book, "run", kWhen));
    EXPECT_FALSE(*openRun(book, kitchen));
    EXPECT_EQ(listCooks(book, kitchen).value().size(), 1u);
}

TEST_F(CookStore, IsFoundByItsWordsAndHiddenWhenItIsWithdrawn) {
    Book book = kitchenBook();
    const auto kitchen = loadKitchen(book).value();
    ASSERT_TRUE(beginCooks(book, runOf("run", "a"), kitchen));
    ASSERT_TRUE(endCooks(book, "run", kWhen));
    run::Judged judged;
    judged.verdict = "Überraschend saftig";
    judged.nextTime = "ten degrees less";
    ASSERT_TRUE(judgeCook(book, "a", judged));
    TestRecord test;
    test.id = "t";
    test.applianceId = "still";
    test.protocol = "preheat";
    test.setting = "oven=180C";
    test.zone = "middle";
    test.siteId = "home";
    test.operatorName = "Ben";
    test.setStarted(kWhen);
    ASSERT_TRUE(addTest(book, test, kWhen));
    const auto found = [&](LogFilter filter) { return logLines(book, filter).value().size(); };
    LogFilter filter;
    EXPECT_EQ(found(filter), 2u);
    for (const char* words : {"saftig", "uberraschend", "degr", "SUNDAY roast", "ten less"}) {
        filter.text = words;
        EXPECT_EQ(found(filter), 1u) << words;
    }
    for (const char* words : {"bitter", "saftig bitter"}) {
        filter.text = words;
        EXPECT_EQ(found(filter), 0u) << words;
    }
    // What looks like a command of the search is a word like any other.
    for (const char* odd : {"\"", "NOT", "*", "a AND (", "title:", "-", "'; DROP TABLE cook"}) {
        filter.text = odd;
        EXPECT_TRUE(logLines(book, filter)) << odd;
    }
    filter = {};
    filter.person = "Ben";
    EXPECT_EQ(found(filter), 1u);
    filter = {};
    filter.kind = "cook";
    EXPECT_EQ(found(filter), 1u);
    EXPECT_EQ(lastNextTime(book, "r").value(), "ten degrees less");
    const auto lines = logLines(book, {}).value();
    EXPECT_NE(logCsv(lines).find("Überraschend"), std::string::npos);
    EXPECT_NE(logJson(lines).find("\"dynamet-logbook\""), std::string::npos);
    ASSERT_TRUE(withdrawCook(book, "a", kWhen));
    EXPECT_EQ(found(filter), 0u);
    ASSERT_TRUE(withdrawCook(book, "a", std::nullopt));
    EXPECT_EQ(found(filter), 1u);
    EXPECT_EQ(checkBook(book).value(), "ok");
}

TEST_F(CookStore, AcceptedCooksAreBelievedAndAnOldRatingsPartIsForgotten) {
    Book book = kitchenBook();
    const auto kitchen = loadKitchen(book).value();
    ASSERT_TRUE(beginCooks(book, runOf("run", "a"), kitchen));
    ASSERT_TRUE(endCooks(book, "run", kWhen));
    run::Question question = roast_.question();
    question.readings = roast_.readings(1.1, question.planned.expectS * 1.1, 20);
    question.nowS = question.readings.back().atS;
    question.entries.push_back({2, question.nowS, run::What::pulled, 0, ""});
    const auto told = run::toldBy(question, "a");
    ASSERT_TRUE(told) << told.error().message;
    ASSERT_TRUE(keepTold(book, "a", toldJson(*told), std::nullopt));
    EXPECT_TRUE(learned(book, kitchen, {}).value().observations().empty()) << "not asked yet";
    ASSERT_TRUE(keepTold(book, "a", toldJson(*told), true));
    const auto belief = learned(book, kitchen, {}).value();
    ASSERT_EQ(belief.observations().size(), 1u);
    EXPECT_FALSE(belief.observations()[0].setAside);
    const auto mentions = [](const evidence::Belief& of, const char* begin) {
        for (const auto& effect : of.observations()[0].effects)
            if (effect.unknown.starts_with(begin))
                return true;
        return false;
    };
    EXPECT_TRUE(mentions(belief, "field:still"));
    const auto later = learned(book, kitchen, {{"still", kWhen.utcMs + 1000}}).value();
    EXPECT_FALSE(mentions(later, "field:still"));
    EXPECT_TRUE(mentions(later, "food:"));
    ASSERT_TRUE(keepTold(book, "a", toldJson(*told), false));
    EXPECT_TRUE(learned(book, kitchen, {}).value().observations()[0].setAside);
    EXPECT_EQ(loadChoicesAndLearned(book, kitchen).value().learned.observations().size(), 1u);
}

} // namespace
