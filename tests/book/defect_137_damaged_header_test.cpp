// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Books whose own numbers are damaged, and backups that must not write over each other.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "kitchen/typical.h"

#include <filesystem>
#include <fstream>
#include <sys/stat.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class DamagedHeader : public book::testing::BookFolder {
  protected:
    void SetUp() override {
        BookFolder::SetUp();
        ASSERT_TRUE(Book::create(path(), kWhen).has_value());
    }
    void run(const std::string& sql) {
        SQLite::Database db(path(), SQLite::OPEN_READWRITE);
        db.exec(sql);
    }
};

TEST_F(DamagedHeader, Defect137AVersionThatIsNoneIsRefusedAndNothingIsWritten) {
    for (const char* sql : {"PRAGMA user_version = -5", "PRAGMA user_version = 0"}) {
        run(sql);
        const auto opened = Book::open(path());
        ASSERT_FALSE(opened.has_value()) << sql;
        EXPECT_EQ(opened.error().code, Errc::corruptData) << opened.error().message;
        EXPECT_FALSE(std::filesystem::exists(path() + ".v0.bak"));
    }
    run("PRAGMA user_version = 99");
    run("UPDATE book_info SET value='soon' WHERE key='min_reader'");
    const auto opened = Book::open(path());
    ASSERT_FALSE(opened.has_value());
    EXPECT_EQ(opened.error().code, Errc::corruptData) << opened.error().message;
}

TEST_F(DamagedHeader, Defect138ABackupTakesAFreeNameAndTheBooksMode) {
    run("PRAGMA user_version = 5");
    std::ofstream(path() + ".v5.bak") << "somebody's";
    ASSERT_EQ(::chmod(path().c_str(), 0600), 0);
    ASSERT_TRUE(Book::open(path()).has_value());
    std::ifstream kept(path() + ".v5.bak");
    std::string words;
    kept >> words;
    EXPECT_EQ(words, "somebody's");
    struct stat what {};
    ASSERT_EQ(::stat((path() + ".v5.2.bak").c_str(), &what), 0);
    EXPECT_EQ(what.st_mode & 0777u, 0600u);
}

// Burners without marks filled the memory, steps of nought divided by it.
TEST_F(DamagedHeader, Defect139ADialThatCannotBeIsNamed) {
    {
        auto book = *Book::open(path());
        kitchen::Site site;
        site.id = site.name = "s";
        ASSERT_TRUE(addSite(book, site, kWhen));
        auto grill = *kitchen::typicalAppliance(kitchen::ApplianceKind::gasGrill);
        grill.id = grill.name = "Grill";
        grill.siteId = "s";
        ASSERT_TRUE(addAppliance(book, grill, kWhen));
        auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        oven.id = oven.name = "Oven";
        oven.siteId = "s";
        ASSERT_TRUE(addAppliance(book, oven, kWhen));
        ASSERT_TRUE(loadKitchen(book).has_value());
    }
    for (const char* sql : {"UPDATE control SET labels_json='[]' WHERE kind='burners'",
                            "UPDATE control SET labels_json='[[\"low\",null]]', burners_json='[]' "
                            "WHERE kind='burners'",
                            "UPDATE control SET step=0 WHERE kind='thermostat'",
                            "UPDATE control SET low=9e999 WHERE kind='thermostat'"}) {
        run(sql);
        auto book = *Book::open(path());
        const auto kitchen = loadKitchen(book);
        ASSERT_FALSE(kitchen.has_value()) << sql;
        EXPECT_EQ(kitchen.error().code, Errc::corruptData) << kitchen.error().message;
        if (sql == std::string("UPDATE control SET step=0 WHERE kind='thermostat'"))
            run("UPDATE control SET step=5 WHERE kind='thermostat'");
        else
            run("UPDATE control SET labels_json='[[\"off\",0],[\"high\",1]]', "
                "burners_json='[\"a\"]' WHERE kind='burners'");
    }
}

// Tests were lost where two writers met through two names of one file.
TEST_F(DamagedHeader, Defect148OneFileHasOneWriterByWhateverName) {
    const std::string hard = path() + ".hard", soft = path() + ".soft";
    std::filesystem::create_hard_link(path(), hard);
    std::filesystem::create_symlink(path(), soft);
    auto first = Book::open(path());
    ASSERT_TRUE(first.has_value());
    EXPECT_TRUE(first->writable());
    std::filesystem::remove(path() + "-lock"); // somebody tidied up
    for (const std::string& name : {path(), hard, soft}) {
        const auto second = Book::open(name);
        ASSERT_TRUE(second.has_value()) << name << ": " << second.error().message;
        EXPECT_FALSE(second->writable()) << name;
    }
    first = fail(Errc::io, "closed");
    EXPECT_TRUE(Book::open(hard)->writable()) << "the lock goes with its holder";
}

TEST_F(DamagedHeader, Defect149ANewBookIsWholeOrNotThere) {
    const std::string there = path() + ".there", nowhere = path() + "/no/such/folder.dynamet";
    std::ofstream(there) << "somebody's";
    EXPECT_FALSE(Book::create(there, kWhen).has_value());
    EXPECT_FALSE(Book::create(nowhere, kWhen).has_value());
    for (const auto& entry :
         std::filesystem::directory_iterator(std::filesystem::path(path()).parent_path()))
        EXPECT_EQ(entry.path().string().find(".part"), std::string::npos) << entry.path();
}

} // namespace
