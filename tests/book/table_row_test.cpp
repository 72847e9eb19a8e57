// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Rows written and read by their columns' names, against SQLite's own reading of them.
#include "book/table_row.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet::book;

class TableRow : public ::testing::Test {
  protected:
    TableRow() : db_(":memory:", SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE) {
        db_.exec("CREATE TABLE pot(id TEXT PRIMARY KEY, created_at_ms INTEGER NOT NULL, name TEXT "
                 "NOT NULL, mass REAL, lid INTEGER) STRICT");
    }
    std::string typeOf(const char* column) {
        return db_.execAndGet(std::string("SELECT typeof(") + column + ") FROM pot").getString();
    }
    SQLite::Database db_;
};

TEST_F(TableRow, EveryKindOfCellIsKeptAsItsOwnKind) {
    insertRow(db_, "pot",
              newRow("a", 1795000000000,
                     {{"name", std::string("Kettle")}, {"mass", 1.25}, {"lid", std::int64_t{1}}}));
    EXPECT_EQ(typeOf("created_at_ms"), "integer");
    EXPECT_EQ(typeOf("mass"), "real");
    SQLite::Statement s(db_, "SELECT * FROM pot");
    const RowReader row(s);
    ASSERT_TRUE(s.executeStep());
    EXPECT_EQ(row.text("name"), "Kettle");
    EXPECT_EQ(row.whole("created_at_ms"), 1795000000000) << "beyond 32 bits";
    EXPECT_EQ(row.maybe("mass"), 1.25);
    EXPECT_EQ(row.whole("lid"), 1);
}

TEST_F(TableRow, WhatIsNotKnownIsNull) {
    insertRow(
        db_, "pot",
        newRow("a", 1, {{"name", std::string("x")}, {"mass", cellOf(std::optional<double>())}}));
    EXPECT_EQ(typeOf("mass"), "null");
    SQLite::Statement s(db_, "SELECT * FROM pot");
    const RowReader row(s);
    ASSERT_TRUE(s.executeStep());
    EXPECT_EQ(row.maybe("mass"), std::nullopt);
    EXPECT_EQ(row.number("mass"), 0);
    EXPECT_EQ(cellOrNull(""), CellValue());
    EXPECT_EQ(cellOrNull("x"), CellValue(std::string("x")));
}

TEST_F(TableRow, AWordOfTheCookIsNeverRunAsSql) {
    const std::string evil = "x'); DROP TABLE pot; --";
    insertRow(db_, "pot", newRow(evil, 1, {{"name", evil}}));
    updateRow(db_, "pot", evil, {{"name", evil + evil}});
    EXPECT_EQ(db_.execAndGet("SELECT name FROM pot").getString(), evil + evil);
}

TEST_F(TableRow, AChangeTouchesItsOwnRowAndItsOwnColumns) {
    for (const char* id : {"a", "b"})
        insertRow(db_, "pot", newRow(id, 1, {{"name", std::string(id)}, {"mass", 1.0}}));
    updateRow(db_, "pot", "b", {{"mass", 2.0}});
    EXPECT_EQ(db_.execAndGet("SELECT mass FROM pot WHERE id='a'").getDouble(), 1);
    EXPECT_EQ(db_.execAndGet("SELECT mass FROM pot WHERE id='b'").getDouble(), 2);
    EXPECT_EQ(db_.execAndGet("SELECT name FROM pot WHERE id='b'").getString(), "b");
}

TEST_F(TableRow, AColumnThatIsNotThereThrowsAndWritesNothing) {
    EXPECT_THROW(insertRow(db_, "pot", newRow("a", 1, {{"colour", std::string("red")}})),
                 SQLite::Exception);
    EXPECT_EQ(db_.execAndGet("SELECT count(*) FROM pot").getInt(), 0);
    insertRow(db_, "pot", newRow("a", 1, {{"name", std::string("x")}}));
    SQLite::Statement s(db_, "SELECT * FROM pot");
    const RowReader row(s);
    ASSERT_TRUE(s.executeStep());
    EXPECT_THROW(row.text("colour"), SQLite::Exception);
}

} // namespace
