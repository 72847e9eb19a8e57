// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Books that may not be written: looked at only, newer, on a read-only medium, with a write-ahead
// log left behind, or damaged. Not a byte of them changes.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "book/test_store.h"
#include "kitchen/typical.h"

#include <filesystem>
#include <fstream>
#include <map>
#include <sstream>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;
namespace fs = std::filesystem;

std::string bytesOf(const std::string& path) {
    std::ifstream in(path, std::ios::binary);
    std::stringstream all;
    all << in.rdbuf();
    return all.str();
}

class OnlyLooking : public book::testing::BookFolder {
  protected:
    /// A book with one site whose last change (a second site) stands in the write-ahead log only.
    void leaveLogBehind(const std::string& name, const std::string& more = "") {
        const std::string live = path((fs::path(name).parent_path().string() + "live").c_str());
        auto book = *Book::create(live, kWhen);
        kitchen::Site home;
        home.id = home.name = "home";
        ASSERT_TRUE(addSite(book, home, kWhen).has_value());
        book.database().exec("PRAGMA wal_checkpoint(TRUNCATE)");
        kitchen::Site hut;
        hut.id = hut.name = "hut";
        ASSERT_TRUE(addSite(book, hut, kWhen).has_value());
        if (!more.empty())
            book.database().exec(more);
        fs::create_directories(fs::path(path(name.c_str())).parent_path());
        fs::copy_file(live, path(name.c_str()));
        fs::copy_file(live + "-wal", path((name + "-wal").c_str()));
        ASSERT_GT(fs::file_size(path((name + "-wal").c_str())), 0u);
    }
    /// A book with one test "t" of these readings; off any grid at a resolution of 0.
    Book withALog(const std::vector<double>& readings, double resolution) {
        auto book = *Book::create(path(), kWhen);
        kitchen::Site home;
        home.id = home.name = "home";
        EXPECT_TRUE(addSite(book, home, kWhen).has_value());
        auto oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        oven.id = oven.name = "oven";
        oven.siteId = "home";
        EXPECT_TRUE(addAppliance(book, oven, kWhen).has_value());
        TestRecord test;
        test.id = "t";
        test.applianceId = "oven";
        test.siteId = "home";
        test.protocol = "preheat";
        test.zone = oven.zones.front().name;
        test.setting = "oven=180C";
        test.channels.push_back({"air", "air", "°C", "", {0, 5, 10}, readings, resolution});
        EXPECT_TRUE(addTest(book, test, kWhen).has_value());
        return book;
    }
    std::map<std::string, std::string> filesIn(const std::string& folder) {
        std::map<std::string, std::string> out;
        for (const auto& entry : fs::directory_iterator(folder))
            out[entry.path().filename()] = bytesOf(entry.path());
        return out;
    }
};

std::size_t sitesIn(Book& book) {
    const auto kitchen = loadKitchen(book);
    return kitchen ? kitchen->sites.size() : 0;
}

TEST_F(OnlyLooking, Defect157LookingAtAnOlderBookChangesNothing) {
    ASSERT_TRUE(Book::create(path(), kWhen).has_value());
    {
        SQLite::Database db(path(), SQLite::OPEN_READWRITE);
        db.exec("PRAGMA user_version = 5");
    }
    fs::remove(path() + "-wal");
    fs::remove(path() + "-shm");
    const auto before = filesIn(folder_);
    {
        auto book = Book::openForReading(path());
        ASSERT_TRUE(book.has_value()) << book.error().message;
        EXPECT_EQ(book->access(), Book::Access::looking);
        EXPECT_EQ(*checkBook(*book), "ok");
        kitchen::Site home;
        home.id = "home";
        EXPECT_EQ(addSite(*book, home, kWhen).error().code, Errc::readOnly);
    }
    const auto after = filesIn(folder_);
    EXPECT_EQ(after.at("k.dynamet"), before.at("k.dynamet"));
    for (const auto& [name, bytes] : after) // SQLite's own, of no content
        EXPECT_TRUE(name == "k.dynamet" || name == "k.dynamet-shm" || bytes.empty()) << name;
}

TEST_F(OnlyLooking, Defect158ANewerBookKeepsItsLogUntouched) {
    leaveLogBehind("newer.dynamet", "PRAGMA user_version = 99");
    const std::string at = path("newer.dynamet");
    const std::string book = bytesOf(at), log = bytesOf(at + "-wal");
    {
        auto opened = Book::open(at);
        ASSERT_TRUE(opened.has_value()) << opened.error().message;
        EXPECT_EQ(opened->access(), Book::Access::newer) << "the version stands in the log only";
        EXPECT_EQ(sitesIn(*opened), 2u);
    }
    EXPECT_EQ(bytesOf(at), book);
    EXPECT_EQ(bytesOf(at + "-wal"), log);
}

/// Runs as a user to whom the folder belongs not; root may write everywhere.
int asNobody(const std::function<int()>& look) {
    const pid_t child = ::fork();
    if (child == 0) {
        if (::geteuid() == 0 && (::setgid(65534) != 0 || ::setuid(65534) != 0))
            ::_exit(90);
        ::_exit(look());
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : 91;
}

TEST_F(OnlyLooking, Defect159AReadOnlyFolderIsReadWithAndWithoutALogLeftBehind) {
    leaveLogBehind("medium/k.dynamet");
    leaveLogBehind("plain/k.dynamet");
    {
        SQLite::Database db(path("plain/k.dynamet"), SQLite::OPEN_READWRITE);
        db.exec("PRAGMA wal_checkpoint(TRUNCATE)");
    }
    for (const char* folder : {"medium", "plain"}) {
        const std::string in = path(folder);
        for (const auto& entry : fs::directory_iterator(in))
            ::chmod(entry.path().c_str(), 0644);
        ::chmod(in.c_str(), 0555);
        ::chmod(folder_.c_str(), 0755);
        const auto before = filesIn(in);
        const int found = asNobody([&] {
            auto book = Book::open(in + "/k.dynamet");
            if (!book)
                return 80;
            if (book->writable() || book->accessWords().empty())
                return 81;
            return static_cast<int>(sitesIn(*book));
        });
        EXPECT_EQ(found, 2) << folder;
        EXPECT_EQ(filesIn(in), before) << folder;
        ::chmod(in.c_str(), 0755);
    }
}

TEST_F(OnlyLooking, Defect160DamageIsFoundAndThenNothingIsWritten) {
    {
        auto book = *Book::create(path(), kWhen);
        for (int i = 0; i < 400; ++i) {
            kitchen::Site site;
            site.id = site.name = "site " + std::to_string(i);
            ASSERT_TRUE(addSite(book, site, kWhen).has_value());
        }
    }
    EXPECT_TRUE(quickCheck(path()).has_value());
    {
        auto book = *Book::open(path());
        // The pages of the sites, overwritten.
        SQLite::Statement root(book.database(),
                               "SELECT rootpage FROM sqlite_master WHERE name='site'");
        ASSERT_TRUE(root.executeStep());
        std::fstream file(path(), std::ios::in | std::ios::out | std::ios::binary);
        file.seekp((root.getColumn(0).getInt64() - 1) * 4096);
        file << std::string(4096, '\xee');
    }
    const auto whole = quickCheck(path());
    ASSERT_FALSE(whole.has_value());
    EXPECT_EQ(whole.error().code, Errc::corruptData);
    auto book = *Book::open(path());
    EXPECT_TRUE(book.writable());
    EXPECT_FALSE(loadKitchen(book).has_value());
    EXPECT_EQ(book.access(), Book::Access::damaged);
    const auto before = bytesOf(path());
    kitchen::Site late;
    late.id = "late";
    EXPECT_EQ(addSite(book, late, kWhen).error().code, Errc::readOnly);
    EXPECT_EQ(bytesOf(path()), before);
}

TEST_F(OnlyLooking, Defect161AUnitThatNobodyKnowsIsAnErrorNeverDegrees) {
    auto book = withALog({20, 21, 22}, 0.1);
    ASSERT_TRUE(loadTest(book, "t").has_value());
    book.database().exec("UPDATE channel SET unit='R'");
    const auto read = loadTest(book, "t");
    ASSERT_FALSE(read.has_value());
    EXPECT_EQ(read.error().code, Errc::corruptData);
    EXPECT_NE(read.error().message.find("\"R\""), std::string::npos);
}

TEST_F(OnlyLooking, Defect163ABlockThatWasCutOffIsAnErrorNeverNoughts) {
    const std::vector<double> readings{20.123, 21.5, 22};
    auto book = withALog(readings, 0);
    EXPECT_EQ(loadTest(book, "t")->channels.front().asRecorded, readings);
    for (const char* damage :
         {"UPDATE reading_block SET readings=substr(readings,1,16)",
          "UPDATE reading_block SET readings=x''", "UPDATE reading_block SET coding='zip'",
          "UPDATE reading_block SET reading_count=-3",
          "UPDATE reading_block SET reading_count=4000000000"}) {
        book.database().exec("SAVEPOINT before");
        book.database().exec(damage);
        const auto read = loadTest(book, "t");
        ASSERT_FALSE(read.has_value()) << damage;
        EXPECT_EQ(read.error().code, Errc::corruptData) << damage;
        book.database().exec("ROLLBACK TO before");
    }
}

TEST_F(OnlyLooking, Defect162ABackupThatWasCutOffDoesNotStandForOne) {
    ASSERT_TRUE(Book::create(path(), kWhen).has_value());
    {
        SQLite::Database db(path(), SQLite::OPEN_READWRITE);
        db.exec("PRAGMA user_version = 5");
    }
    std::ofstream(path() + ".v5.bak.part") << "half of a copy";
    ASSERT_TRUE(Book::open(path()).has_value());
    EXPECT_FALSE(fs::exists(path() + ".v5.bak.part"));
    EXPECT_TRUE(Book::openForReading(path() + ".v5.bak").has_value());
}

} // namespace
