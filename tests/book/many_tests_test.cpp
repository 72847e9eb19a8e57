// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book of years: what is read when it is opened is found by index, never by looking through all.
#include "book/book_folder.h"
#include "book/kitchen_store.h"

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class ManyTests : public book::testing::BookFolder {};

/// How SQLite goes about a question: "SCAN x" looks through a whole table.
std::string planOf(SQLite::Database& db, const std::string& sql) {
    std::string out;
    SQLite::Statement s(db, "EXPLAIN QUERY PLAN " + sql);
    while (s.executeStep())
        out += s.getColumn(3).getString() + "\n";
    return out;
}

TEST_F(ManyTests, Defect146TheNewestReductionOfATestIsFoundByIndex) {
    auto book = *Book::create(path(), kWhen);
    const std::string plan =
        planOf(book.database(),
               "SELECT t.id FROM test t LEFT JOIN reduction r ON r.test_id=t.id AND NOT EXISTS "
               "(SELECT 1 FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
               "WHERE t.appliance_id='a'");
    EXPECT_EQ(plan.find("SCAN r"), std::string::npos) << plan;
    EXPECT_EQ(plan.find("SCAN n"), std::string::npos) << plan;
    EXPECT_EQ(plan.find("AUTOMATIC"), std::string::npos) << plan;
    const std::string numbers = planOf(
        book.database(), "SELECT x.* FROM field_number x JOIN reduction r ON r.id=x.reduction_id "
                         "JOIN test t ON t.id=r.test_id WHERE t.appliance_id='a'");
    EXPECT_EQ(numbers.find("SCAN"), std::string::npos) << numbers;
    EXPECT_EQ(planOf(book.database(), "SELECT * FROM channel WHERE test_id='t'").find("SCAN"),
              std::string::npos);
}

} // namespace
