// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Copies that make themselves, shares that are refused, damage of which the rest is saved.
#include "book/demo_folder.h"
#include "book/kitchen_store.h"
#include "book/log_store.h"
#include "book/recipe_store.h"
#include "book/safety/copies.h"
#include "book/safety/network_share.h"
#include "book/safety/salvage.h"

#include <fstream>
#include <gtest/gtest.h>
#include <random>
#include <sys/stat.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class Safety : public book::testing::DemoFolder {
  protected:
    Book& opened(const std::string& file) {
        held_.emplace(std::move(*Book::open(file)));
        return *held_;
    }
    void TearDown() override {
        held_.reset();
        DemoFolder::TearDown();
    }
    std::optional<Book> held_;
    static std::string bytesOf(const std::string& file) {
        std::ifstream in(file, std::ios::binary);
        return {std::istreambuf_iterator<char>(in), {}};
    }
    static void write(const std::string& file, const std::string& bytes) {
        std::ofstream(file, std::ios::binary) << bytes;
    }
};

constexpr std::int64_t kDayMs = 86400000;

TEST_F(Safety, ACopyADayAndFourteenAreKept) {
    const std::string file = demo();
    for (int day = 0; day < 20; ++day) {
        const When when{kWhen.utcMs + day * kDayMs, 60};
        EXPECT_TRUE(copyToday(file, when).value()) << day;
        EXPECT_FALSE(copyToday(file, when).value()) << "once a day";
    }
    const auto copies = copiesOf(file);
    ASSERT_EQ(copies.size(), kCopiesKept);
    EXPECT_GT(copies.front().day, copies.back().day);
    EXPECT_EQ(copies.front().day, "2026-12-07");
    // It can be made while the book is written, and is a book of its own.
    Book open = std::move(*Book::open(file));
    EXPECT_TRUE(copyToday(file, {kWhen.utcMs + 30 * kDayMs, 0}).value());
    EXPECT_TRUE(Book::open(copiesOf(file).front().path)->writable());
}

TEST_F(Safety, ACopyIsRestoredUnderANewNameAndADamagedOneRefused) {
    const std::string file = demo();
    ASSERT_TRUE(copyToday(file, kWhen));
    BookCopy copy = copiesOf(file).front();
    const std::string as = freeNameBeside(file, "of " + copy.day);
    EXPECT_NE(as.find("k of 2026-11-18"), std::string::npos) << as;
    ASSERT_TRUE(restoreCopy(copy, as));
    EXPECT_EQ(loadKitchen(opened(as)).value().appliances.size(), 20u);
    EXPECT_NE(freeNameBeside(file, "of " + copy.day), as);
    EXPECT_FALSE(restoreCopy(copy, as)) << "never over a book";
    std::string bytes = bytesOf(copy.path);
    bytes.replace(bytes.size() / 2, 8192, std::string(8192, 'x'));
    write(copy.path, bytes);
    const auto refused = restoreCopy(copy, path("other.dynamet"));
    ASSERT_FALSE(refused);
    EXPECT_FALSE(std::filesystem::exists(path("other.dynamet")));
}

// A folder that takes no copy: said, and the book is as it was.
TEST_F(Safety, WhereNoCopyCanBeMadeThatIsSaid) {
    const std::string file = demo();
    write(copiesFolder(file), "a file in the way");
    const auto made = copyToday(file, kWhen);
    ASSERT_FALSE(made);
    EXPECT_NE(made.error().message.find("the book is as it was"), std::string::npos);
}

// Numbers of linux/magic.h and of the manual page of statfs(2).
TEST(NetworkShare, IsKnownByItsFileSystem) {
    EXPECT_EQ(networkFileSystem(0x6969), "NFS");
    EXPECT_EQ(networkFileSystem(0xff534d42), "SMB");
    EXPECT_EQ(networkFileSystem(static_cast<long>(static_cast<std::int32_t>(0xfe534d42))), "SMB");
    EXPECT_FALSE(networkFileSystem(0xef53)) << "ext4";
    EXPECT_FALSE(networkFileSystem(0x9123683e)) << "btrfs";
    EXPECT_FALSE(networkFileSystem(0x01021994)) << "tmpfs";
    EXPECT_FALSE(networkFileSystem(0x794c7630)) << "overlayfs";
    EXPECT_FALSE(networkShareOf("/tmp/nothing-there.dynamet"));
}

TEST_F(Safety, OfAWholeBookEverythingIsSaved) {
    const std::string file = demo();
    const auto saved = salvage(file, path("saved.dynamet"), kWhen);
    ASSERT_TRUE(saved) << saved.error().message;
    EXPECT_TRUE(saved->damaged.empty());
    EXPECT_EQ(saved->leftOut, 0u);
    Book was = std::move(*Book::openForReading(file)),
         is = std::move(*Book::open(path("saved.dynamet")));
    EXPECT_EQ(checkBook(is).value(), "ok");
    const auto before = loadKitchen(was).value(), after = loadKitchen(is).value();
    EXPECT_EQ(after.appliances, before.appliances);
    EXPECT_EQ(after.rated, before.rated);
    EXPECT_EQ(loadRecipes(is, after).value(), loadRecipes(was, before).value());
    EXPECT_EQ(logLines(is, {}).value().size(), logLines(was, {}).value().size());
    EXPECT_FALSE(salvage(file, path("saved.dynamet"), kWhen)) << "never over a book";
}

// One bit, somewhere in every page: the program never dies; it reads, refuses, or saves the rest,
// and the damaged file is not touched by the saving.
TEST_F(Safety, ABitInEveryPageIsRefusedOrSaved) {
    const std::string whole = bytesOf(demo("whole.dynamet"));
    const std::size_t page =
        static_cast<unsigned char>(whole[16]) * 256u + static_cast<unsigned char>(whole[17]);
    ASSERT_GE(page, 512u);
    std::mt19937 random(7);
    std::size_t sound = 0, refused = 0, savedRows = 0, nothing = 0;
    std::size_t pages = 0, wholeRows = 0;
    {
        const auto all = salvage(path("whole.dynamet"), path("all.dynamet"), kWhen);
        wholeRows = all->rows();
    }
    // All of them where asked; here each seventh.
    const std::size_t step = std::getenv("DYNAMET_EVERY_PAGE") ? 1 : 7;
    for (std::size_t at = 0; at < whole.size(); at += step * page, ++pages) {
        std::string bytes = whole;
        const std::size_t byte = at + random() % page;
        bytes[byte] = static_cast<char>(bytes[byte] ^ (1 << random() % 8));
        const std::string file = path("flipped.dynamet"), saved = path("saved.dynamet");
        write(file, bytes);
        if (auto book = Book::openForReading(file)) {
            const auto kitchen = loadKitchen(*book);
            if (kitchen && loadRecipes(*book, *kitchen) && checkBook(*book).value_or("") == "ok")
                ++sound;
            else
                ++refused;
        } else {
            ++refused;
        }
        const auto rest = salvage(file, saved, kWhen);
        if (rest) {
            savedRows += rest->rows();
            EXPECT_EQ(checkBook(opened(saved)).value(), "ok") << "page " << pages;
        } else {
            ++nothing;
        }
        EXPECT_EQ(bytesOf(file), bytes) << "page " << pages;
        held_.reset();
        std::filesystem::remove(saved);
        std::filesystem::remove(file);
    }
    RecordProperty("pages", static_cast<int>(pages));
    std::printf(
        "%zu pages: %zu still whole, %zu refused or named; saved %.1f %% of the rows, of %zu "
        "nothing\n",
        pages, sound, refused, 100.0 * double(savedRows) / double(pages * wholeRows), nothing);
    EXPECT_EQ(sound + refused, pages);
    EXPECT_LE(nothing, 4u) << "only where the schema itself is gone";
    EXPECT_GT(double(savedRows) / double(pages * wholeRows), 0.9);
}

// Half of the file is gone (a disk that failed): what is in the first half is saved.
TEST_F(Safety, OfATornBookTheRestIsSaved) {
    const std::string file = demo();
    const std::string whole = bytesOf(file);
    write(file, whole.substr(0, whole.size() / 2 / 4096 * 4096));
    const auto saved = salvage(file, path("saved.dynamet"), kWhen);
    ASSERT_TRUE(saved) << saved.error().message;
    EXPECT_FALSE(saved->damaged.empty());
    EXPECT_GT(saved->rows(), 50u);
    EXPECT_EQ(checkBook(opened(path("saved.dynamet"))).value(), "ok");
    write(file, std::string(100000, 'z'));
    EXPECT_FALSE(salvage(file, path("none.dynamet"), kWhen));
    EXPECT_FALSE(std::filesystem::exists(path("none.dynamet")));
}

} // namespace
