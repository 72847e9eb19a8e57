// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/book_folder.h"
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "book/test_store.h"

#include <cmath>
#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <limits>

namespace {

namespace fs = std::filesystem;
using namespace dynamet;
using namespace dynamet::book;

using book::testing::kWhen;

class BookTest : public book::testing::BookFolder {
  protected:
    Book created() {
        auto book = Book::create(path(), kWhen);
        EXPECT_TRUE(book.has_value()) << book.error().message;
        return std::move(*book);
    }
    Book reopened(const char* name = "k.dynamet") {
        auto book = Book::open(path(name));
        EXPECT_TRUE(book.has_value()) << book.error().message;
        return std::move(*book);
    }
    kitchen::Appliance fill(Book& book) {
        kitchen::Site site;
        site.id = "s";
        site.name = "Loft";
        site.altitudeM = 420;
        EXPECT_TRUE(addSite(book, site, kWhen));
        kitchen::Appliance a = *kitchen::typicalAppliance(kitchen::ApplianceKind::gasGrill);
        a.id = "a";
        a.name = "Grill";
        a.siteId = "s";
        EXPECT_TRUE(addAppliance(book, a, kWhen));
        return a;
    }
    static TestRecord test() {
        TestRecord t;
        t.id = newId();
        t.applianceId = "a";
        t.protocol = "zone-sweep";
        t.setting = "burners=high/off/off;lid=closed";
        t.zone = "indirect";
        t.siteId = "s";
        t.values = {{"waited_s", 1200}};
        t.typed = {{"waited_s", "20 min"}};
        t.keyed["probe"] = {{415.15, "142"}, {419.15, "146"}, {411.15, "138"}};
        RecordedChannel c{"air", "Probe 1", "°F", "", {}, {}, 0.1};
        for (int i = 0; i < 5000; ++i) {
            c.timeS.push_back(i * 1.5);
            c.asRecorded.push_back(std::round((280 + 20 * std::sin(i / 90.0)) * 10) / 10);
        }
        c.asRecorded[17] = std::numeric_limits<double>::quiet_NaN();
        t.channels.push_back(c);
        t.setStarted(kWhen);
        return t;
    }
};

rating::Reduction reductionOf(const TestRecord& test) {
    auto r = rating::reduce({"zone-sweep", {}, inputOf(test, {}).keyed, test.values});
    EXPECT_TRUE(r.has_value());
    return *r;
}

TEST_F(BookTest, KeepsTheKitchenAsItWas) {
    kitchen::Appliance a;
    {
        Book book = created();
        a = fill(book);
    }
    Book book = reopened();
    const auto kitchen = loadKitchen(book);
    ASSERT_TRUE(kitchen.has_value());
    EXPECT_EQ(kitchen->appliances.front(), a);
    EXPECT_EQ(kitchen->sites.front().altitudeM, 420);
}

TEST_F(BookTest, KeepsReadingsAsRecordedInTheirOwnUnit) {
    const TestRecord written = test();
    {
        Book book = created();
        fill(book);
        ASSERT_TRUE(addTest(book, written, kWhen));
    }
    Book book = reopened();
    const auto read = loadTest(book, written.id);
    ASSERT_TRUE(read.has_value()) << read.error().message;
    const RecordedChannel &a = written.channels[0], &b = read->channels[0];
    EXPECT_EQ(b.unit, "°F");
    EXPECT_EQ(b.timeS, a.timeS);
    ASSERT_EQ(b.asRecorded.size(), a.asRecorded.size());
    for (std::size_t i = 0; i < a.asRecorded.size(); ++i)
        if (std::isnan(a.asRecorded[i]))
            EXPECT_TRUE(std::isnan(b.asRecorded[i])) << i;
        else
            EXPECT_NEAR(b.asRecorded[i], a.asRecorded[i], 1e-9) << i;
    EXPECT_EQ(read->keyed.at("probe")[1].typed, "146");
    EXPECT_EQ(read->typed.at("waited_s"), "20 min");
    EXPECT_FALSE(read->ambientK.has_value()) << "what was not written down stays unknown";
}

TEST_F(BookTest, ADraftBecomesARatingAndUndoWithdrawsIt) {
    const TestRecord t = test();
    std::string reduction;
    {
        Book book = created();
        fill(book);
        ASSERT_TRUE(addTest(book, t, kWhen));
        EXPECT_TRUE(loadKitchen(book)->rated["a"].empty());
        EXPECT_TRUE(listTests(book, "a")->front().draft);
        reduction = *saveReduction(book, t.id, reductionOf(t), t.values, "", kWhen);
    }
    {
        Book book = reopened();
        const auto rated = loadKitchen(book)->rated["a"];
        ASSERT_EQ(rated.size(), 2u) << "air and radiant";
        EXPECT_EQ(rated.front().covarianceWith.size(), 1u);
        ASSERT_TRUE(withdrawReduction(book, reduction, kWhen));
    }
    {
        Book book = reopened();
        EXPECT_TRUE(loadKitchen(book)->rated["a"].empty());
        EXPECT_TRUE(loadTest(book, t.id).has_value()) << "readings are never deleted";
        ASSERT_TRUE(withdrawReduction(book, reduction, std::nullopt));
    }
    Book book = reopened();
    EXPECT_EQ(loadKitchen(book)->rated["a"].size(), 2u) << "redo brings it back";
}

TEST_F(BookTest, OpenedASecondTimeItCanOnlyBeRead) {
    Book first = created();
    fill(first);
    Book second = reopened();
    EXPECT_EQ(second.access(), Book::Access::elsewhere);
    EXPECT_TRUE(loadKitchen(second).has_value());
    const auto refused = addTest(second, test(), kWhen);
    ASSERT_FALSE(refused.has_value());
    EXPECT_EQ(refused.error().code, Errc::readOnly);
    EXPECT_NE(refused.error().message.find("nothing was changed"), std::string::npos);
}

TEST_F(BookTest, ABookOfANewerProgramIsReadOnly) {
    {
        Book book = created();
        fill(book);
        book.database().exec("PRAGMA user_version = 99");
    }
    Book book = reopened();
    EXPECT_EQ(book.access(), Book::Access::newer);
    EXPECT_FALSE(addTest(book, test(), kWhen).has_value());
}

TEST_F(BookTest, ABookThatNeedsANewerProgramIsRefusedAndLeftAlone) {
    {
        Book book = created();
        book.database().exec("PRAGMA user_version = 99");
        book.database().exec("UPDATE book_info SET value = '50' WHERE key = 'min_reader'");
    }
    const auto refused = Book::open(path());
    ASSERT_FALSE(refused.has_value());
    EXPECT_EQ(refused.error().code, Errc::unsupported);
}

TEST_F(BookTest, ForeignAndDamagedFilesAreNotWrittenTo) {
    const std::string foreign = path("letter.dynamet");
    std::ofstream(foreign)
        << "Dear cook, this is no book at all, but it is quite long enough to be one indeed.";
    const auto before = fs::last_write_time(foreign);
    const auto refused = Book::open(foreign);
    ASSERT_FALSE(refused.has_value());
    EXPECT_EQ(refused.error().code, Errc::corruptData);
    EXPECT_EQ(fs::last_write_time(foreign), before);
    EXPECT_EQ(Book::open(path("nowhere.dynamet")).error().code, Errc::notFound);
}

TEST_F(BookTest, AFailedActionLeavesNothingBehind) {
    Book book = created();
    fill(book);
    TestRecord t = test();
    t.applianceId = "nobody"; // breaks a foreign key half-way
    EXPECT_FALSE(addTest(book, t, kWhen).has_value());
    EXPECT_EQ(loadTest(book, t.id).error().code, Errc::notFound);
    EXPECT_EQ(*checkBook(book), "ok");
}

// JSON inside a book that somebody damaged: a sentence that says where, never an end of the
// program.
TEST_F(BookTest, DamagedJsonInsideIsNamedAndNeverThrows) {
    Book book = created();
    fill(book);
    const TestRecord t = test();
    ASSERT_TRUE(addTest(book, t, kWhen).has_value());
    const auto says = [](const auto& read, const char* words) {
        ASSERT_FALSE(read.has_value());
        EXPECT_EQ(read.error().code, Errc::corruptData) << read.error().message;
        EXPECT_NE(read.error().message.find(words), std::string::npos) << read.error().message;
    };
    for (const char* damage : {"", "{", "[]", "{\"waited_s\":\"long\"}", "{\"waited_s\":1e999}"}) {
        SQLite::Statement s(book.database(), "UPDATE test SET values_json=?");
        s.bind(1, damage);
        s.exec();
        says(loadTest(book, t.id), "a test's values");
    }
    book.database().exec("UPDATE test SET values_json='{}', typed_json='{\"waited_s\":20}'");
    says(loadTest(book, t.id), "typed");
    book.database().exec("INSERT OR REPLACE INTO book_info VALUES ('schools','{\"turning\":7}')");
    says(loadChoices(book), "choices");
    book.database().exec("INSERT OR REPLACE INTO book_info VALUES ('schools','{}')");
    book.database().exec("INSERT OR REPLACE INTO book_info VALUES ('doneness_scales','{\"scales\":"
                         "[{\"id\":1}]}')");
    says(loadChoices(book), "doneness scales");
    for (const char* damage : {"7", "[[\"low\"]]", "[[\"low\",\"much\"]]", "[[1,2]]"}) {
        SQLite::Statement s(book.database(), "UPDATE control SET labels_json=?");
        s.bind(1, damage);
        s.exec();
        says(loadKitchen(book), "Grill, burners");
    }
}

// Written by version 1 of the format; every later version must open it.
TEST_F(BookTest, OpensTheCommittedVersionOneBook) {
    fs::copy_file(std::string(FIXTURES) + "/v1.dynamet", path("v1.dynamet"));
    fs::permissions(path("v1.dynamet"), fs::perms::owner_all);
    Book book = reopened("v1.dynamet");
    const auto kitchen = loadKitchen(book);
    ASSERT_TRUE(kitchen.has_value());
    ASSERT_EQ(kitchen->appliances.size(), 1u);
    EXPECT_EQ(kitchen->appliances.front().name, "Grill");
    EXPECT_EQ(kitchen->rated.at("a").size(), 2u);
    const auto lines = listTests(book, "a");
    ASSERT_EQ(lines->size(), 1u);
    EXPECT_EQ(loadTest(book, lines->front().id)->channels.front().asRecorded.size(), 5000u);
    EXPECT_EQ(*checkBook(book), "ok");
}

/// Run with --gtest_also_run_disabled_tests to write the fixture of a new format version.
TEST_F(BookTest, DISABLED_WriteFixture) {
    {
        Book book = created();
        fill(book);
        const TestRecord t = test();
        ASSERT_TRUE(addTest(book, t, kWhen));
        ASSERT_TRUE(saveReduction(book, t.id, reductionOf(t), t.values, "", kWhen).has_value());
        book.database().exec("PRAGMA wal_checkpoint(TRUNCATE)");
        book.database().exec("PRAGMA journal_mode=DELETE");
    }
    fs::create_directories(FIXTURES);
    fs::copy_file(path(), std::string(FIXTURES) + "/v1.dynamet",
                  fs::copy_options::overwrite_existing);
}

// A full disk, made by SQLite itself: the file may not grow by another page.
TEST_F(BookTest, AFullDiskKeepsWhatWasSavedAndSaysSo) {
    {
        Book book = created();
        fill(book);
        ASSERT_TRUE(addTest(book, test(), kWhen).has_value());
        const int pages = book.database().execAndGet("PRAGMA page_count").getInt();
        book.database().exec("PRAGMA max_page_count = " + std::to_string(pages));
        const auto refused = addTest(book, test(), kWhen);
        ASSERT_FALSE(refused.has_value());
        EXPECT_EQ(refused.error().code, Errc::io);
        EXPECT_NE(refused.error().message.find("disk is full; nothing was changed"),
                  std::string::npos)
            << refused.error().message;
    }
    Book again = reopened();
    EXPECT_EQ(listTests(again, "a")->size(), 1u);
    EXPECT_EQ(*checkBook(again), "ok");
}

TEST_F(BookTest, ACalibrationTouchesOnlyLaterTests) {
    Book book = created();
    fill(book);
    kitchen::Instrument probe;
    probe.id = "p";
    probe.name = "Probe";
    ASSERT_TRUE(addInstrument(book, probe, kWhen));
    ASSERT_TRUE(addCalibration(book, "p", {"c", kWhen.utcMs + 1000, 2.0, 1.0, 0.2}));
    const auto instruments = loadKitchen(book)->instruments;
    TestRecord early = test(), late = test();
    early.instrumentId = late.instrumentId = "p";
    late.startedMs += 5000;
    EXPECT_DOUBLE_EQ(inputOf(early, instruments).keyed.at("probe")[0], 415.15);
    EXPECT_DOUBLE_EQ(inputOf(late, instruments).keyed.at("probe")[0], 417.15);
    EXPECT_FALSE(inputOf(early, instruments).values.contains("u_bias_K"));
    EXPECT_NEAR(inputOf(late, instruments).values.at("u_bias_K"), 0.2, 0.01);
    // Withdrawn, it corrects nothing any more; the readings themselves never changed.
    ASSERT_TRUE(withdrawCalibration(book, "c", kWhen));
    EXPECT_DOUBLE_EQ(inputOf(late, loadKitchen(book)->instruments).keyed.at("probe")[0], 415.15);
}

TEST_F(BookTest, AFieldThatChangesInTimeComesBackWithItsCurve) {
    Book book = created();
    const auto appliance = fill(book);
    TestRecord t = test();
    ASSERT_TRUE(addTest(book, t, kWhen));
    rating::Reduction r = reductionOf(t);
    r.fieldCurves.push_back(
        {{kitchen::Face::all, kitchen::Term::air}, {0, 600, 1200}, {0, -20, -35}, ""});
    ASSERT_TRUE(saveReduction(book, t.id, r, {}, "", kWhen).has_value());
    const auto kitchen = *loadKitchen(book);
    const auto field = kitchen::fieldAt(
        kitchen, "a", *kitchen::parseSetting(appliance.controls, t.setting), "indirect");
    ASSERT_TRUE(field.has_value());
    ASSERT_FALSE(field->curves.empty());
    EXPECT_EQ(field->curves.front().change, (std::vector<double>{0, -20, -35}));
}

} // namespace
