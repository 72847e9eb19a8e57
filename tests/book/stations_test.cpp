// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Several stations exchange changes: what only one of them changed is taken without a question, and
// only what two changed apart is asked.
#include "book/bundle/bundle.h"
#include "book/bundle/thing_was.h"
#include "book/demo_folder.h"
#include "book/kitchen_store.h"
#include "kitchen/typical.h"

#include <gtest/gtest.h>
#include <map>
#include <random>
#include <sstream>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class Stations : public book::testing::DemoFolder {
  protected:
    Book demo(const std::string& name) {
        return std::move(*Book::open(DemoFolder::demo(name.c_str())));
    }
    Book small(const char* name, std::size_t appliances) {
        Book out = std::move(*Book::create(path(name), kWhen));
        kitchen::Site home;
        home.id = home.name = "home";
        EXPECT_TRUE(addSite(out, home, kWhen));
        for (std::size_t i = 0; i < appliances; ++i) {
            auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
            oven.id = oven.name = "oven " + std::to_string(i);
            oven.siteId = "home";
            EXPECT_TRUE(addAppliance(out, oven, kWhen));
        }
        return out;
    }
    static std::string sent(Book& book) {
        std::ostringstream out;
        EXPECT_TRUE(writeBundle(book, out));
        return out.str();
    }
    Book stationFrom(Book& book, const char* name) {
        std::istringstream in(sent(book));
        EXPECT_TRUE(bookFromBundle(path(name), in));
        return std::move(*Book::open(path(name)));
    }
    static BundleChanges take(Book& into, const std::string& bundle,
                              const std::optional<std::set<ThingRef>>& theirs = std::nullopt) {
        std::istringstream in(bundle);
        const auto taken = takeIn(into, in, theirs);
        EXPECT_TRUE(taken) << taken.error().message;
        return taken.value_or(BundleChanges{});
    }
    static void rename(Book& book, std::size_t at, const std::string& name) {
        kitchen::Appliance one = loadKitchen(book).value().appliances[at];
        one.name = name;
        ASSERT_TRUE(changeAppliance(book, one));
    }
    static std::string nameOf(Book& book, std::size_t at) {
        return loadKitchen(book).value().appliances[at].name;
    }
};

TEST_F(Stations, WhatOnlyTheyChangedIsTakenAndWhatOnlyWeChangedStays) {
    Book ours = demo("ours.dynamet");
    Book theirs = stationFrom(ours, "theirs.dynamet");
    rename(theirs, 0, "Renamed there");
    rename(ours, 1, "Renamed here");
    const BundleChanges taken = take(ours, sent(theirs));
    ASSERT_EQ(taken.conflicts.size(), 1u);
    EXPECT_TRUE(taken.conflicts[0].onlyTheirs);
    EXPECT_EQ(taken.newerHere, 1u);
    EXPECT_EQ(nameOf(ours, 0), "Renamed there");
    EXPECT_EQ(nameOf(ours, 1), "Renamed here");
    // And back: one key each way, nothing asked.
    const BundleChanges back = take(theirs, sent(ours));
    ASSERT_EQ(back.conflicts.size(), 1u);
    EXPECT_TRUE(back.conflicts[0].onlyTheirs);
    EXPECT_EQ(nameOf(theirs, 1), "Renamed here");
    EXPECT_EQ(take(ours, sent(theirs)).conflicts.size(), 0u);
}

TEST_F(Stations, WhatBothChangedIsAskedUntilSomebodyChoseAndThenNeverAgain) {
    Book ours = demo("ours.dynamet");
    Book theirs = stationFrom(ours, "theirs.dynamet");
    rename(ours, 0, "Ours");
    rename(theirs, 0, "Theirs");
    const std::string bundle = sent(theirs);
    for (int i = 0; i < 2; ++i) { // nobody chose: it is asked again
        const BundleChanges asked = take(ours, bundle);
        ASSERT_EQ(asked.conflicts.size(), 1u);
        EXPECT_FALSE(asked.conflicts[0].onlyTheirs);
        EXPECT_EQ(nameOf(ours, 0), "Ours");
    }
    take(ours, bundle, std::set<ThingRef>{}); // ours counts
    EXPECT_EQ(take(ours, bundle).newerHere, 1u);
    const BundleChanges there = take(theirs, sent(ours));
    ASSERT_EQ(there.conflicts.size(), 1u);
    EXPECT_TRUE(there.conflicts[0].onlyTheirs) << "ours has seen theirs";
    EXPECT_EQ(nameOf(theirs, 0), "Ours");
}

TEST_F(Stations, BytesComeBackWithWhatThingsWereBefore) {
    Book ours = demo("ours.dynamet");
    const std::string first = sent(ours);
    EXPECT_EQ(sent(ours), first) << "that it was sent changes nothing";
    rename(ours, 0, "Later");
    const std::string second = sent(ours);
    EXPECT_NE(second.find(kWasBefore), std::string::npos);
    Book again = stationFrom(ours, "again.dynamet");
    EXPECT_EQ(sent(again), second);
}

TEST_F(Stations, DigestsThatAreNoneAreRefused) {
    Book ours = demo("ours.dynamet");
    rename(ours, 0, "Once");
    sent(ours);
    rename(ours, 0, "Twice");
    std::string bundle = sent(ours);
    bundle.replace(bundle.find(kWasBefore) + 13, 4, "\"zz\"");
    std::istringstream in(bundle);
    EXPECT_FALSE(takeIn(ours, in));
}

// Three stations, many evenings, in any order: beside them each thing's whole history is kept as a
// set of events (the vector-clock order of events, Fidge 1988, Mattern 1989), which says what has
// to be asked and what not.
TEST_F(Stations, AnyOrderOfExchangesAsksExactlyWhatWasChangedApart) {
    struct Known {
        int head = 0;
        std::set<int> events{0};
    };
    constexpr std::size_t kStations = 3, kThings = 3;
    std::vector<Book> books;
    books.push_back(small("0.dynamet", kThings));
    books.push_back(stationFrom(books[0], "1.dynamet"));
    books.push_back(stationFrom(books[0], "2.dynamet"));
    Known known[kStations][kThings];
    std::mt19937 random(5);
    int event = 0, asked = 0, fast = 0;
    for (int step = 0; step < 120; ++step) {
        const std::size_t to = random() % kStations, thing = random() % kThings;
        if (random() % 3 == 0) {
            rename(books[to], thing, "Event " + std::to_string(++event));
            known[to][thing].head = event;
            known[to][thing].events.insert(event);
            continue;
        }
        const std::size_t from = (to + 1 + random() % (kStations - 1)) % kStations;
        const std::string bundle = sent(books[from]);
        std::istringstream in(bundle);
        const auto seen = changesIn(books[to], in);
        ASSERT_TRUE(seen);
        std::size_t onlyTheirs = 0, both = 0, newer = 0;
        std::set<ThingRef> theirs;
        for (std::size_t i = 0; i < kThings; ++i) {
            Known &mine = known[to][i], &other = known[from][i];
            if (mine.head == other.head)
                continue;
            const std::string id = loadKitchen(books[to]).value().appliances[i].id;
            const bool ahead = other.events.contains(mine.head);
            const bool behind = mine.events.contains(other.head);
            onlyTheirs += ahead && !behind;
            newer += behind && !ahead;
            both += ahead == behind;
            if (ahead || (!behind && random() % 2)) { // of what is asked: one or the other
                theirs.insert({"appliance", id});
                mine.head = other.head;
            }
            mine.events.insert(other.events.begin(), other.events.end());
        }
        std::size_t saysOnly = 0;
        for (const BundleConflict& one : seen->conflicts)
            saysOnly += one.onlyTheirs;
        EXPECT_EQ(saysOnly, onlyTheirs) << step;
        EXPECT_EQ(seen->conflicts.size() - saysOnly, both) << step;
        EXPECT_EQ(seen->newerHere, newer) << step;
        asked += int(both);
        fast += int(onlyTheirs + newer);
        take(books[to], bundle, theirs);
        for (std::size_t i = 0; i < kThings; ++i)
            if (known[to][i].head > 0) {
                EXPECT_EQ(nameOf(books[to], i), "Event " + std::to_string(known[to][i].head));
            }
    }
    EXPECT_GT(asked, 3);
    EXPECT_GT(fast, 3 * asked / 2);
}

} // namespace
