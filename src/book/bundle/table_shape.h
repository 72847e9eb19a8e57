// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <SQLiteCpp/SQLiteCpp.h>
#include <string>
#include <vector>

namespace dynamet::book {

struct ColumnShape {
    std::string name, type; ///< TEXT, REAL, INTEGER or BLOB
    bool needed = false, hasDefault = false;
};
/// A table as a bundle sees it. Things have an id of their own (UUID, hash or key); the rows of
/// other tables belong to one thing and travel inside it.
struct TableShape {
    std::string name;
    std::vector<ColumnShape> columns; ///< without a row number that this book alone gives
    std::string id;                   ///< column; empty: belongs to a thing
    std::string parent, parentColumn; ///< that it belongs to
    std::string localId;              ///< INTEGER PRIMARY KEY, given anew in each book
    std::vector<std::string> order;   ///< columns that order the rows of one parent
    std::vector<std::string> inside;  ///< tables whose rows belong to it
    std::vector<std::pair<std::string, std::string>> refers; ///< column → table, whole ids
};

/// All tables but what follows from others, read from the book's own schema; what is referred to
/// comes first.
std::vector<TableShape> tableShapes(SQLite::Database& db);
const TableShape* findShape(const std::vector<TableShape>& all, const std::string& name);

} // namespace dynamet::book
