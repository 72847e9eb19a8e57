// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The power goes between any two writes, and what was not synced is lost: the book is whole, and
// everything that was said to be kept is there. Also: a book that is removed under us, and a clock
// that was set back.
#include "book/book_folder.h"
#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/power_cut_vfs.h"
#include "book/recipe_request.h"
#include "book/recipe_store.h"
#include "book/safety/copies.h"
#include "book/safety/seal.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class PowerCut : public book::testing::BookFolder {
  protected:
    /// A cook's evening, step by step; how many were said to be kept.
    static int evening(Book& book) {
        int kept = 0;
        const auto step = [&](const Result<void>& done) { kept += done.has_value(); };
        const auto kitchen = loadKitchen(book);
        if (!kitchen)
            return 0;
        for (int i = 0; i < kSteps; ++i) {
            kitchen::Vessel pan;
            pan.id = "pan" + std::to_string(i);
            pan.name = "Pan " + std::string(200, 'x');
            pan.massKg = 1 + i;
            const auto done = addVessel(book, pan, kWhen);
            step(done);
            if (!done)
                return kept;
        }
        return kept;
    }
    static constexpr int kSteps = 12;
    std::string fresh(const char* name) {
        auto book = Book::create(path(name), kWhen);
        kitchen::Site home;
        home.id = home.name = "home";
        EXPECT_TRUE(addSite(*book, home, kWhen));
        return path(name);
    }
    /// As after a restart: what memory held is gone.
    static void restart(const std::string& file) {
        power_cut::off();
        std::filesystem::remove(file + "-shm");
    }
};

TEST_F(PowerCut, BetweenAnyTwoWritesTheBookIsWholeAndNothingThatWasKeptIsLost) {
    std::size_t all = 0;
    {
        const std::string file = fresh("count.dynamet");
        power_cut::on(0);
        {
            auto book = Book::open(file);
            ASSERT_TRUE(book);
            ASSERT_EQ(evening(*book), kSteps);
        }
        all = power_cut::writes();
        power_cut::off();
    }
    ASSERT_GT(all, 30u);
    int inTheMiddle = 0;
    for (std::size_t cut = 1; cut <= all; ++cut) {
        const std::string file = fresh("cut.dynamet");
        power_cut::on(cut);
        int kept = 0;
        {
            auto book = Book::open(file);
            if (book)
                kept = evening(*book);
        }
        restart(file);
        EXPECT_FALSE(changedOutside(file).value()) << "cut after " << cut << ": it was ourselves";
        auto book = Book::open(file);
        ASSERT_TRUE(book) << "cut after " << cut << ": " << book.error().message;
        EXPECT_EQ(checkBook(*book).value(), "ok") << "cut after " << cut;
        const int there = static_cast<int>(loadKitchen(*book).value().vessels.size());
        // The last step may have got there without its answer.
        EXPECT_GE(there, kept) << "cut after " << cut;
        EXPECT_LE(there, kept + 1) << "cut after " << cut;
        inTheMiddle += kept > 0 && kept < kSteps;
        book = tl::unexpected(Error{});
        for (const char* end : {"", "-wal", "-shm", "-lock"})
            std::filesystem::remove(file + end);
    }
    std::printf("%zu cuts, %d of them in the middle of the evening\n", all, inTheMiddle);
    EXPECT_GT(inTheMiddle, 10);
}

// The shim is no fiction: without a sync what was written is lost with it.
TEST_F(PowerCut, WhatIsNotSyncedIsLostWithIt) {
    const std::string file = path("loose.db");
    power_cut::on(0);
    {
        SQLite::Database db(file, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
        db.exec("PRAGMA synchronous = OFF");
        db.exec("CREATE TABLE t(x); INSERT INTO t VALUES (1)");
    }
    restart(file);
    SQLite::Database db(file, SQLite::OPEN_READWRITE);
    EXPECT_THROW(db.execAndGet("SELECT x FROM t"), SQLite::Exception);
}

// A stick that is pulled out, a folder that is moved: what is written then is refused or lands in
// the file that is open; nothing is said to be kept in a book that is not there.
TEST_F(PowerCut, ABookThatIsRemovedUnderUsIsNoticed) {
    const std::string file = fresh("gone.dynamet");
    auto book = Book::open(file);
    ASSERT_TRUE(book);
    std::filesystem::rename(file, path("elsewhere.dynamet"));
    const auto whole = quickCheck(file);
    EXPECT_FALSE(whole);
    EXPECT_FALSE(copyToday(file, kWhen)) << "no copy of nothing";
    std::filesystem::rename(path("elsewhere.dynamet"), file);
    EXPECT_EQ(evening(*book), kSteps) << "and back again it goes on";
}

// The clock of the machine was set back by a year: order is that of the entries, nothing is lost.
TEST_F(PowerCut, AClockThatWasSetBackLosesNothing) {
    const std::string file = fresh("clock.dynamet");
    constexpr std::int64_t kYearMs = 365LL * 86400000;
    {
        auto book = Book::open(file);
        kitchen::Vessel pan;
        pan.id = pan.name = "newer";
        ASSERT_TRUE(addVessel(*book, pan, kWhen));
        pan.id = pan.name = "older";
        ASSERT_TRUE(addVessel(*book, pan, {kWhen.utcMs - kYearMs, 60}));
        EXPECT_TRUE(copyToday(file, kWhen).value());
        EXPECT_TRUE(copyToday(file, {kWhen.utcMs - kYearMs, 60}).value());
    }
    auto book = Book::open(file);
    ASSERT_TRUE(book);
    EXPECT_EQ(loadKitchen(*book).value().vessels.size(), 2u);
    ASSERT_EQ(copiesOf(file).size(), 2u);
    EXPECT_GT(copiesOf(file)[0].day, copiesOf(file)[1].day);
}

} // namespace
