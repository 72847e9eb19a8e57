// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book that is closed is sealed: what changes the file before it is opened again is noticed, and
// what this program does with it is not.
#include "book/demo_folder.h"
#include "book/kitchen_store.h"
#include "book/safety/copies.h"
#include "book/safety/digest.h"
#include "book/safety/seal.h"

#include <fstream>
#include <gtest/gtest.h>
#include <random>
#include <sys/wait.h>
#include <unistd.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class Seal : public book::testing::DemoFolder {
  protected:
    static void rename(Book& book, const std::string& name) {
        kitchen::Appliance one = loadKitchen(book).value().appliances.front();
        one.name = name;
        ASSERT_TRUE(changeAppliance(book, one));
    }
    /// What another program would do.
    static void outside(const std::string& file, const char* sql) {
        SQLite::Database db(file, SQLite::OPEN_READWRITE);
        db.exec(sql);
    }
};

// FIPS 180-4, example of one block, cut to its first half.
TEST(Digest, IsTheFirstHalfOfSha256) {
    EXPECT_EQ(digestOf("abc"), "ba7816bf8f01cfea414140de5dae2223");
    EXPECT_EQ(Digest().add("a").add("bc").text(), digestOf("abc"));
}

TEST_F(Seal, WhatWeDoOurselvesIsNeverTakenForSomethingElse) {
    const std::string file = demo();
    std::mt19937 random(3);
    for (int round = 0; round < 40; ++round) {
        EXPECT_FALSE(changedOutside(file).value()) << round;
        auto book = Book::open(file);
        ASSERT_TRUE(book);
        EXPECT_FALSE(changedOutside(file).value()) << round << ", while it is open";
        switch (random() % 5) {
        case 0:
            break; // only looked at
        case 1:
            rename(*book, "Round " + std::to_string(round));
            break;
        case 2: {
            const std::string to = path(("c" + std::to_string(round) + ".dynamet").c_str());
            ASSERT_TRUE(copyBook(*book, to));
            EXPECT_FALSE(changedOutside(to).value()) << "a copy";
            SQLite::Database copy(to);
            EXPECT_EQ(copy.execAndGet("SELECT count(*) FROM seal").getInt(), 1) << "sealed too";
            break;
        }
        case 3:
            rename(*book, "Copied " + std::to_string(round));
            ASSERT_TRUE(copyToday(file, {kWhen.utcMs + round * 86400000LL, 0}));
            for (const BookCopy& copy : copiesOf(file)) {
                EXPECT_FALSE(changedOutside(copy.path).value()) << copy.day;
                SQLite::Database made(copy.path);
                EXPECT_EQ(made.execAndGet("SELECT count(*) FROM seal").getInt(), 1) << copy.day;
            }
            break;
        default: { // something fails on the way and is taken back
            ASSERT_FALSE(together(*book, [&]() -> Result<void> {
                rename(*book, "Not kept");
                return fail(Errc::refused, "no");
            }));
        }
        }
    }
    SQLite::Database db(file, SQLite::OPEN_READONLY);
    EXPECT_EQ(db.execAndGet("SELECT count(*) FROM seal").getInt(), 1);
    EXPECT_EQ(db.execAndGet("PRAGMA integrity_check").getString(), "ok");
}

TEST_F(Seal, ABookThatIsOnlyLookedAtKeepsItsBytes) {
    const std::string file = demo();
    { auto book = Book::open(file); }
    std::ifstream first(file, std::ios::binary);
    const std::string before((std::istreambuf_iterator<char>(first)), {});
    for (int i = 0; i < 3; ++i) {
        auto book = Book::open(file);
        ASSERT_TRUE(loadKitchen(*book));
    }
    std::ifstream last(file, std::ios::binary);
    EXPECT_EQ(std::string((std::istreambuf_iterator<char>(last)), {}), before);
}

// A value that another program wrote is as whole as any: only the seal tells.
TEST_F(Seal, AnotherProgramIsNoticedAndRememberedUntilACookSaysItIsRight) {
    const std::string file = demo();
    outside(file, "UPDATE appliance SET name = 'Not ours' WHERE rowid = 1");
    ASSERT_TRUE(changedOutside(file).value());
    {
        auto book = Book::open(file);
        ASSERT_TRUE(noteChangedOutside(*book));
        rename(*book, "Worked on all the same");
    }
    EXPECT_TRUE(changedOutside(file).value()) << "nobody has looked yet";
    {
        auto book = Book::open(file);
        ASSERT_TRUE(acceptAsItIs(*book));
    }
    EXPECT_FALSE(changedOutside(file).value());
    outside(file, "DELETE FROM vessel");
    EXPECT_TRUE(changedOutside(file).value()) << "it was sealed again";
}

// Killed in the middle of work: what waits in the log is ours, and nothing is said.
TEST_F(Seal, AKilledProgramIsNoStranger) {
    const std::string file = demo();
    for (int round = 0; round < 5; ++round) {
        const pid_t child = ::fork();
        ASSERT_GE(child, 0);
        if (child == 0) {
            auto book = Book::open(file);
            rename(*book, "Before the end " + std::to_string(round));
            ::_exit(0); // nothing is closed
        }
        ASSERT_EQ(::waitpid(child, nullptr, 0), child);
        EXPECT_FALSE(changedOutside(file).value()) << round;
        auto book = Book::open(file);
        ASSERT_TRUE(book);
        EXPECT_EQ(loadKitchen(*book)->appliances.front().name,
                  "Before the end " + std::to_string(round));
    }
    EXPECT_FALSE(changedOutside(file).value());
}

// One bit in every page: what the seal does not see are the counters that SQLite moves by itself,
// and its own page, where anything but the very digest shows too.
TEST_F(Seal, ABitInAnyPageIsNoticed) {
    const std::string file = demo();
    { auto book = Book::open(file); }
    std::ifstream in(file, std::ios::binary);
    const std::string whole((std::istreambuf_iterator<char>(in)), {});
    const std::size_t page =
        static_cast<unsigned char>(whole[16]) * 256u + static_cast<unsigned char>(whole[17]);
    std::mt19937 random(11);
    std::size_t pages = 0, noticed = 0;
    for (std::size_t at = 0; at < whole.size(); at += page, ++pages) {
        std::string bytes = whole;
        const std::size_t byte = at + (at == 0 ? 100 : 0) + random() % (page - 100);
        bytes[byte] = static_cast<char>(bytes[byte] ^ (1 << random() % 8));
        std::ofstream(path("flipped.dynamet"), std::ios::binary) << bytes;
        const auto found = changedOutside(path("flipped.dynamet"));
        noticed += !found || *found;
    }
    std::printf("%zu pages, a bit flipped in each: %zu noticed\n", pages, noticed);
    EXPECT_GE(noticed + 1, pages) << "all but free bytes of the page of the seal";
}

TEST_F(Seal, ABookOfAnOlderProgramHasNone) {
    const std::string file = demo();
    outside(file, "DROP TABLE seal; DROP TABLE thing_was; PRAGMA user_version = 11");
    EXPECT_FALSE(changedOutside(file).value());
    { ASSERT_TRUE(Book::open(file)); }
    SQLite::Database db(file, SQLite::OPEN_READONLY);
    EXPECT_EQ(db.execAndGet("SELECT count(*) FROM seal").getInt(), 1) << "from now on it has";
}

} // namespace
